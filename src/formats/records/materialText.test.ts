import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { additive, base, blend, colorant, dispersant, fragrance } from '../../../tests/support/planFiles';
import { ADDITIVE_ROLES } from '../../core/materials/additive';
import { BASE_KINDS, BASE_LOOKS, SET_SPEEDS, SWEAT_GRADES } from '../../core/materials/base';
import { COLORANT_FORMS } from '../../core/materials/colorant';
import { ORIGINS, SKIN_RELEASES } from '../../core/materials/fields';
import { FRAGRANCE_KINDS } from '../../core/materials/fragrance';
import { MATERIAL_KINDS, type Material } from '../../core/materials/material';
import { materialSchema } from '../../core/materials/materialSchema';
import { fieldsOf, MATERIAL_FIELDS } from './materialFields';
import { firstTexts, readMaterial, writeMaterial } from './materialText';
import { shelfNames } from './shelfNames';

const orUnknown = <Value>(some: fc.Arbitrary<Value>) => fc.option(some, { nil: null });
const share = orUnknown(fc.integer({ min: 0, max: 10_000 }).map((n) => n / 10_000));
const grams = orUnknown(fc.integer({ min: 5, max: 500 }).map((n) => n / 100));
const celsius = orUnknown(fc.integer({ min: 200, max: 1200 }).map((n) => n / 10));
const yesNo = orUnknown(fc.boolean());
const words = fc
  .string({ unit: fc.constantFrom(...'abcdeß ,’()12-'), minLength: 1, maxLength: 20 })
  .map((text) => text.trim())
  .filter((text) => text !== '' && text.toLowerCase() !== 'none');
const name = words.filter((text) => !/,\s|,$/.test(text));

const common = {
  name: words,
  note: fc.string({ maxLength: 60 }),
  lowStock: orUnknown(fc.integer({ min: 0, max: 99_999 }).map((n) => n / 10)),
  archived: fc.boolean(),
};
const shared = fc.integer({ min: 0, max: 10_000 }).map((n) => n / 10_000);
const labelled = {
  ...common,
  inci: orUnknown(fc.array(name, { minLength: 1, maxLength: 4 })),
  origins: orUnknown(fc.uniqueArray(fc.constantFrom(...ORIGINS), { maxLength: 4 })),
};
const dosed = {
  ...labelled,
  densityGPerMl: grams,
  skin: fc.constantFrom(...SKIN_RELEASES),
  maxOfProduct: share,
  usualLeastOfBase: share,
  usualMostOfBase: share,
  readings: fc.array(
    fc.record({
      of: fc.constantFrom('drops' as const, 'spoon' as const, 'blocks' as const),
      on: fc.constantFrom('2026-01-31', '2024-02-29'),
      count: fc.integer({ min: 1, max: 900 }).map((n) => n / 10),
      massG: fc.integer({ min: 1, max: 9000 }).map((n) => n / 1000),
    }),
    { maxLength: 3 },
  ),
};

/** Any record of any kind, every field of it known or unknown. */
const anyMaterial: fc.Arbitrary<Material> = fc.oneof(
  fc
    .record({
      ...labelled,
      baseKind: fc.constantFrom(...BASE_KINDS),
      look: fc.constantFrom(...BASE_LOOKS),
      contains: fc.string({ maxLength: 40 }),
      suspension: yesNo,
      sweat: fc.constantFrom(...SWEAT_GRADES),
      setSpeed: fc.constantFrom(...SET_SPEEDS),
      bearsFreezer: yesNo,
      standsHeat: yesNo,
      meltsC: celsius,
      thickensC: celsius,
      ceilingC: celsius,
      setsC: celsius,
      setsOverK: orUnknown(fc.integer({ min: 3, max: 30 })),
      latentJG: orUnknown(fc.integer({ min: 5, max: 200 })),
      heatCapacityJGK: orUnknown(fc.integer({ min: 100, max: 500 }).map((n) => n / 100)),
      conductivityWMK: orUnknown(fc.integer({ min: 5, max: 100 }).map((n) => n / 100)),
      hardensH: grams,
      densityGPerMl: grams,
      fragranceCapOfBase: share,
      oilsCapOfBase: share,
      liquidsCapOfBase: share,
      additionsCapOfBase: share,
    })
    .chain((facts) => {
      // Shares are of ingredients that are on the list, each once.
      const [first] = facts.inci ?? [];
      // The first of several may be anything from half of it on; alone it is all of it.
      const ofFirst =
        facts.inci?.length === 1 ? fc.constant(1) : fc.integer({ min: 50, max: 90 }).map((n) => n / 100);
      const shares = ofFirst.map((ofMaterial) => (first ? [{ name: first, ofMaterial }] : []));
      return orUnknown(shares).map((inciShares) => base({ ...facts, inciShares }));
    }),
  fc
    .record({
      ...dosed,
      fragranceKind: fc.constantFrom(...FRAGRANCE_KINDS),
      vanillinOfMaterial: share,
      allergens: orUnknown(fc.array(fc.record({ name, ofMaterial: shared }), { maxLength: 3 })),
    })
    .map((facts) => fragrance(facts)),
  fc
    .record({ ...dosed, form: fc.constantFrom(...COLORANT_FORMS), bleeds: yesNo, bulkDensityGPerMl: grams })
    .map((facts) => colorant(facts)),
  fc
    .record({ ...dosed, role: fc.constantFrom(...ADDITIVE_ROLES), grainMm: grams, bulkDensityGPerMl: grams })
    .map((facts) => additive(facts)),
  fc.record({ ...dosed, leaves: fc.boolean() }).map((facts) => dispersant(facts)),
  fc
    .record({ ...common, kind: fc.constant('packaging' as const), id: fc.constant('p') })
    .map((facts): Material => facts),
);

test('opening a record and saving it untouched changes nothing, whatever it holds', () => {
  const names = shelfNames([]);
  fc.assert(
    fc.property(anyMaterial, (material) => {
      const { id, ...record } = material;
      assert.ok(materialSchema.safeParse(material).success);
      for (const decimal of ['either', '.', ','] as const) {
        const context = { ...names, decimal };
        const read = readMaterial(material.kind, writeMaterial(material, context), context);
        assert.ok(read.success, JSON.stringify(read));
        // A field of spaces alone is an empty one.
        const expected = { ...record, note: record.note.trim() === '' ? '' : record.note };
        if ('contains' in expected && expected.contains.trim() === '') expected.contains = '';
        assert.deepEqual(read.data, JSON.parse(JSON.stringify(expected)));
      }
    }),
    { numRuns: 300 },
  );
});

test('every field of every kind is in one group, and an empty form is a whole record of what is first chosen', () => {
  for (const kind of MATERIAL_KINDS) {
    const keys = fieldsOf(kind).map(({ key }) => key);
    assert.equal(new Set(keys).size, keys.length, kind);
    const read = readMaterial(
      kind,
      { ...firstTexts(), name: 'New', members: '1x new' },
      {
        decimal: 'either',
        idOf: () => 'some-id',
        nameOf: (id) => id,
      },
    );
    assert.ok(read.success, `${kind}: ${JSON.stringify(read)}`);
    for (const [key, value] of Object.entries(read.data)) {
      if (/density|cap|limit|C$/i.test(key)) assert.equal(value, null, `${kind} ${key} is made up`);
    }
  }
  assert.ok(MATERIAL_FIELDS.every(({ label }) => label.length > 2));
});

test('each text that can’t be read is named with its mend', () => {
  const names = shelfNames([{ id: 'a', name: 'Lime' }]);
  const faults = (kind: Material['kind'], texts: Record<string, string>) => {
    const read = readMaterial(kind, { ...firstTexts(), name: 'X', ...texts }, names);
    return read.success ? {} : Object.fromEntries(read.error.map(({ key, reason }) => [key, reason]));
  };
  assert.match(faults('fragrance', { name: '  ' }).name ?? '', /Give it a name/);
  assert.match(faults('fragrance', { densityGPerMl: '-1' }).densityGPerMl ?? '', /0\.05 to 5/);
  assert.match(faults('fragrance', { maxOfProduct: '1,250' }).maxOfProduct ?? '', /Could be/);
  assert.match(faults('fragrance', { allergens: 'Linalool' }).allergens ?? '', /no share/);
  assert.match(faults('fragrance', { allergens: 'Linalool 140 %' }).allergens ?? '', /0 to 100/);
  const list = { inci: 'Glycerin, 1,2-Hexanediol, Aqua' };
  assert.deepEqual(
    faults('base', { ...list, inciShares: 'GLYCERIN 70 %, 1,2-hexanediol 27,5 %, Water 2,5 %' }),
    {},
  );
  assert.match(
    faults('base', { ...list, inciShares: 'Sorbitol 2 %' }).inciShares ?? '',
    /“Sorbitol”, which is not among/,
  );
  assert.match(faults('base', { inciShares: 'Aqua 2 %' }).inciShares ?? '', /not among/);
  assert.match(
    faults('base', { ...list, inciShares: 'Aqua 2 %; Water 3 %' }).inciShares ?? '',
    /“Water” twice/,
  );
  assert.match(
    faults('base', { ...list, inciShares: 'Aqua 60 %; Glycerin 41 %' }).inciShares ?? '',
    /more than 100 %/,
  );
  for (const against of ['Aqua 99 %', 'Aqua 20 %; Glycerin 10 %', 'Glycerin 0.5 %'])
    assert.match(
      faults('base', { ...list, inciShares: against }).inciShares ?? '',
      /order of the pack/,
      against,
    );
  assert.match(faults('base', { ...list, inciShares: 'constructor ½' }).inciShares ?? '', /no share/);
  assert.match(faults('fragrance', { origins: 'moon' }).origins ?? '', /none of: nut/);
  assert.match(faults('fragrance', { readings: '20 drops' }).readings ?? '', /not a reading/);
  assert.match(faults('blend', { members: 'Lime' }).members ?? '', /not a part/);
  assert.match(faults('blend', { members: '2x Plum' }).members ?? '', /not on the shelf/);
  assert.match(faults('blend', { members: '' }).members ?? '', /at least 1/);
  assert.deepEqual(faults('blend', { members: '½ lime' }), {});
  assert.match(faults('additive', { note: 'x'.repeat(2001) }).note ?? '', /2000 characters/);
});

test('a blend is written by names, and by id where a name is not the only one', () => {
  const [one, two, other] = [
    fragrance({ id: 'one', name: 'Bay' }),
    fragrance({ id: 'two', name: 'bay' }),
    fragrance({ id: 'other', name: 'Lime' }),
  ];
  const mixed = blend([
    [two, 1],
    [other, 2.5],
  ]);
  const names = shelfNames([one, two, other]);
  const texts = writeMaterial(mixed, names);
  assert.equal(texts.members, '1x two; 2.5x Lime');
  const read = readMaterial('blend', texts, names);
  assert.ok(read.success && read.data.kind === 'blend');
  assert.deepEqual(read.data.members, mixed.members);
});
