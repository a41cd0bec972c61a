import type { SheetEmbed } from '../../../core/plan/sheet';
import type { Showing } from '../../../core/units/showQuantity';
import type { PartOfSheet } from '../../../core/work/rounds';
import { showAmount } from '../units/showAmount';

/** How many or how much of it for so many cavities: “24 pieces” together, or a weight for a filling. */
export function inclusionAmount(
  { perPiece, massG }: Pick<SheetEmbed, 'perPiece' | 'massG'>,
  { ofAll, cavities }: PartOfSheet,
  showing: Showing,
): string {
  return perPiece === null
    ? showAmount(massG * ofAll, false, showing)
    : showAmount(perPiece * Math.ceil(cavities), true, showing);
}
