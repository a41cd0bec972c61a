import type { LRUCache } from 'lru-cache';
import type { Plan } from '../core/plan/plan';
import { KeptAWhile } from '../db/keptAWhile';

/** In pours and doses: some four hundred ordinary plans, or a page of the largest. */
const MOST_LINES = 8000;

/** What is worked out of plans, of those that were asked for last: of a large one it is megabytes. */
export function keptOfPlans<Value extends object>(mostLines = MOST_LINES): LRUCache<Plan, Value> {
  return new KeptAWhile({
    maxSize: mostLines,
    sizeCalculation: (_, { pours }) => 1 + pours.reduce((sum, { doses }) => sum + 1 + doses.length, 0),
  });
}
