import { ciede2000 } from './ciede2000';
import { type Light, perBand } from './rgb';

/** Of a halving: to less than a billionth of a dose. */
const TURNS = 36;

/**
 * Doses between two, so that neighbours look equally far apart: from the palest on, each is the dose that lies one step
 * of CIEDE2000 from the one before, and the step is the one that ends at the deepest.
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
  const seenAt = (ofBase: number) => shown(lightAt(ofBase));
  const whole = ciede2000(seenAt(fromOfBase), seenAt(toOfBase));
  if (whole === 0) return evenly(pours, fromOfBase, toOfBase);
  let [low, high] = [0, 2 * whole];
  let doses: number[] = [];
  for (let turn = 0; turn < TURNS; turn++) {
    const step = (low + high) / 2;
    const tried = walk(pours, fromOfBase, toOfBase, step, seenAt);
    if (tried === null) high = step;
    else {
      doses = tried;
      low = step;
    }
  }
  return doses.length === pours ? [...doses.slice(0, -1), toOfBase] : evenly(pours, fromOfBase, toOfBase);
}

/** Steps of so much from the palest dose on; null where they pass the deepest. */
function walk(
  pours: number,
  from: number,
  to: number,
  step: number,
  seenAt: (ofBase: number) => Light,
): number[] | null {
  const doses = [from];
  for (let rung = 1; rung < pours; rung++) {
    const here = doses[rung - 1] ?? from;
    const light = seenAt(here);
    if (ciede2000(light, seenAt(to)) < step) return null;
    let [low, high] = [here, to];
    for (let turn = 0; turn < TURNS; turn++) {
      const middle = (low + high) / 2;
      if (ciede2000(light, seenAt(middle)) < step) low = middle;
      else high = middle;
    }
    doses.push(high);
  }
  return doses;
}

/** What reaches the eye from a screen or a bar: nothing is brighter than white. */
function shown(light: Light): Light {
  return perBand((band) => Math.min(1, Math.max(0, light[band])));
}

function evenly(pours: number, from: number, to: number): number[] {
  return Array.from({ length: pours }, (_, rung) => from + ((to - from) * rung) / (pours - 1));
}
