import assert from 'node:assert/strict';
import test from 'node:test';
import {
  additive,
  BOX,
  base,
  fragrance,
  isClose,
  planFile,
  scrap,
  sheetOf,
} from '../../../tests/support/planFiles';
import { onNoList } from '../materials/allergenNames';
import { inciKey } from '../materials/inciName';
import { ingredientsOf } from './ingredients';
import { packsOf } from './packsOf';

test('names that are written in two ways are one ingredient', () => {
  for (const name of ['Aqua', 'AQUA.', ' Water ', 'Aqua (Water)', 'water / aqua'])
    assert.equal(inciKey(name), 'aqua', name);
  assert.equal(inciKey('Sodium  Stearate;'), inciKey('sodium stearate'));
  assert.notEqual(inciKey('constructor'), inciKey('__proto__'));
  const { list } = ingredientsOf([
    { name: 'A', massG: 50, inci: ['Aqua'] },
    { name: 'B', massG: 50, inci: ['WATER'] },
  ]);
  assert.deepEqual(
    list.map(({ name, least, most }) => [name, least, most]),
    [['Aqua', 1, 1]],
  );
});

test('packs are merged by weight: what is certain stands so, what may change places says it, colorants come last', () => {
  const told = ingredientsOf([
    { name: 'Base', massG: 97, inci: ['Glycerin', 'Aqua', 'Sodium Stearate'] },
    { name: 'Oil', massG: 2, inci: ['Prunus Amygdalus Dulcis Oil'] },
    { name: 'Mica', massG: 0.5, inci: ['Mica', 'CI 77891'], isColorant: true },
    { name: 'Scent', massG: 0.5, inci: ['Parfum'] },
    { name: 'Secret', massG: 3, inci: null },
  ]);
  assert.deepEqual(told.unlisted, ['Secret']);
  assert.deepEqual(
    told.list.map(({ name }) => name),
    [
      'Glycerin',
      'Aqua',
      'Sodium Stearate',
      'Secret',
      'Prunus Amygdalus Dulcis Oil',
      'Parfum',
      'Mica',
      'CI 77891',
    ],
  );
  const of = (name: string) => told.list.find((each) => each.name === name);
  // By hand, of 103 g: glycerin is a third of its 97 g at the least, and 97 % of them with two others of 1 % and more or less.
  assert.ok(isClose(of('Glycerin')?.least ?? 0, 97 / 3 / 103));
  assert.ok(
    isClose(of('Glycerin')?.most ?? 0, 97 / 103),
    'both others may be next to nothing, below the line',
  );
  assert.ok(isClose(of('Parfum')?.most ?? 0, 0.5 / 103) && of('Parfum')?.isBelowLine);
  assert.deepEqual(
    [of('Glycerin')?.maySwap, of('Secret')?.maySwap, of('Sodium Stearate')?.maySwap],
    [false, false, true],
  );
  assert.ok(of('Secret')?.isUnlisted && of('Mica')?.isColorant);
  assert.deepEqual(ingredientsOf([]), { list: [], unlisted: [], contradicted: [], allergensUnknown: [] });
});

test('a list that contradicts what is known of it is told, and stands by its order alone', () => {
  const known = new Map([
    ['A', 0.2],
    ['B', 0.7],
  ]);
  const { contradicted, list } = ingredientsOf([{ name: 'Odd', massG: 10, inci: ['A', 'B'], known }]);
  assert.deepEqual(contradicted, ['Odd']);
  assert.deepEqual(
    list.map(({ least, most }) => [least, most]),
    [
      [0.5, 1],
      [0, 0.5],
    ],
  );
});

test('what is in a bar: bases and additions by their lists, scents as one Parfum with the allergens that are named, what came out of a jar too', () => {
  const scent = fragrance({
    allergens: [
      { name: 'Linalool', ofMaterial: 0.1 },
      { name: 'Citral', ofMaterial: 0.0005 },
      { name: 'Linalyl  acetate', ofMaterial: 0.02 },
      { name: 'Limonen', ofMaterial: 0.02 },
    ],
  });
  const own = base({ inci: ['Glycerin', 'Aqua'] });
  const told = base({ ...own, inciShares: [{ name: 'WATER', ofMaterial: 0.3 }] });
  const oil = additive({ id: 'oil', role: 'oil', inci: ['Prunus Amygdalus Dulcis Oil'] });
  const jar = scrap({
    holds: [
      { materialId: own.id, name: own.name, kind: 'base', ofScrap: 0.95 },
      { materialId: oil.id, name: oil.name, kind: 'dose', ofScrap: 0.05 },
    ],
  });
  const file = planFile([{ base: own, doses: [[scent, '2 %']] }], {}, BOX, [jar, oil]);
  const pours = file.plan.pours.map((pour) => ({ ...pour, remelt: { scrapId: jar.id, ofBase: 0.5 } }));
  const sheet = sheetOf({ ...file, plan: { ...file.plan, pours } });
  const packs = packsOf(sheet, { tasks: [] }, (id) => (id === oil.id ? oil : null));
  assert.ok(packs);
  const { list } = ingredientsOf(packs);
  const of = (name: string) => list.find((each) => each.name === name);
  // By hand: of 102 g, 2.5 g are oil out of the jar and 2 g scent; a tenth of that is linalool, and citral is below 0.01 %.
  assert.ok(isClose(of('Prunus Amygdalus Dulcis Oil')?.most ?? 0, 2.5 / 102, 1e-6));
  assert.ok(isClose(of('Parfum')?.least ?? 0, 2 / 102, 1e-6));
  assert.ok(isClose(of('Linalool')?.most ?? 0, 0.2 / 102, 1e-6));
  assert.equal(of('Citral'), undefined);
  // Named since the longer list; what is on neither is named by both, and told as such where it is typed.
  const named = (from: Parameters<typeof packsOf>[3]) =>
    packsOf(sheet, { tasks: [] }, () => oil, from)
      ?.filter((pack) => pack.isWithin)
      .map(({ name }) => name);
  assert.deepEqual(named('2023-1545'), ['Linalool', 'Linalyl  acetate', 'Limonen']);
  assert.deepEqual(named('before'), ['Linalool', 'Limonen']);
  assert.deepEqual(onNoList(scent.allergens?.map(({ name }) => name) ?? []), ['Limonen']);
  assert.deepEqual(ingredientsOf(packs).allergensUnknown, []);
  assert.ok(isClose((of('Glycerin')?.least ?? 0) * 2, 97.5 / 102, 1e-6));
  const shares = packsOf(sheetOf(planFile([{ base: told }])), { tasks: [] }, () => null);
  assert.deepEqual(
    ingredientsOf(shares ?? []).list.map(({ name, least, most }) => [
      name,
      least.toFixed(6),
      most.toFixed(6),
    ]),
    [
      ['Glycerin', '0.700000', '0.700000'],
      ['Aqua', '0.300000', '0.300000'],
    ],
  );
  // What is typed of a pack later holds for what was made of it; what was typed then stands.
  const later = packsOf(sheetOf(planFile([{ base: base() }])), { tasks: [] }, () => told);
  assert.deepEqual(later?.[0]?.inci, ['Glycerin', 'Aqua']);
  const before = packsOf(sheetOf(planFile([{ base: told }])), { tasks: [] }, () => base({ inci: ['Other'] }));
  assert.deepEqual(before?.[0]?.inci, ['Glycerin', 'Aqua']);
  const unknown = sheetOf({
    ...file,
    plan: { ...file.plan, pours },
    materials: file.materials.map((each) => (each.id === jar.id ? scrap() : each)),
  });
  assert.equal(
    packsOf(unknown, { tasks: [] }, () => null),
    null,
  );
});
