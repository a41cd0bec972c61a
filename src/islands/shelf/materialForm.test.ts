import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import {
  ADDITIVE_ROLES,
  BASE_KINDS,
  BASE_LOOKS,
  COLORANT_FORMS,
  type Material,
  SKIN_RELEASES,
} from '../../core/materials/material';
import type { Reading } from '../../core/materials/reading';
import { materialFormSchema, readMaterial, typedMaterial } from './materialForm';

const density = fc.option(fc.integer({ min: 50, max: 5000 }).map((n) => n / 1000));
const fraction = fc.option(fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000));
const common = {
  id: fc.constant('m'),
  name: fc.constant('A material'),
  note: fc.constantFrom('', 'dry place'),
};
const dosed = {
  ...common,
  densityGPerMl: density,
  skin: fc.constantFrom(...SKIN_RELEASES),
  maxOfProduct: fraction,
  readings: fc.constant<Reading[]>([]),
};
const anyMaterial: fc.Arbitrary<Material> = fc.oneof(
  fc.record({
    ...common,
    kind: fc.constant('base' as const),
    baseKind: fc.constantFrom(...BASE_KINDS),
    look: fc.constantFrom(...BASE_LOOKS),
    densityGPerMl: density,
    fragranceCapOfBase: fraction,
    additionsCapOfBase: fraction,
    ceilingC: fc.option(fc.integer({ min: 30, max: 120 })),
  }),
  fc.record({ ...dosed, kind: fc.constant('fragrance' as const) }),
  fc.record({
    ...dosed,
    kind: fc.constant('colorant' as const),
    form: fc.constantFrom(...COLORANT_FORMS),
    bulkDensityGPerMl: density,
  }),
  fc.record({
    ...dosed,
    kind: fc.constant('additive' as const),
    role: fc.constantFrom(...ADDITIVE_ROLES),
    bulkDensityGPerMl: density,
  }),
);

test('opening a material and saving it untouched changes nothing, and unknown stays unknown', () => {
  fc.assert(
    fc.property(anyMaterial, (material) => {
      const read = readMaterial(materialFormSchema.parse(typedMaterial(material)));
      const { id: _, ...expected } = material;
      assert.deepEqual(Object.keys(read).sort(), Object.keys(expected).sort());
      for (const [key, value] of Object.entries(expected)) {
        const got = read[key as keyof typeof read];
        if (typeof value === 'number') assert.ok(Math.abs(Number(got) - value) < 1e-9, key);
        else assert.deepEqual(got, value, key);
      }
    }),
  );
});

test('a field takes figures as they are written anywhere, and names its fault', () => {
  const typed = { ...typedMaterial(null), name: 'Bay' };
  const limit = (maxOfProduct: string) => materialFormSchema.safeParse({ ...typed, maxOfProduct });
  assert.deepEqual(
    ['2,5', '2.5 %', '2 ½', ''].map((text) => limit(text).data?.maxOfProduct),
    [2.5, 2.5, 2.5, null],
  );
  for (const bad of ['-1', '101', 'lots', '1,250', '1e400']) {
    const issue = limit(bad).error?.issues[0];
    assert.deepEqual(issue?.path, ['maxOfProduct'], bad);
  }
});
