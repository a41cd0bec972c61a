import type Database from 'better-sqlite3';
import { LRUCache } from 'lru-cache';
import type { RunSearch } from '../core/run/facets';
import { type LogEntry, logEntry } from '../core/run/logEntry';
import type { BrokenRecord, Page } from '../db/readRecord';
import type { Workshop } from './openWorkshop';
import { indexMissing } from './search/indexRuns';
import { turnWhenLong } from './turn';

/** A finished run stays as it is, so that what the Logbook keeps of it is worked out once. */
const KEPT = new WeakMap<Database.Database, LRUCache<string, LogEntry>>();
/** Of some two thousand ordinary runs. */
const MOST_WEIGHTS = 60_000;

const entriesOf = () =>
  new LRUCache<string, LogEntry>({
    maxSize: MOST_WEIGHTS,
    sizeCalculation: ({ weights }) => 1 + weights.length,
  });

/** So many runs that are not in the index yet are put in before it is asked; the others come in the background. */
const INDEXED_AT_ONCE = 50;

interface Asked extends Partial<RunSearch> {
  offset?: number;
  limit?: number;
}

/** What the Logbook shows of finished runs in which these words stand, and that have what was chosen, the last finished first. */
export async function logPage(
  workshop: Workshop,
  { search = '', chosen = [], offset = 0, limit = 50 }: Asked = {},
): Promise<Page<LogEntry>> {
  const { db, runs, runSearch } = workshop;
  const isAsked = search !== '' || chosen.length > 0;
  if (isAsked) indexMissing(workshop, INDEXED_AT_ONCE);
  const kept = KEPT.get(db) ?? entriesOf();
  KEPT.set(db, kept);
  const { ids, total } = isAsked
    ? runSearch.find({ search, chosen }, offset, limit)
    : runs.finishedIds(offset, limit);
  const items: LogEntry[] = [];
  const broken: BrokenRecord[] = [];
  for (const id of ids) {
    await turnWhenLong();
    const known = kept.get(id);
    const read = known ? null : runs.read(id);
    if (known) items.push(known);
    else if (read?.success) {
      const entry = logEntry(read.data);
      kept.set(id, entry);
      items.push(entry);
    } else if (read) broken.push(read.error);
  }
  return { items, broken, total };
}
