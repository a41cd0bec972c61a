import fc from 'fast-check';
import { anyPlanFile } from '../tests/support/anyPlanFile';
import { MAKERS_DELAYS, makeToTheEnd } from '../tests/support/scriptedMaker';

/** Random plans, each made to its end at the bench by a maker with random delays. */
export function soakMakers(plans: number, seed: number): void {
  console.log(`seed ${seed}`);
  let made = 0;
  fc.assert(
    fc.property(anyPlanFile(6), MAKERS_DELAYS, (file, delays) => {
      makeToTheEnd(file, delays);
      if (++made % 100 === 0) console.log(`${made} made`);
    }),
    { numRuns: plans, seed },
  );
  console.log(`${plans} plans: no dead end, no task twice, every gram accounted for`);
}
