export const QUANTITIES = ['mass', 'temperature'] as const;
/** What an instrument reads, g or °C. */
export type Quantity = (typeof QUANTITIES)[number];

/** What an instrument showed at a moment, ms since the epoch. */
export interface ReadingPoint {
  atMs: number;
  value: number;
}

/** Readings of one instrument that were kept together. */
export interface KeptReadings {
  instrument: string;
  quantity: Quantity;
  /** The melt whose jug it was in; null where it was in none. */
  taskId: string | null;
  points: ReadingPoint[];
}

/** As many as are sent at once. */
export const MOST_POINTS = 600;

/** A change that is smaller tells nothing, g or K. */
const LEAST_CHANGE: Record<Quantity, number> = { mass: 0.05, temperature: 0.2 };
/** An instrument moves by one step of its own accord. */
const STEPS = 2;
const EVERY_MS = 1000;
/** Nothing new for so long is kept as well. */
const AT_THE_LATEST_MS = 10_000;

/**
 * The readings that are kept of some: changes beyond two steps of the instrument, at most one a second, and one every ten
 * seconds where nothing changes.
 *
 * @param last what was kept last; null at first
 * @param step what the instrument moves by, g or K; 0 where nobody knows
 */
export function thinnedReadings(
  points: readonly ReadingPoint[],
  last: ReadingPoint | null,
  quantity: Quantity,
  step = 0,
): ReadingPoint[] {
  const least = Math.max(LEAST_CHANGE[quantity], STEPS * step);
  const kept: ReadingPoint[] = [];
  let before = last;
  for (const point of points) {
    const sinceMs = before === null ? Number.POSITIVE_INFINITY : point.atMs - before.atMs;
    const isNew = before === null || Math.abs(point.value - before.value) >= least * (1 - 1e-9);
    if (sinceMs < EVERY_MS || (!isNew && sinceMs < AT_THE_LATEST_MS)) continue;
    kept.push(point);
    before = point;
  }
  return kept;
}
