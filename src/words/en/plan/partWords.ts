import type { PartFill } from '../../../core/plan/partFill';
import type { Sheet } from '../../../core/plan/sheet';
import { type Showing, showMass, showPercent } from '../../../core/units/showQuantity';

/** The last piece of a batch that does not fill it: “one of 42.4 g, filled to 40 %”. */
export function partWords(
  { ofFill }: PartFill,
  { totals, fillFraction }: Pick<Sheet, 'totals' | 'fillFraction'>,
  showing: Showing,
): string {
  const massG = totals.fillG * ofFill;
  return `one of ${showMass(massG, showing)}, filled to ${showPercent(fillFraction * ofFill, showing.locale, 0)}`;
}
