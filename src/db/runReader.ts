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

/** So many runs are the same object for as long as nothing happens to them: what is worked out of one is kept with it. */
const MOST_KEPT = 100;
/** Some three thousand ordinary runs, or nine of the longest, whose objects take several times as much: a Logbook of thousands is read through, not kept. */
const MOST_SNAPSHOT_BYTES = 40_000_000;

/**
 * Reads runs, brought up from whatever shape they were kept in. What a run rests on and what has happened to it is never
 * changed once it is written, which the schema of the file sees to: both are read once.
 */
export function runReader(source: RunSource) {
  const snapshots = new LRUCache<string, { row: RunRow; snapshot: Snapshot }>({
    maxSize: MOST_SNAPSHOT_BYTES,
    sizeCalculation: ({ row }) => row.bytes,
  });
  const lastRead = new LRUCache<string, { run: Run; last: EventRow | undefined }>({ max: MOST_KEPT });
  let reader: RecordReader<Snapshot> | null = null;
  let rules: HouseRules | null = null;
  let schemaVersion: number | null = null;

  /** Forgets what may be otherwise since. */
  function readerNow(): RecordReader<Snapshot> {
    const [rulesNow, versionNow] = [source.rulesNow(), source.schemaVersion()];
    if (reader && rulesNow === rules && versionNow === schemaVersion) return reader;
    snapshots.clear();
    lastRead.clear();
    [rules, schemaVersion] = [rulesNow, versionNow];
    reader = uncachedReader(keptSnapshotSchema, [
      (record) => derivedSnapshot(record, rulesNow),
      snapshotWithFields,
      snapshotWithJugIds,
    ]);
    return reader;
  }

  function known(row: RunRow): Snapshot | null {
    const kept = snapshots.get(row.id);
    return kept?.row.bytes === row.bytes && kept.row.shape === row.shape ? kept.snapshot : null;
  }

  function readSnapshot(row: RunRow): Result<Snapshot, BrokenRecord> {
    const { read } = readerNow();
    const before = known(row);
    if (before) return ok(before);
    const snapshot = read(row.id, source.snapshotText(row.id) ?? '', row.shape);
    if (snapshot.success) snapshots.set(row.id, { row, snapshot: snapshot.data });
    return snapshot;
  }

  /** A run with its events, of which those that were read before are the same objects: what was told by them holds on. */
  function withEvents(begun: Omit<Run, 'events'>): Result<Run, BrokenRecord> {
    const { id, snapshot } = begun;
    const kept = lastRead.get(id);
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
    lastRead.set(id, { run, last: rows.at(-1) ?? (goesOn ? before?.last : undefined) });
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
      return withEvents({
        id: row.id,
        planId: row.plan_id,
        planVersion: row.plan_version,
        startedAt: row.started_at,
        code: row.code,
        snapshot: snapshot.data,
      });
    },
    withEvents,
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
      snapshots.set(row.id, { row, snapshot });
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
