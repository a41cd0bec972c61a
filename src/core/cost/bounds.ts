/** An amount of money that may not be known for certain, minor units. */
export interface Bounds {
  leastMinor: number;
  /** null where nothing says how much it is at the most. */
  mostMinor: number | null;
}

export const NOTHING: Bounds = { leastMinor: 0, mostMinor: 0 };
/** A price that nobody knows is not nothing. */
export const UNKNOWN: Bounds = { leastMinor: 0, mostMinor: null };

export function exactly(minor: number): Bounds {
  return { leastMinor: minor, mostMinor: minor };
}

export function sumOfBounds(all: readonly Bounds[]): Bounds {
  return all.reduce(
    (sum, each) => ({
      leastMinor: sum.leastMinor + each.leastMinor,
      mostMinor: sum.mostMinor === null || each.mostMinor === null ? null : sum.mostMinor + each.mostMinor,
    }),
    NOTHING,
  );
}

/** @param factor not below zero */
export function timesBounds({ leastMinor, mostMinor }: Bounds, factor: number): Bounds {
  return { leastMinor: leastMinor * factor, mostMinor: mostMinor === null ? null : mostMinor * factor };
}

/** The amount, where it is known for certain; else null. */
export function certainMinor({ leastMinor, mostMinor }: Bounds): number | null {
  return mostMinor !== null && mostMinor - leastMinor < 0.5 ? leastMinor : null;
}
