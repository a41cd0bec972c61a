import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, planFile, sheetOf } from '../../../tests/support/planFiles';
import { atBench, doNext, MIN } from '../../../tests/support/scriptedMaker';
import { coolingsOf } from './coolings';

const MELT = 'r1/A/l1/melt';

test('a jug that was read stands over what was forecast of it when it was melted, whatever was read since', () => {
  const made = (readC: number) => {
    const bench = atBench(sheetOf(planFile([{ size: '12 mm' }, { size: 'rest' }], {}, BOX)));
    while (bench.so().inHand && bench.so().inHand?.id !== MELT) doNext(bench);
    doNext(bench);
    const meltedMs = Date.parse(bench.so().tasks.find(({ id }) => id === MELT)?.doneAt ?? '');
    bench.until(meltedMs + 4 * MIN);
    bench.event({ kind: 'measured', taskId: MELT, tempC: readC });
    while (bench.so().inHand && bench.so().inHand?.id !== 'r1/A/l1/pour') doNext(bench);
    bench.until(meltedMs + 6 * MIN);
    bench.event({ kind: 'done', taskId: 'r1/A/l1/pour', tempC: readC - 4 });
    const points = [
      { atMs: meltedMs + MIN, value: readC + 6 },
      { atMs: meltedMs - MIN, value: 20 },
    ];
    const kept = [
      { instrument: 'T', quantity: 'temperature' as const, taskId: MELT, points },
      { instrument: 'S', quantity: 'mass' as const, taskId: null, points },
    ];
    return { told: coolingsOf(bench.run(), kept), none: coolingsOf(bench.run(), []) };
  };
  const { told, none } = made(60);
  assert.deepEqual(
    told.map(({ taskId, pourIndexes }) => [taskId, pourIndexes]),
    [[MELT, [0]]],
    'what nobody read is not drawn',
  );
  assert.deepEqual(told[0]?.readings, [
    { timeS: 60, tempC: 66 },
    { timeS: 240, tempC: 60 },
    { timeS: 360, tempC: 56 },
  ]);
  assert.equal(none[0]?.readings.length, 2);
  const [first, last] = [told[0]?.curve[0], told[0]?.curve.at(-1)];
  assert.ok(first && last && first.timeS === 0 && last.tempC < first.tempC);
  assert.ok(last.lowC < last.tempC && last.tempC < last.highC);
  assert.deepEqual(made(50).told[0]?.curve, told[0]?.curve);
});
