import type Database from 'better-sqlite3';
import type { HouseRules, Jug, Scale } from '../core/houseRules/houseRules';
import type { houseRulesTable } from '../db/houseRules';
import { keptUntilWritten } from '../db/keptUntilWritten';
import type { RecordTable } from '../db/records';

/** The choices with the workshop's jugs and scales; the same value as long as nothing of it is saved. */
export function rulesReader(
  db: Database.Database,
  choices: ReturnType<typeof houseRulesTable>,
  jugs: RecordTable<Jug>,
  scales: RecordTable<Scale>,
): () => HouseRules {
  const items = <Item extends Jug | Scale>(table: RecordTable<Item>) => table.all().map(({ item }) => item);
  let last: { parts: readonly unknown[]; rules: HouseRules } | null = null;
  const read = () => {
    const now = { choices: choices.read().item, jugs: items(jugs), scales: items(scales) };
    const parts = [now.choices, ...now.jugs, null, ...now.scales];
    if (last?.parts.length === parts.length && parts.every((part, place) => part === last?.parts[place]))
      return last.rules;
    const rules = { ...now.choices, jugs: now.jugs, scales: now.scales };
    last = { parts, rules };
    return rules;
  };
  return keptUntilWritten(db, read, ['house_rules', 'jugs', 'scales']);
}
