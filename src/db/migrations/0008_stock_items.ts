import type { Migration } from '../migrate';

/** Lots are of a stock item: a material of the shelf, or what is made here. */
export const stockItems: Migration = {
  number: 8,
  sql: /* sql */ `
    CREATE TABLE stock_items (
      kind TEXT NOT NULL,
      id TEXT NOT NULL,
      material_id TEXT GENERATED ALWAYS AS (iif(kind = 'material', id, NULL)) STORED REFERENCES materials (id),
      PRIMARY KEY (kind, id)
    ) STRICT;
    INSERT INTO stock_items (kind, id) SELECT DISTINCT 'material', material_id FROM lots;

    CREATE TABLE item_lots (
      id TEXT PRIMARY KEY,
      item_kind TEXT NOT NULL,
      item_id TEXT NOT NULL,
      record TEXT NOT NULL CHECK (json_valid(record)),
      shape INTEGER NOT NULL DEFAULT 1 CHECK (shape >= 1),
      revision INTEGER NOT NULL CHECK (revision >= 1),
      changed_at TEXT NOT NULL,
      FOREIGN KEY (item_kind, item_id) REFERENCES stock_items (kind, id)
    ) STRICT;
    INSERT INTO item_lots (id, item_kind, item_id, record, shape, revision, changed_at)
      SELECT id, 'material', material_id, record, shape, revision, changed_at FROM lots;

    CREATE TABLE item_entries (
      place INTEGER PRIMARY KEY,
      id TEXT NOT NULL UNIQUE,
      lot_id TEXT NOT NULL REFERENCES item_lots (id),
      at TEXT NOT NULL,
      kind TEXT NOT NULL,
      change REAL NOT NULL,
      owner_kind TEXT,
      owner_id TEXT,
      note TEXT NOT NULL
    ) STRICT;
    INSERT INTO item_entries (place, id, lot_id, at, kind, change, owner_kind, owner_id, note)
      SELECT place, id, lot_id, at, kind, change, owner_kind, owner_id, note FROM stock_entries;

    DROP TABLE stock_entries;
    DROP TABLE lots;
    ALTER TABLE item_lots RENAME TO lots;
    ALTER TABLE item_entries RENAME TO stock_entries;
    CREATE INDEX lots_of_item ON lots (item_kind, item_id);
    CREATE INDEX entries_of_lot ON stock_entries (lot_id);
    CREATE INDEX entries_of_owner ON stock_entries (owner_kind, owner_id);
    CREATE TRIGGER stock_entries_stay BEFORE UPDATE ON stock_entries
      BEGIN SELECT RAISE(ABORT, 'stock entries are never changed'); END;
    CREATE TRIGGER stock_entries_remain BEFORE DELETE ON stock_entries
      BEGIN SELECT RAISE(ABORT, 'stock entries are never deleted'); END;
  `,
};
