import { MINOR_DIGITS } from '../units/money';

/**
 * Shares out an amount in proportion, each in whole steps of what its currency is paid in, so that they add up to it: by the
 * largest remainders (A. Hamilton, 1792).
 *
 * @param minor whole steps, minor units, not below zero
 * @param weights not below zero, and not all nothing
 * @param decimals that the currency is paid in
 * @throws RangeError when the weights are nothing
 * @example sharesOf(100_00, [1, 1, 1], 2) // [34_00, 33_00, 33_00]: a unit's hundredths are 100 minor units each
 */
export function sharesOf(minor: number, weights: readonly number[], decimals: number): number[] {
  const step = 10 ** (MINOR_DIGITS - decimals);
  const sum = weights.reduce((all, each) => all + each, 0);
  if (!(sum > 0)) throw new RangeError('nothing to share by');
  const steps = Math.round(minor / step);
  const exact = weights.map((weight) => (steps * weight) / sum);
  const shares = exact.map(Math.floor);
  const open = steps - shares.reduce((all, each) => all + each, 0);
  const byRest = exact
    .map((each, place) => ({ place, rest: each - Math.floor(each) }))
    .sort((a, b) => b.rest - a.rest || a.place - b.place);
  for (const { place } of byRest.slice(0, Math.max(0, open))) shares[place] = (shares[place] ?? 0) + 1;
  return shares.map((each) => each * step);
}
