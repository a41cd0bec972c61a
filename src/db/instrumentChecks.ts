import type Database from 'better-sqlite3';
import type { InstrumentCheck } from '../core/run/instrumentCheck';
import { QUANTITIES } from '../core/run/keptReadings';

type Row = Omit<InstrumentCheck, 'quantity'> & { quantity: string };

const COLUMNS = 'id, instrument, quantity, at, reference, shown';

/** Instruments beside what is known. */
export function instrumentCheckTable(db: Database.Database) {
  const latest = db.prepare<[number], Row>(
    `SELECT ${COLUMNS} FROM instrument_checks ORDER BY at DESC, id LIMIT ?`,
  );
  const one = db.prepare<[string], Row>(`SELECT ${COLUMNS} FROM instrument_checks WHERE id = ?`);
  const insert = db.prepare<InstrumentCheck>(
    `INSERT INTO instrument_checks (${COLUMNS}) VALUES (@id, @instrument, @quantity, @at, @reference, @shown)`,
  );
  return {
    /** The newest first. */
    latest: (limit = 1000): InstrumentCheck[] => latest.all(limit).flatMap((row) => read(row) ?? []),
    find(id: string): InstrumentCheck | null {
      const row = one.get(id);
      return row ? read(row) : null;
    },
    insert: (check: InstrumentCheck): void => void insert.run(check),
  };
}

function read(row: Row): InstrumentCheck | null {
  const quantity = QUANTITIES.find((each) => each === row.quantity);
  return quantity ? { ...row, quantity } : null;
}
