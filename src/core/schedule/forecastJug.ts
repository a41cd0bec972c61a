import type { Surroundings } from '../heat/cavity';
import { fitCooling } from '../heat/fitCooling';
import { coolJug, coolsToS, type HeatJug, jugAtC } from '../heat/jug';
import type { MeltingSubstance } from '../heat/substance';
import type { Reading } from '../heat/taught';
import { type Factors, factorsOfSamples, NOMINAL } from './factors';
import { type Range, rangeOf } from './range';
import { substanceWith } from './simulate';

/** A jug that stands and cools, as far as it is known. */
export interface CoolingJug extends HeatJug {
  substance: MeltingSubstance;
  /** With what the jug was taught. */
  around: Surroundings;
  /** How far its losses may be off, as a fraction of them, before anything is read. */
  lossSpread: number;
}

/** How a jug goes on cooling. Times are in s from its first reading. */
export interface JugForecast {
  /** Its losses against what was believed of them, and one standard deviation of that. */
  scale: number;
  spread: number;
  /** As warm as it is by the fit when it was read last. */
  lastC: number;
  /** When it comes down to each temperature that was asked for; null where it does not within the time looked at. */
  reaches: (Range | null)[];
  curve: { timeS: number; tempC: Range }[];
}

/** A kitchen thermometer reads no better than this, however often it is read. */
const READING_K = 0.4;
const LOOKED_AHEAD_S = 3 * 3600;
const SAMPLES = 24;
const CURVE_POINTS = 24;
/** More tell no more, and take longer. */
const MOST_READINGS = 60;

/**
 * Fits a jug's losses to what was read so far and follows it on, with its range: each sample has another soap, fitted to
 * the same readings, and its scale off by as much as they leave open. With few readings what is believed of the jug holds;
 * each one more narrows the range.
 *
 * @param readings in order of time; one is enough
 * @param atC temperatures to come down to
 * @throws RangeError without a reading
 */
export function forecastJug(
  jug: CoolingJug,
  readings: readonly Reading[],
  atC: readonly number[],
): JugForecast {
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last) throw new RangeError('a jug that was not read');
  const some = thinned(readings);
  const times = some.map(({ timeS }) => timeS - first.timeS);
  const lastS = last.timeS - first.timeS;
  const fitWith = (factors: Factors) => {
    const substance = substanceWith(jug.substance, factors);
    const cools = (log: number, startC: number, lengthS: number) =>
      coolJug(
        jug,
        substance,
        startC,
        { ...jug.around, lossScale: jug.around.lossScale * Math.exp(log) },
        lengthS,
      );
    const prior = { spread: jug.lossSpread, readingK: READING_K };
    const fit = fitCooling(
      ({ log, startC }) => {
        const moments = cools(log, startC, (times.at(-1) ?? 0) + 1);
        return times.map((timeS, place) => (some[place]?.tempC ?? 0) - jugAtC(moments, timeS));
      },
      first.tempC,
      prior,
    );
    return { ...fit, spread: READING_K * Math.sqrt(fit.logVariance), cools };
  };
  const middle = fitWith(NOMINAL);
  const whole = middle.cools(middle.log, middle.startC, lastS + LOOKED_AHEAD_S);
  const samples = factorsOfSamples(SPREADS, SAMPLES).map((factors) => {
    const fit = fitWith(factors);
    // What the readings leave open of the scale, from the last of them on: before it they hold the curve.
    const off = Math.log(factors.jugLoss) * fit.spread;
    const so = fit.cools(fit.log, fit.startC, lastS + 1);
    return fit.cools(fit.log + off, jugAtC(so, lastS), LOOKED_AHEAD_S);
  });
  const endS = lastS + Math.max(600, ...atC.map((each) => (coolsToS(whole, each) ?? lastS) - lastS)) * 1.1;
  return {
    scale: Math.exp(middle.log),
    spread: middle.spread,
    lastC: jugAtC(whole, lastS),
    reaches: atC.map((each) => {
      const at = coolsToS(whole, each);
      if (at === null) return null;
      if (at <= lastS) return rangeOf(at, []);
      return rangeOf(
        at,
        samples.map((moments) => lastS + (coolsToS(moments, each) ?? LOOKED_AHEAD_S)),
      );
    }),
    curve: Array.from({ length: CURVE_POINTS + 1 }, (_, place) => {
      const timeS = (endS * place) / CURVE_POINTS;
      const tempC = jugAtC(whole, timeS);
      const each = timeS <= lastS ? [] : samples.map((moments) => jugAtC(moments, timeS - lastS));
      return { timeS, tempC: rangeOf(tempC, each) };
    }),
  };
}

/** Of the soap, as in a pour plan; the jug's own loss as one, to be brought to what its readings leave open. */
const SPREADS: Factors = {
  density: 0.012,
  heatCapacity: 0.035,
  conductivity: 0,
  latent: 0.13,
  evaporation: 0,
  film: 0,
  moldLoss: 0,
  jugLoss: 1,
  ovenPower: 0,
  thickness: 0,
  liquidusK: 0.6,
  solidusK: 1.2,
  hysteresisK: 0,
  roomK: 0,
  pourK: 0,
  humidity: 0,
};

/** The mean of each of some stretches of time, where there are many readings. */
function thinned(readings: readonly Reading[]): Reading[] {
  if (readings.length <= MOST_READINGS) return [...readings];
  const each = Math.ceil(readings.length / MOST_READINGS);
  const mean = (figures: number[]) => figures.reduce((sum, figure) => sum + figure, 0) / figures.length;
  return Array.from({ length: Math.ceil(readings.length / each) }, (_, place) => {
    const some = readings.slice(place * each, (place + 1) * each);
    return { timeS: mean(some.map(({ timeS }) => timeS)), tempC: mean(some.map(({ tempC }) => tempC)) };
  });
}
