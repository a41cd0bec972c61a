import type { Migration } from '../migrate';

/** What lists leave out: archived, or deleted and to be brought back for a while. */
export const putAway: Migration = {
  number: 11,
  sql: /* sql */ `
    CREATE TABLE put_away (
      kind TEXT NOT NULL CHECK (kind IN ('plan', 'mold', 'run')),
      id TEXT NOT NULL,
      state TEXT NOT NULL CHECK (state IN ('archived', 'deleted')),
      at TEXT NOT NULL,
      PRIMARY KEY (kind, id)
    ) STRICT, WITHOUT ROWID;
  `,
};
