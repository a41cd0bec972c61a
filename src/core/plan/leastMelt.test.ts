import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import {
  base,
  colorant,
  fragrance,
  isClose,
  mold,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { applyFix } from '../checks/applyFix';
import { reviewPlan } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { needOf } from '../stock/need';
import { meltsOf } from '../work/loads';
import { ofFirstRound } from '../work/ofFirstRound';
import { tasksOf } from '../work/tasksOf';
import { meltFactors, scalePlan } from './scalePlan';

const ink = colorant({ id: 'ink', densityGPerMl: 1 });
const scent = fragrance({ id: 'scent', densityGPerMl: 1 });
const inBase = base({ densityGPerMl: 1 });
const disc = mold({ capacityMl: 4, cavities: 1, shape: { kind: 'capacity-only' } });
const RULES = { ...USUAL_HOUSE_RULES, cutStepG: 5 };

test('less than melts well is melted as that: 5 g for a jug of 60 g, of which a disc takes 4', () => {
  const tooMuch = planFile([{ base: inBase, doses: [[ink, '5 g']] }], { pieces: 1 }, disc);
  const { sheet: none, findings } = reviewPlan(tooMuch);
  assert.equal(none, null);
  const fix = findings.find(({ code }) => code === 'no-room-for-base')?.fix;
  assert.deepEqual(fix, [{ kind: 'set-least-melt', leastMeltG: 60 }]);

  const file = { ...tooMuch, plan: applyFix(tooMuch, fix ?? []) };
  const sheet = sheetOf(file);
  const [pour] = sheet.pours;
  // By hand: 5 g in 60 g is a twelfth, and 4 mL at 1 g/mL are 48/13 g of base and 4/13 g of colour.
  assert.ok(isClose(pour?.baseG ?? 0, 48 / 13));
  assert.ok(isClose(pour?.lines[0]?.massG ?? 0, 4 / 13));
  assert.equal(pour?.meltG, 60);
  assert.ok(isClose(pour?.lines[0]?.addG ?? 0, 5));
  const weights = tasksOf(sheet, RULES).flatMap((task) =>
    task.kind === 'weigh-base' || task.kind === 'weigh-dose' ? [task.massG] : [],
  );
  assert.deepEqual(
    weights.map((massG) => Number(massG.toFixed(9))),
    [60, 5],
  );
  // 65 g are in the jug, and 4 of them go into the disc.
  assert.ok(isClose(meltsOf(sheet, RULES)[0]?.leftOverG ?? 0, 61));
  // The shelf gives what is melted.
  assert.deepEqual(
    needOf(sheet).map(({ amount }) => Number(amount.toFixed(9))),
    [60, 5],
  );
});

test('what is said for each piece, or as a share, is as strong as without it', () => {
  const doses = (text: string) => planFile([{ base: inBase, doses: [[scent, text]] }], { pieces: 2 }, disc);
  for (const text of ['1 %', '0.05 g/piece']) {
    const { plan, ...rest } = doses(text);
    const [plain] = sheetOf({ plan, ...rest }).pours;
    const [melted] = sheetOf({ ...rest, plan: { ...plan, leastMeltG: 60 } }).pours;
    assert.ok(isClose(melted?.lines[0]?.massG ?? 0, plain?.lines[0]?.massG ?? 1), text);
    // Two fillings of 4 mL, each melted as 60 g.
    assert.equal(melted?.meltG, 120);
  }
});

test('each filling melts the least, a last one of a few pieces too, and their doses add up to what was typed', () => {
  const tray = mold({ capacityMl: 4, cavities: 24 });
  const file = planFile([{ base: inBase, doses: [[ink, '6 g']] }], { pieces: 25, leastMeltG: 60 }, tray);
  const sheet = sheetOf(file);
  const tasks = tasksOf(sheet, RULES);
  const bases = tasks.flatMap((task) => (task.kind === 'weigh-base' ? [task] : []));
  const [first = 0, second = 0] = bases.map(({ massG }) => massG);
  assert.ok(first > 85 && isClose(second, 60));
  const doses = tasks.flatMap((task) => (task.kind === 'weigh-dose' ? [task.massG] : []));
  assert.ok(isClose((doses[0] ?? 0) + (doses[1] ?? 0), 6));
  assert.ok(isClose((doses[0] ?? 0) / first, (doses[1] ?? 0) / second));
});

test('a last round is told as a share of the first, jug by jug where one melts the least', () => {
  const tray = mold({ capacityMl: 40, cavities: 24 });
  const of = (leastMeltG: number) =>
    ofFirstRound(
      sheetOf(
        planFile(
          [
            { base: inBase, size: '10 %' },
            { base: inBase, size: 'rest' },
          ],
          { pieces: 30, leastMeltG },
          tray,
        ),
      ),
      1,
      RULES,
    ).map(({ letters, share }) => [letters.join(), Number(share.toFixed(4))]);
  // Six of 24 cavities: a quarter of 96 g is 24 g, and 60 of 96 g are melted for them.
  assert.deepEqual(of(0), [['A,B', 0.25]]);
  assert.deepEqual(of(60), [
    ['A', 0.625],
    ['B', 0.25],
  ]);
});

test('a jug that several pours go on in has its least once, and added doses are for all of it', () => {
  const file = planFile(
    [
      { base: inBase, parts: 1, doses: [[ink, '1 g']], added: true },
      { base: inBase, parts: 1, doses: [[ink, '1 g']], added: true, way: { sameJug: true } },
    ],
    { pieces: 1, leastMeltG: 60 },
    disc,
  );
  const [a, b] = sheetOf(file).pours;
  assert.deepEqual([a?.meltG, b?.meltG], [60, 0]);
  assert.ok(isClose(a?.lines[0]?.addG ?? 0, 1) && isClose(b?.lines[0]?.addG ?? 0, 1));
  assert.ok(isClose(a?.lines[0]?.ofBase ?? 0, 1 / 60));
  const leftG = 60 - (a?.baseG ?? 0);
  assert.ok(isClose(b?.lines[0]?.ofBase ?? 0, 1 / leftG));
});

test('a plan that takes more is as it was, and one that comes near it changes by little', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 200, noNaN: true }),
      fc.double({ min: 0.5, max: 5, noNaN: true }),
      (capacityMl, doseG) => {
        const { plan, ...rest } = planFile(
          [{ base: inBase, doses: [[ink, `${doseG.toFixed(2)} g`]] }],
          { pieces: 1 },
          mold({ capacityMl: capacityMl + 6, cavities: 1 }),
        );
        const plain = sheetOf({ plan, ...rest }).pours[0]?.baseG ?? 0;
        const at = (leastMeltG: number) => sheetOf({ ...rest, plan: { ...plan, leastMeltG } }).pours[0];
        assert.ok(isClose(at(plain * 0.9)?.baseG ?? 0, plain, 1e-9));
        assert.ok(isClose(at(plain * 1.000001)?.baseG ?? 0, plain, 1e-5));
        assert.ok(isClose(at(plain * 3)?.lines[0]?.addG ?? 0, Number(doseG.toFixed(2)), 1e-9));
      },
    ),
    { numRuns: 60 },
  );
});

test('more pieces of little leave the amounts of a jug alone until it no longer suffices', () => {
  const file = planFile(
    [{ base: inBase, doses: [[ink, '6 g']] }],
    { pieces: 2, leastMeltG: 60 },
    {
      ...disc,
      cavities: 40,
    },
  );
  const sheet = sheetOf(file);
  assert.deepEqual(meltFactors(sheet, 3), [1]);
  assert.equal(scalePlan(file.plan, 6, file, sheet).pours[0]?.doses[0]?.text, '6 g');
  // 40 discs take more than 60 g: it grows by what is melted.
  const [factor = 0] = meltFactors(sheet, 20);
  assert.ok(factor > 2 && factor < 2.7);
});
