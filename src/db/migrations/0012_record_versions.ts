import type { Migration } from '../migrate';

/** Tables with one record a row, by the kind that their records are called in paths. */
const KINDS = [
  ['material', 'materials', 'id'],
  ['mold', 'molds', 'id'],
  ['lot', 'lots', 'id'],
  ['jug', 'jugs', 'id'],
  ['scale', 'scales', 'id'],
  ['house-rules', 'house_rules', 'only'],
] as const;

/** Saves of one record beyond this many are forgotten, the oldest first. */
const MOST_KEPT = 200;

/** What a record was before it was saved over or taken away; and any kind of record can be put away. */
export const recordVersions: Migration = {
  number: 12,
  sql: /* sql */ `
    CREATE TABLE record_versions (
      kind TEXT NOT NULL,
      id TEXT NOT NULL,
      revision INTEGER NOT NULL CHECK (revision >= 1),
      record TEXT NOT NULL CHECK (json_valid(record)),
      shape INTEGER NOT NULL CHECK (shape >= 1),
      -- When it was saved, and when it was saved over or taken away.
      changed_at TEXT NOT NULL,
      until TEXT NOT NULL,
      PRIMARY KEY (kind, id, revision)
    ) STRICT, WITHOUT ROWID;

    ${KINDS.map(([kind, table, id]) => {
      const keep = (until: string) => /* sql */ `
        INSERT OR REPLACE INTO record_versions (kind, id, revision, record, shape, changed_at, until)
          VALUES ('${kind}', OLD.${id}, OLD.revision, OLD.record, OLD.shape, OLD.changed_at, ${until});
        DELETE FROM record_versions
          WHERE kind = '${kind}' AND id = OLD.${id} AND revision <= OLD.revision - ${MOST_KEPT};`;
      return /* sql */ `
    CREATE TRIGGER ${table}_keep_versions BEFORE UPDATE ON ${table} WHEN OLD.record <> NEW.record
      BEGIN ${keep('NEW.changed_at')} END;
    CREATE TRIGGER ${table}_keep_last BEFORE DELETE ON ${table}
      BEGIN ${keep("strftime('%Y-%m-%dT%H:%M:%fZ', 'now')")} END;`;
    }).join('\n')}

    CREATE TABLE any_put_away (
      kind TEXT NOT NULL,
      id TEXT NOT NULL,
      state TEXT NOT NULL CHECK (state IN ('archived', 'deleted')),
      at TEXT NOT NULL,
      PRIMARY KEY (kind, id)
    ) STRICT, WITHOUT ROWID;
    INSERT INTO any_put_away SELECT kind, id, state, at FROM put_away;
    DROP TABLE put_away;
    ALTER TABLE any_put_away RENAME TO put_away;
  `,
};
