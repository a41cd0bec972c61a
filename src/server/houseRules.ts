import { isDeepStrictEqual } from 'node:util';
import type { HouseRules } from '../core/houseRules/houseRules';
import type { Stored } from '../db/records';
import { conflict } from './records';
import type { Workshop } from './workshop';

/** @throws Problem 409 when the rules were saved elsewhere meanwhile */
export function saveHouseRules(
  { db, houseRules, now }: Workshop,
  rules: HouseRules,
  revision: number,
): Stored<HouseRules> {
  const save = db.transaction(() => {
    const before = houseRules.read();
    if (isDeepStrictEqual(rules, before.item)) return before;
    if (before.revision !== revision) throw conflict(rules, before.item, before.revision);
    houseRules.write(rules, revision + 1, now());
    return { item: rules, revision: revision + 1 };
  });
  return save.immediate();
}
