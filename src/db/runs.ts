import type Database from 'better-sqlite3';
import type { RecordedEvent, Run, RunEvent } from '../core/run/run';

interface RunRow {
  id: string;
  plan_id: string;
  plan_version: number;
  started_at: string;
  sheet: string;
  findings: string;
}

interface EventRow {
  at: string;
  event: string;
}

export type RunEnding = 'finished' | 'abandoned';

export function runTable(db: Database.Database) {
  const one = db.prepare<[string], RunRow>(
    'SELECT id, plan_id, plan_version, started_at, sheet, findings FROM runs WHERE id = ?',
  );
  const open = db.prepare<[], { id: string }>(
    'SELECT id FROM runs WHERE ended IS NULL ORDER BY started_at DESC',
  );
  const finished = db.prepare<[], { id: string }>(
    `SELECT runs.id FROM runs JOIN run_events e ON e.run_id = runs.id
     WHERE runs.ended = 'finished' AND e.place = (SELECT max(place) FROM run_events WHERE run_id = runs.id)
     ORDER BY e.at DESC`,
  );
  const events = db.prepare<[string], EventRow>(
    'SELECT at, event FROM run_events WHERE run_id = ? ORDER BY place',
  );
  const hasEvent = db.prepare<[string, string], { place: number }>(
    'SELECT place FROM run_events WHERE run_id = ? AND event_id = ?',
  );
  const insert = db.prepare<[string, string, number, string, string, string]>(
    'INSERT INTO runs (id, plan_id, plan_version, started_at, sheet, findings) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const append = db.prepare<[string, string, string, string, string]>(
    `INSERT INTO run_events (run_id, place, event_id, at, event)
     VALUES (?, (SELECT 1 + count(*) FROM run_events WHERE run_id = ?), ?, ?, ?)`,
  );
  const end = db.prepare<[RunEnding, string]>('UPDATE runs SET ended = ? WHERE id = ?');

  function find(id: string): Run | undefined {
    const row = one.get(id);
    if (!row) return undefined;
    return {
      id: row.id,
      planId: row.plan_id,
      planVersion: row.plan_version,
      startedAt: row.started_at,
      sheet: JSON.parse(row.sheet),
      findings: JSON.parse(row.findings),
      events: events.all(id).map(({ at, event }): RecordedEvent => ({ at, event: JSON.parse(event) })),
    };
  }
  const found = ({ id }: { id: string }): Run[] => {
    const run = find(id);
    return run ? [run] : [];
  };

  return {
    find,
    /** Runs on the bench, the last started first. */
    open: (): Run[] => open.all().flatMap(found),
    /** Finished runs, the last finished first. */
    finished: (): Run[] => finished.all().flatMap(found),
    insert(run: Run): void {
      const { id, planId, planVersion, startedAt, sheet, findings } = run;
      insert.run(id, planId, planVersion, startedAt, JSON.stringify(sheet), JSON.stringify(findings));
    },
    hasEvent: (runId: string, eventId: string): boolean => hasEvent.get(runId, eventId) !== undefined,
    append(runId: string, eventId: string, at: string, event: RunEvent): void {
      append.run(runId, runId, eventId, at, JSON.stringify(event));
    },
    end(runId: string, ending: RunEnding): void {
      end.run(ending, runId);
    },
  };
}
