import type { Migration } from '../migrate';

/** Where finished goods stand is found without looking through everything that ever changed the stock. */
export const places: Migration = {
  number: 29,
  sql: 'CREATE INDEX entries_by_place ON stock_entries (stands_at) WHERE stands_at IS NOT NULL',
};
