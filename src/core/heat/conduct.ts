import type { EndLoss, Ends, Stack } from './stack';
import { lineAt, liquidAt, MELTING, SETTING, type Workspace, workspaceOf } from './workspace';

/** How finely time is cut. */
export interface Fineness {
  /** The most that a cell's heat may change in a step, in kelvins of its heat capacity. */
  mostK: number;
  longestS: number;
  /** The first step, s; a state that is gone on with needs none as short as two bodies that have just touched. */
  firstS?: number;
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
/** Where every cell stays on its line a turn comes out exactly, but for what leaves through the ends, which bends little within this. */
const ENDS_CLOSE_K = 0.2;
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
  { mostK, longestS, firstS = FIRST_STEP_S, meter }: Fineness = USUAL_FINENESS,
): number {
  const work = workspaceOf(stack);
  let timeS = 0;
  let stepS = firstS;
  while (timeS < untilS - 1e-9) {
    const lastS = Math.min(stepS, untilS - timeS);
    const movedK = solveStep(stack, work, ends, lastS);
    if (meter) meter.cellTurns += work.count * work.turns;
    if (movedK > 2 * mostK && lastS > SHORTEST_S) {
      stepS = lastS / 2;
      continue;
    }
    if (!Number.isFinite(movedK)) throw new RangeError('the step can’t be solved');
    for (let at = 0; at < work.count; at++)
      work.perSK[at] = ((work.tempC[at] ?? 0) - (stack.tempC[at] ?? 0)) / lastS;
    stack.tempC.set(work.tempC);
    stack.liquid.set(work.nextLiquid);
    work.liquid.set(work.nextLiquid);
    const before = { timeS };
    timeS += lastS;
    if (watch(timeS, stack, before)) return timeS;
    const wanted = movedK > 0 ? (lastS * mostK) / movedK : lastS * GROWTH;
    stepS = Math.min(longestS, Math.max(wanted * 0.9, lastS / 2), lastS * GROWTH);
  }
  return timeS;
}

/** One step; answers the largest change of heat, in kelvins. What it found is in the workspace. */
function solveStep(stack: Stack, work: Workspace, ends: Ends, stepS: number): number {
  const { count, tempC, perSK } = work;
  setConductances(work);
  for (let at = 0; at < count; at++) tempC[at] = (stack.tempC[at] ?? 0) + stepS * (perSK[at] ?? 0);
  let offK = Number.POSITIVE_INFINITY;
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    work.turns = turn + 1;
    const share = turn < DAMPED_FROM ? 1 : turn < DAMPED_MORE_FROM ? 0.5 : 0.2;
    eliminate(stack, work, ends, 1 / stepS);
    offK = correct(stack, work, share);
    if (offK < CLOSE_K || (share === 1 && !work.isBent && work.endsOffK < ENDS_CLOSE_K))
      return work.largestChangeK;
  }
  return offK < NEAR_K ? work.largestChangeK : Number.POSITIVE_INFINITY;
}

/**
 * What each cell is short of by the temperatures of this turn, and how much a kelvin changes of it: three diagonals, of which
 * the lower one is taken out on the way up (L. H. Thomas, 1949). One loop: most of a pour plan's
 * time is spent here.
 */
function eliminate(stack: Stack, work: Workspace, { bottom, top, roomC }: Ends, perS: number) {
  const { count, heat, latent, tempC, side, conductance, inverseMiddle, right, line } = work;
  const { solidus, hysteresis, inverseRange } = work;
  const { tempC: tempBefore, liquid: liquidBefore } = stack;
  const last = count - 1;
  // What comes from the cell below, and how readily; and of that cell, one over its middle, and what it is short of.
  let below = 0;
  let comes = 0;
  let inverseBelow = 0;
  let rightBelow = 0;
  for (let at = 0; at < count; at++) {
    const now = tempC[at] ?? 0;
    let above = 0;
    let goes = 0;
    if (at < last) {
      above = conductance[at] ?? 0;
      goes = above * (now - (tempC[at + 1] ?? 0));
    }
    let perK = heat[at] ?? 0;
    let gained = perK * (now - (tempBefore[at] ?? 0));
    const melts = latent[at] ?? 0;
    if (melts > 0) {
      // The play operator of `liquidFraction`, and its slope.
      const was = liquidBefore[at] ?? 0;
      const perRange = inverseRange[at] ?? 0;
      const setting = (now - (solidus[at] ?? 0)) * perRange;
      const melting = setting - (hysteresis[at] ?? 0) * perRange;
      const on = lineAt(setting, melting, was);
      if (on === SETTING || on === MELTING) perK += melts * perRange;
      if (setting < was) gained += melts * ((on === SETTING ? setting : 0) - was);
      else if (melting > was) gained += melts * ((on === MELTING ? melting : 1) - was);
      line[at] = on;
    }
    const beside = side[at] ?? 0;
    let middle = perK * perS + beside + below + above;
    let short = comes - goes - gained * perS - beside * (now - roomC);
    if (at === 0 && bottom) {
      const slope = loseThrough(bottom, work, at);
      middle += slope;
      short -= work.lostWM2;
    }
    if (at === last && top) {
      const slope = loseThrough(top, work, at);
      middle += slope;
      short -= work.lostWM2;
    }
    const factor = below * inverseBelow;
    inverseBelow = 1 / (middle - factor * below);
    rightBelow = short + factor * rightBelow;
    inverseMiddle[at] = inverseBelow;
    right[at] = rightBelow;
    below = above;
    comes = goes;
  }
}

/**
 * What leaves through an end: the surface takes the temperature at which both sides agree. Answers how much more leaves for a
 * kelvin of the cell.
 */
function loseThrough(loss: EndLoss, work: Workspace, at: number): number {
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
  work.lostWM2 = half * (insideC - surfaceC);
  // Warmer, its face is more liquid too, and loses more by that.
  const liquidPerK = (liquidAt(work, at, insideC + SMALL_K) - liquid) / SMALL_K;
  const byLiquid = liquidPerK === 0 ? 0 : liquidPerK * (loss(surfaceC, 1) - loss(surfaceC, 0));
  return (half * (slope + byLiquid)) / (half + slope);
}

function setConductances({ count, halfSet, halfMore, liquid, conductance, halfConductance }: Workspace) {
  for (let at = 0; at < count; at++)
    halfConductance[at] = (halfSet[at] ?? 0) + (halfMore[at] ?? 0) * (liquid[at] ?? 0);
  for (let at = 0; at < count - 1; at++) {
    const below = halfConductance[at] ?? 0;
    const above = halfConductance[at + 1] ?? 0;
    conductance[at] = (below * above) / (below + above);
  }
}

const SURFACE_TURNS = 20;
const SMALL_K = 1e-4;

/**
 * From the top down, adds a share of the correction to the temperatures, and answers the largest correction. How far the heat
 * of a cell has come with it, and what it makes liquid, is in the workspace: one loop, as above.
 */
function correct(stack: Stack, work: Workspace, share: number): number {
  const { count, heat, conductance, inverseMiddle, right, tempC, latent, solidus, hysteresis } = work;
  const { inverseRange, liquid, nextLiquid, line } = work;
  const { tempC: tempBefore } = stack;
  const last = count - 1;
  let isBent = false;
  let endsOffK = 0;
  let largest = 0;
  let largestChangeK = 0;
  let moved = 0;
  for (let at = last; at >= 0; at--) {
    const above = at < last ? (conductance[at] ?? 0) : 0;
    moved = ((right[at] ?? 0) + above * moved) * (inverseMiddle[at] ?? 0);
    const fromC = tempC[at] ?? 0;
    let toC = fromC + share * moved;
    let gainedK = 0;
    const melts = latent[at] ?? 0;
    if (melts > 0) {
      const was = liquid[at] ?? 0;
      const perRange = inverseRange[at] ?? 0;
      const setting = (toC - (solidus[at] ?? 0)) * perRange;
      const melting = setting - (hysteresis[at] ?? 0) * perRange;
      if (lineAt(setting, melting, was) !== line[at]) {
        isBent = true;
        toC = toNextBend(work, at, fromC, toC);
      }
      const next = liquidAt(work, at, toC);
      nextLiquid[at] = next;
      gainedK = (melts * (next - was)) / (heat[at] ?? 1);
    }
    tempC[at] = toC;
    const changeK = Math.abs(toC - (tempBefore[at] ?? 0) + gainedK);
    if (!(changeK <= largestChangeK)) largestChangeK = changeK;
    const offK = Math.abs(moved);
    if (!(offK <= largest)) largest = offK;
    if (at === 0 || at === last) endsOffK = Math.max(endsOffK, offK);
  }
  work.isBent = isBent;
  work.endsOffK = endsOffK;
  work.largestChangeK = largestChangeK;
  if (!(largest < 1e6)) throw new RangeError('the step can’t be solved');
  return largest;
}

/** How far past a bend a turn may go: enough to be on the next line. */
const PAST_K = 1e-9;

/** Over the bends of a cell's heat Newton would step to and fro; so a turn goes no further than the next one. */
function toNextBend(
  { solidus, liquidus, hysteresis, liquid }: Workspace,
  at: number,
  fromC: number,
  toC: number,
): number {
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
