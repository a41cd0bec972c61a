import assert from 'node:assert/strict';
import test from 'node:test';
import { allNeeds } from '../../src/server/needs';
import { createPlan } from '../../src/server/plans';
import { planView, viewContext } from '../../src/server/views';
import { fragrance, isClose, planFile } from '../support/planFiles';
import { workshopWith } from '../support/workshops';

test('what is bought for a plan holds what its pieces of other plans take, and theirs', async () => {
  const { workshop, stored: inner } = workshopWith(planFile([{ doses: [[fragrance(), '2 %']] }]));
  const settingIn = (planId: string, name: string) =>
    createPlan(workshop, {
      ...inner.plan,
      name,
      pieces: 3,
      pours: inner.plan.pours.map((pour) => ({
        ...pour,
        doses: [],
        embeds: [
          {
            id: 'e1',
            as: 'pieces' as const,
            from: { is: 'plan' as const, planId },
            perPiece: 1,
            size: { by: 'volume' as const, volumeMl: 50 },
            heightMm: null,
            liftMm: 0,
            standsOutMm: 0,
          },
        ],
      })),
    });
  const middle = settingIn(inner.id, 'Middle');
  const outer = settingIn(middle.id, 'Outer');
  const context = viewContext(workshop);
  const { sheet } = await planView(workshop, outer, context);
  assert.ok(sheet);
  const { needs, madeAhead } = await allNeeds(workshop, sheet, context);
  // Three halves of a whole piece are two whole ones, and one of them takes half of another.
  assert.deepEqual(
    madeAhead.map(({ name, pieces }) => [name, pieces]),
    [
      ['Middle', 2],
      ['Test plan', 1],
    ],
  );
  const scentG = needs
    .filter(({ materialId }) => materialId === 'scent-1')
    .reduce((sum, { amount }) => sum + amount, 0);
  const { sheet: one } = await planView(workshop, { ...inner, plan: { ...inner.plan, pieces: 1 } }, context);
  assert.ok(isClose(scentG, one?.pours[0]?.lines[0]?.massG ?? 0));
});
