import assert from 'node:assert/strict';
import test from 'node:test';
import { countOpen } from '../../src/core/checks/countOpen';
import { withSeen } from '../../src/core/checks/seenFindings';
import { NO_MOLD } from '../../src/core/molds/noMold';
import { USUAL_MAKING } from '../../src/core/plan/making';
import { saveHouseRules } from '../../src/server/houseRules';
import { countsNow, countsWithHeat } from '../../src/server/planCounts';
import { savePlan } from '../../src/server/plans';
import { startRun } from '../../src/server/startRun';
import { planView } from '../../src/server/views';
import { fragrance, mold, planFile } from '../support/planFiles';
import { workshopWith } from '../support/workshops';

/** A box whose second pour comes onto a cold layer; `times` says what it is made by. */
const twoPours = (plan: Parameters<typeof planFile>[1] = {}) =>
  planFile(
    [{ size: '8 mm' }, { size: 'rest', doses: [[fragrance(), '2 %']] }],
    plan,
    mold({
      shape: { kind: 'box', lengthMm: 60, widthMm: 60, depthMm: 30, draftDeg: 0, cornerMm: 0 },
      capacityMl: 108,
    }),
  );

test('a card counts what the plan and the start of its run find, once the pour plan is known', async () => {
  const { workshop, stored } = workshopWith(
    twoPours({ making: { ...USUAL_MAKING, clock: { at: 'finish', time: '2025-12-31T12:00', zone: 'UTC' } } }),
  );
  const before = countsNow(workshop, await planView(workshop, stored));
  assert.deepEqual([before.cautions, before.isHeatToCome], [0, true]);
  const counts = await countsWithHeat(workshop, await planView(workshop, stored));
  assert.deepEqual(counts, { stops: 0, cautions: 1, isHeatToCome: false });
  assert.deepEqual(countsNow(workshop, await planView(workshop, stored)), counts);
});

test('what was accepted for the plan is not counted, and the run is told the same', async () => {
  const { workshop, stored } = workshopWith(twoPours());
  const { item, revision } = workshop.houseRules.read();
  saveHouseRules(workshop, { ...item, spritz: 'never' }, revision);
  const counts = await countsWithHeat(workshop, await planView(workshop, stored));
  const { snapshot } = startRun(workshop, crypto.randomUUID(), stored.id);
  assert.deepEqual({ ...countOpen(snapshot.findings, stored.plan), isHeatToCome: false }, counts);
  const accepted = savePlan(workshop, stored.id, withSeen(stored.plan, snapshot.findings), stored.revision);
  assert.deepEqual(countsNow(workshop, await planView(workshop, accepted)), {
    stops: 0,
    cautions: 0,
    isHeatToCome: false,
  });
});

test('cautions that the plan tells on one line are one', async () => {
  const unknown = { maxOfProduct: null };
  const { workshop, stored } = workshopWith(
    planFile([
      {
        doses: [
          [fragrance({ ...unknown, id: 'one', name: 'One' }), '1 %'],
          [fragrance({ ...unknown, id: 'other', name: 'Other' }), '1 %'],
        ],
      },
    ]),
  );
  const view = await planView(workshop, stored);
  assert.equal(view.findings.filter(({ code }) => code === 'unknown-limit').length, 2);
  const others = view.findings.filter(
    ({ severity, code }) => severity === 'caution' && code !== 'unknown-limit',
  );
  assert.equal(countsNow(workshop, view).cautions, others.length + 1);
});

test('a plan without a mold waits for no pour plan', async () => {
  const { workshop, stored } = workshopWith({
    ...twoPours(),
    plan: {
      ...twoPours().plan,
      moldId: NO_MOLD.id,
      pieces: 1,
      batch: { by: 'base', massG: 500, text: '500 g', gives: 'pieces' },
    },
    mold: NO_MOLD,
  });
  const { isHeatToCome } = countsNow(workshop, await planView(workshop, stored));
  assert.equal(isHeatToCome, false);
});
