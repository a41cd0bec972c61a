import { USUAL_HOUSE_RULES } from '../src/core/houseRules/houseRules';
import { heatOnward } from '../src/core/run/heatOnward';
import { onward } from '../src/core/run/onward';
import { progress, withEvent } from '../src/core/run/progress';
import type { Run } from '../src/core/run/run';
import { makePourPlan } from '../src/core/schedule/makePourPlan';
import { BOX, planFile, sheetOf } from '../tests/support/planFiles';
import { nextEvent, recorded, runOf } from '../tests/support/runs';

/** The rest of a run of four pours made anew after an event, beside its pour plan. */
const TIMES = 15;
const sheet = sheetOf(
  planFile([{ size: '6 mm' }, { size: '6 mm' }, { size: '6 mm' }, { size: 'rest' }], {}, BOX),
);

let run: Run = runOf(sheet);
while (progress(run).inHand?.id !== 'r1/C/l1/pour') {
  const event = nextEvent(run);
  if (!event) throw new RangeError('a run that ends before its third pour');
  run = withEvent(run, recorded(event));
}
const startedMs = Date.parse(run.startedAt);

function median(work: () => unknown): number {
  work();
  const figures = Array.from({ length: TIMES }, () => {
    const began = performance.now();
    work();
    return performance.now() - began;
  });
  return figures.sort((a, b) => a - b)[Math.floor(TIMES / 2)] ?? 0;
}

const plan = median(() => makePourPlan(sheet, USUAL_HOUSE_RULES));
const heat = heatOnward(run, startedMs);
const followed = median(() => heatOnward(run, startedMs));
const placed = median(() => onward(progress(run), heat, startedMs, startedMs));
console.log(
  `after an event, four pours: heat followed in ${followed.toFixed(1)} ms (a worker), tasks placed in ${placed.toFixed(2)} ms (the page); the whole pour plan takes ${(plan / followed).toFixed(1)} times as long as the first`,
);
