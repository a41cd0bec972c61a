import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import test from 'node:test';
import { isClose } from '../../tests/support/planFiles';
import { reviewPlan } from '../core/checks/review';
import { barsPerCavity } from '../core/molds/bars';
import { makeSheet } from '../core/plan/makeSheet';
import { planFileSchema } from '../core/plan/planSchema';
import { anyPlanFileSchema } from './planFile';

const FOLDER = 'tests/fixtures/planFiles';

interface Weights {
  baseG: number;
  meltG: number;
  jugG: number;
  intoMoldG: number;
  displacedMl: number;
  lines: { massG: number; addG: number }[];
}

/** Files of version 1, each with the weights that the product gave it then. */
const kept = readdirSync(FOLDER).map((name) => ({
  name,
  ...(JSON.parse(readFileSync(`${FOLDER}/${name}`, 'utf8')) as {
    file: { plan: { pieces: number } };
    weights: Weights[];
    totals: Record<string, number>;
    cavityG: number;
  }),
}));

for (const { name, file, weights, totals, cavityG } of kept)
  test(`version 1, ${name}: the sheet that it gave, to the last figure`, () => {
    const read = anyPlanFileSchema.parse(file);
    assert.ok(planFileSchema.safeParse(JSON.parse(JSON.stringify(read))).success);
    const made = makeSheet(read);
    assert.ok(made.success);
    const sheet = made.data;
    assert.equal(sheet.pours.length, weights.length);
    weights.forEach(({ lines, ...pour }, index) => {
      const is = sheet.pours[index];
      assert.ok(is);
      for (const [key, was] of Object.entries(pour))
        assert.ok(isClose(is[key as 'baseG'], was), `${index} ${key}: ${is[key as 'baseG']} was ${was}`);
      lines.forEach(({ massG, addG }, place) => {
        assert.ok(isClose(is.lines[place]?.massG ?? 0, massG));
        assert.ok(isClose(is.lines[place]?.addG ?? 0, addG));
      });
    });
    for (const [key, was] of Object.entries(totals))
      assert.ok(isClose(sheet.totals[key as 'baseG'], was), key);
    // What came out of a cavity was a piece; a loaf is its bars now.
    assert.ok(isClose(sheet.totals.fillG, cavityG));
    assert.equal(sheet.fills, file.plan.pieces);
    assert.equal(sheet.pieces, file.plan.pieces * barsPerCavity(read.mold));
    assert.ok(reviewPlan(read).findings.every(({ code }) => code !== 'dose-reads-otherwise'));
  });

test('a file of version 1 whose text and meaning differ is refused, and so is a version nobody knows', () => {
  const [first] = kept;
  assert.ok(first);
  const file = JSON.parse(JSON.stringify(first.file));
  file.plan.pours[0].doses[0].text = '3 %';
  const refused = anyPlanFileSchema.safeParse(file);
  assert.deepEqual(refused.error?.issues[0]?.path, ['plan', 'pours', 0, 'doses', 0, 'means']);
  assert.equal(anyPlanFileSchema.safeParse({ ...first.file, version: 3 }).success, false);
});

test('what version 1 could not read may be left without a meaning; what it read may not, whatever is read by now', () => {
  const [first] = kept;
  assert.ok(first);
  const isTaken = (text: string, means: unknown) => {
    const file = JSON.parse(JSON.stringify(first.file));
    file.plan.pours[0].doses[0] = { ...file.plan.pours[0].doses[0], text, means };
    return anyPlanFileSchema.safeParse(file).success;
  };
  for (const text of ['about 5 g', '6–9 drops', 'half a teaspoon', '1 lb 4 oz', 'some', ''])
    assert.ok(isTaken(text, null), text);
  for (const text of ['2 %', '½ tsp/lb', '6 drops/piece', '1 1/2 oz', '.5 Grams', '20 mL per kg'])
    assert.ok(!isTaken(text, null), text);
  assert.ok(isTaken('2 x 5 g', { kind: 'times', factor: 2, of: '5 g' }));
  assert.ok(isTaken('= the honey', { kind: 'times', factor: 1, of: 'honey' }));
  assert.ok(!isTaken('2 x 5 g', { kind: 'times', factor: 3, of: '5 g' }));
  assert.ok(!isTaken('2 %', { kind: 'times', factor: 2, of: 'honey' }));
});
