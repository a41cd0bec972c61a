import type Database from 'better-sqlite3';
import { type HouseRules, USUAL_HOUSE_RULES } from '../core/houseRules/houseRules';
import type { Stored } from './records';

/** One row, or none while the usual rules hold. */
export function houseRulesTable(db: Database.Database) {
  const select = db.prepare<[], { record: string; revision: number }>(
    'SELECT record, revision FROM house_rules',
  );
  const write = db.prepare<[string, number, string]>(
    `INSERT INTO house_rules (only, record, revision, changed_at) VALUES (1, ?, ?, ?)
     ON CONFLICT (only) DO UPDATE
     SET record = excluded.record, revision = excluded.revision, changed_at = excluded.changed_at`,
  );
  return {
    read(): Stored<HouseRules> {
      const row = select.get();
      if (!row) return { item: USUAL_HOUSE_RULES, revision: 0 };
      // A rule that came later than the record has its usual choice.
      return { item: { ...USUAL_HOUSE_RULES, ...JSON.parse(row.record) }, revision: row.revision };
    },
    write(rules: HouseRules, revision: number, at: string): void {
      write.run(JSON.stringify(rules), revision, at);
    },
  };
}
