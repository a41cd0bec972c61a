const HOUR_MS = 3600_000;

/** Where the time axis of the rack has its marks, from now on: near at hand it is drawn wider. */
export const AXIS_HOURS = [0, 1, 2, 4, 8, 24, 72, 336] as const;

/**
 * Where a moment lies on the axis, from 0 at now to 1 at its end.
 *
 * @param afterMs from now; what has passed lies at 0
 */
export function onAxis(afterMs: number): number {
  const hours = afterMs / HOUR_MS;
  const place = AXIS_HOURS.findIndex((mark) => mark > hours);
  if (place === 0 || hours <= 0) return 0;
  if (place < 0) return 1;
  const [from = 0, to = 1] = [AXIS_HOURS[place - 1], AXIS_HOURS[place]];
  return (place - 1 + (hours - from) / (to - from)) / (AXIS_HOURS.length - 1);
}
