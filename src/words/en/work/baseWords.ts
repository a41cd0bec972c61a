import { baseParts } from '../../../core/plan/baseParts';
import type { SheetPour } from '../../../core/plan/sheet';
import { type Showing, showMass } from '../../../core/units/showQuantity';

/** How much of it comes from where: “240 g of Clear Quay, 160 g of White ends”; null where it comes from one. */
export function baseSplitWords(
  pour: Pick<SheetPour, 'base' | 'remelt'>,
  massG: number,
  showing: Showing,
): string | null {
  const parts = baseParts(pour);
  if (parts.length < 2) return null;
  return parts.map(({ name, share }) => `${showMass(massG * share, showing)} of ${name}`).join(', ');
}
