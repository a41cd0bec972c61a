import type Database from 'better-sqlite3';
import type { HouseRules } from '../core/houseRules/houseRules';
import { fail, type Result } from '../core/result';
import type { RecordedEvent, Run, RunEvent } from '../core/run/run';
import { keptByKey } from './keptUntilWritten';
import { isShown } from './putAway';
import { type BrokenRecord, itemOf, type Page, pageOf, readable } from './readRecord';
import { EVENT_SHAPE, EVENTS, type EventRow, eventReader, type RunRow, runReader } from './runReader';
import { snapshotText } from './snapshotText';

export type RunEnding = 'finished' | 'abandoned';

const COLUMNS = `id, plan_id, plan_version, started_at, code, shape, octet_length(snapshot) AS bytes,
  (ended IS NULL OR on_rack = 1) AS at_work`;

function statementsOf(db: Database.Database) {
  return {
    one: db.prepare<[string], RunRow>(`SELECT ${COLUMNS} FROM runs WHERE id = ?`),
    open: db.prepare<[], RunRow>(
      `SELECT ${COLUMNS} FROM runs WHERE ended IS NULL ORDER BY started_at DESC, id`,
    ),
    finished: db.prepare<[number, number], { id: string }>(
      `SELECT id FROM runs WHERE ended = 'finished' AND ${isShown('run', 'runs.id')}
       ORDER BY ended_at DESC, id LIMIT ? OFFSET ?`,
    ),
    countFinished: db.prepare<[], { total: number }>(
      `SELECT (SELECT count(*) FROM runs WHERE ended = 'finished')
         - (SELECT count(*) FROM put_away WHERE kind = 'run') AS total`,
    ),
    ofMold: db.prepare<[string, number], RunRow>(
      `SELECT ${COLUMNS} FROM runs WHERE ended = 'finished' AND snapshot ->> '$.sheet.mold.id' = ?
     ORDER BY ended_at DESC, id LIMIT ?`,
    ),
    onRack: db.prepare<[], RunRow>(
      `SELECT ${COLUMNS} FROM runs WHERE on_rack = 1 AND ${isShown('run', 'runs.id')}
       ORDER BY ended_at, id`,
    ),
    finishedOfPlan: db.prepare<[string, number], { id: string; code: string | null; ended_at: string }>(
      "SELECT id, code, ended_at FROM runs WHERE plan_id = ? AND ended = 'finished' ORDER BY ended_at DESC, id LIMIT ?",
    ),
    longOnRack: db.prepare<[number], { id: string }>(
      'SELECT id FROM runs WHERE on_rack = 1 AND octet_length(snapshot) > ?',
    ),
    setOnRack: db.prepare<[number, string]>('UPDATE runs SET on_rack = ? WHERE id = ?'),
    ofPlan: db.prepare<[string], { total: number }>('SELECT count(*) AS total FROM runs WHERE plan_id = ?'),
    codes: db.prepare<[string, string], { total: number }>(
      'SELECT count(*) AS total FROM runs WHERE code >= ? AND code < ?',
    ),
    nameOf: db.prepare<[string], string>('SELECT plan_name FROM runs WHERE id = ?').pluck(),
    codeOf: db.prepare<[string], string | null>('SELECT code FROM runs WHERE id = ?').pluck(),
    ofCode: db.prepare<[string], { id: string }>('SELECT id FROM runs WHERE code = ?'),
    ending: db.prepare<[string], { ended: RunEnding | null }>('SELECT ended FROM runs WHERE id = ?'),
    snapshot: db.prepare<[string], string>('SELECT snapshot FROM runs WHERE id = ?').pluck(),
    schemaVersion: db.prepare<[], number>('PRAGMA schema_version').pluck(),
    events: db.prepare<[string, number], EventRow>(
      `SELECT place, at, occurred_at, source, shape, event FROM run_events
       WHERE run_id = ? AND place >= ? ORDER BY place`,
    ),
    event: db.prepare<[string, string], Pick<EventRow, 'shape' | 'event'>>(
      'SELECT shape, event FROM run_events WHERE run_id = ? AND event_id = ?',
    ),
    insert: db.prepare<Record<string, string | number | null>>(
      `INSERT INTO runs (id, plan_id, plan_version, started_at, code, plan_name, words, shape, snapshot)
     VALUES (@id, @planId, @planVersion, @startedAt, @code, @planName,
       folded(@planName || ' ' || coalesce(@code, '')), @shape, @snapshot)`,
    ),
    append: db.prepare<[string, string, string, string, string, string, number, string]>(
      `INSERT INTO run_events (run_id, place, event_id, at, occurred_at, source, shape, event)
     VALUES (?, (SELECT 1 + count(*) FROM run_events WHERE run_id = ?), ?, ?, ?, ?, ?, ?)`,
    ),
    end: db.prepare<{ ending: RunEnding; at: string; note: string; id: string }>(
      "UPDATE runs SET ended = @ending, ended_at = @at, note = @note, words = folded(plan_name || ' ' || coalesce(code, '') || ' ' || @note) WHERE id = @id",
    ),
  };
}

/** @param rulesNow what a run from before snapshots is shown by */
export function runTable(db: Database.Database, rulesNow: () => HouseRules) {
  const sql = statementsOf(db);
  const runs = runReader({
    snapshotText: (id) => sql.snapshot.get(id),
    events: (runId, from) => sql.events.all(runId, from),
    schemaVersion: () => sql.schemaVersion.get() ?? 0,
    rulesNow,
  });
  const page = (rows: RunRow[], total: number): Page<Run> => pageOf(rows.map(runs.read), total);
  const countOfFinished = keptByKey<number>(db, 1);
  /** Ids of finished runs, the last finished first, and how many there are. */
  function finishedIds(offset: number, limit: number): { ids: string[]; total: number } {
    return {
      ids: sql.finished.all(limit, offset).map(({ id }) => id),
      total: countOfFinished('', () => sql.countFinished.get()?.total ?? 0),
    };
  }

  return {
    /** @throws BrokenRecordError */
    find(id: string): Run | undefined {
      const row = sql.one.get(id);
      return row && itemOf(runs.read(row));
    },
    /**
     * A run with what happened to it since it was read.
     *
     * @throws BrokenRecordError
     */
    again: (run: Run): Run => itemOf(runs.withEvents(run)),
    /** Runs on the bench, the last started first. */
    open(): Page<Run> {
      const rows = sql.open.all();
      return page(rows, rows.length);
    },
    /** Finished runs, the last finished first. */
    finished({ offset = 0, limit = 50 } = {}): Page<Run> {
      const { ids, total } = finishedIds(offset, limit);
      return page(
        ids.flatMap((id) => sql.one.get(id) ?? []),
        total,
      );
    },
    finishedIds,
    ...longRuns(sql, runs),
    /** A run as it can be read, or not. */
    read(id: string): Result<Run, BrokenRecord> | undefined {
      const row = sql.one.get(id);
      return row && runs.read(row);
    },
    /** How a run ended, also of one that can't be read: null while it is open. */
    ending: (id: string): RunEnding | null | undefined => sql.ending.get(id)?.ended,
    /** The run with a batch code; null where there is none. */
    idOfCode: (code: string): string | null => sql.ofCode.get(code)?.id ?? null,
    /** What a run is of, also where it can't be read; null where that is not known. */
    nameOf: (id: string): string | null => sql.nameOf.get(id) || null,
    /** The batch code of a run, also of one that can't be read; null where it has none, or there is no such run. */
    codeOf: (id: string): string | null => sql.codeOf.get(id) ?? null,
    /** How many codes begin so. */
    countOfCodes: (start: string): number => sql.codes.get(start, `${start}~`)?.total ?? 0,
    /** How many runs there are of any version of a plan. */
    countOfPlan: (planId: string): number => sql.ofPlan.get(planId)?.total ?? 0,
    /** The last finished runs in a mold. */
    ofMold: (moldId: string, limit: number): Run[] => readable(sql.ofMold.all(moldId, limit).map(runs.read)),
    /** Finished runs with bars that still have to be cut, wrapped or looked at, the first finished first, with no more of each than names it. */
    onRack: () => sql.onRack.all().map(({ id, plan_id }) => ({ id, planId: plan_id })),
    /** Finished runs of any version of a plan, the last finished first, with no more of each than names it. */
    namesOfPlan: (planId: string, limit: number) =>
      sql.finishedOfPlan
        .all(planId, limit)
        .map(({ id, code, ended_at }) => ({ id, code, finishedAt: ended_at })),
    setOnRack(id: string, isOnRack: boolean): void {
      sql.setOnRack.run(isOnRack ? 1 : 0, id);
    },
    /** The shapes that are written today. */
    shapes: () => ({ snapshot: runs.shape(), event: EVENT_SHAPE }),
    /** The snapshot of a run from its text. */
    readSnapshot: runs.judgeSnapshot,
    /** An event of a run from its text. */
    readEvent(runId: string, text: string, shape: number): Result<RunEvent, BrokenRecord> {
      if (shape >= EVENT_SHAPE) return EVENTS.read(runId, text, shape);
      const row = sql.one.get(runId);
      const snapshot = row && runs.readSnapshot(row);
      if (!snapshot?.success) return fail({ id: runId, text, reason: 'its run can’t be read' });
      return eventReader(snapshot.data.sheet).read(runId, text, shape);
    },
    insert({ id, planId, planVersion, startedAt, code, snapshot }: Run): void {
      sql.insert.run({
        id,
        planId,
        planVersion,
        startedAt,
        code,
        planName: snapshot.sheet.planName,
        shape: runs.shape(),
        snapshot: snapshotText(snapshot),
      });
    },
    /** An event by its id as it was sent, and whether that was in the shape of today. */
    eventSent(runId: string, eventId: string): { event: unknown; isOlder: boolean } | undefined {
      const row = sql.event.get(runId, eventId);
      return row && { event: JSON.parse(row.event), isOlder: row.shape < EVENT_SHAPE };
    },
    append(runId: string, eventId: string, { recordedAt, occurredAt, source, event }: RecordedEvent): void {
      sql.append.run(
        runId,
        runId,
        eventId,
        recordedAt,
        occurredAt,
        JSON.stringify(source),
        EVENT_SHAPE,
        JSON.stringify(event),
      );
    },
    end(runId: string, ending: RunEnding, at: string, note: string): void {
      sql.end.run({ ending, at, note, id: runId });
    },
  };
}

/** Several times an ordinary run. */
const LONG_BYTES = 200_000;

/** Runs that are read elsewhere, as to judge them would hold others. */
function longRuns(sql: ReturnType<typeof statementsOf>, runs: ReturnType<typeof runReader>) {
  return {
    /** Whether to read a run now would take long. */
    isLongUnread(id: string): boolean {
      const row = sql.one.get(id);
      return row !== undefined && row.bytes > LONG_BYTES && !runs.isRead(row);
    },
    /** Keeps the snapshot of a run that was read elsewhere. */
    keepRead(id: string, snapshot: Run['snapshot']): void {
      const row = sql.one.get(id);
      if (row) runs.keep(row, snapshot);
    },
    /** Ids of runs on the rack that take long to be read. */
    longOnRack: (): string[] => sql.longOnRack.all(LONG_BYTES).map(({ id }) => id),
  };
}
