import assert from 'node:assert/strict';
import test from 'node:test';
import {
  additive,
  BOX,
  colorant,
  dispersant,
  isClose,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { madeRun, runOf } from '../../../tests/support/runs';
import { applyFix } from '../checks/applyFix';
import { concernsTask } from '../checks/concernsTask';
import { reviewPlan } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { progress } from '../run/progress';
import { usedMaterials } from '../run/usedMaterials';
import { weighedG } from '../run/weighedG';
import { needOf } from '../stock/need';
import { tasksOf } from '../work/tasksOf';
import type { LaidWhere } from './laid';
import { laying } from './plan';

const petals = additive({ id: 'petals', name: 'Petals', role: 'botanical' });
const laid = (where: LaidWhere, text = '11 g/piece') =>
  sheetOf(planFile([{ doses: [[petals, '1 %']], laid: [[petals, text, where]] }], {}, BOX));

test('what is laid in a pour takes up its room and weighs in the piece, and is in no share of the base', () => {
  // 11 g at 1.1 g/mL are 10 mL of each 100: 90 mL are left for base at 1.05 g/mL and a hundredth of it at 1.1.
  const sheet = laid('under');
  const [pour] = sheet.pours;
  assert.ok(isClose(sheet.totals.baseG, (6 * 90) / (1 / 1.05 + 0.01 / 1.1)));
  assert.ok(isClose(sheet.totals.laidG, 66));
  assert.ok(isClose(sheet.totals.pieceG, (sheet.totals.baseG * 1.01) / 6 + 11));
  assert.deepEqual(
    pour?.laid.map(({ massG, ofBase }) => [massG, ofBase]),
    [[66, 0]],
  );
  assert.ok(isClose(pour?.laid[0]?.ofProduct ?? 0, 66 / (sheet.totals.intoMoldG + 66)));
  assert.ok(isClose(pour?.lines[0]?.ofBase ?? 0, 0.01));
});

test('on a skin it lies above what was poured; a weight for all is shared out', () => {
  const sheet = laid('on-skin', '12 g');
  assert.ok(isClose(sheet.totals.intoMoldMl, 600));
  assert.ok(isClose(sheet.totals.laidG, 12));
});

test('nothing of it stays in the jug, and a share of the base it can’t be', () => {
  const file = planFile(
    [
      {
        laid: [
          [petals, '1 g/piece', 'on-liquid'],
          [petals, '2 %', 'under'],
        ],
      },
    ],
    { jugLossFraction: 0.1 },
    BOX,
  );
  const { sheet, findings } = reviewPlan(file);
  assert.ok(isClose(sheet?.totals.laidG ?? 0, 6));
  const unread = findings.filter(({ code }) => code === 'dose-unreadable');
  assert.deepEqual(
    unread.map((found) => found.code === 'dose-unreadable' && found.isLaid),
    [true],
  );
});

test('it is taken off the shelf with what is stirred in, and what it is wetted in leaves again', () => {
  const sheet = laid('under');
  const need = needOf(sheet).find(({ materialId }) => materialId === 'petals');
  assert.ok(isClose(need?.amount ?? 0, 66 + sheet.totals.baseG * 0.01));
  const alcohol = dispersant({ id: 'alcohol', leaves: true });
  const file = planFile([{ laid: [[colorant(), '2 g', 'between-goes']] }], {}, BOX, [alcohol]);
  const [pour] = file.plan.pours;
  const [dose] = pour?.doses ?? [];
  if (!pour || !dose) throw new Error('no dose');
  const streaks = sheetOf({
    ...file,
    plan: {
      ...file.plan,
      pours: [{ ...pour, doses: [{ ...dose, wetIn: { dispersantId: 'alcohol', times: 3 } }] }],
    },
  });
  assert.ok(isClose(streaks.totals.laidG, 2));
  assert.ok(isClose(needOf(streaks).find(({ materialId }) => materialId === 'alcohol')?.amount ?? 0, 6));
});

test('it is weighed into a dish, laid in its turn, and does not follow the base that is really weighed', () => {
  const sheet = sheetOf(
    planFile(
      [
        {
          size: '1 part',
          laid: [
            [petals, '6 g', 'under'],
            [petals, '3 g', 'on-skin'],
          ],
        },
        { size: '1 part', laid: [[petals, '2 g', 'on-liquid']] },
      ],
      { pieces: 12 },
      BOX,
    ),
  );
  const tasks = tasksOf(sheet, { ...USUAL_HOUSE_RULES, jugs: [] });
  const at = (id: string) => tasks.findIndex((task) => task.id === id);
  const inOrder = [
    'r1/A/l1/dish-1',
    'r1/A/l1/lay-under',
    'r1/A/l1/pour',
    'r1/A/l1/lay-on-skin',
    'r1/B/l1/pour',
    'r1/B/l1/lay-on-liquid',
  ];
  assert.deepEqual(
    inOrder.map(at),
    inOrder.map(at).toSorted((a, b) => a - b),
  );
  assert.ok(at('r1/A/l1/dish-1') >= 0);
  const needs = (id: string) => tasks[at(id)]?.needs ?? [];
  assert.ok(needs('r1/A/l1/pour').includes('r1/A/l1/lay-under'));
  assert.ok(needs('r1/B/l1/pour').includes('r1/A/l1/lay-on-skin'));
  assert.ok(needs('r1/set').includes('r1/B/l1/lay-on-liquid'));
  // Half of 6 g in each of two rounds.
  const weighed = tasks.filter((task) => task.kind === 'weigh-dose' && task.lineIndex === 0);
  assert.deepEqual(
    weighed.map((task) => task.kind === 'weigh-dose' && task.massG),
    [3, 1, 3, 1],
  );

  const run = runOf(sheet, { kind: 'weighed', taskId: 'r1/A/l1/base', massG: 700 });
  const dish = progress(run).tasks.find(({ id }) => id === 'r1/A/l1/dish-1');
  assert.equal(dish?.targetG, 3);
  const made = madeRun(sheet);
  const used = usedMaterials(made).find(({ materialId }) => materialId === 'petals');
  assert.ok(isClose(used?.amount ?? 0, 11));
  assert.ok(isClose(weighedG(made), sheet.totals.jugG), 'what went into the jugs');
});

test('plants and goes that are not there are told', () => {
  const codes = (where: LaidWhere, goes?: number) =>
    reviewPlan(
      planFile([{ laid: [[petals, '6 g', where]], ...(goes ? { way: { goes } } : {}) }], {}, BOX),
    ).findings.flatMap((found) =>
      found.code === 'laid-plants' || found.code === 'laid-without-goes'
        ? [found.code === 'laid-plants' && found.floats ? 'floats' : found.code]
        : [],
    );
  assert.deepEqual(codes('under'), ['floats']);
  assert.deepEqual(codes('on-skin'), ['laid-plants']);
  assert.deepEqual(codes('between-goes'), ['laid-without-goes', 'floats']);
  assert.deepEqual(codes('between-goes', 2), ['floats']);
  const [dose] = planFile([{ laid: [[petals, '6 g', 'under']] }]).plan.pours[0]?.doses ?? [];
  assert.ok(dose && !('laid' in laying(dose, null)));
});

test('a supplier’s limit holds for what is laid, alone and with what is stirred in, and its release is asked for', () => {
  // 10 g a piece at 1.1 g/mL leave 90.909 mL of 100 for base at 1.05 g/mL: 10 of 105.45 g are 9.48 %.
  const limited = additive({ id: 'leaf', name: 'Leaf', maxOfProduct: 0.05, skin: 'unknown' });
  const alone = planFile([{ laid: [[limited, '10 g/piece', 'under']] }], {}, BOX);
  const of = (file: typeof alone) => {
    const { findings } = reviewPlan(file);
    return {
      over: findings.flatMap((each) => (each.code === 'over-supplier-limit' ? [each] : [])),
      isAsked: findings.some(({ code }) => code === 'unknown-limit'),
    };
  };
  const [over] = of(alone).over;
  assert.ok(over && isClose(over.ofProduct, 10 / (1.05 * (100 - 10 / 1.1) + 10)));
  assert.ok(of(alone).isAsked);
  const mended = { ...alone, plan: applyFix(alone, over?.fix ?? []) };
  assert.deepEqual(of(mended).over, []);
  assert.match(mended.plan.pours[0]?.doses[0]?.text ?? '', /g\/piece$/, 'in the unit that it was typed in');
  // 3 % stirred in and 3 g of some 100 laid: each within 5 %, together not.
  const both = planFile([{ doses: [[limited, '3 %']], laid: [[limited, '3 g/piece', 'on-skin']] }], {}, BOX);
  const [together] = of(both).over;
  assert.deepEqual(together?.doseIndexes, [0, 1]);
  assert.deepEqual(of({ ...both, plan: applyFix(both, together?.fix ?? []) }).over, []);
});

test('its cautions are told with the laying, not with its weighing', () => {
  const sheet = laid('under');
  const { findings } = reviewPlan(planFile([{ laid: [[petals, '11 g/piece', 'under']] }], {}, BOX));
  const plants = findings.find(({ code }) => code === 'laid-plants');
  const told = tasksOf(sheet, USUAL_HOUSE_RULES)
    .filter((task) => plants && concernsTask({ ...plants, doseIndexes: [1] }, task, sheet))
    .map(({ kind }) => kind);
  assert.deepEqual(told, ['lay']);
});
