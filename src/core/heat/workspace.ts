import type { Stack } from './stack';

/** What {@link conduct} works with: figures of every cell, from the bottom up, and what the last turn found. */
export interface Workspace {
  count: number;
  /** That the last step took. */
  turns: number;
  /** A cell came onto another line of its heat in the last turn. */
  isBent: boolean;
  /** What leaves through the end that was asked about last, W/m². */
  lostWM2: number;
  /** How far the last turn took the cells at the ends, K: what leaves through them is no line. */
  endsOffK: number;
  /** How far the heat of a cell has come in the step, in kelvins, with what it makes liquid: the most of all cells. */
  largestChangeK: number;
  /** ρ c of a cell, J/m²K. */
  heat: Float64Array;
  /** ρ L of a cell, J/m²; nothing where nothing melts. */
  latent: Float64Array;
  solidus: Float64Array;
  liquidus: Float64Array;
  hysteresis: Float64Array;
  /** One over liquidus less solidus, 1/K. */
  inverseRange: Float64Array;
  side: Float64Array;
  tempC: Float64Array;
  liquid: Float64Array;
  /** What it becomes in the step. */
  nextLiquid: Float64Array;
  /** From the middle of a cell to its edge where it is set, W/m²K, and how much more where it is liquid. */
  halfSet: Float64Array;
  halfMore: Float64Array;
  conductance: Float64Array;
  /** Of the bottom and of the top, as it was last. */
  surfaceC: Float64Array;
  halfConductance: Float64Array;
  /** One over what a kelvin changes of a cell, with what it shares with those below. */
  inverseMiddle: Float64Array;
  right: Float64Array;
  /** Which line of its heat a cell was taken to be on. */
  line: Uint8Array;
  /** How fast a cell warmed in the step before, K/s: where the turns of the next begin. */
  perSK: Float64Array;
}

/**
 * Lines of a cell's heat in its temperature, cold ones first: set, setting, held between setting and melting, melting,
 * molten. What never melts is on one line only.
 */
const SET = 0;
export const SETTING = 1;
const HELD = 2;
export const MELTING = 3;
const MOLTEN = 4;

/** @param was the liquid share at the start of the step */
export function lineAt(setting: number, melting: number, was: number): number {
  if (setting < was) return setting > 0 ? SETTING : SET;
  if (melting > was) return melting < 1 ? MELTING : MOLTEN;
  return HELD;
}

/** @throws RangeError for a cell of no slab */
export function workspaceOf({ thicknessM, slab, slabs, tempC, liquid }: Stack): Workspace {
  const work = emptyWorkspace(tempC.length);
  work.tempC.set(tempC);
  work.liquid.set(liquid);
  work.nextLiquid.set(liquid);
  work.surfaceC.set([tempC[0] ?? 0, tempC[tempC.length - 1] ?? 0]);
  work.liquidus.fill(1);
  work.inverseRange.fill(1);
  for (let at = 0; at < tempC.length; at++) {
    const found = slabs[slab[at] ?? 0];
    if (!found) throw new RangeError('a cell of no slab');
    const { substance, sideWM3K } = found;
    const { densityKgM3, heatCapacityJKgK, conductivityWMK, melting } = substance;
    const dx = thicknessM[at] ?? 0;
    work.heat[at] = densityKgM3 * heatCapacityJKgK * dx;
    work.side[at] = sideWM3K * dx;
    work.halfSet[at] = (2 * conductivityWMK) / dx;
    if (!melting) continue;
    const { latentJKg, solidusC, liquidusC, hysteresisK, liquidConductivityWMK } = melting;
    work.latent[at] = densityKgM3 * latentJKg * dx;
    work.solidus[at] = solidusC;
    work.liquidus[at] = liquidusC;
    work.hysteresis[at] = hysteresisK;
    work.inverseRange[at] = 1 / (liquidusC - solidusC);
    work.halfMore[at] = (2 * (liquidConductivityWMK - conductivityWMK)) / dx;
  }
  return work;
}

/** Of each cell, in a workspace; beside them its two surfaces. */
const FIGURES = 17;
const SURFACES = 2;

/** All its figures in one piece of memory: a pour plan asks for some thousand. */
function emptyWorkspace(count: number): Workspace {
  const figures = new Float64Array(FIGURES * count + SURFACES);
  let taken = 0;
  const next = (length = count) => {
    taken += length;
    return figures.subarray(taken - length, taken);
  };
  const work: Workspace = {
    count,
    turns: 0,
    isBent: false,
    lostWM2: Number.NaN,
    endsOffK: Number.NaN,
    largestChangeK: Number.NaN,
    heat: next(),
    latent: next(),
    solidus: next(),
    liquidus: next(),
    hysteresis: next(),
    inverseRange: next(),
    side: next(),
    tempC: next(),
    liquid: next(),
    nextLiquid: next(),
    halfSet: next(),
    halfMore: next(),
    conductance: next(),
    halfConductance: next(),
    inverseMiddle: next(),
    right: next(),
    perSK: next(),
    surfaceC: next(SURFACES),
    line: new Uint8Array(count),
  };
  if (taken !== figures.length) throw new RangeError('as many figures as a workspace has room for');
  return work;
}

/** The play operator of `liquidFraction`, without objects: it is asked some hundred thousand times. */
export function liquidAt(
  { latent, solidus, hysteresis, inverseRange, liquid }: Workspace,
  at: number,
  tempC: number,
): number {
  if (latent[at] === 0) return 0;
  const perRange = inverseRange[at] ?? 0;
  const set = (tempC - (solidus[at] ?? 0)) * perRange;
  const setting = Math.min(1, Math.max(0, set));
  const melting = Math.min(1, Math.max(0, set - (hysteresis[at] ?? 0) * perRange));
  return Math.max(melting, Math.min(setting, liquid[at] ?? 0));
}
