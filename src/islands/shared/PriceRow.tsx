import { exactly } from '../../core/cost/bounds';
import type { Price } from '../../core/cost/price';
import { showPercent } from '../../core/units/showQuantity';
import { boundsWords } from '../../words/en/cost/costWords';
import { useShowing } from './showing';

/** A price with what goes off it, and what stays. */
export function PriceRow({ name, price, currency }: { name: string; price: Price; currency: string }) {
  const { locale } = useShowing();
  const money = (minor: number) => boundsWords(exactly(minor), currency, locale);
  const { grossMinor, taxMinor, feeMinor, earnedMinor, margin } = price;
  const off = [
    taxMinor > 0 ? `${money(taxMinor)} tax` : '',
    feeMinor > 0 ? `${money(feeMinor)} fees` : '',
    `${money(earnedMinor)} earned, ${showPercent(margin, locale, 0)} of it`,
  ].filter((words) => words !== '');
  return (
    <p>
      {name} <strong>{money(grossMinor)}</strong>: {off.join(', ')}
    </p>
  );
}
