import { type Bounds, certainMinor } from '../../../core/cost/bounds';
import type { CostLine, CostPart } from '../../../core/cost/cost';
import type { CostChange } from '../../../core/cost/difference';
import { payable } from '../../../core/units/money';
import { type Showing, showMoney } from '../../../core/units/showQuantity';
import { lengthWords } from '../lengthWords';
import { showAmount } from '../units/showAmount';

export const COST_PART_NAMES: Record<CostPart, string> = {
  base: 'Base',
  dose: 'Doses',
  'set-in': 'Set in',
  packaging: 'Packaging',
  hands: 'Hands',
  fixed: 'Share of the workshop',
  'passed-on': 'Passed on into jars and kept pieces',
};

/** “€4.20”, “at least €4.20”, “€4.20 to €5.10”. */
export function boundsWords(bounds: Bounds, currency: string, locale: string): string {
  const money = (minor: number) => signed(payable(minor, currency), currency, locale, '');
  const { leastMinor, mostMinor } = bounds;
  const certain = certainMinor(bounds);
  if (certain !== null) return money(certain);
  if (mostMinor === null) return leastMinor > 0 ? `at least ${money(leastMinor)}` : 'not known';
  return `${money(leastMinor)} to ${money(mostMinor)}`;
}

/** “€0.40 more” or “€0.12 less”; null where it rounds to nothing. */
export function moreWords(minor: number, currency: string, locale: string): string | null {
  const rounded = payable(minor, currency);
  if (rounded === 0) return null;
  return `${showMoney(Math.abs(rounded), currency, locale)} ${rounded > 0 ? 'more' : 'less'}`;
}

/** “+€0.40” or “−€0.12”; null where it rounds to nothing. */
export function changeWords(minor: number, currency: string, locale: string): string | null {
  const rounded = payable(minor, currency);
  return rounded === 0 ? null : signed(rounded, currency, locale, '+');
}

function signed(minor: number, currency: string, locale: string, plus: string): string {
  return `${minor < 0 ? '−' : plus}${showMoney(Math.abs(minor), currency, locale)}`;
}

/** “Hold: +€0.14 for more of it, −€0.02 by another price”; null where all of it rounds to nothing. */
export function costChangeWords(
  { part, name, byAmountMinor, byPriceMinor }: CostChange,
  currency: string,
  locale: string,
): string | null {
  const amount = changeWords(byAmountMinor, currency, locale);
  const price = changeWords(byPriceMinor, currency, locale);
  const why = part === 'passed-on' ? 'went on' : `for ${byAmountMinor > 0 ? 'more' : 'less'} of it`;
  const told = [amount && `${amount} ${why}`, price && `${price} by another price`].filter((words) => words);
  return told.length === 0 ? null : `${name === '' ? COST_PART_NAMES[part] : name}: ${told.join(', ')}`;
}

/** How much of it: a weight, pieces or a time; nothing of a share. */
export function amountWords({ part, amount, isCounted }: CostLine, showing: Showing): string {
  if (part === 'fixed') return '';
  return part === 'hands' ? lengthWords(amount, showing.locale) : showAmount(amount, isCounted, showing);
}
