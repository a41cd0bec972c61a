import assert from 'node:assert/strict';
import test from 'node:test';
import { bestVersion } from './bestVersion';

const version = (number: number, good: number, faults = 0, runs = 2) => ({
  ...{ version: number, runs, good, planned: 12 * runs, faults },
});

test('the best version has the largest share of good pieces, then the fewest faults a run', () => {
  assert.equal(bestVersion([version(3, 20), version(2, 23), version(1, 18)]), 2);
  assert.equal(bestVersion([version(3, 24, 2), version(2, 24, 1)]), 2);
  assert.equal(bestVersion([version(3, 24, 1, 2), version(2, 48, 2, 4)]), 2);
  assert.equal(bestVersion([version(3, 24), version(2, 24)]), 3);
  assert.equal(bestVersion([version(3, 24)]), null);
  assert.equal(bestVersion([version(3, 24), { ...version(2, 0), planned: 0 }]), null);
});
