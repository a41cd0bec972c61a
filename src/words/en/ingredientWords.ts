import type { Ingredient } from '../../core/ingredients/ingredients';
import { inciKey } from '../../core/materials/inciName';
import { showPercent } from '../../core/units/showQuantity';

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
