import type { StoredPlan } from '../core/plan/storedPlan';
import type { Page } from '../db/readRecord';
import type { Workshop } from './openWorkshop';
import { turnWhenLong } from './turn';

/**
 * A page of plans, the last changed first: large ones are read in turns, as a whole page of them holds others for long.
 *
 * @param named what the name contains
 */
export async function planPage(
  { plans }: Workshop,
  limit: number,
  offset = 0,
  named = '',
): Promise<Page<StoredPlan>> {
  for (const id of plans.longOnPage(limit, offset, named)) {
    plans.newest(id);
    await turnWhenLong();
  }
  return plans.page(limit, offset, named);
}
