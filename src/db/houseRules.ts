import type Database from 'better-sqlite3';
import { type HouseChoices, USUAL_HOUSE_CHOICES } from '../core/houseRules/houseRules';
import { houseChoicesSchema } from '../core/houseRules/houseRulesSchema';
import { asKept, itemOf, recordReader } from './readRecord';
import type { Stored } from './records';
import type { KeptText } from './recordVersions';
import { withDefaults, without } from './upcasters/fields';

const READER = recordReader(houseChoicesSchema, [
  // A rule that came later than the record has its usual choice.
  (record) => withDefaults(record, { ...USUAL_HOUSE_CHOICES }),
  // Jugs and scales stood among the choices.
  (record) => without(record, ['jugs', 'scales']),
]);

/** One row, or none while the usual choices hold. */
export function houseRulesTable(db: Database.Database) {
  const select = db.prepare<[], { record: string; shape: number; revision: number; changed_at: string }>(
    'SELECT record, shape, revision, changed_at FROM house_rules',
  );
  const write = db.prepare<[string, number, number, string]>(
    `INSERT INTO house_rules (only, record, shape, revision, changed_at) VALUES (1, ?, ?, ?, ?)
     ON CONFLICT (only) DO UPDATE
     SET record = excluded.record, shape = excluded.shape, revision = excluded.revision,
       changed_at = excluded.changed_at`,
  );
  return {
    /** @throws BrokenRecordError */
    read(): Stored<HouseChoices> {
      const row = select.get();
      if (!row) return { item: USUAL_HOUSE_CHOICES, revision: 0 };
      return { item: itemOf(READER.read('house rules', row.record, row.shape)), revision: row.revision };
    },
    /** The choices, also where they can't be read; undefined while the usual ones hold. */
    asKept: () => asKept(READER, 'house rules', select.get()),
    /** The shape that is written today. */
    shape: READER.shape,
    /** What the choices were before, as they can be read. */
    readVersion: ({ record, shape }: KeptText) => READER.read('house rules', record, shape),
    write(choices: HouseChoices, revision: number, at: string): void {
      write.run(JSON.stringify(choices), READER.shape, revision, at);
    },
  };
}
