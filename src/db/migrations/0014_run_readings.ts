import type { Migration } from '../migrate';

/** What instruments showed while a run was made, some at a time: pairs of tenths of a second from `from_at` and a figure. */
export const runReadings: Migration = {
  number: 14,
  sql: /* sql */ `
    CREATE TABLE run_readings (
      run_id TEXT NOT NULL REFERENCES runs (id),
      instrument TEXT NOT NULL,
      quantity TEXT NOT NULL,
      from_at TEXT NOT NULL,
      task_id TEXT,
      points TEXT NOT NULL CHECK (json_valid(points)),
      PRIMARY KEY (run_id, instrument, quantity, from_at)
    ) STRICT, WITHOUT ROWID;
  `,
};
