import type { Migration } from '../migrate';

/** The code that a run's bars are written on with; runs of before have none. */
export const batchCodes: Migration = {
  number: 15,
  sql: /* sql */ `
    ALTER TABLE runs ADD COLUMN code TEXT;
    CREATE UNIQUE INDEX runs_by_code ON runs (code);
  `,
};
