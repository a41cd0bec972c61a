/** What one pair of hands, or one oven, is at. */
export interface Busy {
  isFree(fromS: number, toS: number): boolean;
  /** The earliest start from `fromS` on with so much time free. */
  firstFreeS(fromS: number, lengthS: number): number;
  take(fromS: number, toS: number): void;
}

const TOUCHING_S = 1e-6;

export function busy(): Busy {
  const taken: { fromS: number; toS: number }[] = [];
  return {
    isFree: (fromS, toS) =>
      taken.every((each) => each.toS <= fromS + TOUCHING_S || each.fromS >= toS - TOUCHING_S),
    firstFreeS(fromS, lengthS) {
      let startS = fromS;
      for (const each of taken)
        if (each.toS > startS + TOUCHING_S && each.fromS < startS + lengthS - TOUCHING_S) startS = each.toS;
      return startS;
    },
    take(fromS, toS) {
      const place = taken.findIndex((each) => each.fromS > fromS);
      taken.splice(place < 0 ? taken.length : place, 0, { fromS, toS });
    },
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
