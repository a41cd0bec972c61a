import type { Migration } from '../migrate';

/** What was paid for packs that were sold, or paid back for those that came back. */
export const paid: Migration = {
  number: 26,
  sql: /* sql */ `
    ALTER TABLE stock_entries ADD COLUMN paid TEXT;
  `,
};
