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
