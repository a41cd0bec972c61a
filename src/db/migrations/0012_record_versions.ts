import type { Migration } from '../migrate';
import { keepVersions } from './keepVersions';

/** Tables with one record a row, by the kind that their records are called in paths. */
const KINDS = [
  ['material', 'materials', 'id'],
  ['mold', 'molds', 'id'],
  ['lot', 'lots', 'id'],
  ['jug', 'jugs', 'id'],
  ['scale', 'scales', 'id'],
  ['house-rules', 'house_rules', 'only'],
] as const;

/** What a record was before it was saved over or taken away; and any kind of record can be put away. */
export const recordVersions: Migration = {
  number: 12,
  sql: /* sql */ `
    CREATE TABLE record_versions (
      kind TEXT NOT NULL,
      id TEXT NOT NULL,
      revision INTEGER NOT NULL CHECK (revision >= 1),
      record TEXT NOT NULL CHECK (json_valid(record)),
      shape INTEGER NOT NULL CHECK (shape >= 1),
      -- When it was saved, and when it was saved over or taken away.
      changed_at TEXT NOT NULL,
      until TEXT NOT NULL,
      PRIMARY KEY (kind, id, revision)
    ) STRICT, WITHOUT ROWID;

    ${KINDS.map(([kind, table, id]) => keepVersions(kind, table, id)).join('\n')}

    CREATE TABLE any_put_away (
      kind TEXT NOT NULL,
      id TEXT NOT NULL,
      state TEXT NOT NULL CHECK (state IN ('archived', 'deleted')),
      at TEXT NOT NULL,
      PRIMARY KEY (kind, id)
    ) STRICT, WITHOUT ROWID;
    INSERT INTO any_put_away SELECT kind, id, state, at FROM put_away;
    DROP TABLE put_away;
    ALTER TABLE any_put_away RENAME TO put_away;
  `,
};
