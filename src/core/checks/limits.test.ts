import assert from 'node:assert/strict';
import test from 'node:test';
import { ofCode } from '../../../tests/support/findings';
import {
  additive,
  BOX,
  base,
  blend,
  colorant,
  type FilePour,
  fragrance,
  isClose,
  mold,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { stirredDensity } from '../materials/defaults';
import { USUAL_MAKING } from '../plan/making';
import type { PlanFile } from '../plan/plan';
import { beginsAt } from '../schedule/clock';
import { makePourPlan } from '../schedule/makePourPlan';
import { allFindings } from './allFindings';
import type { FindingCode } from './finding';
import { reviewPlan } from './review';

function found<Code extends FindingCode>(file: PlanFile, code: Code) {
  return ofCode(reviewPlan(file).findings, code);
}

function heatFound<Code extends FindingCode>(file: PlanFile, code: Code) {
  const review = reviewPlan(file);
  assert.ok(review.sheet);
  const pourPlan = makePourPlan(review.sheet, USUAL_HOUSE_RULES, 2);
  return ofCode(allFindings(review, pourPlan, USUAL_HOUSE_RULES, null), code);
}

test('a dose at the cap of its base is within it, with what a scale and a hand can’t tell; beyond is not', () => {
  const capped = base({ fragranceCapOfBase: 0.02 });
  const at = (text: string) =>
    found(planFile([{ base: capped, doses: [[fragrance(), text]] }]), 'fragrance-over-cap').length;
  assert.deepEqual([at('2 %'), at('2.04 %'), at('2.06 %'), at('3 %')], [0, 0, 1, 1]);
  // 2 g in 100 g of base is 2 %, whatever the last digits of the solve are.
  const grams = planFile([{ base: capped, doses: [[fragrance(), '2 g/100 g']] }]);
  assert.equal(found(grams, 'fragrance-over-cap').length, 0);
  // A small cap has less to give: a fortieth of it.
  const small = base({ fragranceCapOfBase: 0.004 });
  const atSmall = (text: string) =>
    found(planFile([{ base: small, doses: [[fragrance(), text]] }]), 'fragrance-over-cap').length;
  assert.deepEqual([atSmall('0.409 %'), atSmall('0.42 %')], [0, 1]);
});

test('a supplier’s limit allows for rounding and for nothing else', () => {
  const limited = fragrance({ maxOfProduct: 0.02 });
  const at = (share: number) =>
    found(planFile([{ doses: [[limited, `${(share * 100).toFixed(6)} %`]] }]), 'over-supplier-limit').length;
  // p of base is p / (1 + p) of product: 2 % of product are 2.040816 % of base.
  assert.deepEqual([at(0.02 / 0.98), at(0.020413)], [0, 1]);
});

test('a blend with one density that nobody knows is weighed by those that are known', () => {
  const [a, b] = [
    fragrance({ id: 'a', densityGPerMl: 1.1 }),
    fragrance({ id: 'b', name: 'Other', densityGPerMl: null }),
  ];
  const mix = blend([
    [a, 3],
    [b, 1],
  ]);
  const sheet = sheetOf(planFile([{ doses: [[mix, '10 mL']] }], {}, mold(), [a, b]));
  const massG = sheet.pours[0]?.lines.reduce((sum, line) => sum + line.massG, 0) ?? 0;
  // By hand: 1 / (0.75 / 1.1 + 0.25 / 0.95) = 1.058228 g/mL.
  assert.ok(isClose(massG, 10.58228, 1e-6), `${massG}`);
  assert.ok(sheet.pours[0]?.lines.every(({ assumed }) => assumed.includes('spoon-density')));
});

test('usual densities: honey, glycerin and oils, from memory', () => {
  const usual = (over: Parameters<typeof additive>[0]) =>
    stirredDensity(additive({ densityGPerMl: null, ...over })).value;
  assert.equal(usual({ name: 'Wild honey', role: 'humectant' }), 1.42);
  assert.equal(usual({ name: 'Glycerin', role: 'humectant' }), 1.26);
  assert.equal(usual({ name: 'Sweet almond', role: 'oil' }), 0.92);
  assert.equal(usual({ name: 'Something', role: 'other' }), 1);
});

test('a pour that is to be hotter than its base bears is a stop, not quietly lowered', () => {
  const hot = (atC: number) =>
    found(planFile([{ base: base({ ceilingC: 70 }), when: { atC } }], {}, BOX), 'pour-over-ceiling');
  assert.equal(hot(70).length, 0);
  assert.equal(hot(74)[0]?.severity, 'stop');
});

test('hotter than the house rule onto a fresh skin is a caution, and none where the layer has gone cold', () => {
  const layered = (when: FilePour['when']): PlanFile =>
    planFile([{ size: '8 mm' }, { size: 'rest', ...(when ? { when } : {}) }], {}, BOX);
  assert.equal(heatFound(layered({ atC: 57 }), 'heat-hot-on-skin')[0]?.severity, 'caution');
  assert.equal(heatFound(layered({ atC: 52 }), 'heat-hot-on-skin').length, 0);
  assert.equal(heatFound(layered(undefined), 'heat-hot-on-skin').length, 0);
  assert.equal(heatFound(layered({ atC: 57, afterMin: 60 }), 'heat-hot-on-skin').length, 0);
});

test('a core that never gets cold enough says so, and not that it takes a day and a half', () => {
  const wooden = mold({ ...BOX, madeOf: 'wood' });
  const at = (tempC: number) =>
    planFile([{}], { making: { ...USUAL_MAKING, room: { ...USUAL_MAKING.room, tempC } } }, wooden);
  const [never] = heatFound(at(30), 'heat-never-out');
  assert.equal(never?.severity, 'caution');
  assert.equal(never?.roomC, 30);
  assert.equal(heatFound(at(21), 'heat-never-out').length, 0);
});

test('eight hundred rounds take twenty times as long as forty, and begin as much earlier', () => {
  const clock = { at: 'finish' as const, time: '2026-12-01T12:00' };
  const plan = (rounds: number) => {
    const sheet = sheetOf(
      planFile([{}], { pieces: rounds, making: { ...USUAL_MAKING, clock } }, { ...BOX, cavities: 1 }),
    );
    return makePourPlan(sheet, USUAL_HOUSE_RULES, 0);
  };
  const [forty, many] = [plan(40), plan(834)];
  assert.deepEqual([forty.rounds, forty.roundsInAll, many.rounds, many.roundsInAll], [40, 40, 40, 834]);
  const each = (forty.done.middle - plan(20).done.middle) / 20;
  assert.ok(Math.abs(many.done.middle - forty.done.middle - 794 * each) < 0.02 * many.done.middle);
  assert.ok((beginsAt(many, clock) ?? '') < (beginsAt(forty, clock) ?? ''));
});

test('a dye bleeds into whatever it lies against: beside it, and both of two halves above', () => {
  const dye = colorant({ id: 'dye', name: 'Dye', form: 'dye' });
  const file = planFile(
    [
      { size: '8 mm', doses: [[dye, '0.1 %']] },
      { size: '8 mm', base: base({ id: 'white', look: 'white' }) },
      { way: { besideShare: 0.5 } },
      { size: 'rest' },
    ],
    {},
    BOX,
  );
  assert.deepEqual(
    found(file, 'dye-bleeds').map(({ pourIndex, against }) => [pourIndex, against]),
    [[0, ['B', 'C']]],
  );
});

test('beads lighter than the base float, whatever they are called', () => {
  const beads = additive({ id: 'beads', name: 'Beads', role: 'grit', densityGPerMl: 0.9 });
  const [moves] = found(
    planFile([{ base: base({ suspension: false }), doses: [[beads, '2 %']] }]),
    'solids-move',
  );
  assert.equal(moves?.floats, true);
  const stones = { ...beads, densityGPerMl: 2.6 };
  const [sinks] = found(
    planFile([{ base: base({ suspension: false }), doses: [[stones, '2 %']] }]),
    'solids-move',
  );
  assert.equal(sinks?.floats, false);
});

test('whether a base bears the freezer is not known until somebody says', () => {
  const frozen = (bearsFreezer: boolean | null) =>
    heatFound(
      planFile([{ base: base({ bearsFreezer }) }], { making: { ...USUAL_MAKING, freezerMin: 5 } }, BOX),
      'heat-freezer-tacky',
    ).find(({ about }) => about === 'Test base');
  assert.equal(frozen(false)?.unknown, false);
  assert.equal(frozen(null)?.unknown, true);
  assert.equal(frozen(null)?.materialId, 'base-1');
  assert.equal(frozen(true), undefined);
});

test('a dose keeps what it meant, and one that has become readable is read', () => {
  const file = planFile([{ doses: [[fragrance(), '2 %']] }]);
  const [pour] = file.plan.pours;
  const [dose] = pour?.doses ?? [];
  assert.ok(pour && dose);
  const withDose = (over: Partial<typeof dose>): PlanFile => ({
    ...file,
    plan: { ...file.plan, pours: [{ ...pour, doses: [{ ...dose, ...over }] }] },
  });
  const otherwise = withDose({ means: { kind: 'ofBase', fractionOfBase: 0.03 } });
  assert.ok(isClose(sheetOf(otherwise).pours[0]?.lines[0]?.ofBase ?? 0, 0.03));
  assert.equal(found(otherwise, 'dose-reads-otherwise').length, 1);
  const nowReadable = withDose({ means: null });
  assert.ok(isClose(sheetOf(nowReadable).pours[0]?.lines[0]?.ofBase ?? 0, 0.02));
  assert.equal(found(nowReadable, 'dose-reads-otherwise').length, 0);
});

test('colour adds up: each dose within its own most, together beyond, brought down together', () => {
  const [one, two] = [colorant({ id: 'one' }), colorant({ id: 'two' })];
  const sum = (first: string, second: string) =>
    found(
      planFile([
        {
          doses: [
            [one, first],
            [two, second],
          ],
        },
      ]),
      'too-much-colour',
    );
  // Of a usual most of 0.75 %: 0.6 and 0.6 are 1.6 times it, 0.375 and 0.375 just it.
  const [finding] = sum('0.6 %', '0.6 %');
  isClose(finding?.ofMost ?? 0, 1.6, 1e-9);
  assert.deepEqual(
    finding?.fix?.map((edit) => edit.kind === 'set-dose' && edit.text),
    ['0.375 %', '0.375 %'],
  );
  assert.equal(sum('0.375 %', '0.375 %').length, 0);
  // One that is beyond by itself says so by itself.
  assert.equal(sum('0.8 %', '0.1 %').length, 0);
  assert.equal(found(planFile([{ doses: [[colorant({ form: 'pigment' }), '3 %']] }]), 'overdone').length, 1);
  assert.equal(found(planFile([{ doses: [[colorant({ form: 'block' }), '150 g']] }]), 'overdone').length, 1);
});

test('a colour block is soap: no addition, and base for the caps once its weight is known', () => {
  const capped = base({ fragranceCapOfBase: 0.03, additionsCapOfBase: 0.05 });
  const scented = fragrance();
  const codes = (block: ReturnType<typeof colorant>, text: string) =>
    reviewPlan(
      planFile([
        {
          base: capped,
          doses: [
            [scented, '3.3 %'],
            [block, text],
          ],
        },
      ]),
    )
      .findings.map(({ code }) => code)
      .filter((code) => code.endsWith('-over-cap'));
  // 20 % of block: 3.3 % of base are 2.75 % of base and block.
  assert.deepEqual(codes(colorant({ form: 'block' }), '20 %'), []);
  // A usual weight stretches no cap.
  assert.deepEqual(codes(colorant({ form: 'block' }), '1 block'), ['fragrance-over-cap']);
});

test('grit counts to the cap of additions as the base’s record has it', () => {
  const grit = additive({ role: 'grit', grainMm: 0.3 });
  const over = (gritCounts: boolean | null, baseKind: 'soap' | 'syndet') =>
    found(
      planFile([{ base: base({ gritCounts, baseKind, additionsCapOfBase: 0.03 }), doses: [[grit, '5 %']] }]),
      'additions-over-cap',
    ).length;
  assert.deepEqual(
    [over(null, 'soap'), over(true, 'soap'), over(null, 'syndet'), over(false, 'syndet')],
    [0, 1, 1, 0],
  );
});

test('four strengths of one dye from one jug are one colour, however often it is added to', () => {
  const dye = colorant({ form: 'dye', densityGPerMl: 1 });
  const file = planFile(
    [0, 1, 2, 3].map(
      (place): FilePour => ({
        doses: [[dye, '4 drops']],
        added: true,
        ...(place > 0 ? { way: { sameJug: true } } : {}),
      }),
    ),
  );
  assert.equal(found(file, 'dye-bleeds').length, 0);
  const other = planFile([
    {
      doses: [
        [dye, '4 drops'],
        [dye, '2 drops'],
      ],
    },
    {},
  ]);
  assert.equal(found(other, 'dye-bleeds').length, 1);
});
