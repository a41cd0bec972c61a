import type { Migration } from '../migrate';
import { keepVersions } from './keepVersions';

/** What is ordered of suppliers. What came of it is its lots: their first entries name it. */
export const purchases: Migration = {
  number: 24,
  sql: /* sql */ `
    CREATE TABLE purchases (
      id TEXT PRIMARY KEY,
      record TEXT NOT NULL CHECK (json_valid(record)),
      shape INTEGER NOT NULL CHECK (shape >= 1),
      revision INTEGER NOT NULL CHECK (revision >= 1),
      changed_at TEXT NOT NULL
    ) STRICT;
    ${keepVersions('purchase', 'purchases', 'id')}
  `,
};
