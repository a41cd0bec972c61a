import type { Finding } from '../finding';
import { identified, placesOf } from '../identified';
import type { HeatContext } from './heatCheck';
import { tooLate } from './tooLate';

/** What the clock alone tells against a pour plan. */
export function lateFindings(context: HeatContext): Finding[] {
  return identified(tooLate(context), placesOf(context.sheet));
}
