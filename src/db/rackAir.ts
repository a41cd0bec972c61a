import type Database from 'better-sqlite3';
import type { RackAir } from '../core/rack/rackAir';

/** The air of the rack as it was read. */
export function rackAirTable(db: Database.Database) {
  const last = db.prepare<[], { id: string; at: string; temp_c: number; humidity: number | null }>(
    'SELECT id, at, temp_c, humidity FROM rack_air ORDER BY at DESC, id LIMIT 1',
  );
  const insert = db.prepare<RackAir>(
    'INSERT INTO rack_air (id, at, temp_c, humidity) VALUES (@id, @at, @tempC, @humidity) ON CONFLICT DO NOTHING',
  );
  return {
    /** null while nobody read it. */
    last(): RackAir | null {
      const row = last.get();
      return row ? { id: row.id, at: row.at, tempC: row.temp_c, humidity: row.humidity } : null;
    },
    /** One that is sent twice is there once. */
    insert: (air: RackAir): void => void insert.run(air),
  };
}
