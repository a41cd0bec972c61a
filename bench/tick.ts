import { progress } from '../src/core/run/progress';
import { findRun, recordEvent } from '../src/server/runs';
import { startRun } from '../src/server/startRun';
import { addLot } from '../src/server/stock';
import { fragrance, mold, planFile } from '../tests/support/planFiles';
import { nextEvent } from '../tests/support/runs';
import { workshopWith } from '../tests/support/workshops';

/** A tick of a long run, with the stock it takes, beside telling anew where that run stands. */
const TICKS = 150;
const dosed = { doses: [[fragrance(), '2 %'] as [ReturnType<typeof fragrance>, string]] };
const { workshop, stored } = workshopWith(planFile([dosed, dosed], { pieces: 240 }, mold({ cavities: 6 })));
addLot(workshop, {
  item: { kind: 'material', id: fragrance().id },
  ...{ number: '1', boughtOn: '2026-01-01', price: null, discountFraction: 0 },
  ...{ amount: 50_000, bestBefore: null, openedOn: null, note: '' },
});
const { id, snapshot } = startRun(workshop, crypto.randomUUID(), stored.id);
const ticks: number[] = [];
const told: number[] = [];
for (let n = 0; n < TICKS; n++) {
  const run = findRun(workshop, id);
  let began = performance.now();
  progress({ ...run, snapshot: { ...run.snapshot } });
  told.push(performance.now() - began);
  const event = nextEvent(run);
  if (!event) throw new RangeError('a run that ends before its ticks');
  began = performance.now();
  recordEvent(workshop, id, crypto.randomUUID(), event);
  ticks.push(performance.now() - began);
}
const median = (of: number[]) => of.toSorted((a, b) => a - b)[TICKS / 2] ?? 0;
console.log(
  `a tick of a run of ${snapshot.tasks.length} tasks, with its stock: ${median(ticks).toFixed(1)} ms, telling anew where the run stands ${median(told).toFixed(1)} ms, ratio ${(median(ticks) / median(told)).toFixed(2)}`,
);
