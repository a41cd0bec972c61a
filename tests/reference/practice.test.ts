import assert from 'node:assert/strict';
import test from 'node:test';
import type { DosedMaterial } from '../../src/core/materials/material';
import { makeSheet } from '../../src/core/plan/makeSheet';
import { G_PER_OZ, ML_PER_US_FL_OZ } from '../../src/core/units/factors';
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

/** Base alone in bars of this size, at its own density: as crafters reckon, by weight. */
function bars(pours: { size?: string; parts?: number }[], pieces: number, barG: number) {
  const dense = base({ densityGPerMl: 1.05 });
  const inMold = mold({ cavities: pieces, capacityMl: barG / 1.05 });
  const made = makeSheet(
    planFile(
      pours.map((pour) => ({ ...pour, base: dense })),
      { pieces },
      inMold,
    ),
  );
  if (!made.success) throw new Error(made.error.code);
  return made.data;
}

test('8 : 2 in a cavity of 90 g is 72 g and 18 g', () => {
  const [first, second] = bars([{ parts: 8 }, { parts: 2 }], 1, 90).pours;
  within(first?.intoMoldG ?? 0, 72, 1e-9);
  within(second?.intoMoldG ?? 0, 18, 1e-9);
});

test('three equal pours in a tray of eight bars of 112 g are 298.7 g each', () => {
  for (const { intoMoldG } of bars([{}, {}, {}], 8, 112).pours) within(intoMoldG, 298.7, 0.04);
});

test('50 g, 50 g and 80 g over all cavities together are those weights, and the cavities are full', () => {
  const sheet = bars([{ size: '50 g' }, { size: '50 g' }, { size: '80 g' }], 2, 90);
  assert.deepEqual(
    sheet.pours.map(({ intoMoldG }) => Number(intoMoldG.toFixed(6))),
    [50, 50, 80],
  );
  assert.deepEqual(sheet.sizeFaults, []);
});

test('a cavity of 4 fl oz takes more than 4 oz of base', () => {
  // 4 fl oz are 118.29 mL; a base of 1.05 g/mL weighs 124.2 g, 4.38 oz.
  const filled = makeSheet(
    planFile(
      [{ base: base({ densityGPerMl: 1.05 }) }],
      { pieces: 1 },
      mold({ capacityMl: 4 * ML_PER_US_FL_OZ }),
    ),
  );
  assert.ok(filled.success);
  within(filled.data.totals.intoMoldG / G_PER_OZ, 4.38, 0.005);
  assert.ok(filled.data.totals.intoMoldG > 4 * G_PER_OZ);
});

test('a disc of 30 mm in a half ball of 35 mm radius is 3.38 mm deep and takes 1.21 mL', () => {
  // Depth: 35 − √(35² − 15²) = 3.377 mm. Cap: π h² (3 · 35 − h) / 3 = 1213.6 mm³ (spherical cap, any table of solids).
  const ball = mold({
    capacityMl: ((2 / 3) * Math.PI * 35 ** 3) / 1000,
    shape: { kind: 'hemisphere', diameterMm: 70 },
  });
  const made = makeSheet(planFile([{ size: 'disc 30 mm' }, { size: 'rest' }], { pieces: 1 }, ball));
  assert.ok(made.success);
  const [disc] = made.data.pours;
  within(disc?.toMm ?? 0, 3.3772, 1e-3);
  within(disc?.intoMoldMl ?? 0, 1.2136, 1e-3);
});
