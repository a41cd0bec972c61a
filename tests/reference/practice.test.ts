import assert from 'node:assert/strict';
import test from 'node:test';
import type { DosedMaterial } from '../../src/core/materials/material';
import { makeSheet } from '../../src/core/plan/sheet';
import { G_PER_OZ } from '../../src/core/units/factors';
import { additive, base, fragrance, mold, planFile } from '../support/planFiles';

/** The one dose of a plan whose jug holds exactly this much base. */
function doseInBase(baseG: number, material: DosedMaterial, text: string) {
  const trial = (capacityMl: number) => {
    const file = planFile([{ base: base(), doses: [[material, text]] }], { pieces: 1 }, mold({ capacityMl }));
    const made = makeSheet(file);
    if (!made.success) throw new Error(made.error.code);
    return made.data;
  };
  // Base weight grows in a straight line with the capacity: two sheets tell the capacity that is wanted.
  const [low, high] = [trial(1000), trial(2000)];
  const slope = (high.totals.baseG - low.totals.baseG) / 1000;
  const sheet = trial(1000 + (baseG - low.totals.baseG) / slope);
  assert.ok(Math.abs(sheet.totals.baseG - baseG) < 1e-6);
  const line = sheet.pours[0]?.lines[0];
  if (!line) throw new Error('no line');
  return line;
}

const within = (actual: number, expected: number, slack: number) =>
  assert.ok(Math.abs(actual - expected) <= slack, `${actual} is not ${expected} ± ${slack}`);

// Each of these: common practice, no source. Worked by hand.

test('3 % of 8.5 oz of base is 0.255 oz, 7.229 g', () => {
  const { massG } = doseInBase(8.5 * G_PER_OZ, fragrance(), '3 %');
  within(massG / G_PER_OZ, 0.255, 1e-9);
  within(massG, 7.229, 0.0005);
});

test('2 % of 100 g is 2 g', () => {
  within(doseInBase(100, fragrance(), '2 %').massG, 2, 1e-9);
});

test('20 mL of a fragrance of 0.95 g/mL in 1092 g is 1.74 %', () => {
  within(doseInBase(1092, fragrance({ densityGPerMl: 0.95 }), '20 mL').ofBase * 100, 1.74, 0.005);
});

test('1 tbsp of an oil of 0.92 g/mL in 8 oz is 6.0 %', () => {
  const oil = additive({ role: 'oil', densityGPerMl: 0.92 });
  within(doseInBase(8 * G_PER_OZ, oil, '1 tbsp').ofBase * 100, 6.0, 0.05);
});

test('23 + 23 drops in 8 oz lie between 0.9 and 1.1 %', () => {
  within(doseInBase(8 * G_PER_OZ, fragrance(), '46 drops').ofBase * 100, 1, 0.1);
});

test('¼ to ½ tsp/lb of a fragrance of 0.95 g/mL lies in 0.25 to 0.5 % within 0.03', () => {
  within(doseInBase(1000, fragrance(), '¼ tsp/lb').ofBase * 100, 0.25, 0.03);
  within(doseInBase(1000, fragrance(), '½ tsp/lb').ofBase * 100, 0.5, 0.03);
});

test('8 g of grounds per 100 g are 8 %, and 1 oz in 2 lb is 3.1 %', () => {
  within(doseInBase(1000, additive({ role: 'grit' }), '8 g/100 g').ofBase, 0.08, 1e-12);
  within(doseInBase(1000, fragrance(), '1 oz per 2 lb').ofBase * 100, 3.125, 1e-9);
});
