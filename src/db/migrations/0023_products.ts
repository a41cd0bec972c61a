import type { Migration } from '../migrate';
import { keepVersions } from './keepVersions';

/** What is sold: which plans' pieces, how they are packed, and what is said of them. */
export const products: Migration = {
  number: 23,
  sql: /* sql */ `
    CREATE TABLE products (
      id TEXT PRIMARY KEY,
      record TEXT NOT NULL CHECK (json_valid(record)),
      shape INTEGER NOT NULL CHECK (shape >= 1),
      revision INTEGER NOT NULL CHECK (revision >= 1),
      changed_at TEXT NOT NULL
    ) STRICT;
    ${keepVersions('product', 'products', 'id')}
  `,
};
