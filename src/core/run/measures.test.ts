import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { atBench, doNext, MIN } from '../../../tests/support/scriptedMaker';
import { biasAndSpread } from '../knows/biasAndSpread';
import { measuresOf } from './measures';

test('a run tells what it measured of what was predicted, and nothing that nobody measured', () => {
  const bench = atBench(sheetOf(planFile([{ size: '12 mm' }, { size: 'rest' }], {}, BOX)));
  const skin = bench.so().tasks.find(({ kind }) => kind === 'skin');
  assert.ok(skin);
  const until = (taskId: string) => {
    while (bench.so().inHand && bench.so().inHand?.id !== taskId) doNext(bench);
  };
  until('r1/A/l1/pour');
  bench.event({ kind: 'done', taskId: 'r1/A/l1/pour', tempC: 61, leftG: 4 });
  const pouredMs = bench.now();
  bench.wait(5 * MIN);
  bench.event({ kind: 'touched', taskId: skin.id, carries: false });
  bench.wait(3 * MIN);
  bench.event({ kind: 'touched', taskId: skin.id, carries: true });
  while (bench.so().inHand) doNext(bench);
  assert.deepEqual(measuresOf(bench.run(), bench.so()), []);
  bench.event({ kind: 'finished', verdict: 'good', goodPieces: 5, note: '' });
  bench.event({
    ...{ kind: 'inspected', inspectionId: 'a', round: 0, faults: [], note: '', againAfterDays: null },
    ...{ pieces: { good: 5, second: 0, scrap: 1, remelt: 0 }, weightsG: [100, 102] },
  });
  const told = new Map(measuresOf(bench.run(), bench.so()).map((each) => [each.kind, each]));
  assert.equal(told.get('piece-mass')?.measured, 101);
  assert.deepEqual([told.get('good-pieces')?.predicted, told.get('good-pieces')?.measured], [6, 5]);
  assert.equal(told.get('pour-heat')?.measured, 61);
  assert.equal(told.get('skin')?.measured, (8 * MIN) / 1000);
  assert.ok(isClose(told.get('skin')?.predicted ?? 0, skin.toS - skin.fromS));
  assert.ok((told.get('jug-loss')?.measured ?? 0) > 0.005 && (told.get('unmold')?.measured ?? 0) > 60);
  assert.ok(pouredMs > 0);
});

test('drops that were counted onto a scale are beside what the plan counted with, and a full mold beside what it holds', () => {
  const scented = planFile([{ doses: [[fragrance(), '40 drops']] }], {}, BOX);
  const bench = atBench(sheetOf(scented));
  while (bench.so().inHand && bench.so().inHand?.kind !== 'weigh-dose') doNext(bench);
  const { inHand } = bench.so();
  assert.ok(inHand);
  bench.event({ kind: 'weighed', taskId: inHand.id, massG: 1.24, count: 40 });
  while (bench.so().inHand) doNext(bench);
  bench.event({ kind: 'finished', verdict: 'good', goodPieces: 6, note: '', fill: 'as-planned' });
  const told = new Map(measuresOf(bench.run(), bench.so()).map((each) => [each.kind, each]));
  assert.ok(isClose(told.get('drop-mass')?.measured ?? 0, 0.031));
  const counted = sheetOf(scented).pours[0]?.lines[0]?.counted?.gPerOne ?? 0;
  assert.ok(isClose(told.get('drop-mass')?.predicted ?? 0, counted));
  assert.equal(told.get('fill')?.predicted, BOX.capacityMl);
  assert.ok(isClose(told.get('fill')?.measured ?? 0, BOX.capacityMl, 0.1));
});

test('bias is the mean of what predictions were off by, spread its sample standard deviation', () => {
  // By hand: −2 %, +4 %, +1 %: mean 1 %, deviations −3, 3, 0, variance 18 / 2.
  const off = biasAndSpread(
    [
      { predicted: 100, measured: 98 },
      { predicted: 50, measured: 52 },
      { predicted: 200, measured: 202 },
    ],
    true,
  );
  assert.ok(off && isClose(off.bias, 0.01) && isClose(off.spread ?? 0, 0.03) && off.count === 3);
  assert.deepEqual(biasAndSpread([{ predicted: 60, measured: 58 }], false), {
    count: 1,
    bias: -2,
    spread: null,
  });
  assert.equal(biasAndSpread([], true), null);
  assert.equal(biasAndSpread([{ predicted: 0, measured: 1 }], true), null);
});
