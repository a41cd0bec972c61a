import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, fragrance, planFile, sheetOf } from '../../../tests/support/planFiles';
import { atBench, doNext, MIN } from '../../../tests/support/scriptedMaker';
import type { Run } from '../run/run';
import { compareRuns } from './compareRuns';

function made(percent: string, { late = 0, times = 1, tempC = 57, fault = false } = {}): Run {
  const file = planFile([{ size: '10 mm', doses: [[fragrance(), percent]] }, { size: 'rest' }], {}, BOX);
  const bench = atBench(sheetOf(file));
  while (bench.so().inHand) {
    const { inHand } = bench.so();
    if (inHand?.id === 'r1/B/l1/pour') {
      bench.until(bench.see().tasks.find(({ id }) => id === inHand.id)?.toMs ?? 0);
      bench.wait(late * MIN);
      bench.event({ kind: 'done', taskId: inHand.id, tempC });
    } else if (inHand?.kind === 'weigh-dose')
      bench.event({ kind: 'weighed', taskId: inHand.id, massG: (inHand.targetG ?? 0) * times });
    else doNext(bench);
  }
  bench.event({
    ...{ kind: 'inspected', inspectionId: 'i', round: 0, note: '', againAfterDays: null },
    pieces: { good: fault ? 4 : 6, second: 0, scrap: 0, remelt: 0 },
    faults: fault ? [{ fault: 'layers-part', pourIndexes: [1], pieces: 2 }] : [],
    weightsG: fault ? [17, 17.2] : [],
  });
  bench.event({ kind: 'finished', verdict: fault ? 'poor' : 'good', goodPieces: 6, note: '' });
  return bench.run();
}

test('a run is the same as itself, and as one that a hand made a little otherwise', () => {
  const run = made('2 %');
  assert.deepEqual(
    compareRuns(run, run).filter(({ differs }) => differs),
    [],
  );
  assert.deepEqual(
    compareRuns(run, made('2 %', { times: 1.01, tempC: 57.5 })).filter(({ differs }) => differs),
    [],
  );
});

test('what was planned, weighed, poured and seen otherwise is told, each with both sides', () => {
  const told = compareRuns(made('2 %'), made('3 %', { late: 40, tempC: 50, fault: true }));
  const differing = told.filter(({ differs }) => differs);
  assert.deepEqual(
    differing.map(({ kind, letter, name }) => [kind, letter, name].join(' ').trim()),
    [
      'planned-dose A Test scent',
      'weighed A Test scent',
      'poured-heat B',
      'poured-after B',
      'good-pieces',
      'piece-weight',
      'faults',
      'verdict',
    ],
  );
  const of = (kind: string) => told.find((each) => each.kind === kind);
  assert.deepEqual([of('planned-dose')?.one, of('planned-dose')?.other], [0.02, 0.03]);
  assert.deepEqual([of('poured-heat')?.one, of('poured-heat')?.other], [57, 50]);
  assert.deepEqual([of('good-pieces')?.one, of('good-pieces')?.other], [6, 4]);
  assert.deepEqual([of('piece-weight')?.one, of('piece-weight')?.other], [null, 17.1]);
  assert.deepEqual([of('faults')?.one, of('faults')?.other], ['', 'layers-part']);
  assert.ok(Math.abs(Number(of('poured-after')?.other) - Number(of('poured-after')?.one) - 40 * 60) < 1);
});
