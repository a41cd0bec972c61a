import type { Migration } from '../migrate';

/** What finished runs measured of what was predicted of them; made from the run with its words, so that these are made anew. */
export const runMeasures: Migration = {
  number: 20,
  sql: /* sql */ `
    CREATE TABLE run_measures (
      place INTEGER NOT NULL REFERENCES run_search (place),
      kind TEXT NOT NULL,
      predicted REAL NOT NULL,
      measured REAL NOT NULL,
      PRIMARY KEY (kind, place)
    ) STRICT, WITHOUT ROWID;
    CREATE INDEX run_measures_by_run ON run_measures (place);
    DELETE FROM run_facets;
    DELETE FROM run_words;
    DELETE FROM run_search;
  `,
};
