import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { EventSource, Run, RunEvent } from '../../core/run/run';

/** An event that is kept until the server has it. */
export interface KeptEvent {
  /** Counted up in the order they happened. */
  place: number;
  /** Under which it is sent, however often. */
  id: string;
  runId: string;
  event: RunEvent;
  /** By the bench's clock, ISO 8601. */
  occurredAt: string;
  /** What it was read from; left out where it was typed. */
  source?: EventSource;
}

/** What outlives a reload in this browser: events on their way, and runs as the server had them last. */
export interface OutboxStore {
  add(kept: Omit<KeptEvent, 'place'>): Promise<void>;
  /** In the order they happened. */
  of(runId: string): Promise<KeptEvent[]>;
  remove(place: number): Promise<void>;
  runOf(runId: string): Promise<Run | undefined>;
  keepRun(run: Run): Promise<void>;
  forgetRun(runId: string): Promise<void>;
}

interface Schema extends DBSchema {
  events: { key: number; value: Omit<KeptEvent, 'place'> & { place?: number }; indexes: { run: string } };
  runs: { key: string; value: Run };
}

/** Kept in IndexedDB; where the browser has none, as in some private windows, for as long as the page is open. */
export function outboxStore(): OutboxStore {
  const memory = memoryStore();
  let opened: Promise<IDBPDatabase<Schema> | null> | null = null;
  const open = () => {
    opened ??= openDB<Schema>('tallow-bench', 1, {
      upgrade(db) {
        db.createObjectStore('events', { keyPath: 'place', autoIncrement: true }).createIndex('run', 'runId');
        db.createObjectStore('runs', { keyPath: 'id' });
      },
    }).catch(() => null);
    return opened;
  };
  return {
    async add(kept) {
      const db = await open();
      await (db ? db.add('events', kept) : memory.add(kept));
    },
    async of(runId) {
      const db = await open();
      return db ? ((await db.getAllFromIndex('events', 'run', runId)) as KeptEvent[]) : memory.of(runId);
    },
    async remove(place) {
      const db = await open();
      await (db ? db.delete('events', place) : memory.remove(place));
    },
    async runOf(runId) {
      const db = await open();
      return db ? db.get('runs', runId) : memory.runOf(runId);
    },
    async keepRun(run) {
      const db = await open();
      await (db ? db.put('runs', run) : memory.keepRun(run));
    },
    async forgetRun(runId) {
      const db = await open();
      await (db ? db.delete('runs', runId) : memory.forgetRun(runId));
    },
  };
}

/** For as long as the page is open. */
export function memoryStore(): OutboxStore {
  let events: KeptEvent[] = [];
  let place = 0;
  const runs = new Map<string, Run>();
  return {
    async add(kept) {
      events = [...events, { ...kept, place: ++place }];
    },
    of: async (runId) => events.filter((kept) => kept.runId === runId),
    async remove(gone) {
      events = events.filter((kept) => kept.place !== gone);
    },
    runOf: async (runId) => runs.get(runId),
    async keepRun(run) {
      runs.set(run.id, run);
    },
    async forgetRun(runId) {
      runs.delete(runId);
    },
  };
}
