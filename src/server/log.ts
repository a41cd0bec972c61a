import type Database from 'better-sqlite3';
import { type LogEntry, logEntry } from '../core/run/logEntry';
import type { BrokenRecord, Page } from '../db/readRecord';
import type { Workshop } from './openWorkshop';

/** A finished run stays as it is, so that what the Logbook keeps of it is worked out once. */
const KEPT = new WeakMap<Database.Database, Map<string, LogEntry>>();
const MOST_KEPT = 2000;

/** What the Logbook shows of finished runs whose plan or note has these words, the last finished first. */
export function logPage(
  { db, runs }: Workshop,
  { search = '', offset = 0, limit = 50 } = {},
): Page<LogEntry> {
  const kept = KEPT.get(db) ?? new Map<string, LogEntry>();
  KEPT.set(db, kept);
  const { ids, total } = runs.finishedIds(search, offset, limit);
  const items: LogEntry[] = [];
  const broken: BrokenRecord[] = [];
  for (const id of ids) {
    const known = kept.get(id);
    const read = known ? null : runs.read(id);
    if (known) items.push(known);
    else if (read?.success) {
      const entry = logEntry(read.data);
      if (kept.size >= MOST_KEPT) kept.clear();
      kept.set(id, entry);
      items.push(entry);
    } else if (read) broken.push(read.error);
  }
  return { items, broken, total };
}
