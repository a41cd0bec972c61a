/** Saves of one record beyond this many are forgotten, the oldest first. */
const MOST_KEPT = 200;

/**
 * SQL that keeps what a row was before it is saved over or taken away.
 *
 * @param kind as its records are called in paths
 * @param table as it is called in the migrations
 * @param id its column
 */
export function keepVersions(kind: string, table: string, id: string): string {
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
}
