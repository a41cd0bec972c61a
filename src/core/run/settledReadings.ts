/** A rise of more than this is no noise, K. */
const RISE_K = 1;

/**
 * The readings of a thermometer that stands in a jug, from when it and the jug only cool: what it showed while it warmed up
 * itself, and before the jug was warmed again, tells nothing of how the jug cools.
 *
 * @param readings of one jug, in order of time
 */
export function settledReadings<Of extends { tempC: number }>(readings: readonly Of[]): Of[] {
  let start = Math.max(0, readings.length - 1);
  for (let place = start; place >= 0; place--) {
    const tempC = readings[place]?.tempC ?? 0;
    const highestC = readings[start]?.tempC ?? 0;
    if (tempC < highestC - RISE_K) break;
    if (tempC >= highestC) start = place;
  }
  return readings.slice(start);
}
