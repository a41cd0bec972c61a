import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { atBench, doNext, MIN, START } from '../../../tests/support/scriptedMaker';
import { timelineOf } from './timeline';

test('the course of a run stands beside its plan, what is open without a moment', () => {
  const bench = atBench(sheetOf(planFile([{}], {}, BOX)));
  while (bench.so().inHand?.id !== 'r1/A/l1/pour') doNext(bench);
  bench.wait(30 * MIN);
  doNext(bench);
  const rows = timelineOf(bench.so(), new Date(START).toISOString());
  assert.deepEqual(
    rows.map(({ task, doneS }) => [task.kind, doneS !== null]),
    [
      ['melt', true],
      ['pour', true],
      ['unmold', false],
      ['wrap', false],
    ],
  );
  const pour = rows[1];
  assert.ok(pour && isClose(pour.doneS ?? 0, (bench.now() - START) / 1000, 1e-4));
  assert.ok((pour.doneS ?? 0) > pour.plannedToS);
});
