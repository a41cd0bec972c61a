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
  isClose,
  mold,
  planFile,
  sheetOf,
} from '../support/planFiles';

/**
 * An independent balance of a jug: nothing of the product's solve is used. A base weight is guessed, everything is
 * weighed out by hand-written rules, and the guess is halved in until the jug holds what the molds and the loss take.
 */
function balance(doses: Weighed[], jugMl: number, baseDensity: number) {
  let low = 0;
  let high = jugMl * baseDensity;
  for (let step = 0; step < 200; step++) {
    const guess = (low + high) / 2;
    const volume = doses.reduce((sum, dose) => sum + dose.grams(guess) / dose.density, guess / baseDensity);
    if (volume < jugMl) low = guess;
    else high = guess;
  }
  const masses = doses.map((dose) => dose.grams(low));
  const allG = masses.reduce((sum, mass) => sum + mass, low);
  return { baseG: low, masses, ofProduct: masses.map((mass) => mass / allG) };
}

interface Weighed {
  density: number;
  grams(baseG: number): number;
}

/** A dose as it is typed, and what it weighs by rules written out here. */
const spoken = fc.oneof(
  fc
    .integer({ min: 1, max: 300 })
    .map((n) => ({ text: `${n / 100} %`, grams: (b: number) => (b * n) / 10_000 })),
  fc.integer({ min: 1, max: 90 }).map((n) => ({ text: `${n / 10} g`, grams: () => n / 10 })),
  fc
    .integer({ min: 1, max: 60 })
    .map((n) => ({ text: `${n / 100} oz`, grams: () => (n / 100) * 28.349523125 })),
  fc.integer({ min: 1, max: 40 }).map((n) => ({ text: `${n} g/kg`, grams: (b: number) => (b * n) / 1000 })),
);

test('every share of product against an independent mass balance', () => {
  fc.assert(
    fc.property(
      fc.array(spoken, { minLength: 4, maxLength: 4 }),
      fc.integer({ min: 1, max: 30 }),
      fc.integer({ min: 0, max: 20 }),
      fc.integer({ min: 60, max: 100 }),
      ([first, second, third, fourth], pieces, loss, fill) => {
        if (!first || !second || !third || !fourth) return;
        const [a, b] = [
          fragrance({ id: 'a', densityGPerMl: 0.9 }),
          fragrance({ id: 'b', densityGPerMl: 1.02 }),
        ];
        const file = planFile(
          [
            {
              base: base({ densityGPerMl: 1.06 }),
              doses: [
                [
                  blend([
                    [a, 3],
                    [b, 1],
                  ]),
                  first.text,
                ],
                [colorant({ densityGPerMl: 2.9 }), second.text, { dispersantId: 'wet-1', times: 1.5 }],
                [additive({ densityGPerMl: 1.1 }), third.text],
                [additive({ id: 'same', densityGPerMl: 0.92 }), '= Test extra'],
                [additive({ id: 'last', name: 'Last', densityGPerMl: 1.35 }), fourth.text],
              ],
            },
          ],
          { pieces, jugLossFraction: loss / 100, fillFraction: fill / 100 },
          mold({ capacityMl: 95 }),
          [a, b, dispersant({ densityGPerMl: 1.26 })],
        );
        const named = file.materials.map((each) => (each.id === 'same' ? { ...each, name: 'Other' } : each));
        const expected = balance(
          [
            { density: 0.9, grams: (g) => first.grams(g) * 0.75 },
            { density: 1.02, grams: (g) => first.grams(g) * 0.25 },
            { density: 2.9, grams: second.grams },
            { density: 1.26, grams: (g) => second.grams(g) * 1.5 },
            { density: 1.1, grams: third.grams },
            { density: 0.92, grams: third.grams },
            { density: 1.35, grams: fourth.grams },
          ],
          (pieces * 95 * fill) / 100 / (1 - loss / 100),
          1.06,
        );
        // Amounts that fill the jug leave no base, and no sheet is made.
        if (expected.baseG < 1) return;
        const [pour] = sheetOf({ ...file, materials: named }).pours;
        assert.ok(pour, 'a pour');
        assert.ok(isClose(pour.baseG, expected.baseG));
        assert.deepEqual(pour.lines.length, expected.ofProduct.length);
        for (const [index, ofProduct] of expected.ofProduct.entries())
          assert.ok(isClose(pour.lines[index]?.ofProduct ?? 0, ofProduct), String(index));
      },
    ),
    { numRuns: 300 },
  );
});
