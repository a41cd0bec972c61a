import type { Migration } from '../migrate';

/** Tables whose rows hold a record as JSON. */
const OF_JSON = ['materials', 'molds', 'plan_versions', 'lots', 'house_rules', 'runs', 'run_events'];

/**
 * From here on the shape of a record is counted beside it, and what is of an older shape is brought up when it is read.
 * A run rests on one snapshot; its events tell when they happened and where they come from; stock is owned by whatever
 * changed it.
 */
export const spine: Migration = {
  number: 6,
  sql: /* sql */ `
    ${OF_JSON.map((table) => `ALTER TABLE ${table} ADD COLUMN shape INTEGER NOT NULL DEFAULT 1 CHECK (shape >= 1);`).join('\n    ')}

    ALTER TABLE runs ADD COLUMN snapshot TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(snapshot));
    UPDATE runs SET snapshot = json_object('sheet', json(sheet), 'findings', json(findings));
    ALTER TABLE runs DROP COLUMN sheet;
    ALTER TABLE runs DROP COLUMN findings;
    -- What a list of runs shows and is searched by.
    ALTER TABLE runs ADD COLUMN plan_name TEXT NOT NULL DEFAULT '';
    ALTER TABLE runs ADD COLUMN ended_at TEXT;
    ALTER TABLE runs ADD COLUMN note TEXT NOT NULL DEFAULT '';
    UPDATE runs SET
      plan_name = coalesce(snapshot ->> '$.sheet.planName', ''),
      ended_at = (SELECT max(at) FROM run_events WHERE run_id = runs.id AND event ->> 'type' IN ('finished', 'abandoned')),
      note = coalesce((SELECT event ->> 'note' FROM run_events WHERE run_id = runs.id AND event ->> 'type' IN ('finished', 'abandoned')), '');
    CREATE INDEX runs_by_end ON runs (ended, ended_at);
    CREATE INDEX runs_by_mold ON runs (snapshot ->> '$.sheet.mold.id', ended_at);

    ALTER TABLE run_events ADD COLUMN occurred_at TEXT;
    ALTER TABLE run_events ADD COLUMN source TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(source));

    CREATE TABLE owned_entries (
      place INTEGER PRIMARY KEY,
      id TEXT NOT NULL UNIQUE,
      lot_id TEXT NOT NULL REFERENCES lots (id),
      at TEXT NOT NULL,
      kind TEXT NOT NULL,
      change REAL NOT NULL,
      owner_kind TEXT,
      owner_id TEXT,
      note TEXT NOT NULL
    ) STRICT;
    INSERT INTO owned_entries (place, id, lot_id, at, kind, change, owner_kind, owner_id, note)
      SELECT place, id, lot_id, at, kind, change, iif(run_id IS NULL, NULL, 'run'), run_id, note FROM stock_entries;
    DROP TABLE stock_entries;
    ALTER TABLE owned_entries RENAME TO stock_entries;
    CREATE INDEX entries_of_lot ON stock_entries (lot_id);
    CREATE INDEX entries_of_owner ON stock_entries (owner_kind, owner_id);
    CREATE TRIGGER stock_entries_stay BEFORE UPDATE ON stock_entries
      BEGIN SELECT RAISE(ABORT, 'stock entries are never changed'); END;
    CREATE TRIGGER stock_entries_remain BEFORE DELETE ON stock_entries
      BEGIN SELECT RAISE(ABORT, 'stock entries are never deleted'); END;
  `,
};
