import assert from 'node:assert/strict';
import test from 'node:test';
import { base } from '../../../tests/support/planFiles';
import { airDoes } from './rackAir';

test('air above a bar’s water activity gives it water, dry air takes some, and one that nobody read says nothing', () => {
  const bar = base({ sweatsAbove: 0.6 });
  assert.deepEqual(
    [0.61, 0.58, 0.5, 0.39, null].map((humidity) => airDoes({ humidity }, bar)),
    ['draws-water', 'near', 'steady', 'dries', null],
  );
  // A bar that sweats sooner than that dries no sooner.
  assert.equal(airDoes({ humidity: 0.35 }, base({ sweatsAbove: 0.36 })), 'near');
});
