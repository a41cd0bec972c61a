import type { Migration } from '../migrate';

/** What a run rests on stays as it was: it is read once, and then known. */
export const frozenRuns: Migration = {
  number: 27,
  sql: /* sql */ `
    CREATE TRIGGER run_snapshots_stay BEFORE UPDATE OF id, plan_id, plan_version, started_at, code, shape, snapshot ON runs
      BEGIN SELECT RAISE(ABORT, 'what a run rests on is never changed'); END;
  `,
};
