import assert from 'node:assert/strict';
import { test } from 'node:test';
import { byName } from './byName';

const shelf = ['Lavender oil', 'Lavender petals', 'Sweet orange oil', 'Oil', 'Rosé clay'].map((name) => ({
  name,
}));
const names = (typed: string) => {
  const match = byName(shelf, typed);
  if (match.kind === 'called') return match.item.name;
  return match.kind === 'among' ? match.items.map(({ name }) => name) : null;
};

test('a name is found as it is written; what only has its words in it is asked about', () => {
  assert.equal(names('Lavender oil'), 'Lavender oil');
  assert.equal(names('  lavender   OIL '), 'Lavender oil');
  assert.equal(names('rosé CLAY'), 'Rosé clay');
  assert.deepEqual(names('oil sweet'), ['Sweet orange oil']);
  assert.deepEqual(names('orange'), ['Sweet orange oil']);
  assert.equal(names('rose clay'), 'Rosé clay');
});

test('what is called just so goes before what has it in its name', () => {
  assert.equal(names('oil'), 'Oil');
});

test('several are all answered, and what nobody has is none', () => {
  assert.deepEqual(names('lavender'), ['Lavender oil', 'Lavender petals']);
  assert.equal(names('mint'), null);
  assert.equal(names('constructor'), null);
  assert.equal(names('   '), null);
});

test('two of one name are both answered', () => {
  const match = byName([{ name: 'Mint' }, { name: 'mint' }], 'Mint');
  assert.equal(match.kind === 'among' && match.items.length, 2);
});
