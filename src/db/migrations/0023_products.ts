import type { Migration } from '../migrate';

/** Saves of one record beyond this many are forgotten, the oldest first. */
const MOST_KEPT = 200;

const keep = (until: string) => /* sql */ `
  INSERT OR REPLACE INTO record_versions (kind, id, revision, record, shape, changed_at, until)
    VALUES ('product', OLD.id, OLD.revision, OLD.record, OLD.shape, OLD.changed_at, ${until});
  DELETE FROM record_versions
    WHERE kind = 'product' AND id = OLD.id AND revision <= OLD.revision - ${MOST_KEPT};`;

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
    CREATE TRIGGER products_keep_versions BEFORE UPDATE ON products WHEN OLD.record <> NEW.record
      BEGIN ${keep('NEW.changed_at')} END;
    CREATE TRIGGER products_keep_last BEFORE DELETE ON products
      BEGIN ${keep("strftime('%Y-%m-%dT%H:%M:%fZ', 'now')")} END;
  `,
};
