import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { declarable, maximumAllowableVariationG, tolerableNegativeErrorG } from './netWeight';

test('what a piece may lack: the figures of Directive 76/211/EEC and of NIST Handbook 133 (from memory)', () => {
  const eu: [number, number | null][] = [
    [4, null],
    [5, 0.5],
    [40, 3.6],
    [50, 4.5],
    [75, 4.5],
    [100, 4.5],
    [101, 4.6],
    [150, 6.8],
    [200, 9],
    [250, 9],
    [400, 12],
    [500, 15],
    [750, 15],
    [2000, 30],
    [20_000, null],
  ];
  for (const [netG, lackG] of eu) assert.equal(tolerableNegativeErrorG(netG), lackG, `${netG} g`);
  const us: [number, number | null][] = [
    [20, 2],
    [36, 3.6],
    [54, 3.6],
    [80, 5.4],
    [100, 7.2],
    [150, 9],
    [5000, null],
    [0, null],
  ];
  for (const [netG, lackG] of us) assert.equal(maximumAllowableVariationG(netG), lackG, `${netG} g`);
});

test('how many are weighed: all below 100, then 30 and 50; or all up to 11, then 12, 24 and 48', () => {
  const samples = (rule: 'eu' | 'us', batches: number[]) =>
    batches.map((batch) => declarable(rule, [100], batch).sample);
  assert.deepEqual(samples('eu', [12, 99, 100, 500, 501]), [12, 99, 30, 30, 50]);
  assert.deepEqual(samples('us', [6, 11, 12, 250, 251, 3200, 3201]), [6, 11, 12, 12, 24, 24, 48]);
});

test('worked by hand: eleven bars of 100 g and one of 88 are declared as 92, held by that one', () => {
  // Mean 99. One of twelve is more than 2.5 %, so none may lack more than 4.5: 92 − 4.5 = 87.5, and 93 − 4.5 = 88.5.
  const weights = [...Array.from({ length: 11 }, () => 100), 88];
  const eu = declarable('eu', weights, 12);
  assert.deepEqual([eu.netG, eu.meanG, eu.leastG, eu.mayLackG, eu.heldBy], [92, 99, 88, 4.5, 'lightest']);
  // Of forty weighed, one may lack more than 4.5 but no more than 9.
  const many = [...Array.from({ length: 39 }, () => 100), 90];
  assert.equal(declarable('eu', many, 40).netG, 99);
  // 12 of a lot of 12: 99 + 0.635 · 3.46 = 101.2; 88 lacks more than 7.2 of more than 95.
  const us = declarable('us', weights, 12);
  assert.deepEqual([us.netG, us.heldBy], [95, 'lightest']);
  assert.deepEqual(declarable('us', [101, 101, 101], 3).netG, 101);
});

test('never more than the mean where all are weighed, and heavier pieces never make it less', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 20, max: 300, noNaN: true }), { minLength: 1, maxLength: 11 }),
      fc.double({ min: 0, max: 30, noNaN: true }),
      (weightsG, moreG) => {
        for (const rule of ['eu', 'us'] as const) {
          const told = declarable(rule, weightsG, weightsG.length);
          assert.ok((told.netG ?? 0) <= told.meanG + 1e-6);
          const heavier = declarable(
            rule,
            weightsG.map((each) => each + moreG),
            weightsG.length,
          );
          assert.ok((heavier.netG ?? 0) >= (told.netG ?? 0));
        }
      },
    ),
  );
});
