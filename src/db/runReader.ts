import { LRUCache } from 'lru-cache';
import { findingSchema } from '../core/checks/findingSchema';
import type { HouseRules } from '../core/houseRules/houseRules';
import type { Sheet } from '../core/plan/sheet';
import { ok, type Result } from '../core/result';
import { eventSourceSchema, type RecordedEvent, type Run, runEventSchema } from '../core/run/run';
import { type Snapshot, snapshotSchema } from '../core/run/snapshot';
import { z } from '../core/zod';
import { type BrokenRecord, type RecordReader, recordReader, uncachedReader } from './readRecord';
import { snapshotWithFields } from './upcasters/finding';
import { derivedEvent, derivedSnapshot } from './upcasters/run';
import { snapshotWithJugIds } from './upcasters/snapshotJugs';

/** A run without what it rests on, which is long. */
export interface RunRow {
  id: string;
  plan_id: string;
  plan_version: number;
  started_at: string;
  code: string | null;
  shape: number;
  /** Of its snapshot. */
  bytes: number;
  /** On the bench or on the rack, where it is looked at again and again. */
  at_work: 0 | 1;
}

export interface EventRow {
  /** From 1 on, without a gap. */
  place: number;
  at: string;
  occurred_at: string | null;
  source: string;
  shape: number;
  event: string;
}

/** Where runs are read from. */
export interface RunSource {
  /** The snapshot of a run as it is kept; undefined where there is no such run. */
  snapshotText(id: string): string | undefined;
  /** The events of a run from a place on. */
  events(runId: string, from: number): EventRow[];
  /** Another as soon as the schema of the file is: what the schema says never changes may change only then. */
  schemaVersion(): number;
  /** What a run from before snapshots is shown by. */
  rulesNow(): HouseRules;
}

/** A finding that can't be read costs itself only: the run is what its other parts say. */
const keptSnapshotSchema = snapshotSchema.extend({
  findings: z.array(z.unknown()).transform((findings) =>
    findings.flatMap((finding) => {
      const read = findingSchema.safeParse(finding);
      return read.success ? [read.data] : [];
    }),
  ),
});

const SOURCE = eventSourceSchema.catch({});

interface Read {
  run: Run;
  last: EventRow | undefined;
}

/** Runs that are kept once they were read: what they rest on, and the last object of each, with which what is worked out of it is kept. */
interface Kept {
  snapshots: LRUCache<string, { row: RunRow; snapshot: Snapshot }>;
  runs: LRUCache<string, Read>;
}

/** @param most of their snapshots, of which the objects take several times as much; of runs; of their tasks and events */
function keeping(most: { bytes: number; runs: number; lines: number }): Kept {
  return {
    snapshots: new LRUCache({ maxSize: most.bytes, sizeCalculation: ({ row }) => row.bytes }),
    runs: new LRUCache({
      max: most.runs,
      maxSize: most.lines,
      sizeCalculation: ({ run }) => 1 + run.events.length + run.snapshot.tasks.length,
    }),
  };
}

function forget({ snapshots, runs }: Kept, which: (row: RunRow) => boolean): void {
  for (const [id, { row }] of [...snapshots.entries()])
    if (which(row)) {
      snapshots.delete(id);
      runs.delete(id);
    }
}

/** Nine of the longest runs, half done, or more ordinary ones than a workshop has room for. */
const MOST_AT_WORK = { bytes: 40_000_000, runs: 400, lines: 150_000 };
/** Two of the longest, or a page of ordinary ones: a Logbook of thousands is read through, not kept. */
const MOST_ENDED = { bytes: 8_000_000, runs: 60, lines: 60_000 };

/**
 * Reads runs, brought up from whatever shape they were kept in. What a run rests on and what has happened to it is never
 * changed once it is written, which the schema of the file sees to: both are read once.
 */
export function runReader(source: RunSource) {
  const [atWork, ended] = [keeping(MOST_AT_WORK), keeping(MOST_ENDED)];
  let reader: RecordReader<Snapshot> | null = null;
  let rules: HouseRules | null = null;
  let schemaVersion: number | null = null;

  /** Forgets what may be otherwise since. */
  function readerNow(): RecordReader<Snapshot> {
    const [rulesNow, versionNow] = [source.rulesNow(), source.schemaVersion()];
    if (reader && rulesNow === rules && versionNow === schemaVersion) return reader;
    // Of today's shape nothing is derived by the rules.
    const isOther = ({ shape }: RunRow) => versionNow !== schemaVersion || shape < (reader?.shape ?? 0);
    for (const kept of [atWork, ended]) forget(kept, isOther);
    [rules, schemaVersion] = [rulesNow, versionNow];
    reader = uncachedReader(keptSnapshotSchema, [
      (record) => derivedSnapshot(record, rulesNow),
      snapshotWithFields,
      snapshotWithJugIds,
    ]);
    return reader;
  }

  /** Where a run is kept: one that has ended since is no longer kept among the others. */
  function keptOf(row: RunRow): Kept {
    if (row.at_work === 1) return atWork;
    const [snapshot, run] = [atWork.snapshots.get(row.id), atWork.runs.get(row.id)];
    if (snapshot) ended.snapshots.set(row.id, { ...snapshot, row });
    if (run) ended.runs.set(row.id, run);
    atWork.snapshots.delete(row.id);
    atWork.runs.delete(row.id);
    return ended;
  }

  function known(row: RunRow): Snapshot | null {
    const kept = keptOf(row).snapshots.get(row.id);
    return kept?.row.bytes === row.bytes && kept.row.shape === row.shape ? kept.snapshot : null;
  }

  function readSnapshot(row: RunRow): Result<Snapshot, BrokenRecord> {
    const { read } = readerNow();
    const before = known(row);
    if (before) return ok(before);
    const snapshot = read(row.id, source.snapshotText(row.id) ?? '', row.shape);
    if (snapshot.success) keptOf(row).snapshots.set(row.id, { row, snapshot: snapshot.data });
    return snapshot;
  }

  /** A run with its events, of which those that were read before are the same objects: what was told by them holds on. */
  function withEvents(
    begun: Omit<Run, 'events'>,
    { runs } = atWork.runs.has(begun.id) ? atWork : ended,
  ): Result<Run, BrokenRecord> {
    const { id, snapshot } = begun;
    const kept = runs.get(id);
    const before = kept?.run.snapshot === snapshot ? kept : null;
    const { rows, goesOn } = rowsSince(id, before?.last);
    if (before && goesOn && rows.length === 0) return ok(before.run);
    const recorded: RecordedEvent[] = goesOn && before ? [...before.run.events] : [];
    for (const each of rows) {
      const ofShape = each.shape < EVENT_SHAPE ? eventReader(snapshot.sheet) : EVENTS;
      const event = ofShape.read(id, each.event, each.shape);
      if (!event.success) return event;
      recorded.push({
        occurredAt: each.occurred_at ?? each.at,
        recordedAt: each.at,
        source: SOURCE.parse(JSON.parse(each.source)),
        event: event.data,
      });
    }
    const run: Run = { ...begun, events: recorded };
    runs.set(id, { run, last: rows.at(-1) ?? (goesOn ? before?.last : undefined) });
    return ok(run);
  }

  /**
   * What happened since, or all of it where the last that is known is not there any more: what was read inside a
   * transaction may have been taken back.
   */
  function rowsSince(id: string, last: EventRow | undefined): { rows: EventRow[]; goesOn: boolean } {
    const rows = source.events(id, last?.place ?? 1);
    if (!last) return { rows, goesOn: true };
    const [same, ...since] = rows;
    if (isSameRow(last, same)) return { rows: since, goesOn: true };
    return { rows: source.events(id, 1), goesOn: false };
  }

  return {
    shape: () => readerNow().shape,
    read(row: RunRow): Result<Run, BrokenRecord> {
      const snapshot = readSnapshot(row);
      if (!snapshot.success) return snapshot;
      const begun = {
        id: row.id,
        planId: row.plan_id,
        planVersion: row.plan_version,
        startedAt: row.started_at,
        code: row.code,
        snapshot: snapshot.data,
      };
      return withEvents(begun, keptOf(row));
    },
    withEvents: (begun: Omit<Run, 'events'>) => withEvents(begun),
    readSnapshot,
    /** A snapshot from a text that is not in this file. */
    judgeSnapshot: (id: string, text: string, shape: number) => readerNow().read(id, text, shape),
    isRead(row: RunRow): boolean {
      readerNow();
      return known(row) !== null;
    },
    /** Keeps the snapshot of a run that was read elsewhere. */
    keep(row: RunRow, snapshot: Snapshot): void {
      readerNow();
      keptOf(row).snapshots.set(row.id, { row, snapshot });
    },
  };
}

function isSameRow(row: EventRow, other: EventRow | undefined): boolean {
  return (
    row.event === other?.event &&
    row.at === other.at &&
    row.occurred_at === other.occurred_at &&
    row.source === other.source &&
    row.shape === other.shape
  );
}

export const EVENT_SHAPE = 2;

/** Events of today's shape ask nothing of their run, so one that was read is known for all. */
export const EVENTS = recordReader(runEventSchema, [(record) => record]);

export function eventReader(sheet: Sheet) {
  return uncachedReader(runEventSchema, [(record) => derivedEvent(record, sheet)]);
}
