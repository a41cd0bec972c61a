import type { Migration } from '../migrate';

/** What a run is found by stands in an index of its own, so that a search reads no snapshot. */
export const foundRuns: Migration = {
  number: 7,
  sql: /* sql */ `
    ALTER TABLE runs ADD COLUMN words TEXT NOT NULL DEFAULT '';
    UPDATE runs SET words = folded(plan_name || ' ' || note);
    DROP INDEX runs_by_end;
    CREATE INDEX runs_by_end ON runs (ended, ended_at DESC, id, words);
  `,
};
