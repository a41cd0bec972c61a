import type Database from 'better-sqlite3';
import { type KeptReadings, QUANTITIES, type Quantity, type ReadingPoint } from '../core/run/keptReadings';
import { keptPointsSchema } from '../core/run/keptReadingsSchema';

interface Row {
  instrument: string;
  quantity: string;
  from_at: string;
  task_id: string | null;
  points: string;
}

const TENTH_MS = 100;
/** Figures are kept to a thousandth, g or °C. */
const DECIMALS = 3;
const COLUMNS = 'instrument, quantity, from_at, task_id, points';

/** What instruments showed while runs were made. */
export function runReadingTable(db: Database.Database) {
  const ofRun = db.prepare<[string], Row>(
    `SELECT ${COLUMNS} FROM run_readings WHERE run_id = ? ORDER BY from_at, instrument, quantity`,
  );
  const last = db.prepare<[string, string, string], Row>(
    `SELECT ${COLUMNS} FROM run_readings WHERE run_id = ? AND instrument = ? AND quantity = ?
     ORDER BY from_at DESC LIMIT 1`,
  );
  const insert = db.prepare<[string, string, string, string, string | null, string]>(
    `INSERT INTO run_readings (run_id, instrument, quantity, from_at, task_id, points) VALUES (?, ?, ?, ?, ?, ?)`,
  );
  return {
    /** In order of time; what can't be read is left out. */
    ofRun: (runId: string): KeptReadings[] => ofRun.all(runId).flatMap((row) => read(row) ?? []),
    lastOf(runId: string, instrument: string, quantity: Quantity): ReadingPoint | null {
      const row = last.get(runId, instrument, quantity);
      return (row && read(row)?.points.at(-1)) ?? null;
    },
    /** @param points in order of time, one at the least */
    insert(runId: string, { instrument, quantity, taskId, points }: KeptReadings): void {
      const fromMs = points[0]?.atMs ?? 0;
      const written = points.map(({ atMs, value }) => [
        Math.round((atMs - fromMs) / TENTH_MS),
        Number(value.toFixed(DECIMALS)),
      ]);
      const fromAt = new Date(fromMs).toISOString();
      insert.run(runId, instrument, quantity, fromAt, taskId, JSON.stringify(written));
    },
  };
}

function read({ instrument, quantity, from_at, task_id, points }: Row): KeptReadings | null {
  const known = QUANTITIES.find((each) => each === quantity);
  const pairs = keptPointsSchema.safeParse(JSON.parse(points));
  const fromMs = Date.parse(from_at);
  if (!known || !pairs.success || Number.isNaN(fromMs)) return null;
  return {
    instrument,
    quantity: known,
    taskId: task_id,
    points: pairs.data.map(([tenths, value]) => ({ atMs: fromMs + tenths * TENTH_MS, value })),
  };
}
