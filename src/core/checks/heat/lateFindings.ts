import type { Finding } from '../finding';
import { identified, placesOf } from '../identified';
import { type LateContext, tooLate } from './tooLate';

/** What the clock alone tells against a pour plan. */
export function lateFindings(context: LateContext): Finding[] {
  return identified(tooLate(context), placesOf(context.sheet));
}
