import type { Ingredient, Ingredients } from '../../core/ingredients/ingredients';
import { inciKey } from '../../core/materials/inciName';
import { showPercent } from '../../core/units/showQuantity';
import { listed } from './plural';

/** Whose rules a list is written by. */
export type ListRules = 'eu' | 'us';

/** What scent and water are called by those rules. */
const CALLED: Record<ListRules, Record<string, string>> = {
  eu: { parfum: 'Parfum', aqua: 'Aqua' },
  us: { parfum: 'Fragrance', aqua: 'Water' },
};

/** “Glycerin, Aqua, Sodium Stearate, Parfum, Mica”. */
export function listWords(list: readonly Ingredient[], rules: ListRules): string {
  return list
    .map(({ name }) => {
      const key = inciKey(name);
      return Object.hasOwn(CALLED[rules], key) ? CALLED[rules][key] : name;
    })
    .join(', ');
}

/** “32.3 to 97 %”, “0.5 %”. */
export function shareWords({ least, most }: Pick<Ingredient, 'least' | 'most'>, locale: string): string {
  const whole = showPercent(most, locale, most < 0.01 ? 2 : 1);
  if (most - least < 5e-5) return whole;
  return `${showPercent(least, locale, least < 0.01 ? 2 : 1).replace(/\s*%$/, '')} to ${whole}`;
}

/** What packs do not tell, and what mends it. */
export const LACK_WORDS = {
  unlisted: (names: readonly string[]) =>
    `No list of ingredients: ${listed(names)}. Type it on the shelf (of pieces of a plan, once some are kept there); until then the pack’s own name stands there.`,
  contradicted: (names: readonly string[]) =>
    `A list contradicts the shares that are known of it: ${listed(names)}. Mend one of them on the shelf.`,
  allergensUnknown: (names: readonly string[]) =>
    `Nobody has told the allergens of ${listed(names)}: above 0.01 % the EU has them named. Type them on the shelf, or “none”.`,
};

/** The same of all that went in. */
export function lackWords(ingredients: Ingredients): string[] {
  return (['unlisted', 'contradicted', 'allergensUnknown'] as const).flatMap((lack) =>
    ingredients[lack].length > 0 ? LACK_WORDS[lack](ingredients[lack]) : [],
  );
}
