import assert from 'node:assert/strict';
import test from 'node:test';
import { ofCode } from '../../../tests/support/findings';
import {
  additive,
  base,
  blend,
  colorant,
  dispersant,
  fragrance,
  isClose,
  mold,
  planFile,
} from '../../../tests/support/planFiles';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import type { DoseableMaterial } from '../materials/material';
import type { PlanFile } from '../plan/plan';
import type { LotStock } from '../stock/stock';
import { applyFix } from './applyFix';
import { compareFindings } from './compareFindings';
import type { CheckContext, Finding, FindingCode } from './finding';
import { reviewPlan } from './review';

const describeFinding = await allFindingWords();

const context = (
  over: Partial<CheckContext['rules']> = {},
  shelf: CheckContext['shelf'] = null,
): CheckContext => ({
  rules: { ...USUAL_HOUSE_RULES, ...over },
  shelf,
});
const found = <Code extends FindingCode>(file: PlanFile, code: Code, by = context()) =>
  ofCode(reviewPlan(file, by).findings, code);
const severity = (file: PlanFile, code: FindingCode, by = context()) =>
  found(file, code, by)[0]?.severity ?? 'none';
const onePour = (material: DoseableMaterial, text: string, plan: Partial<PlanFile['plan']> = {}) =>
  planFile([{ doses: [[material, text]] }], plan);

/** Presses the fix and looks whether the finding is gone. */
function mends(file: PlanFile, code: FindingCode, by = context()): PlanFile {
  const fix = found(file, code, by)[0]?.fix;
  assert.ok(fix, `no fix for ${code}`);
  const materials = [...file.materials];
  for (const edit of fix) {
    if (edit.kind !== 'add-dose') continue;
    const added = by.shelf?.materials.find(({ id }) => id === edit.materialId);
    if (added && !materials.includes(added)) materials.push(added);
  }
  const after = { ...file, materials, plan: applyFix(file, fix) };
  assert.equal(severity(after, code, by), 'none', code);
  return after;
}

test('what is made for candles never goes in', () => {
  const candle = onePour(fragrance({ skin: 'candle-only' }), '1 %');
  assert.equal(severity(candle, 'candle-only'), 'stop');
  assert.equal(severity(onePour(colorant({ form: 'candle-dye' }), '0.1 %'), 'candle-only'), 'stop');
  assert.equal(mends(candle, 'candle-only').plan.pours[0]?.doses.length, 0);
});

test('food colouring is refused, and only warned of by house rule', () => {
  const file = onePour(colorant({ form: 'food' }), '0.1 %');
  assert.equal(severity(file, 'food-colour'), 'stop');
  assert.equal(severity(file, 'food-colour', context({ foodColour: 'warn' })), 'caution');
});

test('oils and liquids have caps of their own, also those that came with a wetting', () => {
  assert.equal(severity(onePour(additive({ role: 'oil' }), '7 %'), 'oils-over-cap'), 'caution');
  assert.equal(severity(onePour(additive({ role: 'oil' }), '5 %'), 'oils-over-cap'), 'none');
  const own = planFile([
    { base: base({ liquidsCapOfBase: 0.02 }), doses: [[additive({ role: 'humectant' }), '3 %']] },
  ]);
  assert.equal(severity(own, 'liquids-over-cap'), 'stop');
  mends(own, 'liquids-over-cap');
  const wetted = (leaves: boolean) =>
    planFile(
      [
        {
          base: base({ liquidsCapOfBase: 0.02 }),
          doses: [[colorant(), '0.7 %', { dispersantId: 'wet-1', times: 4 }]],
        },
      ],
      {},
      mold(),
      [dispersant({ leaves })],
    );
  assert.equal(severity(wetted(false), 'liquids-over-cap'), 'stop');
  assert.equal(severity(wetted(true), 'liquids-over-cap'), 'none');
});

test('a cap holds in each pour, and in the whole bar for the mean of the caps', () => {
  const pours = (first: string, second: string) =>
    planFile([
      { parts: 1, doses: [[fragrance(), first]] },
      { parts: 3, doses: [[fragrance(), second]] },
    ]);
  const over = found(pours('4 %', '1 %'), 'fragrance-over-cap');
  assert.deepEqual(
    over.map(({ pourIndex }) => pourIndex),
    [0],
  );
  const both = found(pours('4 %', '4 %'), 'fragrance-over-cap');
  assert.deepEqual(
    both.map(({ pourIndex }) => pourIndex),
    [0, 1, null],
  );
});

test('a supplier’s limit is told for the pour and for the whole bar', () => {
  const file = planFile([
    { parts: 1, doses: [[fragrance({ maxOfProduct: 0.02 }), '3 %']] },
    { parts: 1, doses: [] },
  ]);
  const [finding] = found(file, 'over-supplier-limit');
  assert.equal(finding?.pourIndex, 0);
  assert.ok((finding?.ofBar ?? 1) < 0.02 && (finding?.ofProduct ?? 0) > 0.02);
});

test('too little to be smelled; what is shared by two fragrances counts together', () => {
  assert.equal(severity(onePour(fragrance(), '0.1 %'), 'below-working-range'), 'note');
  const own = onePour(fragrance({ usualLeastOfBase: 0.01 }), '0.5 %');
  assert.equal(severity(own, 'below-working-range'), 'caution');
  mends(own, 'below-working-range');
  const two = planFile([
    {
      doses: [
        [fragrance(), '0.15 %'],
        [fragrance({ id: 'scent-2' }), '0.15 %'],
      ],
    },
  ]);
  assert.equal(severity(two, 'below-working-range'), 'none');
});

test('colour, glitter and salt overdone', () => {
  const cases: [DoseableMaterial, string][] = [
    [colorant(), '1 %'],
    [colorant({ form: 'dye' }), '0.5 %'],
    [additive({ role: 'glitter' }), '1 %'],
    [additive({ role: 'salt' }), '8 %'],
    [additive({ usualMostOfBase: 0.02 }), '2.5 %'],
  ];
  for (const [material, text] of cases) {
    const file = onePour(material, text);
    assert.equal(severity(file, 'overdone'), 'caution');
    mends(file, 'overdone');
  }
  // 14 drops of 0.05 g in 300 g: the top of what is common practice, no source.
  assert.equal(severity(onePour(colorant({ form: 'dye', densityGPerMl: 1 }), '0.23 %'), 'overdone'), 'none');
});

test('vanillin wants a stabiliser in step with its fragrance', () => {
  const vanilla = fragrance({ vanillinOfMaterial: 0.05 });
  const stabiliser = additive({ id: 'still', name: 'Still', role: 'stabiliser' });
  const shelf = { materials: [stabiliser], stock: new Map(), today: '2026-01-01' };
  const bare = onePour(vanilla, '2 %');
  assert.equal(severity(bare, 'vanillin-browns'), 'caution');
  assert.equal(found(bare, 'vanillin-browns')[0]?.fix, null);
  const mended = mends(bare, 'vanillin-browns', context({}, shelf));
  assert.deepEqual(mended.plan.pours[0]?.doses.at(-1)?.text, '= fragrance');
  const outOfStep = planFile([
    {
      doses: [
        [vanilla, '2 %'],
        [stabiliser, '1 %'],
      ],
    },
  ]);
  assert.equal(severity(outOfStep, 'stabiliser-out-of-step'), 'caution');
  mends(outOfStep, 'stabiliser-out-of-step');
  assert.equal(severity(onePour(fragrance({ vanillinOfMaterial: 0 }), '2 %'), 'vanillin-browns'), 'none');
});

test('hair takes no salt, petals or grit; a face no coarse grit, and is told of fragrance', () => {
  for (const role of ['salt', 'botanical', 'grit', 'glitter'] as const) {
    const extra = additive({ role, grainMm: 0.1 });
    assert.equal(severity(onePour(extra, '1 %', { use: 'hair' }), 'unfit-for-use'), 'caution', role);
    assert.equal(severity(onePour(extra, '1 %', { use: 'body' }), 'unfit-for-use'), 'none', role);
  }
  assert.equal(severity(onePour(fragrance(), '1 %', { use: 'face' }), 'unfit-for-use'), 'note');
  const grit = (grainMm: number | null) => additive({ role: 'grit', grainMm });
  assert.equal(severity(onePour(grit(0.5), '4 %', { use: 'face' }), 'grit-too-coarse'), 'stop');
  assert.equal(severity(onePour(grit(0.5), '4 %', { use: 'body' }), 'grit-too-coarse'), 'none');
  assert.equal(severity(onePour(grit(1.2), '4 %', { use: 'body' }), 'grit-too-coarse'), 'caution');
  const unknown = onePour(grit(null), '4 %');
  assert.equal(severity(unknown, 'grit-too-coarse'), 'caution');
  assert.match(sayFor(unknown, 'grit-too-coarse'), /^Cannot tell/);
});

function sayFor(file: PlanFile, code: FindingCode): string {
  const finding = found(file, code)[0];
  assert.ok(finding);
  return describeFinding(finding, { system: 'metric', locale: 'en-GB' }).title;
}

test('a dye bleeds into a neighbouring pour of another colour, a mica stays', () => {
  const two = (first: DoseableMaterial, second: DoseableMaterial) =>
    planFile([{ doses: [[first, '0.1 %']] }, { doses: [[second, '0.1 %']] }]);
  const blue = colorant({ id: 'blue', form: 'dye' });
  const red = colorant({ id: 'red', form: 'mica' });
  const bleeding = found(two(blue, red), 'dye-bleeds');
  assert.deepEqual(
    bleeding.map(({ pourIndex, against, severity: how }) => [pourIndex, against, how]),
    [[0, ['B'], 'caution']],
  );
  assert.equal(severity(two(blue, blue), 'dye-bleeds'), 'none');
  assert.equal(
    severity(two(colorant({ id: 'still', form: 'dye', bleeds: false }), red), 'dye-bleeds'),
    'none',
  );
  const block = two(colorant({ id: 'block', form: 'block' }), red);
  assert.equal(severity(block, 'dye-bleeds'), 'note');
  assert.match(sayFor(block, 'dye-bleeds'), /^Cannot tell/);
});

test('grit sinks and petals float unless the base holds them', () => {
  const inBase = (suspension: boolean | null) =>
    planFile([{ base: base({ suspension }), doses: [[additive({ role: 'grit', grainMm: 0.2 }), '4 %']] }]);
  assert.equal(severity(inBase(true), 'solids-move'), 'none');
  assert.match(sayFor(inBase(false), 'solids-move'), /sink/);
  assert.match(sayFor(inBase(null), 'solids-move'), /^Cannot tell/);
});

test('the share of a blend’s allergens and limits, worked by hand', () => {
  // By hand: 2 parts of A (12 % linalool, limit 3 %) and 1 part of B (6 % linalool, 9 % citral, limit 1 %).
  // In the blend: linalool 2/3 · 12 + 1/3 · 6 = 10 %, citral 3 %; limit min(3 / (2/3), 1 / (1/3)) = 3 % of product.
  const a = fragrance({
    id: 'a',
    maxOfProduct: 0.03,
    allergens: [{ name: 'Linalool', ofMaterial: 0.12 }],
  });
  const b = fragrance({
    id: 'b',
    maxOfProduct: 0.01,
    allergens: [
      { name: 'Linalool', ofMaterial: 0.06 },
      { name: 'Citral', ofMaterial: 0.09 },
    ],
  });
  const mixed = blend([
    [a, 2],
    [b, 1],
  ]);
  const file = (text: string) =>
    planFile([{ base: base({ fragranceCapOfBase: 1 }), doses: [[mixed, text]] }], {}, mold(), [a, b]);
  // 2.04 % of base is 2 % of product to the digit 0.0204 / 1.0204.
  const [note] = found(file('2 %'), 'allergens');
  const named = new Map(note?.named.map(({ name, ofProduct: share }) => [name, share]));
  const ofProduct = 0.02 / 1.02;
  assert.ok(isClose(named.get('Linalool') ?? 0, 0.1 * ofProduct));
  assert.ok(isClose(named.get('Citral') ?? 0, 0.03 * ofProduct));
  assert.equal(severity(file('3.09 %'), 'over-supplier-limit'), 'none');
  // 3.1 % of base is 3.007 % of product: B is at a third of it, over its 1 %.
  const over = found(file('3.1 %'), 'over-supplier-limit');
  assert.equal(over[0]?.about, b.name);
  mends(file('3.1 %'), 'over-supplier-limit');
  const below = planFile([
    { doses: [[fragrance({ allergens: [{ name: 'X', ofMaterial: 0.004 }] }), '2 %']] },
  ]);
  assert.equal(severity(below, 'allergens'), 'none');
});

test('origins are told, and what nobody entered is told as such', () => {
  const oil = additive({ role: 'oil', name: 'Almond', origins: ['nut'] });
  assert.match(sayFor(onePour(oil, '1 %'), 'origins'), /nuts: Almond/);
  const unknown = onePour(fragrance({ vanillinOfMaterial: null, allergens: null, origins: null }), '1 %');
  assert.deepEqual(found(unknown, 'facts-missing')[0]?.facts, ['vanillin', 'allergens', 'origins']);
});

const lot = (left: number, bestBefore: string | null = null): LotStock => ({
  id: `lot-${left}`,
  number: `L${left}`,
  left,
  bestBefore,
  minorPerOne: null,
});

test('stock short and a lot past its date, only where the book counts', () => {
  const file = onePour(fragrance(), '2 %');
  const by = (lots: Record<string, LotStock[]>) =>
    context({}, { materials: file.materials, stock: new Map(Object.entries(lots)), today: '2026-06-01' });
  assert.equal(severity(file, 'stock-short', by({})), 'none');
  const short = found(file, 'stock-short', by({ 'scent-1': [lot(5)], 'base-1': [lot(9000)] }));
  assert.deepEqual(
    short.map(({ about }) => about),
    ['Test scent'],
  );
  const past = by({ 'scent-1': [lot(500, '2026-05-31')] });
  assert.equal(severity(file, 'lot-past-date', past), 'caution');
  assert.equal(severity(file, 'lot-past-date', by({ 'scent-1': [lot(500, '2026-06-01')] })), 'none');
});

test('0.08 oz on a scale of 0.01 oz is flagged, on one of 0.01 g it is not', () => {
  // Common practice, no source: half a step of 0.01 oz is 6 % of 0.08 oz.
  const file = onePour(fragrance(), '0.08 oz');
  const scale = (stepG: number, gramsStepG: number | null = null) =>
    context({ scales: [{ id: 's', name: 'Scale', stepG, gramsStepG, capacityG: 2000 }] });
  const ounces = scale(0.01 * 28.349523125, 0.1);
  const [finding] = found(file, 'scale-fit', ounces).filter(({ about }) => about === 'Test scent');
  assert.ok(finding && isClose(finding.error, 0.0625, 1e-9));
  assert.equal(severity(file, 'scale-fit', scale(0.01)), 'none');
  const grown = reviewPlan({ ...file, plan: applyFix(file, finding.fix ?? []) }, ounces);
  assert.ok(!grown.findings.some(({ code }) => code === 'scale-fit'));
  assert.match(describeFinding(finding, { system: 'metric', locale: 'en-GB' }).reason, /grams.*pre-dilute/s);
  assert.equal(
    severity(
      onePour(additive(), '300 g'),
      'over-scale-capacity',
      context({ scales: [{ id: 's', name: 'S', stepG: 0.01, gramsStepG: null, capacityG: 200 }] }),
    ),
    'caution',
  );
});

test('a check that has no scales to judge by says so in a workshop', () => {
  const by = context({}, { materials: [], stock: new Map(), today: '2026-01-01' });
  assert.match(
    describeFinding(found(onePour(fragrance(), '2 %'), 'no-scales', by)[0] as Finding, {
      system: 'metric',
      locale: 'en',
    }).title,
    /^Cannot tell/,
  );
});

test('with another base, every finding that changes is told', () => {
  const file = planFile([{ doses: [[fragrance(), '2.5 %']] }], {}, mold());
  const syndet = base({
    id: 'base-2',
    baseKind: 'syndet',
    fragranceCapOfBase: 0.02,
    additionsCapOfBase: 0.02,
  });
  const other = {
    ...file,
    materials: [...file.materials, syndet],
    plan: { ...file.plan, pours: file.plan.pours.map((pour) => ({ ...pour, baseId: 'base-2' })) },
  };
  const changes = compareFindings(reviewPlan(file).findings, reviewPlan(other).findings);
  assert.deepEqual(
    changes.came.map(({ code }) => code),
    ['fragrance-over-cap', 'additions-over-cap'],
  );
  assert.deepEqual(compareFindings(reviewPlan(other).findings, reviewPlan(file).findings).gone.length, 2);
  assert.deepEqual(reviewPlan(file, context()).findings, []);
});
