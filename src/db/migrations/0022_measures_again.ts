import type { Migration } from '../migrate';

/** Drops and fills are measured too: what finished runs measured is made anew, with their words. */
export const measuresAgain: Migration = {
  number: 22,
  sql: /* sql */ `
    DELETE FROM run_measures;
    DELETE FROM run_facets;
    DELETE FROM run_words;
    DELETE FROM run_search;
  `,
};
