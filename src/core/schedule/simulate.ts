import { USUAL_EVAPORATION } from '../heat/air';
import { type Bond, BRIDGE_M, bondOf, type Meeting, meet, WEAK_BELOW_M } from '../heat/bond';
import {
  CELLS_BELOW,
  emptyCavity,
  endsOf,
  type HeatCavity,
  layerSlabs,
  type Surroundings,
  sideWM3K,
} from '../heat/cavity';
import { coarserBelow } from '../heat/coarser';
import { conduct, type Fineness } from '../heat/conduct';
import { type Dew, dewOn } from '../heat/dew';
import { coreC, SKIN_M, skinDepthM } from '../heat/skin';
import { copyOf, poured, type Slab, type Stack } from '../heat/stack';
import type { MeltingSubstance } from '../heat/substance';
import type { Factors } from './factors';
import type { HeatCase, HeatLayer } from './heatCase';

/** A layer while it sets: its warmest place, and its top. */
export interface LayerMoment {
  timeS: number;
  coreC: number;
  topC: number;
}

/** What came of one layer. Times are from when it was poured, but for `afterS`. */
export interface LayerTimes {
  /** Poured so long after the layer before. */
  afterS: number;
  /** How it met the layer before; null for the first. */
  meeting: Meeting | null;
  bond: Bond | null;
  /** Where the bond is weak: how warm it would have to be poured at that moment; null where no heat helps. */
  rewarm: Rewarm | null;
  skinS: number;
  /** From here the next layer no longer breaks through. */
  earliestS: number;
  /** The last at which the next layer bonds; `earliestS` where it never does. Null for the topmost. */
  latestS: number | null;
  /** Empty where nobody asked for them. */
  moments: LayerMoment[];
}

/** Heat at which a late pour still bonds, °C. */
export interface Rewarm {
  fromC: number;
  toC: number;
}

/** One sample: what came of a case with its inputs so far from their middles. */
export interface SampleTimes {
  layers: LayerTimes[];
  /** From the last pour. */
  unmoldS: number;
  cutS: number | null;
  /** What its core never gets cold enough for in this room; null where it does. */
  never: 'unmold' | 'cut' | null;
  /** Out of the freezer; null where it was not in one. */
  dew: Dew | null;
  /** What it took to find out, with none of what `rewarm` asks more: cells by turns of the solver. */
  cellTurns: number;
}

/** From a wall to still air. Typical, from memory. */
const USUAL_FILM_WM2K = 8;
const COARSE: Fineness = { mostK: 1, longestS: 300 };
/** Where a state is gone on with: by then it changes by less than `mostK` in such a step. */
const ONWARD_S = 2;
/** Tries of the next pour, after the skin. */
const TRIED_S = [0, 90, 240, 600, 1200, 2400, 4800] as const;
const LONGEST_S = 36 * 3600;
const FREEZER_C = -18;

/** Chooses how long after a layer the next one is poured. */
export type ChooseWait = (
  layerIndex: number,
  times: Pick<LayerTimes, 'skinS' | 'earliestS' | 'latestS'>,
) => number;

/**
 * Pours a case's layers one on the other, and lets them set.
 *
 * @param wants beside the times: the heat at which a late pour bonds, or that and all moments
 */
export function simulate(
  heat: HeatCase,
  factors: Factors,
  chooseWait: ChooseWait,
  wants: 'times' | 'rewarm' | 'all' = 'times',
): SampleTimes {
  const around = surroundingsOf(heat, factors);
  const [first] = heat.layers;
  if (!first) throw new RangeError('a case without a layer');
  let stack = emptyCavity(first.cavity, around);
  let floor = CELLS_BELOW;
  const meter = { cellTurns: 0 };
  const fineness = { ...COARSE, meter };
  const layers: LayerTimes[] = [];
  let [afterS, meeting, rewarm]: [number, Meeting | null, Rewarm | null] = [0, null, null];
  for (const [layerIndex, layer] of heat.layers.entries()) {
    const next = heat.layers[layerIndex + 1];
    const slabs = slabsOf(layer, factors, around);
    const ends = endsOf(layer.cavity, around);
    stack = poured(stack, slabs);
    const start = copyOf(stack);
    const moments: LayerMoment[] | null = wants === 'all' ? [] : null;
    const { skinS } = untilSkin(stack, floor, layer, factors, ends, moments, fineness);
    const bond = meeting && bondOf(meeting);
    const own = { afterS, meeting, bond, rewarm, skinS, moments: moments ?? [] };
    if (!next) {
      layers.push({ ...own, earliestS: skinS, latestS: null });
      const out = untilOut(stack, skinS, heat, layer.cavity, around, moments, floor, fineness);
      return { layers, ...out, ...meter };
    }
    const nextSlabs = slabsOf(next, factors, around);
    const nextEnds = endsOf(next.cavity, around);
    const tried = tries(stack, skinS, floor, nextSlabs, ends, nextEnds, next.how, fineness);
    layers.push({ ...own, earliestS: tried.earliestS, latestS: tried.latestS });
    afterS = chooseWait(layerIndex, { skinS, earliestS: tried.earliestS, latestS: tried.latestS });
    const from = tried.states.filter(({ atS }) => atS <= afterS).at(-1) ?? { atS: 0, stack: start };
    stack = copyOf(from.stack);
    if (afterS > from.atS)
      conduct(stack, ends, afterS - from.atS, keeping(moments, from.atS, floor), {
        ...fineness,
        ...(from.atS > 0 ? { firstS: ONWARD_S } : {}),
      });
    meeting = meet(stack, floor, nextSlabs, nextEnds, next.how, fineness);
    rewarm =
      bondOf(meeting) === 'weak' && wants !== 'times'
        ? rewarmFor(stack, floor, next, nextSlabs, nextEnds)
        : null;
    stack = coarserBelow(stack, CELLS_BELOW);
    floor = stack.tempC.length;
  }
  throw new RangeError('a case without a last layer');
}

export function surroundingsOf({ room, moldLearnt }: HeatCase, factors: Factors): Surroundings {
  return {
    room: {
      tempC: room.tempC + factors.roomK,
      humidity: Math.min(0.99, Math.max(0.02, room.humidity + factors.humidity)),
    },
    evaporating: { ...USUAL_EVAPORATION, multiplier: USUAL_EVAPORATION.multiplier * factors.evaporation },
    filmWM2K: USUAL_FILM_WM2K * factors.film,
    lossScale: (moldLearnt?.scale ?? 1) * factors.moldLoss,
  };
}

/** A base with its figures so far off. */
export function substanceWith(substance: MeltingSubstance, factors: Factors): MeltingSubstance {
  const { melting } = substance;
  const liquidusC = melting.liquidusC + factors.liquidusK;
  return {
    densityKgM3: substance.densityKgM3 * factors.density,
    heatCapacityJKgK: substance.heatCapacityJKgK * factors.heatCapacity,
    conductivityWMK: substance.conductivityWMK * factors.conductivity,
    melting: {
      latentJKg: melting.latentJKg * factors.latent,
      liquidusC,
      solidusC: Math.min(melting.solidusC + factors.solidusK, liquidusC - 3),
      hysteresisK: Math.max(1.5, melting.hysteresisK + factors.hysteresisK),
      liquidConductivityWMK: melting.liquidConductivityWMK * factors.conductivity,
    },
  };
}

function slabsOf(layer: HeatLayer, factors: Factors, around: Surroundings): Slab[] {
  const substance = substanceWith(layer.substance, factors);
  return layerSlabs(
    substance,
    layer.thicknessM * factors.thickness,
    layer.atC + factors.pourK,
    sideWM3K(layer.cavity, around, substance),
  );
}

/** @param moments null where nobody asks for them */
function keeping(moments: LayerMoment[] | null, fromS: number, floor: number) {
  return (timeS: number, now: Stack) => {
    moments?.push({
      timeS: fromS + timeS,
      coreC: coreC(now, floor),
      topC: now.tempC[now.tempC.length - 1] ?? 0,
    });
    return false;
  };
}

/** Lets the topmost layer set until it carries. */
function untilSkin(
  stack: Stack,
  floor: number,
  layer: HeatLayer,
  factors: Factors,
  ends: ReturnType<typeof endsOf>,
  moments: LayerMoment[] | null,
  fineness: Fineness,
): { skinS: number } {
  const carriesM = Math.min(SKIN_M, 0.98 * layer.thicknessM * factors.thickness);
  const keep = keeping(moments, 0, floor);
  keep(0, stack);
  let [skinS, depthBefore] = [LONGEST_S, 0];
  conduct(
    stack,
    ends,
    LONGEST_S,
    (timeS, now, before) => {
      keep(timeS, now);
      const depthM = skinDepthM(now, floor);
      if (depthM >= carriesM) {
        skinS = between(before.timeS, timeS, depthBefore, depthM, carriesM);
        return true;
      }
      depthBefore = depthM;
      return false;
    },
    fineness,
  );
  return { skinS };
}

/** Tries the next pour at several moments after the skin, until it no longer bonds. */
function tries(
  atSkin: Stack,
  skinS: number,
  floor: number,
  next: readonly Slab[],
  ends: ReturnType<typeof endsOf>,
  nextEnds: ReturnType<typeof endsOf>,
  how: HeatLayer['how'],
  fineness: Fineness,
) {
  const states = [{ atS: skinS, stack: copyOf(atSkin) }];
  const state = copyOf(atSkin);
  let earliestS: number | null = null;
  let latestS = skinS;
  let before: { atS: number; meeting: Meeting } | null = null;
  for (const [place, offS] of TRIED_S.entries()) {
    const atS = skinS + offS;
    if (offS > 0) {
      conduct(state, ends, offS - (TRIED_S[place - 1] ?? 0), undefined, { ...fineness, firstS: ONWARD_S });
      states.push({ atS, stack: copyOf(state) });
    }
    const meeting = meet(state, floor, next, nextEnds, how, fineness);
    const holds = meeting.bridgeM >= BRIDGE_M;
    if (holds && earliestS === null)
      earliestS = before
        ? between(before.atS, atS, before.meeting.bridgeM, Math.min(meeting.bridgeM, 4 * BRIDGE_M), BRIDGE_M)
        : atS;
    if (holds && meeting.remeltM < WEAK_BELOW_M) {
      const known = before && before.meeting.remeltM > WEAK_BELOW_M ? before : null;
      latestS = known ? between(known.atS, atS, known.meeting.remeltM, meeting.remeltM, WEAK_BELOW_M) : atS;
      break;
    }
    latestS = atS;
    before = { atS, meeting };
  }
  const sure = earliestS ?? latestS;
  return { states, earliestS: sure, latestS: Math.max(sure, latestS) };
}

/** Hotter than this nothing is poured, whatever its ceiling. */
const HOTTEST_POUR_C = 66;

/** The heats, by whole degrees, at which a layer that has waited too long is joined after all: hotter melts deeper. */
function rewarmFor(
  stack: Stack,
  floor: number,
  { how, atC, ceilingC }: HeatLayer,
  slabs: readonly Slab[],
  ends: ReturnType<typeof endsOf>,
): Rewarm | null {
  const mostC = Math.min(HOTTEST_POUR_C, ceilingC);
  const bondAt = (tempC: number) =>
    bondOf(
      meet(
        stack,
        floor,
        slabs.map((slab) => ({ ...slab, tempC })),
        ends,
        how,
        COARSE,
      ),
    );
  const [leastC, hottestC] = [Math.ceil(atC) + 1, Math.floor(mostC)];
  const fromC = firstDegree(leastC, hottestC, (tempC) => bondAt(tempC) !== 'weak');
  if (fromC === null || bondAt(fromC) !== 'good') return null;
  const pastC = firstDegree(fromC, hottestC, (tempC) => bondAt(tempC) !== 'good') ?? hottestC + 1;
  return { fromC, toC: pastC - 1 };
}

/** The first whole degree from which on something is so, by halving; null where it is not so at the hottest. */
function firstDegree(leastC: number, hottestC: number, isSo: (tempC: number) => boolean): number | null {
  if (leastC > hottestC || !isSo(hottestC)) return null;
  let [below, at] = [leastC - 1, hottestC];
  while (at - below > 1) {
    const middle = Math.floor((below + at) / 2);
    if (isSo(middle)) at = middle;
    else below = middle;
  }
  return at;
}

/** Lets all of it set until it comes out of its mold, and is cut. */
function untilOut(
  stack: Stack,
  skinS: number,
  heat: HeatCase,
  cavity: HeatCavity,
  around: Surroundings,
  moments: LayerMoment[] | null,
  floor: number,
  fineness: Fineness,
): Pick<SampleTimes, 'unmoldS' | 'cutS' | 'never' | 'dew'> {
  let passedS = skinS;
  let [unmoldS, cutS]: [number | null, number | null] = [null, null];
  let coreBefore = coreC(stack, CELLS_BELOW);
  const look = (timeS: number, now: Stack, before: { timeS: number }) => {
    keeping(moments, passedS, floor)(timeS, now);
    const core = coreC(now, CELLS_BELOW);
    const crossing = (atC: number) =>
      core <= atC ? passedS + between(before.timeS, timeS, coreBefore, core, atC) : null;
    unmoldS ??= crossing(heat.unmoldC);
    if (heat.cutC !== null) cutS ??= crossing(heat.cutC);
    coreBefore = core;
    return unmoldS !== null && (heat.cutC === null || cutS !== null);
  };
  let dew: Dew | null = null;
  if (heat.freezerS !== null) {
    const cold = { ...around, room: { tempC: FREEZER_C, humidity: 0.9 } };
    conduct(
      stack,
      endsOf(cavity, cold),
      heat.freezerS,
      (...all) => {
        look(...all);
        return false;
      },
      fineness,
    );
    passedS += heat.freezerS;
    dew = dewOn(
      copyOf(stack),
      around.room,
      cavity.areaM2 / cavity.perimeterM,
      (surfaceC) => around.filmWM2K * (surfaceC - around.room.tempC),
    );
  }
  const isOut = () => unmoldS !== null && (heat.cutC === null || cutS !== null);
  if (!isOut()) conduct(stack, endsOf(cavity, around), LONGEST_S, look, fineness);
  // A room that is warmer than it asks for never gets it there; what follows is placed after a day and a half.
  const never = unmoldS === null ? 'unmold' : heat.cutC !== null && cutS === null ? 'cut' : null;
  return {
    never,
    unmoldS: unmoldS ?? passedS + LONGEST_S,
    cutS: heat.cutC === null ? null : (cutS ?? passedS + LONGEST_S),
    dew,
  };
}

/** Between two moments, where a figure passes a mark. */
function between(fromS: number, toS: number, was: number, is: number, mark: number): number {
  if (is === was) return toS;
  return fromS + (toS - fromS) * Math.min(1, Math.max(0, (mark - was) / (is - was)));
}
