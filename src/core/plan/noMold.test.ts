import assert from 'node:assert/strict';
import test from 'node:test';
import {
  colorant,
  fragrance,
  isClose,
  mold,
  pieces,
  planFile,
  scrap,
  sheetOf,
} from '../../../tests/support/planFiles';
import { reviewPlan } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { NO_MOLD } from '../molds/noMold';
import { meltsOf } from '../work/loads';
import { intoMold } from './intoMold';
import type { PlanFile } from './plan';
import { planSchema } from './planSchema';

const RULES = { rules: USUAL_HOUSE_RULES, shelf: null };
const TRAY = mold({ usualFillFraction: 0.9 });
const batch = (massG: number) => ({
  by: 'base' as const,
  massG,
  text: `${massG} g`,
  gives: 'pieces' as const,
});
const unmolded = (massG: number, pours: Parameters<typeof planFile>[0]): PlanFile =>
  planFile(pours, { pieces: 1, batch: batch(massG), jugLossFraction: 0.03 }, NO_MOLD, [scrap()]);

test('without a mold a plan has its weights, shares and volume all the same', () => {
  // 600 g of base at 1.05 g/mL and 12 g of scent at 0.95.
  for (const massG of [60, 600, 11_500, 90_000]) {
    const { totals, pours } = sheetOf(unmolded(massG, [{ doses: [[fragrance(), '2 %']] }]));
    const near = (actual: number, expected: number) =>
      assert.ok(isClose(actual, expected, 1e-6), `${actual}`);
    near(totals.baseG, massG);
    near(totals.jugG, massG * 1.02);
    near(totals.intoMoldMl, massG * (1 / 1.05 + 0.02 / 0.95) * 0.97);
    near(pours[0]?.lines[0]?.massG ?? 0, massG * 0.02);
    assert.equal(totals.rounds, 1);
  }
  const melts = meltsOf(sheetOf(unmolded(600, [{}, {}])), USUAL_HOUSE_RULES);
  assert.deepEqual(
    melts.map(({ needG }) => Math.round(needG)),
    [300, 300],
  );
});

test('what asks how many pieces there are, or how wide they are, is a stop until a mold is chosen', () => {
  const found = (pours: Parameters<typeof planFile>[0]) =>
    reviewPlan(unmolded(600, pours), RULES)
      .findings.filter(({ severity }) => severity === 'stop')
      .map(({ code, about }) => `${code} ${about}`.trim());
  assert.deepEqual(found([{ doses: [[fragrance(), '6 drops/piece']] }]), ['needs-mold Test scent']);
  assert.deepEqual(found([{ doses: [[colorant(), '4 to 6 drops/piece']] }]), ['needs-mold Test mica']);
  assert.deepEqual(found([{ size: '8 mm' }, { size: 'rest' }]), ['needs-mold', 'no-room-for-base']);
  assert.deepEqual(
    found([{ embeds: [pieces('scrap-1', { size: { by: 'mass', massG: 5 } })] }]).includes(
      'needs-mold Test offcuts',
    ),
    true,
  );
  assert.deepEqual(found([{ doses: [[fragrance(), '6 drops']] }]), []);
  // Nothing but the weight says how much is made, so no mend says it by pieces.
  const [missed] = reviewPlan(unmolded(600, [{ size: '900 g' }, { size: 'rest' }]), RULES).findings;
  assert.deepEqual(missed?.code === 'batch-missed' ? [missed.fault, missed.pieces, missed.fix] : missed, [
    'under',
    null,
    null,
  ]);
});

test('a plan goes out of its mold with its weight, and into another with its usual fill', () => {
  const file = planFile([{}], { pieces: 6 }, TRAY);
  const out = intoMold(file.plan, null, sheetOf(file), 'metric');
  assert.deepEqual(out.batch, { by: 'base', massG: 630, text: '630 g', gives: 'pieces' });
  const sheet = sheetOf({ ...file, plan: out, mold: NO_MOLD });
  assert.ok(isClose(sheet.totals.baseG, 630, 1e-6));
  const back = intoMold(out, TRAY, sheet, 'metric');
  assert.deepEqual([back.moldId, back.fillFraction], [TRAY.id, 0.9]);
  // 600 mL at nine tenths of 100 mL: six and two thirds.
  assert.ok(isClose(sheetOf({ ...file, plan: back }).fills, 600 / 90, 1e-6));
  // Nothing says what it comes to without a sheet.
  assert.equal(intoMold(file.plan, null, null, 'metric'), file.plan);
});

test('without a mold a plan says a weight', () => {
  const { plan } = unmolded(600, [{}]);
  const { batch: _, ...rest } = plan;
  assert.equal(planSchema.safeParse(plan).success, true);
  for (const wrong of [rest, { ...plan, batch: { ...batch(600), gives: 'fill' } }]) {
    const read = planSchema.safeParse(wrong);
    assert.deepEqual(
      read.error?.issues.map(({ message }) => message),
      ['weight-without-mold'],
    );
  }
});
