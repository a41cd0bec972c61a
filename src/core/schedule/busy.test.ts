import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { busy } from './busy';

/** Whole seconds, so that each can be looked at by itself. */
const stretch = fc
  .tuple(fc.integer({ min: -60, max: 240 }), fc.integer({ min: 1, max: 90 }))
  .map(([fromS, lengthS]) => ({ fromS, toS: fromS + lengthS }));

test('so many are free as no second of a stretch takes, in whatever order they were taken', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(stretch, fc.integer({ min: 1, max: 2 })), { maxLength: 25 }),
      fc.integer({ min: 1, max: 4 }),
      stretch,
      (taken, count, { fromS, toS }) => {
        const hands = busy(() => count);
        for (const [each, many] of taken) hands.take(each.fromS, each.toS, many);
        const inUse = (second: number) =>
          taken.reduce(
            (sum, [each, many]) => sum + (each.fromS <= second && second < each.toS ? many : 0),
            0,
          );
        const most = Math.max(...Array.from({ length: toS - fromS }, (_, place) => inUse(fromS + place)));
        for (const many of [1, 2]) assert.equal(hands.isFree(fromS, toS, many), most + many <= count);
        const first = hands.firstFreeS(fromS, toS - fromS);
        assert.ok(first >= fromS && hands.isFree(first, first + toS - fromS));
        for (let earlier = fromS; earlier < first; earlier++)
          assert.equal(hands.isFree(earlier, earlier + toS - fromS), false);
      },
    ),
  );
});
