import type { Stack } from './stack';

/** Set as far as this it carries: tuned against practice (about 45 °C). */
export const CARRIES_LIQUID = 0.3;
/** A skin of this depth carries the next pour: tuned against practice. */
export const SKIN_M = 0.0012;

/**
 * How deep the top of a stack has set, m: where the liquid share comes above {@link CARRIES_LIQUID}, between the middles of
 * two cells.
 *
 * @param floor first cell of the pour
 */
export function skinDepthM({ liquid, thicknessM }: Stack, floor: number): number {
  const last = liquid.length - 1;
  let depthM = 0;
  for (let at = last; at >= floor; at--) {
    const half = (thicknessM[at] ?? 0) / 2;
    const here = liquid[at] ?? 0;
    if (here > CARRIES_LIQUID) {
      if (at === last) return 0;
      const above = liquid[at + 1] ?? 0;
      const between = half + (thicknessM[at + 1] ?? 0) / 2;
      return depthM + half - (between * (here - CARRIES_LIQUID)) / (here - above);
    }
    depthM += 2 * half;
  }
  return depthM;
}

/** Warmest cell from `floor` up, °C. */
export function coreC({ tempC }: Stack, floor: number): number {
  let warmest = Number.NEGATIVE_INFINITY;
  for (let at = floor; at < tempC.length; at++) warmest = Math.max(warmest, tempC[at] ?? 0);
  return warmest;
}
