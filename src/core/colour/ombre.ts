import { visibleDistance } from './oklab';
import type { Light } from './rgb';

const FINE_STEPS = 512;

/**
 * Doses between two, so that neighbours look equally far apart: the way from the palest to the deepest colour is
 * measured in visible distance, and cut into equal parts.
 *
 * @param pours how many, both ends among them; two or more
 * @param lightAt the colour that a dose gives
 * @throws RangeError when there are fewer than two pours, or the doses don't rise
 */
export function ombreDoses(
  pours: number,
  fromOfBase: number,
  toOfBase: number,
  lightAt: (ofBase: number) => Light,
): number[] {
  if (!(pours >= 2)) throw new RangeError('an ombré needs two pours at least');
  if (!(fromOfBase >= 0 && toOfBase > fromOfBase))
    throw new RangeError('the last dose must be the stronger one');
  const doseAt = (step: number) => fromOfBase + ((toOfBase - fromOfBase) * step) / FINE_STEPS;
  const way = [0];
  let before = lightAt(fromOfBase);
  for (let step = 1; step <= FINE_STEPS; step++) {
    const here = lightAt(doseAt(step));
    way.push((way[step - 1] ?? 0) + visibleDistance(before, here));
    before = here;
  }
  const whole = way[FINE_STEPS] ?? 0;
  return Array.from({ length: pours }, (_, rung) => {
    const wanted = (whole * rung) / (pours - 1);
    const above = Math.max(
      1,
      way.findIndex((length) => length >= wanted - 1e-12),
    );
    const [low = 0, high = 0] = [way[above - 1], way[above]];
    if (whole === 0) return doseAt((FINE_STEPS * rung) / (pours - 1));
    const share = high > low ? (wanted - low) / (high - low) : 1;
    return doseAt(above - 1 + share);
  });
}
