import { fail, ok, type Result } from '../result';
import { fitCooling } from './fitCooling';
import type { FitMoment, Reading } from './taught';

/** Why readings can't tell how readily something loses heat. */
export type TeachFault =
  | { code: 'too-few'; count: number }
  | { code: 'too-flat'; fellK: number }
  | { code: 'not-in-order'; place: number }
  | { code: 'room-too-warm'; roomC: number; coolestC: number }
  | { code: 'does-not-fit'; offK: number }
  | { code: 'cannot-tell'; spread: number }
  | { code: 'beyond-belief'; scale: number };

/** Losses against the model, one standard deviation of that as a fraction of it, and how far the readings lie off, K. */
export interface LossScale {
  scale: number;
  spread: number;
  offK: number;
  /** What it was at first, by the fit. */
  startC: number;
  /** The fit against time, with a standard deviation of the scale to either side; s from the first reading. */
  curve: FitMoment[];
}

const FEWEST = 4;
const LEAST_FALL_K = 3;
/** A kitchen thermometer reads no better than this. */
const READING_K = 0.4;
const MOST_OFF_K = 2.5;
const MOST_SPREAD = 0.25;
const CURVE_POINTS = 20;
const BELIEVED = [0.35, 2.8] as const;

/**
 * One loss scale from readings of something that cools, by least squares: scale and first temperature. Film and heat capacity, convection and evaporation can't be told apart by such readings, so
 * nothing else is fitted.
 *
 * @param cools the model: temperatures at the times asked for, for a scale and a first temperature
 */
export function fitLossScale(
  readings: readonly Reading[],
  roomC: number,
  cools: (scale: number, startC: number, timesS: readonly number[]) => number[],
): Result<LossScale, TeachFault> {
  const fault = faultOf(readings, roomC);
  if (fault) return fail(fault);
  const [first] = readings;
  if (!first) return fail({ code: 'too-few', count: 0 });
  const times = readings.map(({ timeS }) => timeS - first.timeS);
  const seen = readings.map(({ tempC }) => tempC);
  const fit = fitCooling(
    ({ log, startC }) => cools(Math.exp(log), startC, times).map((tempC, i) => (seen[i] ?? 0) - tempC),
    first.tempC,
  );
  const squares = fit.offK.reduce((sum, each) => sum + each * each, 0);
  const offK = Math.sqrt(squares / fit.offK.length);
  const scale = Math.exp(fit.log);
  const variance = Math.max(READING_K ** 2, squares / Math.max(1, fit.offK.length - 2));
  const spread = Math.sqrt(variance * fit.logVariance);
  if (offK > MOST_OFF_K) return fail({ code: 'does-not-fit', offK });
  if (!(spread <= MOST_SPREAD)) return fail({ code: 'cannot-tell', spread });
  if (!(scale >= BELIEVED[0] && scale <= BELIEVED[1])) return fail({ code: 'beyond-belief', scale });
  const along = Array.from(
    { length: CURVE_POINTS + 1 },
    (_, at) => ((times.at(-1) ?? 0) * at) / CURVE_POINTS,
  );
  const [middle, low, high] = [1, 1 + spread, 1 - spread].map((share) =>
    cools(scale * share, fit.startC, along),
  );
  const curve = along.map((timeS, at) => ({
    timeS,
    tempC: middle?.[at] ?? 0,
    lowC: low?.[at] ?? 0,
    highC: high?.[at] ?? 0,
  }));
  return ok({ scale, spread, offK, startC: fit.startC, curve });
}

function faultOf(readings: readonly Reading[], roomC: number): TeachFault | null {
  if (readings.length < FEWEST) return { code: 'too-few', count: readings.length };
  const place = readings.findIndex(({ timeS }, at) => at > 0 && timeS <= (readings[at - 1]?.timeS ?? 0));
  if (place > 0) return { code: 'not-in-order', place };
  const temps = readings.map(({ tempC }) => tempC);
  const coolestC = Math.min(...temps);
  if (roomC > coolestC - 1) return { code: 'room-too-warm', roomC, coolestC };
  const fellK = (temps[0] ?? 0) - (temps.at(-1) ?? 0);
  return fellK < LEAST_FALL_K ? { code: 'too-flat', fellK } : null;
}

/**
 * One loss scale from a touch: the layer carried after so long. The logarithm of the scale by bisection.
 *
 * @param skinS the model's time for a scale: it falls with the scale
 */
export function scaleByTouch(
  carriedS: number,
  skinS: (scale: number) => number,
): Result<Pick<LossScale, 'scale' | 'spread'>, TeachFault> {
  let [low, high] = [Math.log(BELIEVED[0]), Math.log(BELIEVED[1])];
  if (skinS(Math.exp(low)) < carriedS) return fail({ code: 'beyond-belief', scale: BELIEVED[0] });
  if (skinS(Math.exp(high)) > carriedS) return fail({ code: 'beyond-belief', scale: BELIEVED[1] });
  for (let turn = 0; turn < 14; turn++) {
    const middle = (low + high) / 2;
    if (skinS(Math.exp(middle)) > carriedS) low = middle;
    else high = middle;
  }
  return ok({ scale: Math.exp((low + high) / 2), spread: TOUCH_SPREAD });
}

/** A finger tells a skin to about a tenth of its time, and its time goes about as one over the losses. A guess. */
const TOUCH_SPREAD = 0.12;
