import { contentOf, type Sheet } from '../plan/sheet';
import { showPercent } from '../units/showQuantity';
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
  for (const line of sheet.pours.flatMap(contentOf)) {
    if (line.material.kind !== 'fragrance') continue;
    for (const { name, ofMaterial } of line.material.allergens ?? [])
      sums.set(name, (sums.get(name) ?? 0) + (line.massG * ofMaterial) / sheet.totals.jugG);
  }
  return [...sums]
    .map(([name, ofProduct]) => ({ name, ofProduct }))
    .sort((a, b) => b.ofProduct - a.ofProduct);
}

/** Allergens to be named, and what somebody may not bear: good to know before a bar is given away. */
export const allergens: Check = {
  code: 'allergens',

  run(sheet) {
    const named = allergensOf(sheet).filter(({ ofProduct }) => ofProduct > NAMED_FROM_OF_PRODUCT);
    if (named.length === 0) return [];
    return [
      {
        code: allergens.code,
        severity: 'note',
        pourIndex: null,
        doseIndexes: [],
        about: sheet.planName,
        figures: Object.fromEntries(named.map(({ name, ofProduct }) => [name, ofProduct])),
        assumed: false,
        mend: null,
      },
    ];
  },

  say: ({ figures }, { locale }) => ({
    title: `${Object.keys(figures).length === 1 ? 'One allergen' : `${Object.keys(figures).length} allergens`} to be named`,
    reason: `Of product: ${Object.entries(figures)
      .map(([name, ofProduct]) => `${name} ${showPercent(ofProduct, locale, 3)}`)
      .join(', ')}. Above 0.01 % in a rinse-off product the EU has them named; look up your local rules.`,
    mendLabel: null,
  }),
};
