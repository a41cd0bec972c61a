import type { Migration } from '../migrate';

/** Photographs and documents: what they are. Their bytes stand beside the database, under their hash. */
export const files: Migration = {
  number: 19,
  sql: /* sql */ `
    CREATE TABLE files (
      hash TEXT PRIMARY KEY CHECK (length(hash) = 64),
      kind TEXT NOT NULL,
      bytes INTEGER NOT NULL CHECK (bytes > 0),
      added_at TEXT NOT NULL
    ) STRICT;
    CREATE TABLE material_documents (
      id TEXT PRIMARY KEY,
      material_id TEXT NOT NULL REFERENCES materials (id) ON DELETE CASCADE,
      hash TEXT NOT NULL REFERENCES files (hash),
      kind TEXT NOT NULL,
      name TEXT NOT NULL,
      version TEXT NOT NULL,
      of_day TEXT NOT NULL,
      added_at TEXT NOT NULL,
      removed_at TEXT
    ) STRICT;
    CREATE INDEX documents_of_material ON material_documents (material_id);
  `,
};
