import { seededRandom } from '../seededRandom';

/** How far the inputs of one sample lie from their middles. Everything in the middle is `NOMINAL`. */
export interface Factors {
  /** Times the middle. */
  density: number;
  heatCapacity: number;
  conductivity: number;
  latent: number;
  evaporation: number;
  film: number;
  moldLoss: number;
  jugLoss: number;
  ovenPower: number;
  thickness: number;
  /** Added to the middle, K. */
  liquidusK: number;
  solidusK: number;
  hysteresisK: number;
  roomK: number;
  pourK: number;
  /** Added to the humidity. */
  humidity: number;
}

export const NOMINAL: Factors = {
  density: 1,
  heatCapacity: 1,
  conductivity: 1,
  latent: 1,
  evaporation: 1,
  film: 1,
  moldLoss: 1,
  jugLoss: 1,
  ovenPower: 1,
  thickness: 1,
  liquidusK: 0,
  solidusK: 0,
  hysteresisK: 0,
  roomK: 0,
  pourK: 0,
  humidity: 0,
};

/** One standard deviation of each: a third of the range that is usual, from memory and by our own guess. */
export type Spreads = Factors;

export interface KnownSpreads {
  roomK: number;
  humidity: number;
  /** Relative, of a loss scale that was learnt from readings; null where none was. */
  moldLoss: number | null;
  jugLoss: number | null;
}

/** A learnt loss scale holds what convection and evaporation are not known by. */
export function spreadsOf({ roomK, humidity, moldLoss, jugLoss }: KnownSpreads): Spreads {
  return {
    density: 0.012,
    heatCapacity: 0.035,
    conductivity: 0.05,
    latent: 0.13,
    evaporation: moldLoss === null ? 0.2 : 0,
    film: moldLoss === null ? 0.1 : 0,
    moldLoss: moldLoss ?? 0,
    jugLoss: jugLoss ?? 0.12,
    ovenPower: 0.35,
    thickness: 0.03,
    liquidusK: 0.6,
    solidusK: 1.2,
    hysteresisK: 0.6,
    roomK,
    pourK: 0.5,
    humidity,
  };
}

const TIMES: ReadonlySet<keyof Factors> = new Set([
  'density',
  'heatCapacity',
  'conductivity',
  'latent',
  'evaporation',
  'film',
  'moldLoss',
  'jugLoss',
  'ovenPower',
  'thickness',
]);
/** Further off than this is left to its neighbours: a bell without its ends. */
const FARTHEST = 2;

/**
 * A modest number of samples that fill the inputs evenly: each input is cut into as many parts of a bell as there are samples,
 * and every part is used once (M. D. McKay and others, Latin hypercube sampling, 1979). The same every time.
 */
export function factorsOfSamples(spreads: Spreads, samples: number, seed = 20_260): Factors[] {
  const random = seededRandom(seed);
  const all = Array.from({ length: samples }, () => ({ ...NOMINAL }));
  for (const key of Object.keys(NOMINAL) as (keyof Factors)[]) {
    const order = shuffled(samples, random);
    all.forEach((factors, sample) => {
      const share = ((order[sample] ?? 0) + random()) / samples;
      const off = Math.max(-FARTHEST, Math.min(FARTHEST, bell(share))) * spreads[key];
      factors[key] = TIMES.has(key) ? Math.exp(off) : off;
    });
  }
  return all;
}

/** R. A. Fisher and F. Yates, 1938. */
function shuffled(count: number, random: () => number): number[] {
  const order = Array.from({ length: count }, (_, place) => place);
  for (let at = count - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [order[at], order[other]] = [order[other] ?? 0, order[at] ?? 0];
  }
  return order;
}

/** Where a share of a bell lies, in standard deviations. J. W. Tukey's lambda of 0.14, to 0.01 within two. */
function bell(share: number): number {
  return (share ** 0.1349 - (1 - share) ** 0.1349) / 0.1975;
}
