import { inProduct, type Sheet } from '../plan/sheet';
import type { Check } from './finding';

/** Regulation (EC) No 1223/2009, Annex III: named on the label of a rinse-off product above 0.01 %. */
export const NAMED_FROM_OF_PRODUCT = 0.0001;

/**
 * Named allergens of everything in the whole bar, as fractions of the product, most first.
 *
 * Each fragrance at its share of the bar times the allergen's share of the fragrance.
 */
export function allergensOf(sheet: Sheet): { name: string; ofProduct: number }[] {
  const sums = new Map<string, number>();
  for (const line of sheet.pours.flatMap(inProduct)) {
    if (line.material.kind !== 'fragrance') continue;
    for (const { name, ofMaterial } of line.material.allergens ?? [])
      sums.set(
        name,
        (sums.get(name) ?? 0) + (line.massG * ofMaterial) / (sheet.totals.jugG + sheet.totals.laidG),
      );
  }
  return [...sums]
    .map(([name, ofProduct]) => ({ name, ofProduct }))
    .sort((a, b) => b.ofProduct - a.ofProduct);
}

/** Allergens to be named, and what somebody may not bear: good to know before a bar is given away. */
export const allergens: Check = (sheet) => {
  const named = allergensOf(sheet).filter(({ ofProduct }) => ofProduct > NAMED_FROM_OF_PRODUCT);
  if (named.length === 0) return [];
  return [
    {
      code: 'allergens',
      severity: 'note',
      pourIndex: null,
      doseIndexes: [],
      about: sheet.planName,
      named,
      assumed: false,
      fix: null,
    },
  ];
};
