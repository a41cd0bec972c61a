import assert from 'node:assert/strict';
import test from 'node:test';
import { fragrance, planFile } from '../../../tests/support/planFiles';
import type { Plan } from '../plan/plan';
import { reviewPlan } from './review';

test('a finding keeps its id when pours change places, and no two have the same', () => {
  const file = planFile([{ doses: [[fragrance(), '9 %']] }, {}]);
  const idsOf = (plan: Plan) => reviewPlan({ ...file, plan }).findings.map(({ id }) => id);
  const before = idsOf(file.plan);
  const [over] = before.filter((id) => id.startsWith('fragrance-over-cap//p'));
  const after = idsOf({ ...file.plan, pours: file.plan.pours.toReversed() });
  assert.ok(over && after.includes(over), `${over} among ${after}`);
  assert.equal(new Set(before).size, before.length);
});
