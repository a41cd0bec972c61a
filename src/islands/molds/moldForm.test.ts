import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { MEASURED_BY, type Mold } from '../../core/molds/mold';
import { moldFormSchema, readMold, typedMold } from './moldForm';

const mm = fc.integer({ min: 1, max: 2000 });
const anyMold: fc.Arbitrary<Mold> = fc.record({
  id: fc.constant('m'),
  name: fc.constant('A mold'),
  note: fc.constant(''),
  cavities: fc.integer({ min: 1, max: 500 }),
  capacityMl: fc.integer({ min: 5, max: 5000 }).map((n) => n / 10),
  measuredBy: fc.constantFrom(...MEASURED_BY),
  usualFillFraction: fc.constantFrom(0.5, 0.75, 1),
  shape: fc.oneof(
    fc.record({ kind: fc.constant('box' as const), lengthMm: mm, widthMm: mm, depthMm: mm }),
    fc.record({ kind: fc.constant('cylinder' as const), diameterMm: mm, depthMm: mm }),
    fc.record({ kind: fc.constant('hemisphere' as const), diameterMm: mm }),
    fc.record({ kind: fc.constant('capacity-only' as const) }),
  ),
});

test('opening a mold and saving it untouched changes nothing', () => {
  fc.assert(
    fc.property(anyMold, (mold) => {
      const { id: _, ...expected } = mold;
      // fast-check makes records without a prototype; only what they hold is compared.
      assert.deepEqual(readMold(moldFormSchema.parse(typedMold(mold))), JSON.parse(JSON.stringify(expected)));
    }),
  );
});

test('a shape asks for the dimensions it needs and for no others', () => {
  const typed = { ...typedMold(null), name: 'Loaf', cavities: '1', capacity: '1000' };
  const missing = (shape: Mold['shape']['kind']) =>
    (moldFormSchema.safeParse({ ...typed, shape }).error?.issues ?? []).map(({ path }) => path[0]);
  assert.deepEqual(missing('capacity-only'), []);
  assert.deepEqual(missing('box'), ['length', 'width', 'depth']);
  assert.deepEqual(missing('cylinder'), ['diameter', 'depth']);
  assert.deepEqual(missing('hemisphere'), ['diameter']);
});
