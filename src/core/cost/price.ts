import type { PriceEnding, Pricing } from '../houseRules/pricing';
import { MINOR_DIGITS, payableStep } from '../units/money';

/** What a price ends on: up to the next of these parts of a whole unit. */
const ENDS: Record<Exclude<PriceEnding, 'none'>, readonly number[]> = {
  half: [0, 0.5],
  ninety: [0.9],
  'ninety-five': [0.95],
  'ninety-nine': [0.99],
  whole: [0],
};

/** A price to one kind of buyer, minor units. */
export interface Price {
  /** What is paid, with tax. */
  grossMinor: number;
  taxMinor: number;
  feeMinor: number;
  /** What stays of it, after tax, fees and cost. */
  earnedMinor: number;
  /** The same as a fraction of the price without tax. */
  margin: number;
}

/** What a piece sells for. */
export interface Prices {
  retail: Price;
  wholesale: Price;
  /** So many pieces sold at retail pay for the batch; null where no number does. */
  breakEven: number | null;
}

/**
 * Prices of a piece. Fees are taken of what the buyer pays, with tax; wholesale pays none of them.
 *
 * Of the price without tax `n`, with the cost `c`, tax `t`, fees `f` and margin `m`: `n − f·n·(1 + t) − c = m·n`; with a mark-up
 * `u` on the cost: `n − f·n·(1 + t) = c·(1 + u)`.
 *
 * @param costMinor of one piece
 * @param pieces that the batch gives
 * @returns null where fees and margin leave nothing to pay the cost from
 */
export function pricesOf(costMinor: number, pieces: number, rules: Pricing, currency: string): Prices | null {
  const { by, margin, markUp, wholesaleMargin, fee } = rules;
  const retail = priceFor(costMinor, by === 'margin' ? { margin } : { markUp }, fee, rules, currency);
  const wholesale = priceFor(costMinor, { margin: wholesaleMargin }, 0, rules, currency);
  if (!retail || !wholesale) return null;
  const paidMinor = retail.grossMinor - retail.taxMinor - retail.feeMinor;
  const breakEven = paidMinor > 0 ? Math.ceil((costMinor * pieces) / paidMinor - 1e-9) : null;
  return { retail, wholesale, breakEven };
}

/**
 * What stays of a price that is asked, whatever the rules would make of the cost.
 *
 * @param costMinor of one piece
 */
export function priceAt(
  grossMinor: number,
  costMinor: number,
  { tax, fee }: Pick<Pricing, 'tax' | 'fee'>,
): Price {
  const soldMinor = grossMinor / (1 + tax);
  const feeMinor = fee * grossMinor;
  const earnedMinor = soldMinor - feeMinor - costMinor;
  return {
    ...{ grossMinor, taxMinor: grossMinor - soldMinor, feeMinor, earnedMinor },
    margin: soldMinor > 0 ? earnedMinor / soldMinor : 0,
  };
}

function priceFor(
  costMinor: number,
  wanted: { margin: number } | { markUp: number },
  fee: number,
  { tax, ending }: Pricing,
  currency: string,
): Price | null {
  const kept = 1 - fee * (1 + tax) - ('margin' in wanted ? wanted.margin : 0);
  if (!(kept > 1e-9)) return null;
  const netMinor = (costMinor * ('markUp' in wanted ? 1 + wanted.markUp : 1)) / kept;
  return priceAt(endedOn(netMinor * (1 + tax), ending, currency), costMinor, { tax, fee });
}

/** Rounded up to what the currency is paid in, and to the ending; a currency without parts of a unit has no such ending. */
function endedOn(minor: number, ending: PriceEnding, currency: string): number {
  const unit = 10 ** MINOR_DIGITS;
  const step = payableStep(currency);
  const paid = Math.max(0, Math.ceil(minor / step - 1e-9)) * step;
  const ends = ending === 'none' || paid === 0 ? [] : ENDS[ending].map((part) => part * unit);
  const payable = ends.filter((end) => end % step === 0);
  if (payable.length === 0) return paid;
  const whole = Math.floor(paid / unit) * unit;
  return Math.min(
    ...payable.flatMap((end) => [whole + end, whole + unit + end]).filter((each) => each >= paid - 1e-6),
  );
}
