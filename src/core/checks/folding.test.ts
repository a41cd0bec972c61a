import assert from 'node:assert/strict';
import test from 'node:test';
import { additive, base, colorant, fragrance, planFile } from '../../../tests/support/planFiles';
import { STARTER_MATERIALS } from '../../words/en/starter/materials';
import { STARTER_MOLDS } from '../../words/en/starter/molds';
import { type DoseableMaterial, isDoseable } from '../materials/material';
import type { PlanFile } from '../plan/plan';
import { foldFindings } from './foldFindings';
import { reviewPlan } from './review';
import { isSeen, withoutSeen, withSeen } from './seenFindings';

const unknown = { densityGPerMl: null, origins: null } as const;
const first = (use: PlanFile['plan']['use'] = 'body', oil: Partial<Parameters<typeof fragrance>[0]> = {}) =>
  planFile(
    [
      {
        base: base(unknown),
        doses: [
          [
            fragrance({ ...unknown, maxOfProduct: null, vanillinOfMaterial: null, allergens: null, ...oil }),
            '2 %',
          ],
          [colorant({ ...unknown }), '0.2 %'],
          [additive({ ...unknown, id: 'a1', name: 'One' }), '1 %'],
          [additive({ ...unknown, id: 'a2', name: 'Two' }), '1 %'],
        ],
      },
    ],
    { use },
  );

test('a sound first bar of five materials whose figures nobody knows has one caution and two lines of notes at most', () => {
  const { findings } = reviewPlan(first());
  assert.ok(findings.length > 5);
  const told = foldFindings(findings);
  const cautions = told.filter((each) => each.kind !== 'fold');
  assert.ok(cautions.length <= 1, JSON.stringify(cautions));
  assert.ok(told.filter(({ kind }) => kind === 'fold').length <= 2);
  // Nothing is left out, and nothing is told twice.
  const ids = told.flatMap((each) =>
    each.kind === 'one' ? [each.finding.id] : each.findings.map(({ id }) => id),
  );
  assert.deepEqual([...ids].sort(), findings.map(({ id }) => id).sort());
});

test('stops come first, then cautions by what they cost; what nobody can tell of several is told once', () => {
  const { findings } = reviewPlan(
    planFile([
      {
        base: base({ fragranceCapOfBase: null }),
        doses: [
          [fragrance({ id: 'f1', name: 'One', maxOfProduct: null, usualMostOfBase: 0.01 }), '3 %'],
          [fragrance({ id: 'f2', name: 'Two', maxOfProduct: null }), '3 %'],
          [additive(), '2..1 %'],
        ],
      },
    ]),
  );
  const told = foldFindings(findings);
  assert.equal(told[0]?.kind === 'one' && told[0].finding.code, 'dose-unreadable');
  assert.equal(told[1]?.kind, 'unknown');
  assert.equal(told[1]?.kind === 'unknown' && told[1].findings.length, 2);
  assert.equal(told[2]?.kind === 'one' && told[2].finding.code, 'fragrance-over-cap');
});

test('what was accepted stays away while it says the same, comes back with other figures, and a stop is never accepted', () => {
  const file = planFile([{ doses: [[fragrance({ maxOfProduct: 0.05, usualMostOfBase: 0.01 }), '2 %']] }]);
  const { findings } = reviewPlan(file);
  const over = findings.find(({ code }) => code === 'overdone');
  assert.ok(over);
  const plan = withSeen(file.plan, findings);
  assert.ok(isSeen(over, plan.seen));
  assert.ok(!isSeen(over, withoutSeen(plan).seen));
  const again = (text: string) => {
    const [pour] = file.plan.pours;
    assert.ok(pour?.doses[0]);
    const doses = [{ ...pour.doses[0], text, means: null }];
    const found = reviewPlan({ ...file, plan: { ...plan, pours: [{ ...pour, doses }] } }).findings;
    return found.find(({ code }) => code === 'overdone');
  };
  const [same, other] = [again('2.0 %'), again('2.5 %')];
  assert.ok(same && isSeen(same, plan.seen));
  assert.ok(other && !isSeen(other, plan.seen));
  const stop = reviewPlan(planFile([{ doses: [[fragrance(), '9 %']] }]));
  const [grave] = stop.findings;
  assert.ok(grave?.severity === 'stop');
  assert.ok(!isSeen(grave, withSeen(file.plan, stop.findings).seen));
});

test('a supplier’s limit may differ by use: the plan’s decides, the plain one stands for the rest, head to toe takes the lowest', () => {
  const oil = { maxOfProduct: 0.05, maxByUse: [{ use: 'face', maxOfProduct: 0.01 } as const] };
  const limitOf = (use: PlanFile['plan']['use'], over: Partial<Parameters<typeof fragrance>[0]> = oil) => {
    const found = reviewPlan(first(use, over)).findings;
    const passed = found.find((each) => each.code === 'over-supplier-limit');
    return passed?.code === 'over-supplier-limit' ? [passed.limit, passed.forUse] : null;
  };
  assert.deepEqual(limitOf('face'), [0.01, 'face']);
  assert.deepEqual(limitOf('head-to-toe'), [0.01, 'face']);
  assert.equal(limitOf('body'), null);
  assert.equal(limitOf('hair'), null);
  // A limit for another use is no limit for this one.
  const onlyFace = { ...oil, maxOfProduct: null };
  const codes = (use: PlanFile['plan']['use']) =>
    reviewPlan(first(use, onlyFace)).findings.map(({ code }) => code);
  assert.ok(codes('body').includes('unknown-limit'));
  assert.ok(!codes('face').includes('unknown-limit'));
});

test('sound first bars of the starter shelf have one caution and two lines of notes at most', () => {
  const named = (name: string) => {
    const found = STARTER_MATERIALS.find((material) => material.name === name);
    assert.ok(found, name);
    return found;
  };
  const soapBase = named('Suspension base');
  assert.ok(soapBase.kind === 'base');
  for (const name of [
    'Ground oatmeal',
    'Rice bran',
    'Honey',
    'Sweet almond oil',
    'Fine sea salt',
    'Glycerin',
  ]) {
    const doses = [
      ['Lavender oil', '2 %'],
      ['Mica powder', '½ tsp/lb'],
      [name, '1 %'],
    ].map(([material = '', text = '']): [DoseableMaterial, string] => {
      const dosed = named(material);
      assert.ok(isDoseable(dosed));
      return [dosed, text];
    });
    const { findings } = reviewPlan(planFile([{ base: soapBase, doses }], {}, STARTER_MOLDS[0]));
    const told = foldFindings(findings);
    assert.ok(told.filter(({ kind }) => kind !== 'fold').length <= 1, name);
    assert.ok(told.filter(({ kind }) => kind === 'fold').length <= 2, name);
  }
});
