/** A loss scale by its logarithm, and a first temperature. */
export interface CoolingPlace {
  log: number;
  startC: number;
}

/** Where the squares are least, what is left there, and how surely the logarithm is known. */
export interface CoolingFit extends CoolingPlace {
  offK: number[];
  /** Of the logarithm, for readings that are off by one kelvin. */
  logVariance: number;
}

/** What is believed of the scale before anything is read: its logarithm is nothing, so far off, against readings off by `readingK`. */
export interface Prior {
  spread: number;
  readingK: number;
}

const MOST_TURNS = 30;

/**
 * Loss scale and first temperature by least squares (C. F. Gauss's method, with halved steps).
 *
 * @param residuals readings less the model
 * @param prior holds the scale near one while few readings speak; none where there is nothing to begin with
 */
export function fitCooling(
  residuals: (at: CoolingPlace) => number[],
  startC: number,
  prior: Prior | null = null,
): CoolingFit {
  const weight = prior ? (prior.readingK / prior.spread) ** 2 : 0;
  const squares = (off: readonly number[], { log }: CoolingPlace) =>
    off.reduce((sum, each) => sum + each * each, 0) + weight * log * log;
  let here: CoolingPlace = { log: 0, startC };
  let off = residuals(here);
  let slopes = slopesAt(here, off, residuals);
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const step = normalStep(slopes, off, weight, here.log);
    let share = 1;
    let next = here;
    let nextOff = off;
    do {
      next = { log: here.log + share * step.log, startC: here.startC + share * step.startC };
      nextOff = residuals(next);
      share /= 2;
    } while (squares(nextOff, next) > squares(off, here) && share > 1e-4);
    const done = Math.abs(next.log - here.log) < 1e-6 && Math.abs(next.startC - here.startC) < 1e-5;
    if (squares(nextOff, next) <= squares(off, here)) [here, off] = [next, nextOff];
    slopes = slopesAt(here, off, residuals);
    if (done) break;
  }
  return { ...here, offK: off, logVariance: logVariance(slopes, weight) };
}

/** How the model's temperatures move with the logarithm of the scale, and with the start. */
interface Slopes {
  log: number[];
  startC: number[];
}

const SMALL = { log: 1e-3, startC: 1e-2 };

function slopesAt(
  here: CoolingPlace,
  off: readonly number[],
  residuals: (at: CoolingPlace) => number[],
): Slopes {
  const along = (key: keyof CoolingPlace) =>
    residuals({ ...here, [key]: here[key] + SMALL[key] }).map(
      (moved, i) => ((off[i] ?? 0) - moved) / SMALL[key],
    );
  return { log: along('log'), startC: along('startC') };
}

function dot(one: readonly number[], other: readonly number[]): number {
  return one.reduce((sum, each, i) => sum + each * (other[i] ?? 0), 0);
}

/** The step by the normal equations, two unknowns. */
function normalStep(
  { log, startC }: Slopes,
  off: readonly number[],
  weight: number,
  logNow: number,
): CoolingPlace {
  const [aa, ab, bb] = [dot(log, log) + weight, dot(log, startC), dot(startC, startC)];
  const [ra, rb] = [dot(log, off) - weight * logNow, dot(startC, off)];
  const whole = aa * bb - ab * ab;
  if (!(whole > 0)) return { log: 0, startC: 0 };
  return { log: (ra * bb - rb * ab) / whole, startC: (aa * rb - ab * ra) / whole };
}

function logVariance({ log, startC }: Slopes, weight: number): number {
  const [aa, ab, bb] = [dot(log, log) + weight, dot(log, startC), dot(startC, startC)];
  const whole = aa * bb - ab * ab;
  return whole > 0 ? bb / whole : Number.POSITIVE_INFINITY;
}
