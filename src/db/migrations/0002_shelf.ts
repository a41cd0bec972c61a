import type { Migration } from '../migrate';

/** Full records for materials; lots with every change of their stock; the house rules. */
export const shelf: Migration = {
  number: 2,
  sql: /* sql */ `
    -- json_insert only adds what is not there yet; what nobody has told us is null.
    UPDATE materials SET record = json_insert(record,
      '$.inci', json('null'), '$.origins', json('null'), '$.lowStock', json('null'), '$.archived', json('false'));
    UPDATE materials SET record = json_insert(record,
      '$.usualLeastOfBase', json('null'), '$.usualMostOfBase', json('null'))
      WHERE record ->> 'kind' <> 'base';
    UPDATE materials SET record = json_insert(record,
      '$.contains', '', '$.suspension', json('null'), '$.sweat', 'unknown', '$.setSpeed', 'unknown',
      '$.bearsFreezer', json('null'), '$.standsHeat', json('null'), '$.meltsC', json('null'),
      '$.thickensC', json('null'), '$.hardensH', json('null'), '$.oilsCapOfBase', json('null'),
      '$.liquidsCapOfBase', json('null'))
      WHERE record ->> 'kind' = 'base';
    UPDATE materials SET record = json_insert(record,
      '$.fragranceKind', 'fragrance-oil', '$.vanillinOfMaterial', json('null'), '$.allergens', json('null'))
      WHERE record ->> 'kind' = 'fragrance';
    UPDATE materials SET record = json_insert(record, '$.bleeds', json('null'))
      WHERE record ->> 'kind' = 'colorant';
    UPDATE materials SET record = json_insert(record, '$.grainMm', json('null'))
      WHERE record ->> 'kind' = 'additive';

    CREATE TABLE lots (
      id TEXT PRIMARY KEY,
      material_id TEXT NOT NULL REFERENCES materials (id),
      record TEXT NOT NULL CHECK (json_valid(record)),
      revision INTEGER NOT NULL CHECK (revision >= 1),
      changed_at TEXT NOT NULL
    ) STRICT;
    CREATE INDEX lots_of_material ON lots (material_id);

    CREATE TABLE stock_entries (
      place INTEGER PRIMARY KEY,
      id TEXT NOT NULL UNIQUE,
      lot_id TEXT NOT NULL REFERENCES lots (id),
      at TEXT NOT NULL,
      kind TEXT NOT NULL CHECK (kind IN ('bought', 'used', 'correction', 'count')),
      change REAL NOT NULL,
      run_id TEXT REFERENCES runs (id),
      note TEXT NOT NULL
    ) STRICT;
    CREATE INDEX entries_of_lot ON stock_entries (lot_id);
    CREATE INDEX entries_of_run ON stock_entries (run_id);

    -- Stock is the sum of its entries, so that it can always be explained.
    CREATE TRIGGER stock_entries_stay BEFORE UPDATE ON stock_entries
      BEGIN SELECT RAISE(ABORT, 'stock entries are never changed'); END;
    CREATE TRIGGER stock_entries_remain BEFORE DELETE ON stock_entries
      BEGIN SELECT RAISE(ABORT, 'stock entries are never deleted'); END;

    CREATE TABLE house_rules (
      only INTEGER PRIMARY KEY CHECK (only = 1),
      record TEXT NOT NULL CHECK (json_valid(record)),
      revision INTEGER NOT NULL CHECK (revision >= 1),
      changed_at TEXT NOT NULL
    ) STRICT;
  `,
};
