import type { Migration } from '../migrate';

/** Jugs and scales stand in tables of their own; the house rules keep the choices. */
export const jugsAndScales: Migration = {
  number: 9,
  sql: ['jugs', 'scales']
    .map(
      (table) => /* sql */ `
    CREATE TABLE ${table} (
      id TEXT PRIMARY KEY,
      record TEXT NOT NULL CHECK (json_valid(record)),
      shape INTEGER NOT NULL CHECK (shape >= 1),
      revision INTEGER NOT NULL CHECK (revision >= 1),
      changed_at TEXT NOT NULL
    ) STRICT;
    INSERT INTO ${table} (id, record, shape, revision, changed_at)
      SELECT thing.id, json_set(thing.record, '$.id', thing.id), 1, 1, thing.changed_at
      FROM (
        SELECT '${table.slice(0, -1)}-' || (1 + each.key) AS id, each.value AS record, house_rules.changed_at
        FROM house_rules, json_each(house_rules.record, '$.${table}') AS each
      ) AS thing;
  `,
    )
    .join(''),
};
