import assert from 'node:assert/strict';
import test from 'node:test';
import { parseWeights } from './weighedPieces';

test('weights of pieces are read from lines, semicolons and bare numbers apart by spaces', () => {
  const read = (text: string, system: 'metric' | 'us' = 'metric') => {
    const parsed = parseWeights(text, system);
    return parsed.success ? parsed.data.weightsG.map((each) => Number(each.toFixed(2))) : parsed.error.text;
  };
  assert.deepEqual(read('98.2 99 97,5'), [98.2, 99, 97.5]);
  assert.deepEqual(read('98.2 g\n99\n\n97.5 g; 3 ½ oz'), [98.2, 99, 97.5, 99.22]);
  assert.deepEqual(read('3.5', 'us'), [99.22]);
  assert.deepEqual(read(''), []);
  for (const [text, at] of [
    ['98.2 g\nconstructor', 'constructor'],
    ['98 -3', '98 -3'],
    ['0', '0'],
    ['1 t\n2', '1 t'],
    ['9999999', '9999999'],
  ] as const)
    assert.equal(read(text), at);
  const parsed = parseWeights('100 98 102', 'metric');
  assert.ok(parsed.success);
  assert.deepEqual([parsed.data.meanG, parsed.data.leastG, parsed.data.mostG], [100, 98, 102]);
});
