import type { Migration } from '../migrate';

/** Whether a finished run still has bars to cut, wrap or look at; open runs are asked themselves. And the runs of a plan, found at once. */
export const rack: Migration = {
  number: 17,
  sql: /* sql */ `
    ALTER TABLE runs ADD COLUMN on_rack INTEGER NOT NULL DEFAULT 0;
    CREATE INDEX runs_on_rack ON runs (ended_at, id) WHERE on_rack = 1;
    CREATE INDEX runs_by_plan ON runs (plan_id, ended, ended_at DESC, id, code);
  `,
};
