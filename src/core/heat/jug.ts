import { surfaceLossWM2 } from './air';
import type { Surroundings } from './cavity';
import { type Substance, settingFraction } from './substance';

/** A jug as high as it is wide, and what is in it. */
export interface HeatJug {
  holdsMl: number;
  contentG: number;
}

/** One moment of a jug that cools. */
export interface JugMoment {
  timeS: number;
  tempC: number;
}

/** When a jug is emptied, at an even pace. */
export interface Emptying {
  fromS: number;
  toS: number;
}

const MM3_PER_ML = 1000;
const MM_PER_M = 1000;
/** What is left on the walls and is poured last does not cool to nothing. */
const LEAST_SHARE = 0.08;
const MOST_STEP_S = 5;
const MOST_CHANGE_K = 0.2;

/**
 * A jug that stands and cools, stirred now and then: all of it at one temperature.
 *
 * m (c + L df/dT) dT/dt = −(A_top q(T) + A_wall h (T − T_room)), with the free surface of `surfaceLossWM2`. Explicit steps
 * of at most 0.2 K.
 *
 * @returns moments from the start until `lengthS`, in order
 */
export function coolJug(
  jug: HeatJug,
  substance: Substance,
  startC: number,
  { room, evaporating, filmWM2K, lossScale }: Surroundings,
  lengthS: number,
  emptied: Emptying | null = null,
): JugMoment[] {
  const { melting } = substance;
  const diameterM = Math.cbrt((4 * jug.holdsMl * MM3_PER_ML) / Math.PI) / MM_PER_M;
  const topM2 = (Math.PI * diameterM ** 2) / 4;
  const fullHeightM = jug.contentG / 1000 / substance.densityKgM3 / topM2;
  const moments: JugMoment[] = [{ timeS: 0, tempC: startC }];
  let [timeS, tempC] = [0, startC];
  while (timeS < lengthS - 1e-9) {
    const share = shareLeft(timeS, emptied);
    // What is left in a jug that is tipped has a smaller face too.
    const faceM2 = topM2 * share ** (2 / 3);
    const wettedM2 = faceM2 + Math.PI * diameterM * fullHeightM * share ** (2 / 3);
    const liquid = melting ? settingFraction(melting, tempC) : 0;
    const lossW =
      lossScale *
      (faceM2 * surfaceLossWM2(tempC, room, diameterM / 4, liquid, evaporating) +
        wettedM2 * filmWM2K * (tempC - room.tempC));
    const sets = melting !== null && liquid > 0 && liquid < 1;
    const heat =
      substance.heatCapacityJKgK + (sets ? melting.latentJKg / (melting.liquidusC - melting.solidusC) : 0);
    const perS = lossW / ((jug.contentG / 1000) * share * heat);
    const stepS = Math.min(MOST_STEP_S, lengthS - timeS, MOST_CHANGE_K / Math.max(1e-6, Math.abs(perS)));
    timeS += stepS;
    tempC -= perS * stepS;
    moments.push({ timeS, tempC });
  }
  return moments;
}

function shareLeft(timeS: number, emptied: Emptying | null): number {
  if (!emptied || timeS <= emptied.fromS) return 1;
  const share = 1 - (timeS - emptied.fromS) / Math.max(1, emptied.toS - emptied.fromS);
  return Math.max(LEAST_SHARE, share);
}

/** When it has cooled to a temperature, s; null when it does not within its moments. */
export function coolsToS(moments: readonly JugMoment[], atC: number): number | null {
  const place = moments.findIndex(({ tempC }) => tempC <= atC);
  const [before, at] = [moments[place - 1], moments[place]];
  if (!at) return null;
  if (!before || before.tempC === at.tempC) return at.timeS;
  return before.timeS + ((at.timeS - before.timeS) * (before.tempC - atC)) / (before.tempC - at.tempC);
}

/** How warm it is at a time, °C; what it was last, after its moments. */
export function jugAtC(moments: readonly JugMoment[], atS: number): number {
  let [low, high] = [0, moments.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((moments[middle]?.timeS ?? 0) <= atS) low = middle;
    else high = middle;
  }
  const [from, to] = [moments[low], moments[high]];
  if (!from || !to) throw new RangeError('a jug without moments');
  if (atS >= to.timeS || to.timeS === from.timeS) return to.tempC;
  return from.tempC + ((to.tempC - from.tempC) * (Math.max(atS, 0) - from.timeS)) / (to.timeS - from.timeS);
}

/** Glass for a content: from memory, about so much glass a gram of content in a jug that is 200 g at least. */
const GLASS_J_KGK = 840;
const LEAST_GLASS_G = 200;
const GLASS_PER_CONTENT = 0.15;

/**
 * What a cold jug takes from base that is poured over into it, K: an upper bound, since not all of the glass gets warm.
 * 450 g lose about 7 K, 100 g about 17 K.
 */
export function coldJugTakesK(contentG: number, substance: Substance, baseC: number, roomC: number): number {
  const glassG = LEAST_GLASS_G + GLASS_PER_CONTENT * contentG;
  const share = (glassG * GLASS_J_KGK) / (glassG * GLASS_J_KGK + contentG * substance.heatCapacityJKgK);
  return share * (baseC - roomC);
}
