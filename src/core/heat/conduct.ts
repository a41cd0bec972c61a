import type { EndLoss, Ends, Stack } from './stack';

/** How finely time is cut. */
export interface Fineness {
  /** The most that a cell's heat may change in a step, in kelvins of its heat capacity. */
  mostK: number;
  longestS: number;
  /** Counts what is solved: cells by turns. */
  meter?: Meter;
}

/** Work that was done, whatever the machine. */
export interface Meter {
  cellTurns: number;
}

export const USUAL_FINENESS: Fineness = { mostK: 1, longestS: 300 };

/** Called after every step with what has passed; true stops the work. */
export type Watch = (timeS: number, stack: Stack, before: { timeS: number }) => boolean;

const FIRST_STEP_S = 0.02;
/** Taken even where heat changes by more: two bodies have just touched. */
const SHORTEST_S = 1e-3;
const MOST_TURNS = 60;
/** A step that has come so near is taken when its turns are used up. */
const NEAR_K = 1e-3;
/** Turns that go to and fro over a bend are shortened from here on, and end in the middle. */
const [DAMPED_FROM, DAMPED_MORE_FROM] = [20, 40];
const CLOSE_K = 1e-5;
const GROWTH = 1.6;

/**
 * Heat through a stack in one dimension, in enthalpy: ρ c ∂T/∂t + ρ L ∂f/∂t = ∂/∂x(k ∂T/∂x) − s (T − T_room).
 *
 * Finite volumes, backward Euler, Newton with a tridiagonal solve. A cell's heat is a line in its temperature with bends
 * where it begins and ends to set or to melt, so Newton settles in a few turns. Steps are as long as no cell's heat
 * changes by more than `mostK`; one that went too far is taken back.
 *
 * @param stack is changed in place
 * @param untilS seconds from now
 * @returns seconds that have passed: fewer when `watch` stopped it
 * @throws RangeError when a step can't be solved
 */
export function conduct(
  stack: Stack,
  ends: Ends,
  untilS: number,
  watch: Watch = () => false,
  { mostK, longestS, meter }: Fineness = USUAL_FINENESS,
): number {
  const work = workspaceOf(stack);
  let timeS = 0;
  let stepS = FIRST_STEP_S;
  while (timeS < untilS - 1e-9) {
    const lastS = Math.min(stepS, untilS - timeS);
    const movedK = solveStep(stack, work, ends, lastS);
    if (meter) meter.cellTurns += work.count * work.turns;
    if (movedK > 2 * mostK && lastS > SHORTEST_S) {
      stepS = lastS / 2;
      continue;
    }
    if (!Number.isFinite(movedK)) throw new RangeError('the step can’t be solved');
    stack.tempC.set(work.tempC);
    for (let at = 0; at < work.count; at++) stack.liquid[at] = liquidAt(work, at, work.tempC[at] ?? 0);
    work.liquid.set(stack.liquid);
    const before = { timeS };
    timeS += lastS;
    if (watch(timeS, stack, before)) return timeS;
    const wanted = movedK > 0 ? (lastS * mostK) / movedK : lastS * GROWTH;
    stepS = Math.min(longestS, Math.max(wanted * 0.9, lastS / 2), lastS * GROWTH);
  }
  return timeS;
}

interface Workspace {
  count: number;
  /** That the last step took. */
  turns: number;
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
  conductance: Float64Array;
  /** Of the bottom and of the top, as it was last. */
  surfaceC: Float64Array;
  halfConductance: Float64Array;
  lower: Float64Array;
  middle: Float64Array;
  upper: Float64Array;
  right: Float64Array;
}

function workspaceOf({ thicknessM, slab, slabs, tempC, liquid }: Stack): Workspace {
  const count = tempC.length;
  const array = (figure: (at: number) => number) => {
    const figures = new Float64Array(count);
    for (let at = 0; at < count; at++) figures[at] = figure(at);
    return figures;
  };
  const slabAt = (at: number) => {
    const found = slabs[slab[at] ?? 0];
    if (!found) throw new RangeError('a cell of no slab');
    return found;
  };
  const dx = (at: number) => thicknessM[at] ?? 0;
  return {
    count,
    turns: 0,
    heat: array((at) => {
      const { densityKgM3, heatCapacityJKgK } = slabAt(at).substance;
      return densityKgM3 * heatCapacityJKgK * dx(at);
    }),
    latent: array((at) => {
      const { densityKgM3, melting } = slabAt(at).substance;
      return melting ? densityKgM3 * melting.latentJKg * dx(at) : 0;
    }),
    solidus: array((at) => slabAt(at).substance.melting?.solidusC ?? 0),
    liquidus: array((at) => slabAt(at).substance.melting?.liquidusC ?? 1),
    hysteresis: array((at) => slabAt(at).substance.melting?.hysteresisK ?? 0),
    inverseRange: array((at) => {
      const melting = slabAt(at).substance.melting;
      return melting ? 1 / (melting.liquidusC - melting.solidusC) : 1;
    }),
    side: array((at) => slabAt(at).sideWM3K * dx(at)),
    tempC: Float64Array.from(tempC),
    liquid: Float64Array.from(liquid),
    conductance: new Float64Array(count),
    surfaceC: Float64Array.of(tempC[0] ?? 0, tempC[count - 1] ?? 0),
    halfConductance: new Float64Array(count),
    lower: new Float64Array(count),
    middle: new Float64Array(count),
    upper: new Float64Array(count),
    right: new Float64Array(count),
  };
}

/** One step; answers the largest change of heat, in kelvins. What it found is in the workspace. */
function solveStep(stack: Stack, work: Workspace, { bottom, top, roomC }: Ends, stepS: number): number {
  const { count, heat, latent, tempC, side, conductance } = work;
  setConductances(stack, work);
  tempC.set(stack.tempC);
  const { lower, middle, upper, right, solidus, hysteresis, inverseRange } = work;
  const { tempC: tempBefore, liquid: liquidBefore } = stack;
  const perS = 1 / stepS;
  const last = count - 1;
  let offK = Number.POSITIVE_INFINITY;
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    work.turns = turn + 1;
    // What comes from the cell below, and how readily.
    let [below, comes] = [0, 0];
    for (let at = 0; at < count; at++) {
      const now = tempC[at] ?? 0;
      const before = tempBefore[at] ?? 0;
      const above = at < last ? (conductance[at] ?? 0) : 0;
      const goes = at < last ? above * (now - (tempC[at + 1] ?? 0)) : 0;
      let gained = (heat[at] ?? 0) * (now - before);
      let perK = heat[at] ?? 0;
      const melts = latent[at] ?? 0;
      if (melts > 0) {
        // The play operator of `liquidFraction`, and its slope.
        const was = liquidBefore[at] ?? 0;
        const perRange = inverseRange[at] ?? 0;
        const setting = (now - (solidus[at] ?? 0)) * perRange;
        const melting = setting - (hysteresis[at] ?? 0) * perRange;
        if (setting < was) {
          gained += melts * ((setting > 0 ? setting : 0) - was);
          if (setting > 0) perK += melts * perRange;
        } else if (melting > was) {
          gained += melts * ((melting < 1 ? melting : 1) - was);
          if (melting < 1) perK += melts * perRange;
        }
      }
      const beside = side[at] ?? 0;
      lower[at] = -below;
      middle[at] = perK * perS + beside + below + above;
      upper[at] = -above;
      right[at] = comes - goes - gained * perS - beside * (now - roomC);
      below = above;
      comes = goes;
    }
    if (bottom) loseThrough(bottom, work, 0);
    if (top) loseThrough(top, work, last);
    const share = turn < DAMPED_FROM ? 1 : turn < DAMPED_MORE_FROM ? 0.5 : 0.2;
    offK = solveTridiagonal(work, share);
    if (offK < CLOSE_K) return largestChangeK(stack, work);
  }
  return offK < NEAR_K ? largestChangeK(stack, work) : Number.POSITIVE_INFINITY;
}

/** What leaves through an end, and how much more a kelvin: the surface takes the temperature at which both sides agree. */
function loseThrough(loss: EndLoss, work: Workspace, at: number) {
  const half = work.halfConductance[at] ?? 0;
  const insideC = work.tempC[at] ?? 0;
  const liquid = liquidAt(work, at, insideC);
  let surfaceC = work.surfaceC[at === 0 ? 0 : 1] ?? insideC;
  let slope = 0;
  for (let turn = 0; turn < SURFACE_TURNS; turn++) {
    const flux = loss(surfaceC, liquid);
    slope = (loss(surfaceC + SMALL_K, liquid) - flux) / SMALL_K;
    const off = half * (insideC - surfaceC) - flux;
    surfaceC += off / (half + slope);
    if (Math.abs(off) < 1e-6 * (1 + Math.abs(flux))) break;
  }
  work.surfaceC[at === 0 ? 0 : 1] = surfaceC;
  work.right[at] = (work.right[at] ?? 0) - half * (insideC - surfaceC);
  work.middle[at] = (work.middle[at] ?? 0) + (half * slope) / (half + slope);
}

function setConductances(
  { thicknessM, slab, slabs, liquid }: Stack,
  { count, conductance, halfConductance }: Workspace,
) {
  for (let at = 0; at < count; at++) {
    const substance = slabs[slab[at] ?? 0]?.substance;
    const solid = substance?.conductivityWMK ?? 0;
    const molten = substance?.melting?.liquidConductivityWMK ?? solid;
    const share = liquid[at] ?? 0;
    halfConductance[at] = (2 * (solid + (molten - solid) * share)) / (thicknessM[at] ?? 1);
  }
  for (let at = 0; at < count - 1; at++) {
    const [a, b] = [halfConductance[at] ?? 0, halfConductance[at + 1] ?? 0];
    conductance[at] = (a * b) / (a + b);
  }
}

const SURFACE_TURNS = 20;
const SMALL_K = 1e-4;

/** L. H. Thomas, 1949. Adds a share of the correction to the temperatures, and answers the largest correction. */
function solveTridiagonal(work: Workspace, share: number): number {
  const { count, lower, middle, upper, right, tempC } = work;
  for (let at = 1; at < count; at++) {
    const factor = (lower[at] ?? 0) / (middle[at - 1] ?? 1);
    middle[at] = (middle[at] ?? 0) - factor * (upper[at - 1] ?? 0);
    right[at] = (right[at] ?? 0) - factor * (right[at - 1] ?? 0);
  }
  let largest = 0;
  let above = 0;
  for (let at = count - 1; at >= 0; at--) {
    above = ((right[at] ?? 0) - (upper[at] ?? 0) * above) / (middle[at] ?? 1);
    tempC[at] = toNextBend(work, at, tempC[at] ?? 0, (tempC[at] ?? 0) + share * above);
    largest = Math.max(largest, Math.abs(above));
  }
  if (!(largest < 1e6)) throw new RangeError('the step can’t be solved');
  return largest;
}

function largestChangeK(stack: Stack, work: Workspace): number {
  let largest = 0;
  for (let at = 0; at < work.count; at++) {
    const now = work.tempC[at] ?? 0;
    const stored =
      (work.heat[at] ?? 0) * (now - (stack.tempC[at] ?? 0)) +
      (work.latent[at] ?? 0) * (liquidAt(work, at, now) - (stack.liquid[at] ?? 0));
    largest = Math.max(largest, Math.abs(stored) / (work.heat[at] ?? 1));
  }
  return largest;
}

/** How far past a bend a turn may go: enough to be on the next line. */
const PAST_K = 1e-9;

/** Over the bends of a cell's heat Newton would step to and fro; so a turn goes no further than the next one. */
function toNextBend(
  { latent, solidus, liquidus, hysteresis, liquid }: Workspace,
  at: number,
  fromC: number,
  toC: number,
): number {
  if (latent[at] === 0) return toC;
  const low = solidus[at] ?? 0;
  const high = liquidus[at] ?? 1;
  const late = hysteresis[at] ?? 0;
  const held = low + (high - low) * (liquid[at] ?? 0);
  let next = toC;
  for (let bend = 0; bend < 4; bend++) {
    const bendC = bend === 0 ? low : bend === 1 ? held : bend === 2 ? held + late : high + late;
    if (fromC < bendC - PAST_K && next > bendC) next = bendC + PAST_K;
    else if (fromC > bendC + PAST_K && next < bendC) next = bendC - PAST_K;
  }
  return next;
}

/** The play operator of `liquidFraction`, without objects: it is asked some hundred thousand times. */
function liquidAt(
  { latent, solidus, liquidus, hysteresis, liquid }: Workspace,
  at: number,
  tempC: number,
): number {
  if (latent[at] === 0) return 0;
  const low = solidus[at] ?? 0;
  const range = (liquidus[at] ?? 1) - low;
  const setting = Math.min(1, Math.max(0, (tempC - low) / range));
  const melting = Math.min(1, Math.max(0, (tempC - (hysteresis[at] ?? 0) - low) / range));
  return Math.max(melting, Math.min(setting, liquid[at] ?? 0));
}
