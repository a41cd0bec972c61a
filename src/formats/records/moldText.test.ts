import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { isClose, mold } from '../../../tests/support/planFiles';
import { densityFromCavity, measuredWays } from '../../core/molds/measure';
import { MEASURED_BY, MOLD_MATERIALS, type Mold, type Shape } from '../../core/molds/mold';
import { moldSchema } from '../../core/molds/moldSchema';
import { slicesOf } from '../../core/molds/slicing';
import { fieldsOfShape, readMold, typedMold } from './moldText';

const TAUGHT: Mold['taught'][] = [
  [],
  [
    {
      on: '2026-05-02',
      scale: 1.1,
      spread: 0.05,
      from: { is: 'touch', carriedS: 400, planName: 'A plan' },
    },
  ],
];

const mm = fc.integer({ min: 200, max: 3000 }).map((tenths) => tenths / 10);
const points = fc.constant<{ heightMm: number; halfWidthMm: number }[]>([
  { heightMm: 0, halfWidthMm: 20.5 },
  { heightMm: 12.5, halfWidthMm: 24 },
  { heightMm: 30, halfWidthMm: 30 },
]);
const shape: fc.Arbitrary<Shape> = fc.oneof(
  fc.record({
    kind: fc.constant('box' as const),
    lengthMm: mm,
    widthMm: mm,
    depthMm: mm,
    draftDeg: fc.constantFrom(0, 1.5),
    cornerMm: fc.constantFrom(0, 2.5),
  }),
  fc.record({ kind: fc.constant('cylinder' as const), diameterMm: mm, depthMm: mm }),
  fc.record({ kind: fc.constant('frustum' as const), floorDiameterMm: mm, diameterMm: mm, depthMm: mm }),
  fc.record({ kind: fc.constantFrom('hemisphere' as const, 'sphere' as const), diameterMm: mm }),
  fc.record({ kind: fc.constant('half-cylinder' as const), diameterMm: mm, lengthMm: mm }),
  fc.record({ kind: fc.constant('revolved' as const), points }),
  fc.record({ kind: fc.constant('drawn-out' as const), points, lengthMm: mm }),
  fc.constant<Shape>({
    kind: 'water-steps',
    steps: [
      { heightMm: 5.5, volumeMl: 20 },
      { heightMm: 11, volumeMl: 41.5 },
    ],
  }),
  fc.constant({ kind: 'capacity-only' as const }),
);
const anyMold: fc.Arbitrary<Mold> = fc
  .record({
    shape,
    cavities: fc.integer({ min: 1, max: 500 }),
    capacityMl: fc.integer({ min: 50, max: 50_000 }).map((n) => n / 100),
    measuredBy: fc.constantFrom(...MEASURED_BY),
    madeOf: fc.constantFrom(...MOLD_MATERIALS),
    highestC: fc.option(fc.integer({ min: 30, max: 400 })),
    shrinkageFraction: fc.option(fc.integer({ min: 0, max: 200 }).map((n) => n / 1000)),
    usualFillFraction: fc.constantFrom(0.5, 0.875, 1),
    boughtFrom: fc.constantFrom('', 'A stall'),
    sliceMm: fc.option(fc.integer({ min: 1, max: 50 })),
    stripMm: fc.option(fc.integer({ min: 1, max: 50 })),
    endTrimMm: fc.integer({ min: 0, max: 20 }),
    taught: fc.constantFrom(...TAUGHT),
    measures: fc.array(
      fc.record({
        by: fc.constantFrom(...MEASURED_BY),
        on: fc.constantFrom('2026-01-31', '2024-02-29'),
        capacityMl: fc.integer({ min: 1, max: 9000 }).map((n) => n / 10 + 1),
      }),
      { maxLength: 3 },
    ),
  })
  .map((facts) => mold(facts))
  .filter((made) => moldSchema.safeParse(made).success);

test('opening a mold and saving it untouched changes nothing, whatever its shape', () => {
  fc.assert(
    fc.property(anyMold, (made) => {
      const { id, ...record } = made;
      const read = readMold(typedMold(made));
      assert.ok(read.success, JSON.stringify(read));
      assert.deepEqual(read.data, JSON.parse(JSON.stringify(record)));
    }),
  );
});

test('a shape asks for its own dimensions, and what cannot be is told at its field', () => {
  const keys = (kind: Shape['kind']) => fieldsOfShape(kind).map(({ key }) => key);
  assert.ok(keys('box').includes('draftDeg') && !keys('box').includes('diameterMm'));
  assert.ok(keys('capacity-only').every((key) => !key.endsWith('Mm')));
  const faults = (texts: Record<string, string>) => {
    const read = readMold({ ...typedMold(mold()), ...texts });
    return read.success ? {} : Object.fromEntries(read.error.map(({ key, reason }) => [key, reason]));
  };
  assert.deepEqual(faults({}), {});
  assert.deepEqual(Object.keys(faults({ shapeKind: 'box' })), ['lengthMm', 'widthMm', 'depthMm']);
  const box = { shapeKind: 'box', lengthMm: '40', widthMm: '40', depthMm: '40' };
  assert.match(faults({ ...box, draftDeg: '30' }).draftDeg ?? '', /walls meet/);
  assert.match(faults({ shapeKind: 'revolved', points: '0 20; 12' }).points ?? '', /not a pair/);
  assert.match(faults({ shapeKind: 'revolved', points: '0 20; 0 12' }).points ?? '', /must rise/);
  assert.match(faults({ shapeKind: 'water-steps', steps: '20 5; 10 9' }).steps ?? '', /rise/);
  assert.match(faults({ capacityMl: '4 oz' }).capacityMl ?? '', /Only a number of mL/);
  assert.deepEqual(faults({ capacityMl: '4 fl oz' }), {});
});

test('bars from a loaf: whole slices of what the trims leave, and nothing of its weight is lost', () => {
  const shape = { kind: 'box', lengthMm: 240, widthMm: 70, depthMm: 60, draftDeg: 0, cornerMm: 0 } as const;
  // (240 − 2 · 5) / 23 = 10 bars, each 23/240 of the loaf.
  const slices = slicesOf({ shape, sliceMm: 23, stripMm: null, endTrimMm: 5 });
  assert.ok(slices?.bars === 10 && isClose(slices.barShare, 23 / 240) && isClose(slices.trimShare, 10 / 240));
  assert.equal(slicesOf({ shape, sliceMm: 23.1, stripMm: null, endTrimMm: 5 })?.bars, 9);
  assert.equal(slicesOf({ shape, sliceMm: null, stripMm: null, endTrimMm: 5 }), null);
  assert.equal(
    slicesOf({ shape: { kind: 'hemisphere', diameterMm: 60 }, sliceMm: 20, stripMm: null, endTrimMm: 0 }),
    null,
  );
  // A slab of 70 mm in strips of 33: two, and 4 mm over; ten slices of each.
  const slab = slicesOf({ shape, sliceMm: 23, stripMm: 33, endTrimMm: 5 });
  assert.ok(slab?.bars === 20 && isClose(slab.barShare, (23 / 240) * (33 / 70)));
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 0, max: 150 }), (sliceMm, endTrimMm) => {
      const cut = slicesOf({
        shape,
        sliceMm,
        stripMm: sliceMm % 3 === 0 ? (sliceMm % 70) + 1 : null,
        endTrimMm,
      });
      assert.ok(cut && cut.trimShare > -1e-12 && isClose(cut.bars * cut.barShare + cut.trimShare, 1));
    }),
  );
});

test('the ways of measuring stand side by side, and base over water is a density', () => {
  const measure = (by: 'water' | 'base', capacityMl: number) => ({ by, on: '2026-01-01', capacityMl });
  const near = measuredWays([measure('water', 100), measure('water', 102), measure('base', 105)]);
  assert.deepEqual(
    near.ways.map(({ by, meanMl, count }) => [by, meanMl, count]),
    [
      ['water', 101, 2],
      ['base', 105, 1],
    ],
  );
  assert.ok(isClose(near.ways[0]?.spread ?? 0, 2 / 101));
  assert.equal(near.disagree, false);
  assert.equal(measuredWays([measure('water', 100), measure('base', 106)]).disagree, true);
  assert.ok(isClose(densityFromCavity(106, 100), 1.06));
});
