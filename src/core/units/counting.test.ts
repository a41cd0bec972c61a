import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { additive, base, fragrance, planFile } from '../../../tests/support/planFiles';
import { showCount } from '../../words/en/units/showCount';
import { byEyeWords } from '../../words/en/work/byEyeWords';
import { reviewPlan } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { scalePlan } from '../plan/scalePlan';
import { COUNT_UNITS, countedIn, countFor } from './counting';
import { scaledText } from './scaledText';

const METRIC = { system: 'metric', locale: 'en' } as const;
const lineOf = (
  text: string,
  material = fragrance({ densityGPerMl: 1, usualLeastOfBase: 0.01, usualMostOfBase: 0.02 }),
) => {
  const { sheet, findings } = reviewPlan(
    planFile([{ base: base({ densityGPerMl: 1 }), doses: [[material, text]] }]),
    {
      rules: {
        ...USUAL_HOUSE_RULES,
        scales: [{ id: 's', name: 'S', capacityG: 5000, stepG: 1, gramsStepG: null }],
      },
      shelf: null,
    },
  );
  const line = sheet?.pours[0]?.lines[0];
  assert.ok(line, text);
  return { line, codes: findings.map(({ code }) => code) };
};

test('what is said in counts is counted out, with no word about the scale', () => {
  // A drop of 0.05 mL of 1 g/mL weighs 0.05 g, a teaspoon 4.93 g.
  for (const [text, count] of [
    ['12 drops', '12 drops'],
    ['1 drop', '1 drop'],
    ['2 drops/piece', '12 drops'],
    ['1½ tsp', '1½ tsp'],
    ['1/8 tsp', '⅛ tsp'],
    ['a pinch', '1 pinch'],
    ['2 tbsp', '2 tbsp'],
    ['½ cup', '½ cup'],
    ['20 mL', '20 mL'],
    ['2 capsules', '2 capsules'],
    ['1 scoop', '1 scoop'],
    ['10 drops/100 g', /^\d\d drops$/],
  ] as const) {
    const { line, codes } = lineOf(text);
    const said = line.counted && showCount(line.counted, line.massG, METRIC);
    if (typeof count === 'string') assert.equal(said, count, text);
    else assert.match(said ?? '', count);
    assert.ok(!codes.includes('scale-fit'), text);
  }
  assert.equal(lineOf('0.4 g').line.counted, null);
  assert.ok(lineOf('0.4 g').codes.includes('scale-fit'));
  assert.equal(showCount({ unit: 'blocks', gPerOne: 28 }, 7, METRIC), '¼ block');
});

test('a count is never nothing for something, and off by half its finest part at the most', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...COUNT_UNITS),
      fc.double({ min: 1e-4, max: 500, noNaN: true }),
      fc.double({ min: 0.01, max: 30, noNaN: true }),
      (unit, massG, gPerOne) => {
        const into = countedIn({ unit, gPerOne }, massG);
        const count = countFor(massG, into);
        assert.ok(count > 0);
        const off = Math.abs(count - massG / into.gPerOne);
        assert.ok(off <= 0.5 / into.parts + 1e-9 || count === 1 / into.parts);
      },
    ),
  );
});

test('a range and “to taste” begin with the least and say how far they go', () => {
  const range = lineOf('6–9 drops').line;
  assert.equal(range.massG.toFixed(3), '0.300');
  assert.equal(byEyeWords(range, range.massG, METRIC), ' to begin with, then up to 9 drops (0.45 g) by eye');
  const taste = lineOf('to taste').line;
  assert.equal(taste.ofBase.toFixed(6), '0.010000');
  assert.equal(((taste.byEye?.mostG ?? 0) / taste.massG).toFixed(6), '2.000000');
  // Nobody knows the least of this one, so there is nothing to begin with.
  const { findings } = reviewPlan(planFile([{ doses: [[additive(), 'to taste']] }]));
  assert.equal(findings[0]?.code, 'dose-unreadable');
});

test('a dose is brought down in the unit that it was typed in', () => {
  assert.equal(scaledText('14 drops', 0.95, 'down'), '13 drops');
  assert.equal(scaledText('14 drops', 1.01, 'up'), '15 drops');
  assert.equal(scaledText('1½ tsp/lb', 0.5, 'down'), '0.75 tsp/lb');
  assert.equal(scaledText('1 oz', 0.5, 'down'), '0.5 oz');
  assert.equal(scaledText('½ block', 0.9, 'down'), '0.375 block');
  assert.equal(scaledText('5 drops/piece', 0.9, 'down'), '4 drops/piece');
  for (const text of ['1 drop', '= fragrance', '6–9 drops', '1 lb 4 oz', 'to taste', 'some'])
    assert.equal(scaledText(text, 0.5, 'down'), null, text);
  const { findings } = reviewPlan(planFile([{ doses: [[fragrance({ densityGPerMl: 1 }), '600 drops']] }]));
  const edit = findings.find(({ code }) => code === 'fragrance-over-cap')?.fix?.[0];
  assert.match(edit?.kind === 'set-dose' ? edit.text : '', /^3\d\d drops$/);
});

test('with more pieces a dose grows in the unit that it was typed in, in whole counts', () => {
  const scaled = (text: string, pieces: number) => {
    const file = planFile([{ doses: [[fragrance(), text]] }]);
    return scalePlan(file.plan, pieces, file).pours[0]?.doses[0]?.text;
  };
  for (const [text, pieces, grown] of [
    ['1 tsp', 12, '2 tsp'],
    ['half a teaspoon', 12, '1 teaspoon'],
    ['0.27 oz', 12, '0.54 oz'],
    ['6 g', 3, '3 g'],
    ['2 drops', 10, '3 drops'],
    ['1 drop', 2, '1 drop'],
    ['¼ block', 9, '0.375 block'],
    ['a dozen drops', 12, '24 drops'],
    ['1 lb 4 oz', 12, '1133.980925 g'],
    ['about 5 g', 12, 'about 10 g'],
    ['6–9 drops', 12, '12–18 drops'],
    ['2 %', 12, '2 %'],
    ['to taste', 12, 'to taste'],
  ] as const)
    assert.equal(scaled(text, pieces), grown, text);
});
