import { bestScale, readingError } from '../checks/scaleFit';
import type { HouseRules } from '../houseRules/houseRules';

/** Common practice, no source: within so much of its target a weighing is as good as a hand gets. */
export const AS_GOOD_AS_A_HAND = 0.02;

/** A reading of a scale, g; null for whether it stands still where it does not say. */
export interface ScaleReading {
  massG: number;
  isStable: boolean | null;
  /** ms since the epoch, by the bench's clock. */
  atMs: number;
}

/** What is weighed, and how near is near enough. */
export interface ScaleTarget {
  targetG: number;
  /** Below and above the target. */
  bandG: number;
  /** The scale moves by so much. */
  stepG: number;
  /** The scale reads it finely enough to say by itself that it is weighed. */
  isFine: boolean;
}

/** Kitchen scales move by so much, where the workshop has told of none. */
const KITCHEN_STEP_G = 0.1;

/** How near to its target a weighing is near enough, on the workshop's best scale for it: what a hand gets, or half a step. */
export function scaleTarget(
  targetG: number,
  { scales, readingErrorMost }: Pick<HouseRules, 'scales' | 'readingErrorMost'>,
): ScaleTarget {
  const stepG = bestScale(scales, targetG)?.stepG ?? KITCHEN_STEP_G;
  return {
    targetG,
    bandG: Math.max(targetG * AS_GOOD_AS_A_HAND, stepG / 2),
    stepG,
    isFine: readingError(stepG, targetG) <= readingErrorMost,
  };
}

/** Where a weighing on a scale stands. */
export interface ScaleWatch {
  /** On the scale beyond what stood there when it began, g. */
  nettoG: number;
  isStable: boolean;
  /** Nothing of it yet; below, in or above the band. */
  place: 'nothing' | 'below' | 'in' | 'above';
  /** The scale reads it finely enough to be taken by itself. */
  isFine: boolean;
  /** It has stood still in the band long enough to be taken. */
  isAccepted: boolean;
  /** For how long it has stood still, ms. */
  stillMs: number;
}

/** What a scale shows while nothing is put on it, g. */
export interface AtRest {
  massG: number;
  /** It goes up and down by so much by itself. */
  flickerG: number;
}

/** What it showed in so long says what it shows at rest, ms. */
const REST_MS = 1000;
/** Further off, g, something was put on or taken off. */
export const MOVED_G = 0.3;

/**
 * What stands on a scale, by the middle of what it showed in the last second: one reading may be a step off.
 *
 * @returns null while nothing was read
 */
export function atRest(readings: readonly ScaleReading[]): AtRest | null {
  const last = readings.at(-1);
  if (!last) return null;
  const since = readings.findLastIndex(
    ({ massG, isStable, atMs }) =>
      isStable === false || last.atMs - atMs > REST_MS || Math.abs(massG - last.massG) > MOVED_G / 2,
  );
  const masses = readings.slice(since + 1).map(({ massG }) => massG);
  const middle = masses.toSorted((a, b) => a - b)[Math.floor(masses.length / 2)];
  return middle === undefined
    ? { massG: last.massG, flickerG: 0 }
    : { massG: middle, flickerG: Math.max(...masses) - Math.min(...masses) };
}

const ACCEPTED_AFTER_MS = 2000;
const FEWEST_READINGS = 3;
/** It stands still while it moves by no more than so many of its steps, or such a part of the band. */
const STILL_STEPS = 1.5;
const STILL_OF_BAND = 0.25;
/** Less than so many steps, or than it flickers at rest, and than half of what is aimed at, is nothing yet. */
const NOTHING_STEPS = 2;

/**
 * A weighing by its readings so far: stable while it does not move, accepted after two seconds and three readings in the
 * band. What stood on the scale before is taken off, so that doses go into one jug without tare.
 *
 * @param zero what stood there when it began
 * @returns null while nothing was read
 */
export function watchScale(
  readings: readonly ScaleReading[],
  { massG: zeroG, flickerG }: AtRest,
  { targetG, bandG, stepG, isFine }: ScaleTarget,
): ScaleWatch | null {
  const last = readings.at(-1);
  if (!last) return null;
  const nettoG = last.massG - zeroG;
  const inBand = (massG: number) => Math.abs(massG - zeroG - targetG) <= bandG + stepG * 1e-6;
  const stillG = Math.max(STILL_STEPS * stepG, STILL_OF_BAND * bandG);
  let since = readings.length - 1;
  while (since > 0) {
    const before = readings[since - 1];
    if (!before || Math.abs(before.massG - last.massG) > stillG || before.isStable === false) break;
    since--;
  }
  const still = last.isStable === false ? [] : readings.slice(since);
  const stillMs = last.atMs - (still[0]?.atMs ?? last.atMs);
  const accepted = still.filter(({ massG }) => inBand(massG));
  const isLong =
    accepted.length === still.length && still.length >= FEWEST_READINGS && stillMs >= ACCEPTED_AFTER_MS;
  return {
    nettoG,
    isStable: last.isStable ?? (still.length >= FEWEST_READINGS && stillMs >= ACCEPTED_AFTER_MS / 2),
    place:
      nettoG <= Math.min(Math.max(NOTHING_STEPS * stepG, flickerG + stepG / 2), targetG / 2)
        ? 'nothing'
        : inBand(last.massG)
          ? 'in'
          : nettoG < targetG
            ? 'below'
            : 'above',
    isFine,
    isAccepted: isLong && isFine,
    stillMs,
  };
}
