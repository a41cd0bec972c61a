import type Database from 'better-sqlite3';

/** Tells what was written so far: another text after each write, by this process or another. */
export function writesOf(db: Database.Database): () => string {
  const own = db.prepare('SELECT total_changes()').pluck();
  const ofOthers = db.prepare('PRAGMA data_version').pluck();
  return () => `${own.get()} ${ofOthers.get()}`;
}

/**
 * What was read once, for as long as nothing is written.
 *
 * @param most so many are kept, the last asked for
 */
export function keptReads<Read>(
  db: Database.Database,
  most: number,
): (key: string, read: () => Read) => Read {
  const writtenNow = writesOf(db);
  const kept = new Map<string, Read>();
  let written = '';
  return (key, read) => {
    const now = writtenNow();
    if (now !== written) kept.clear();
    written = now;
    const known = kept.get(key) ?? read();
    kept.delete(key);
    kept.set(key, known);
    const [oldest] = kept.keys();
    if (kept.size > most && oldest !== undefined) kept.delete(oldest);
    return known;
  };
}
