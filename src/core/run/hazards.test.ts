import assert from 'node:assert/strict';
import test from 'node:test';
import { colorant, dispersant, fragrance, planFile, sheetOf } from '../../../tests/support/planFiles';
import { runOf } from '../../../tests/support/runs';
import { hazardsOf } from './hazards';
import { progress } from './progress';

const sheet = sheetOf(
  planFile([
    {
      doses: [
        [fragrance(), '2 %'],
        [colorant(), '1 g'],
      ],
    },
    { doses: [[dispersant(), '3 g']] },
  ]),
);

test('each task says what can hurt in it, and what can not hurt says nothing', () => {
  const { tasks } = progress(runOf(sheet));
  const of = (id: string, meltIn: 'microwave' | 'double-boiler' = 'microwave') => {
    const task = tasks.find((each) => each.id === id);
    assert.ok(task, id);
    return hazardsOf(task, sheet, { meltIn });
  };
  assert.deepEqual(of('r1/A/l1/base'), ['sharp']);
  assert.deepEqual(of('r1/A/l1/melt'), ['hot-base', 'microwave', 'children']);
  assert.deepEqual(of('r1/A/l1/melt', 'double-boiler'), ['hot-base', 'hot-water', 'children']);
  assert.deepEqual(of('r1/A/l1/pour'), ['hot-base']);
  const spritz = tasks.find(({ kind }) => kind === 'spritz');
  assert.deepEqual(spritz && hazardsOf(spritz, sheet, { meltIn: 'microwave' }), ['alcohol']);
  for (const task of tasks)
    if (['skin', 'set', 'wrap', 'unmold'].includes(task.kind)) assert.deepEqual(of(task.id), []);
  assert.ok(tasks.some((task) => task.kind === 'weigh-dose' && of(task.id).includes('hot-base')));
});
