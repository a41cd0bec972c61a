import { isDeepStrictEqual } from 'node:util';
import type { HouseChoices } from '../core/houseRules/houseRules';
import type { Stored } from '../db/records';
import type { Workshop } from './openWorkshop';
import { conflict } from './records';

/** @throws Problem 409 when the choices were saved elsewhere meanwhile */
export function saveHouseRules(
  { db, houseRules, now }: Workshop,
  choices: HouseChoices,
  revision: number,
): Stored<HouseChoices> {
  const save = db.transaction(() => {
    const before = houseRules.read();
    if (isDeepStrictEqual(choices, before.item)) return before;
    if (before.revision !== revision) throw conflict(choices, before.item, before.revision);
    houseRules.write(choices, revision + 1, now());
    return { item: choices, revision: revision + 1 };
  });
  return save.immediate();
}
