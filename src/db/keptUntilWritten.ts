import type Database from 'better-sqlite3';

/**
 * Keeps what was read until anything is written to the file, by this connection or by another. Inside a transaction
 * nothing is kept: what is read there may be taken back.
 */
export function keptUntilWritten<Value>(db: Database.Database, read: () => Value): () => Value {
  const ownWrites = db.prepare<[], number>('SELECT total_changes()').pluck();
  const otherWrites = db.prepare<[], number>('PRAGMA data_version').pluck();
  let kept: { at: string; value: Value } | null = null;
  return () => {
    if (db.inTransaction) return read();
    const at = `${ownWrites.get()} ${otherWrites.get()}`;
    if (kept?.at !== at) kept = { at, value: read() };
    return kept.value;
  };
}

/**
 * The same of what is asked for by a key.
 *
 * @param most so many are kept, the last asked for
 */
export function keptByKey<Value extends object | number>(
  db: Database.Database,
  most: number,
): (key: string, read: () => Value) => Value {
  const kept = keptUntilWritten(db, () => new Map<string, Value>());
  return (key, read) => {
    const values = kept();
    const value = values.get(key) ?? read();
    values.delete(key);
    values.set(key, value);
    const [oldest] = values.keys();
    if (values.size > most && oldest !== undefined) values.delete(oldest);
    return value;
  };
}
