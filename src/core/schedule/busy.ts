/** What makers, ovens or copies of a mold are at: so many of a kind, each at one thing at a time. */
export interface Busy {
  /** Whether so many of them are free all the while; one, unless it is said. */
  isFree(fromS: number, toS: number, many?: number): boolean;
  /** The earliest start from `fromS` on with so many free for so long; Infinity where there are never so many. */
  firstFreeS(fromS: number, lengthS: number, many?: number): number;
  take(fromS: number, toS: number, many?: number): void;
}

const TOUCHING_S = 1e-6;

/** @param count how many there are, one or more; more may be told of later */
export function busy(count: () => number = () => 1): Busy {
  const taken: { fromS: number; toS: number; many: number }[] = [];
  const overlaps = (each: { fromS: number; toS: number }, fromS: number, toS: number) =>
    each.toS > fromS + TOUCHING_S && each.fromS < toS - TOUCHING_S;
  const isFree = (fromS: number, toS: number, many = 1) => {
    const at = taken.filter((each) => overlaps(each, fromS, toS));
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
    take: (fromS, toS, many = 1) => taken.push({ fromS, toS, many }),
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
