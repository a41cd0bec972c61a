import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { additive, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { reviewPlan } from '../checks/review';
import type { DosedMaterial } from '../materials/material';

const honey = additive({ id: 'honey', name: 'Meadow honey' });
const stabiliser = additive({ id: 'stab', name: 'Vanilla stabiliser', role: 'stabiliser' });
const bay = fragrance({ id: 'bay', name: 'Bay' });
const rose = fragrance({ id: 'rose', name: 'Rose' });

function masses(doses: [DosedMaterial, string][], plan = {}) {
  const [pour] = sheetOf(planFile([{ doses }], plan)).pours;
  return {
    massG: new Map(pour?.lines.map((line) => [line.material.id, line.massG])),
    baseG: pour?.baseG ?? 0,
    unread: pour?.unreadable.map(({ text, why }) => `${text}: ${why}`) ?? [],
  };
}

test('a stabiliser in step with the fragrance weighs the same, however the fragrance was said', () => {
  for (const said of ['2 %', '6 g', '½ tsp/lb', '40 drops/lb', '1 mL/piece']) {
    const { massG } = masses([
      [stabiliser, '= fragrance'],
      [bay, said],
    ]);
    assert.ok(isClose(massG.get('stab') ?? 0, massG.get('bay') ?? 1), said);
  }
});

test('a kind means all of its doses together, shares and amounts alike', () => {
  const { massG } = masses([
    [bay, '1 %'],
    [rose, '3 g'],
    [stabiliser, '2x fragrance'],
  ]);
  assert.ok(isClose(massG.get('stab') ?? 0, 2 * ((massG.get('bay') ?? 0) + 3)));
});

test('a name is enough as far as it is the only one, and relations may follow one another', () => {
  const { massG, unread } = masses([
    [rose, '2x honey'],
    [honey, '½ x bay'],
    [bay, '1 %'],
  ]);
  assert.deepEqual(unread, []);
  assert.ok(isClose(massG.get('rose') ?? 0, massG.get('bay') ?? 1));
});

test('nothing, several and circles are named and are in no weight', () => {
  const second = additive({ id: 'honey-2', name: 'Heather honey' });
  assert.deepEqual(masses([[stabiliser, '= fragrance']]).unread, ['= fragrance: relation-to-nothing']);
  assert.deepEqual(
    masses([
      [bay, '= honey'],
      [honey, '1 %'],
      [second, '1 %'],
    ]).unread,
    ['= honey: relation-to-several'],
  );
  assert.deepEqual(
    masses([
      [bay, '= honey'],
      [honey, '= bay'],
    ]).unread,
    ['= honey: relation-without-end', '= bay: relation-without-end'],
  );
  assert.deepEqual(masses([[bay, '= bay']]).unread, ['= bay: relation-to-nothing']);
  const { findings } = reviewPlan(planFile([{ doses: [[stabiliser, '= fragrance']] }]));
  assert.deepEqual(
    findings.map(({ code, severity }) => `${severity} ${code}`),
    ['stop relation-unresolved'],
  );
});

test('a dose for each piece reaches each piece, with some for the jug', () => {
  const { massG } = masses([[honey, '2 g/piece']], { pieces: 12, jugLossFraction: 0.04 });
  assert.ok(isClose(massG.get('honey') ?? 0, (2 * 12) / 0.96));
});

test('chains of relations of any length and order come to the same weights', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 12 }), fc.infiniteStream(fc.nat()), (length, order) => {
      const chain = Array.from({ length }, (_, n): [DosedMaterial, string] => [
        additive({ id: `m${n}`, name: `Link ${String.fromCharCode(65 + n)}` }),
        n === 0 ? '1 %' : `= link ${String.fromCharCode(64 + n)}`,
      ]);
      const shuffled = chain
        .map((dose) => ({ dose, at: order.next().value ?? 0 }))
        .sort((a, b) => a.at - b.at)
        .map(({ dose }) => dose);
      const { massG, baseG } = masses(shuffled);
      for (const mass of massG.values()) assert.ok(isClose(mass, baseG / 100));
      assert.equal(massG.size, length);
    }),
  );
});
