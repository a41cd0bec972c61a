import type { Migration } from '../migrate';

/** The Logbook's index: the words of each finished run, and by what it is sorted out. Both are made from the run itself. */
export const runSearch: Migration = {
  number: 18,
  sql: /* sql */ `
    CREATE TABLE run_search (
      place INTEGER PRIMARY KEY,
      run_id TEXT NOT NULL UNIQUE REFERENCES runs (id),
      ended_at TEXT NOT NULL
    ) STRICT;
    CREATE INDEX run_search_by_end ON run_search (ended_at DESC, run_id);
    CREATE VIRTUAL TABLE run_words USING fts5 (words, prefix = '2 3', tokenize = 'unicode61 remove_diacritics 2');
    CREATE TABLE run_facets (
      facet TEXT NOT NULL,
      value TEXT NOT NULL,
      place INTEGER NOT NULL REFERENCES run_search (place),
      PRIMARY KEY (facet, value, place)
    ) STRICT, WITHOUT ROWID;
    CREATE INDEX run_facets_by_run ON run_facets (place);
  `,
};
