import assert from 'node:assert/strict';
import { test } from 'node:test';
import { byName } from './byName';

const shelf = ['Lavender oil', 'Lavender petals', 'Sweet orange oil', 'Oil', 'Rosé clay'].map((name) => ({
  name,
}));
const names = (typed: string) => {
  const match = byName(shelf, typed);
  if (match.kind === 'one') return match.item.name;
  return match.kind === 'several' ? match.items.map(({ name }) => name) : null;
};

test('a name is found as it is written, or by words that only one of them has', () => {
  assert.equal(names('Lavender oil'), 'Lavender oil');
  assert.equal(names('  lavender   OIL '), 'Lavender oil');
  assert.equal(names('orange'), 'Sweet orange oil');
  assert.equal(names('oil sweet'), 'Sweet orange oil');
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
  assert.equal(match.kind === 'several' && match.items.length, 2);
});
