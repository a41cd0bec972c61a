import type Database from 'better-sqlite3';

/**
 * Keeps what was read until anything is written to the file, by this connection or by another. What is read inside a
 * transaction is not kept: it may be taken back.
 *
 * @param tables those it is read from, where only what this connection writes to them matters; never names from outside
 */
export function keptUntilWritten<Value>(
  db: Database.Database,
  read: () => Value,
  tables: readonly string[] | null = null,
): () => Value {
  const ownWrites = tables ? writesTo(db, tables) : writesToAny(db);
  const otherWrites = db.prepare<[], number>('PRAGMA data_version').pluck();
  let kept: { at: string; value: Value } | null = null;
  return () => {
    const at = `${ownWrites()} ${otherWrites.get()}`;
    if (kept?.at === at) return kept.value;
    const value = read();
    if (!db.inTransaction) kept = { at, value };
    return value;
  };
}

function writesToAny(db: Database.Database): () => unknown {
  const total = db.prepare<[], number>('SELECT total_changes()').pluck();
  return () => total.get();
}

/** How many rows of each table a connection has written, also where that was taken back. */
const WRITES = new WeakMap<Database.Database, Map<string, number>>();

function writesTo(db: Database.Database, tables: readonly string[]): () => unknown {
  const writes = WRITES.get(db) ?? new Map<string, number>();
  if (!WRITES.has(db)) {
    WRITES.set(db, writes);
    db.function('count_write', (table) => {
      writes.set(String(table), (writes.get(String(table)) ?? 0) + 1);
      return null;
    });
  }
  for (const table of tables.filter((each) => !writes.has(each))) {
    writes.set(table, 0);
    for (const how of ['INSERT', 'UPDATE', 'DELETE'])
      db.exec(
        `CREATE TEMP TRIGGER ${table}_${how} AFTER ${how} ON ${table} BEGIN SELECT count_write('${table}'); END`,
      );
  }
  return () => tables.map((table) => writes.get(table)).join(' ');
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
