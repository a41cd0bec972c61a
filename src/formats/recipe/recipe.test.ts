import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import {
  additive,
  base,
  blend,
  colorant,
  dispersant,
  fragrance,
  mold,
} from '../../../tests/support/planFiles';
import type { Material } from '../../core/materials/material';
import { NO_MOLD } from '../../core/molds/noMold';
import type { Plan } from '../../core/plan/plan';
import { G_PER_LB, G_PER_OZ } from '../../core/units/factors';
import { planOfRecipe } from './planOfRecipe';
import { readRecipe } from './readRecipe';
import { writeRecipe } from './writeRecipe';

const orange = fragrance({ id: 'orange', name: 'Orange' });
const SHELF: Material[] = [
  base({ id: 'clear', name: 'Clear base' }),
  base({ id: 'white', name: 'White base' }),
  orange,
  fragrance({ id: 'rose', name: 'Rose, 40 %' }),
  fragrance({ id: 'lavender', name: 'Lavender 2 % cut' }),
  blend([[orange, 1]], { id: 'evening', name: 'Evening blend' }),
  colorant({ id: 'gold', name: 'Gold mica' }),
  colorant({ id: 'blue', name: 'Blue block', form: 'block' }),
  additive({ id: 'bran', name: 'Rice bran', role: 'grit' }),
  additive({ id: 'calendula', name: 'Calendula', role: 'botanical' }),
  additive({ id: 'honey', name: 'Honey', role: 'humectant' }),
  additive({ id: 'salt', name: 'Sea salt', role: 'salt' }),
  dispersant({ id: 'glycerin', name: 'Glycerin' }),
];
const TRAY = mold({ id: 'tray', name: 'Bar tray', cavities: 6, usualFillFraction: 0.95 });
const ROUNDS = mold({ id: 'rounds', name: 'Small rounds', cavities: 12, capacityMl: 40 });
const CONTEXT = {
  molds: [TRAY, ROUNDS],
  start: {
    name: 'From a recipe',
    use: 'body' as const,
    moldId: 'tray',
    fillFraction: 0.95,
    jugLossFraction: 0.03,
  },
};
const planOf = (text: string): Plan => {
  const made = planOfRecipe(readRecipe(text, SHELF), CONTEXT);
  if (!made.success) throw new Error(JSON.stringify(made.error));
  return made.data;
};
const doses = (plan: Plan) =>
  plan.pours.flatMap((pour) =>
    pour.doses.map(({ materialId, text, laid }) => `${text} ${materialId}${laid ? ` ${laid.where}` : ''}`),
  );

test('a recipe as it is written in a notebook becomes a plan', () => {
  const plan = planOf(
    '500 g clear base / ½ cup rice bran / 3 tsp calendula, 2 stirred in, 1 on the floor of the molds / 30 drops orange',
  );
  assert.deepEqual(doses(plan), [
    '½ cup bran',
    '2 tsp calendula',
    '1 tsp calendula under',
    '30 drops orange',
  ]);
  assert.deepEqual(plan.batch, { by: 'base', massG: 500, text: '500 g', gives: 'pieces' });
  assert.equal(plan.pours[0]?.baseId, 'clear');
});

/** Of our own invention, in both systems of units. */
const RECIPES: [string, number | null, string[]][] = [
  ['Harvest bar\n1 lb clear base\n1 tsp honey\n2 tsp of rice bran', G_PER_LB, ['1 tsp honey', '2 tsp bran']],
  [
    '1.1 kg white base\n2 % orange\n- a pinch gold mica, on top',
    1100,
    ['2 % orange', 'a pinch gold on-liquid'],
  ],
  [
    '1 lb 4 oz white base\norange: 40 drops per pound of base',
    20 * G_PER_OZ,
    ['40 drops per pound of base orange'],
  ],
  ['white base\n¼ block blue block\n0.3 oz Evening blend', null, ['¼ block blue', '0.3 oz evening']],
  ['600 g Clear base\n6–9 drops orange\nto taste gold mica', 600, ['6–9 drops orange', 'to taste gold']],
  ['9 oz clear base\n1/2 tsp sea salt, on the skin, pressed down', 9 * G_PER_OZ, ['1/2 tsp salt on-skin']],
  ['750 g clear base\n2 % “Rose, 40 %”\n5 g "Lavender 2 % cut"', 750, ['2 % rose', '5 g lavender']],
  [
    'Two layers\nA: 12 mm\nwhite base\n1 % orange\n\nB: rest\nclear base\n4 g calendula, between the goes',
    null,
    ['1 % orange', '4 g calendula between-goes'],
  ],
  [
    '9 oz white base\n1 % orange\n6 oz clear base\n2 g/piece calendula, under',
    null,
    ['1 % orange', '2 g/piece calendula under'],
  ],
  [
    '2 lb clear base\n1 oz to 2 lb honey\ntwice the orange glycerin\n-- settings\nname: Honey\nmold: small rounds\nfill: 90 %\nfor: face',
    2 * G_PER_LB,
    ['1 oz to 2 lb honey', 'twice the orange glycerin'],
  ],
];

test('ten recipes in both systems of units, to plans and back', () => {
  for (const [text, massG, wanted] of RECIPES) {
    const plan = planOf(text);
    assert.deepEqual(doses(plan), wanted, text);
    assert.ok(
      plan.pours.every((pour) => pour.doses.every(({ means }) => means !== null)),
      text,
    );
    if (massG === null) assert.equal(plan.batch, undefined);
    else assert.ok(Math.abs((plan.batch?.massG ?? 0) - massG) < 1e-9, text);
    const inMold = plan.moldId === 'tray' ? TRAY : ROUNDS;
    assert.deepEqual(planOf(writeRecipe(plan, { mold: inMold }, SHELF)), plan, text);
  }
  const layers = planOf(RECIPES[8]?.[0] ?? '');
  assert.deepEqual(
    layers.pours.map(({ size }) => size.by),
    ['base', 'base'],
  );
  const named = planOf(RECIPES[9]?.[0] ?? '');
  assert.deepEqual(
    [named.name, named.moldId, named.fillFraction, named.use],
    ['Honey', 'rounds', 0.9, 'face'],
  );
  assert.equal(planOf(RECIPES[0]?.[0] ?? '').name, 'Harvest bar');
});

test('a line may say that its dose can be left out', () => {
  const plan = planOf(
    '500 g clear base\n2 tsp honey (optional)\n1 g gold mica, on top, if you like\n3 tsp calendula, 2 stirred in, 1 on the floor, optional\n2 % orange',
  );
  assert.deepEqual(
    plan.pours[0]?.doses.map(({ text, laid, optional }) => [text, laid?.where, optional]),
    [
      ['2 tsp', undefined, true],
      ['1 g', 'on-liquid', true],
      ['2 tsp', undefined, true],
      ['1 tsp', 'under', true],
      ['2 %', undefined, undefined],
    ],
  );
});

test('a line that is not understood says why, and nothing else is lost', () => {
  const read = (text: string) => {
    const [, line] = readRecipe(`A:\n${text}`, SHELF).lines;
    if (line?.kind === 'unread') return line.why;
    return line?.kind === 'dose' || line?.kind === 'base' ? `${line.kind} ${line.found.kind}` : line?.kind;
  };
  assert.deepEqual(
    [
      'some orange',
      '3 tsp calendula, 2 stirred in, 2 on the floor',
      '3 tsp calendula, in the cellar',
      '2 tsp clear base',
      '500 g lard base',
      '2 % marjoram',
      '2 g base',
      'constructor',
      '5 g constructor',
      '2 g o',
      '0.5 g clear base',
      '500 g clear base, optional',
      'clear base (if you like)',
    ].map(read),
    [
      'no-amount',
      'parts-differ',
      'no-place',
      'base-not-weighed',
      'base none',
      'dose none',
      'dose among',
      'no-amount',
      'dose none',
      'dose among',
      'base-not-weighed',
      'base-optional',
      'base-optional',
    ],
  );
  const faults = (text: string) => {
    const made = planOfRecipe(readRecipe(text, SHELF), CONTEXT);
    return made.success ? [] : made.error.map(({ code }) => code);
  };
  assert.deepEqual(faults(''), ['nothing']);
  assert.deepEqual(faults('2 % orange'), ['no-base']);
  assert.deepEqual(faults('500 g clear base\n2 % marjoram\nsome salt'), ['which', 'unread']);
  assert.deepEqual(faults('500 g clear base\n-- settings\nmold: bathtub'), ['no-such-mold']);
  assert.deepEqual(faults('500 g clear base\n-- settings\nfor: cats'), ['settings']);
  assert.deepEqual(faults('500 g clear base\n-- settings\nmore: {"making": 3}'), ['settings']);
  assert.deepEqual(faults('500 g clear base\n-- settings\nmore: {'), ['unread']);
});

test('a second mold is a setting, and comes back', () => {
  const text = '700 g clear base\n-- settings\nmold: bar tray\nsecond mold: small rounds';
  const plan = planOf(text);
  assert.deepEqual([plan.moldId, plan.secondMoldId], ['tray', 'rounds']);
  assert.deepEqual(planOf(writeRecipe(plan, { mold: TRAY, secondMold: ROUNDS }, SHELF)), plan);
  const made = planOfRecipe(readRecipe(text.replace('small rounds', 'bathtub'), SHELF), CONTEXT);
  assert.deepEqual(made.success ? null : made.error, [{ code: 'no-such-mold', name: 'bathtub' }]);
});

test('without a mold a recipe says so, and weighs its base', () => {
  const plan = planOf('600 g clear base\n2 % orange\n-- settings\nmold: none');
  assert.equal(plan.moldId, NO_MOLD.id);
  assert.deepEqual(planOf(writeRecipe(plan, { mold: NO_MOLD }, SHELF)), plan);
  const made = planOfRecipe(readRecipe('clear base\n-- settings\nmold: none', SHELF), CONTEXT);
  assert.deepEqual(made.success ? null : made.error, [{ code: 'weight-without-mold' }]);
});

test('with no mold in the book a recipe that weighs its base makes a plan all the same', () => {
  const made = planOfRecipe(readRecipe('600 g clear base\n2 % orange', SHELF), { ...CONTEXT, molds: [] });
  assert.deepEqual(made.success && [made.data.moldId, made.data.batch?.massG], [NO_MOLD.id, 600]);
});

test('what lines can’t say travels in the settings, and comes back', () => {
  const plan = planOf('Streaks\n500 g clear base\n2 % orange\n1 g gold mica, between the goes');
  const [pour] = plan.pours;
  if (!pour) throw new Error('no pour');
  const rich: Plan = {
    ...plan,
    note: 'Pour slowly / stir well',
    seen: [{ id: 'x', said: 'y' }],
    pours: [
      {
        ...pour,
        way: { goes: 3 },
        doses: [
          { id: 'd1', materialId: 'orange', text: 'some', means: null },
          ...pour.doses.slice(1).map((each) => ({ ...each, wetIn: { dispersantId: 'glycerin', times: 3 } })),
        ],
      },
    ],
  };
  const back = planOf(writeRecipe(rich, { mold: TRAY }, SHELF));
  const withoutIds = ({ pours, ...rest }: Plan) => ({
    ...rest,
    pours: pours.map((each) => ({ ...each, doses: each.doses.map(({ id: _, ...dose }) => dose) })),
  });
  assert.deepEqual(withoutIds(back), withoutIds(rich));
});

test('text, plan, text, plan: a plan that was made from text is itself', () => {
  const amount = fc.constantFrom(
    '2 %',
    '½ tsp',
    '30 drops',
    '1 tsp/lb',
    '6 g',
    '0.2 oz',
    '3 drops/piece',
    'to taste',
    '= orange',
  );
  const name = fc.constantFrom(...SHELF.filter(({ kind }) => kind !== 'base').map((each) => each.name));
  const place = fc.constantFrom(
    '',
    ', on the floor',
    ', on top',
    ', on the skin, pressed down',
    ', stirred in',
  );
  const end = fc.constantFrom('', '', ', optional', ' (if you like)');
  const doseLine = fc
    .tuple(amount, name, place, end)
    .map(([text, of, where, tail]) => `${text} “${of}”${where}${tail}`);
  const pour = fc.tuple(
    fc.constantFrom('', 'A: 8 mm\n', 'B: 2 parts\n', 'C: rest\n', 'D:\n'),
    fc.constantFrom('500 g ', '1 lb 2 oz ', ''),
    fc.constantFrom('Clear base', 'white base'),
    fc.array(doseLine, { maxLength: 4 }),
  );
  fc.assert(
    fc.property(fc.array(pour, { minLength: 1, maxLength: 3 }), fc.boolean(), (pours, isNamed) => {
      const text = pours
        .map(([head, weight, of, lines]) => [`${head}${weight}${of}`, ...lines].join('\n'))
        .join('\n');
      const plan = planOf(isNamed ? `Some bar\n${text}` : text);
      const written = writeRecipe(plan, { mold: TRAY }, SHELF);
      assert.deepEqual(planOf(written), plan, written);
      assert.equal(writeRecipe(planOf(written), { mold: TRAY }, SHELF), written);
    }),
  );
});
