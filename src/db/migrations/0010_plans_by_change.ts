import type { Migration } from '../migrate';

/** A page of plans is read in its order, so that nothing beyond the page is looked at. */
export const plansByChange: Migration = {
  number: 10,
  sql: 'CREATE INDEX plans_by_change ON plans (changed_at DESC, id)',
};
