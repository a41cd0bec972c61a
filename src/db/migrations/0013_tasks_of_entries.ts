import type { Migration } from '../migrate';

/** What a run takes is taken when it is weighed, and given back with the tick: an entry names its task. */
export const tasksOfEntries: Migration = {
  number: 13,
  sql: /* sql */ `
    ALTER TABLE stock_entries ADD COLUMN task_id TEXT;
  `,
};
