/** What makers, ovens or copies of a mold are at: so many of a kind, each at one thing at a time. */
export interface Busy {
  /** Whether so many of them are free all the while; one, unless it is said. */
  isFree(fromS: number, toS: number, many?: number): boolean;
  /** The earliest start from `fromS` on with so many free for so long; Infinity where there are never so many. */
  firstFreeS(fromS: number, lengthS: number, many?: number): number;
  take(fromS: number, toS: number, many?: number): void;
}

const TOUCHING_S = 1e-6;

interface Taken {
  fromS: number;
  toS: number;
  many: number;
}

/** @param count how many there are, one or more; more may be told of later */
export function busy(count: () => number = () => 1): Busy {
  /** By their beginning: work is mostly given out in its order, and a long day has thousands of these. */
  const taken: Taken[] = [];
  let longestS = 0;
  /** How many begin before a moment. */
  const countBefore = (atS: number) => {
    let [low, high] = [0, taken.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((taken[middle]?.fromS ?? 0) < atS) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const overlapping = (fromS: number, toS: number): Taken[] => {
    const at: Taken[] = [];
    for (let place = countBefore(toS - TOUCHING_S) - 1; place >= 0; place--) {
      const each = taken[place];
      // What begins so much before is over, however long it takes.
      if (!each || each.fromS + longestS < fromS) break;
      if (each.toS > fromS + TOUCHING_S) at.push(each);
    }
    return at;
  };
  const isFree = (fromS: number, toS: number, many = 1) => {
    const at = overlapping(fromS, toS);
    const mostAtOnce = Math.max(
      0,
      ...at.map(({ fromS: beginS }) =>
        at.reduce(
          (sum, each) => sum + (each.fromS <= beginS && each.toS > beginS + TOUCHING_S ? each.many : 0),
          0,
        ),
      ),
    );
    return mostAtOnce + many <= count();
  };
  return {
    isFree,
    firstFreeS(fromS, lengthS, many = 1) {
      if (isFree(fromS, fromS + lengthS, many)) return fromS;
      const ends = taken.map(({ toS }) => toS).filter((toS) => toS > fromS);
      return (
        ends.sort((a, b) => a - b).find((startS) => isFree(startS, startS + lengthS, many)) ??
        Number.POSITIVE_INFINITY
      );
    },
    take(fromS, toS, many = 1) {
      taken.splice(countBefore(fromS), 0, { fromS, toS, many });
      longestS = Math.max(longestS, toS - fromS);
    },
  };
}

/** The same, seen from a clock that begins at `originS`, and not before that. */
export function busyFrom(all: Busy, originS: number): Busy {
  return {
    isFree: (fromS, toS, many) => fromS >= -TOUCHING_S && all.isFree(fromS + originS, toS + originS, many),
    firstFreeS: (fromS, lengthS, many) =>
      all.firstFreeS(Math.max(0, fromS) + originS, lengthS, many) - originS,
    take: (fromS, toS, many) => all.take(fromS + originS, toS + originS, many),
  };
}

/** As fine as hands are planned. */
const STEP_S = 15;

/** The latest start from `latestS` back to `floorS` that is free; null when there is none. */
export function latestFree(
  latestS: number,
  floorS: number,
  isFree: (startS: number) => boolean,
): number | null {
  for (let startS = latestS; startS >= floorS - TOUCHING_S; startS -= STEP_S)
    if (isFree(startS)) return startS;
  return null;
}

/** The earliest start from `fromS` on that is free. */
export function earliestFree(fromS: number, isFree: (startS: number) => boolean): number {
  let startS = fromS;
  while (!isFree(startS)) startS += STEP_S;
  return startS;
}
