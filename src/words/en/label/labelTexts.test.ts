import assert from 'node:assert/strict';
import test from 'node:test';
import { netWords } from './labelTexts';

const said = (rules: 'eu-cosmetic' | 'us-cosmetic', ...parts: [netG: number | null, pieces: number][]) =>
  netWords(
    parts.map(([netG, pieces]) => ({ netG, pieces })),
    rules,
    'en-GB',
  )?.replaceAll('\u00a0', ' ');

// 21 CFR 701.13(k): ounces, and from a pound on pounds beside them; grams by the Fair Packaging and Labeling Act. From memory.
test('a net weight is said by its rules: in grams, of several alike each, or in ounces and grams', () => {
  assert.equal(said('eu-cosmetic', [100, 1]), '100 g');
  assert.equal(said('eu-cosmetic', [100, 3]), '3 × 100 g');
  assert.equal(said('eu-cosmetic', [100, 2], [80, 1]), '280 g');
  assert.equal(said('eu-cosmetic', [100, 2], [null, 1]), undefined);
  assert.equal(said('us-cosmetic', [100, 1]), 'Net Wt 3.52 oz (100 g)');
  assert.equal(said('us-cosmetic', [100, 5]), 'Net Wt 17.63 oz (1 lb 1.63 oz) 500 g');
  assert.equal(said('us-cosmetic', [454, 1]), 'Net Wt 16.01 oz (1 lb 0.01 oz) 454 g');
});
