import type { Surroundings } from '../heat/cavity';
import { coldJugTakesK, coolJug, coolsToS, type JugMoment, jugAtC } from '../heat/jug';
import { type Melt, meltInBathS, meltInBursts } from '../heat/melt';
import { substanceOf } from '../heat/substanceOf';
import type { HouseRules, Jug } from '../houseRules/houseRules';
import { ceiling } from '../materials/defaults';
import { meltedName } from '../plan/baseParts';
import type { Sheet } from '../plan/sheet';
import { type JugRules, meltsOfFilling } from '../work/loads';
import type { Factors } from './factors';
import type { HeatCase, Learnt } from './heatCase';
import { substanceWith, surroundingsOf } from './simulate';

/** What is melted at one time for one pour, or for several that share its jug. */
export interface JugLoad {
  /** The pour that it is melted for. */
  pourIndex: number;
  /** The pours it serves, in order. */
  serves: number[];
  baseName: string;
  /** Base to melt, g: up to what can be cut. */
  meltG: number;
  contentG: number;
  contentMl: number;
}

/** The loads of one filling of the molds, pour by pour; several where the largest jug does not take it. */
export function loadsOf(sheet: Sheet, fills: number, rules: JugRules): JugLoad[][] {
  const loads: JugLoad[][] = sheet.pours.map(() => []);
  for (const { group, melts, cutG, contentG, contentMl } of meltsOfFilling(sheet, fills, rules)) {
    const [head] = group;
    const first = head === undefined ? undefined : sheet.pours[head];
    if (!first || head === undefined) continue;
    loads[head] = Array.from({ length: melts }, () => ({
      pourIndex: head,
      serves: group,
      baseName: meltedName(first),
      meltG: cutG,
      contentG,
      contentMl,
    }));
  }
  return loads;
}

/** A jug as large as a content asks for, where the workshop has told of none. */
export function anyJug(contentMl: number, { headspaceFraction }: JugRules): Jug {
  return { id: '', name: '', holdsMl: contentMl / (1 - headspaceFraction), taught: [] };
}

/** A load in its jug: how it is melted, and how it cools from then on. */
export interface LoadInJug {
  load: JugLoad;
  jug: Jug;
  /** null over a double boiler. */
  melt: Melt | null;
  meltS: number;
  endC: number;
  cooling: JugMoment[];
}

/** Ready for colour: common practice, no source, 60 to 70 °C. */
const READY_C = 65;
const BELOW_CEILING_K = 3;
const SHORTEST_MELT_S = 60;
const COLD_JUG_SHARE = 0.5;
const WATCHED_S = 3 * 3600;
const OVER_MELTING_K = 2;
const OVER_POUR_K = 1;

/** What of the workshop decides how a load melts and cools. */
export interface MeltRules extends JugRules {
  meltIn: HouseRules['meltIn'];
  microwaveW: number;
}

/** Melts a load in a jug, and lets it cool. */
export function meltLoad(
  sheet: Sheet,
  heat: HeatCase,
  load: JugLoad,
  jug: Jug,
  rules: MeltRules,
  factors: Factors,
): LoadInJug {
  const pour = sheet.pours[load.pourIndex];
  if (!pour) throw new RangeError('a load of no pour');
  const substance = substanceWith(substanceOf(pour.base), factors);
  const around = jugSurroundings(heat, jug, factors);
  const { liquidusC, hysteresisK } = substance.melting;
  const ceilingC = ceiling(pour.base).value;
  const least = liquidusC + hysteresisK + OVER_MELTING_K;
  const pouredC = heat.layers.find(({ pourIndexes }) => pourIndexes.includes(load.pourIndex))?.atC ?? 0;
  const toC = Math.min(Math.max(READY_C, least, pouredC + OVER_POUR_K), ceilingC - BELOW_CEILING_K);
  const fromC = around.room.tempC;
  const request = { massG: Math.max(1, load.meltG), substance, fromC, toC };
  const melt =
    rules.meltIn === 'microwave'
      ? burstsOrNull({ ...request, ceilingC, powerW: rules.microwaveW * factors.ovenPower })
      : null;
  // Out of the pot it goes into a cold jug, which takes some of its heat: about half of the most it can.
  const endC =
    melt?.endC ?? toC - COLD_JUG_SHARE * coldJugTakesK(load.contentG, substance, toC, around.room.tempC);
  return {
    load,
    jug,
    melt,
    meltS: melt?.lengthS ?? Math.max(SHORTEST_MELT_S, meltInBathS(request)),
    endC,
    cooling: coolJug({ holdsMl: jug.holdsMl, contentG: load.contentG }, substance, endC, around, WATCHED_S),
  };
}

/** A base whose ceiling is below where it melts can't be melted by bursts: a bath is gentler, and checks say so. */
function burstsOrNull(request: Parameters<typeof meltInBursts>[0]): Melt | null {
  try {
    return meltInBursts(request);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

export function jugSurroundings(heat: HeatCase, jug: Jug, factors: Factors): Surroundings {
  const learnt: Learnt | null = jug.taught.at(-1) ?? null;
  return {
    ...surroundingsOf(heat, factors),
    lossScale: (learnt?.scale ?? 1) * factors.jugLoss,
  };
}

/** Seconds from melted until it may be poured so warm: at once when it is no warmer. */
export function coolS({ cooling, endC }: LoadInJug, atC: number): number {
  return endC <= atC ? 0 : (coolsToS(cooling, atC) ?? WATCHED_S);
}

export function waitedC({ cooling }: LoadInJug, afterS: number): number {
  return jugAtC(cooling, afterS);
}
