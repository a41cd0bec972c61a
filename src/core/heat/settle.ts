import { type Melting, settingFraction } from './substance';

const GRAVITY = 9.81;
const GAS_CONSTANT = 8.314;
const ZERO_C_K = 273.15;

/** How a base flows. Guesses, but for the form. */
export interface Flow {
  at60PaS: number;
  activationJMol: number;
  /** Share of set soap at which nothing moves. */
  mostPacked: number;
  /** Of a suspension base: what holds a grain. */
  yieldPa: number;
}

export const USUAL_FLOW: Flow = { at60PaS: 0.08, activationJMol: 30_000, mostPacked: 0.72, yieldPa: 0 };
/** A guess: it holds olive stone of 1.2 mm. */
export const SUSPENSION_YIELD_PA = 0.6;

/**
 * Viscosity of cooling base, Pa·s: S. Arrhenius in temperature, I. M. Krieger and T. J. Dougherty, 1959, in what has set.
 *
 * @returns Infinity where it is packed
 */
export function viscosityPaS(
  { at60PaS, activationJMol, mostPacked }: Flow,
  melting: Melting,
  tempC: number,
): number {
  const liquid =
    at60PaS * Math.exp((activationJMol / GAS_CONSTANT) * (1 / (tempC + ZERO_C_K) - 1 / (60 + ZERO_C_K)));
  const set = 1 - settingFraction(melting, tempC);
  if (set >= mostPacked) return Number.POSITIVE_INFINITY;
  return liquid * (1 - set / mostPacked) ** (-2.5 * mostPacked);
}

/** A grain or a petal, as a ball. */
export interface Grain {
  diameterM: number;
  densityKgM3: number;
}

/** Drag of a ball, up to Re 800. L. Schiller and A. Naumann, 1933. */
export function dragCoefficient(reynolds: number): number {
  if (!(reynolds > 0)) throw new RangeError('drag needs a motion');
  return (24 / reynolds) * (1 + 0.15 * reynolds ** 0.687);
}

const MOST_TURNS = 200;

/**
 * The speed at which a grain comes to rest against drag, m/s; below zero it rises. G. G. Stokes, 1851, put right by
 * {@link dragCoefficient}: v = v_Stokes / (1 + 0.15 Re^0.687), by bisection.
 */
export function terminalMS({ diameterM, densityKgM3 }: Grain, fluidKgM3: number, viscosity: number): number {
  if (!Number.isFinite(viscosity)) return 0;
  const lighter = densityKgM3 < fluidKgM3;
  const stokes = (Math.abs(densityKgM3 - fluidKgM3) * GRAVITY * diameterM ** 2) / (18 * viscosity);
  let [low, high] = [0, stokes];
  for (let turn = 0; turn < MOST_TURNS && high - low > 1e-12 * stokes; turn++) {
    const speed = (low + high) / 2;
    const reynolds = (fluidKgM3 * speed * diameterM) / viscosity;
    if (speed * (1 + 0.15 * reynolds ** 0.687) < stokes) low = speed;
    else high = speed;
  }
  return (lighter ? -1 : 1) * ((low + high) / 2);
}

/** A yield stress holds a ball when Δρ g d is below about 21 times it. A. N. Beris and others, 1985. */
export function isHeld({ diameterM, densityKgM3 }: Grain, fluidKgM3: number, { yieldPa }: Flow): boolean {
  return Math.abs(densityKgM3 - fluidKgM3) * GRAVITY * diameterM < 21 * yieldPa;
}

/**
 * How far a grain moves down while a pour cools, m; below zero up. It is never more than there is room for, which the
 * caller knows.
 *
 * @param cooling moments of the middle of the pour, in order
 */
export function settledM(
  grain: Grain,
  fluidKgM3: number,
  flow: Flow,
  melting: Melting,
  cooling: readonly { timeS: number; tempC: number }[],
): number {
  if (isHeld(grain, fluidKgM3, flow)) return 0;
  let movedM = 0;
  cooling.forEach(({ timeS, tempC }, place) => {
    const before = cooling[place - 1];
    if (!before) return;
    const viscosity = viscosityPaS(flow, melting, (tempC + before.tempC) / 2);
    movedM += terminalMS(grain, fluidKgM3, viscosity) * (timeS - before.timeS);
  });
  return movedM;
}
