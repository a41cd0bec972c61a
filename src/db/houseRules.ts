import type Database from 'better-sqlite3';
import { type HouseRules, USUAL_HOUSE_RULES } from '../core/houseRules/houseRules';
import { houseRulesSchema } from '../core/houseRules/houseRulesSchema';
import { itemOf, recordReader } from './readRecord';
import type { Stored } from './records';
import { withDefaults } from './upcasters/fields';

/** A rule that came later than the record has its usual choice. */
const READER = recordReader(houseRulesSchema, [(record) => withDefaults(record, { ...USUAL_HOUSE_RULES })]);

/** One row, or none while the usual rules hold. */
export function houseRulesTable(db: Database.Database) {
  const select = db.prepare<[], { record: string; shape: number; revision: number }>(
    'SELECT record, shape, revision FROM house_rules',
  );
  const write = db.prepare<[string, number, number, string]>(
    `INSERT INTO house_rules (only, record, shape, revision, changed_at) VALUES (1, ?, ?, ?, ?)
     ON CONFLICT (only) DO UPDATE
     SET record = excluded.record, shape = excluded.shape, revision = excluded.revision,
       changed_at = excluded.changed_at`,
  );
  return {
    /** @throws BrokenRecordError */
    read(): Stored<HouseRules> {
      const row = select.get();
      if (!row) return { item: USUAL_HOUSE_RULES, revision: 0 };
      return { item: itemOf(READER.read('house rules', row.record, row.shape)), revision: row.revision };
    },
    write(rules: HouseRules, revision: number, at: string): void {
      write.run(JSON.stringify(rules), READER.shape, revision, at);
    },
  };
}
