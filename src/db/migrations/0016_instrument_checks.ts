import type { Migration } from '../migrate';

/** Instruments beside check weights and ice water. They are only ever added to. */
export const instrumentChecks: Migration = {
  number: 16,
  sql: /* sql */ `
    CREATE TABLE instrument_checks (
      id TEXT PRIMARY KEY,
      instrument TEXT NOT NULL,
      quantity TEXT NOT NULL,
      at TEXT NOT NULL,
      reference REAL NOT NULL,
      shown REAL NOT NULL
    ) STRICT;
    CREATE INDEX instrument_checks_by_time ON instrument_checks (at);
  `,
};
