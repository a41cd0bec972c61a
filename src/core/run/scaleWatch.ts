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
}

/** Where a weighing on a scale stands. */
export interface ScaleWatch {
  /** On the scale beyond what stood there when it began, g. */
  nettoG: number;
  isStable: boolean;
  /** Nothing of it yet; below, in or above the band. */
  place: 'nothing' | 'below' | 'in' | 'above';
  /** It has stood still in the band long enough to be taken. */
  isAccepted: boolean;
  /** For how long it has stood still, ms. */
  stillMs: number;
}

const ACCEPTED_AFTER_MS = 2000;
const FEWEST_READINGS = 3;
/** It stands still while it moves by no more than so many of its steps. */
const STILL_STEPS = 1.5;
const NOTHING_STEPS = 2;

/**
 * A weighing by its readings so far: stable while it does not move, accepted after two seconds and three readings in the
 * band. What stood on the scale before is taken off, so that doses go into one jug without tare.
 *
 * @param zeroG what stood there when it began
 * @returns null while nothing was read
 */
export function watchScale(
  readings: readonly ScaleReading[],
  zeroG: number,
  { targetG, bandG, stepG }: ScaleTarget,
): ScaleWatch | null {
  const last = readings.at(-1);
  if (!last) return null;
  const nettoG = last.massG - zeroG;
  const inBand = (massG: number) => Math.abs(massG - zeroG - targetG) <= bandG + stepG * 1e-6;
  let since = readings.length - 1;
  while (since > 0) {
    const before = readings[since - 1];
    if (!before || Math.abs(before.massG - last.massG) > STILL_STEPS * stepG || before.isStable === false)
      break;
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
      nettoG <= NOTHING_STEPS * stepG
        ? 'nothing'
        : inBand(last.massG)
          ? 'in'
          : nettoG < targetG
            ? 'below'
            : 'above',
    isAccepted: isLong,
    stillMs,
  };
}
