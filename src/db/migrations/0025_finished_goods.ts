import type { Migration } from '../migrate';

/** Finished goods are lots of products, whose packs stand in the workshop or elsewhere. */
export const finishedGoods: Migration = {
  number: 25,
  sql: /* sql */ `
    ALTER TABLE stock_entries ADD COLUMN stands_at TEXT;
  `,
};
