import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { ticksOf, timeScale, withoutOverlap } from './timeScale';

const anyBusy = fc.array(
  fc.record({ fromS: fc.integer({ min: 0, max: 40_000 }), lengthS: fc.integer({ min: 10, max: 4000 }) }),
  { minLength: 1, maxLength: 12 },
);

test('whatever is busy: places grow with time, and turn back into it', () => {
  fc.assert(
    fc.property(
      anyBusy,
      fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 8 }),
      (busy, shares) => {
        const jobs = busy.map(({ fromS, lengthS }) => ({ fromS, toS: fromS + lengthS }));
        const endS = Math.max(...jobs.map(({ toS }) => toS));
        const scale = timeScale(jobs, endS);
        assert.ok(Math.abs(scale.at(0)) < 1e-9 && Math.abs(scale.at(endS) - 1) < 1e-9);
        const times = shares.map((share) => share * endS).sort((a, b) => a - b);
        times.forEach((seconds, place) => {
          const back = scale.secondsAt(scale.at(seconds));
          assert.ok(Math.abs(back - seconds) < 1e-3, `${seconds} comes back as ${back}`);
          if (place > 0) assert.ok(scale.at(seconds) >= scale.at(times[place - 1] ?? 0));
        });
      },
    ),
  );
});

test('a long wait with nothing to do is broken off; where there is work it is not', () => {
  const scale = timeScale(
    [
      { fromS: 0, toS: 1200 },
      { fromS: 18_000, toS: 19_200 },
    ],
    19_200,
  );
  assert.deepEqual(
    scale.stretches.map(({ fromS, toS, isBreak }) => [fromS, toS, isBreak]),
    [
      [0, 1200, false],
      [1200, 18_000, true],
      [18_000, 19_200, false],
    ],
  );
  // 20 min of work, 9 min for the break, 20 min of work.
  assert.ok(Math.abs(scale.lengthMin - 49) < 1e-9);
  assert.ok(Math.abs(scale.at(1200) - 20 / 49) < 1e-9);
  assert.ok(timeScale([{ fromS: 0, toS: 5000 }], 5000).stretches.every(({ isBreak }) => !isBreak));
});

test('ticks stand at round moments of the clock, and none within a break', () => {
  const scale = timeScale(
    [
      { fromS: 0, toS: 3600 },
      { fromS: 18_000, toS: 19_200 },
    ],
    19_200,
  );
  const ticks = ticksOf(scale, 7);
  assert.ok(ticks.length > 3 && ticks.length <= 20);
  for (const seconds of ticks) {
    assert.equal((seconds / 60 + 7) % 5, 0);
    assert.ok(seconds <= 3600 || seconds >= 18_000);
  }
});

test('words over the strip never run into one another, and those that matter more come first', () => {
  const label = fc.record({
    at: fc.double({ min: 0, max: 1, noNaN: true }),
    words: fc.constantFrom('0:00', '04:30 AM', '… 70 min …'),
  });
  fc.assert(
    fc.property(
      fc.array(label, { maxLength: 12 }),
      fc.array(label, { maxLength: 12 }),
      fc.integer({ min: 0, max: 1400 }),
      (first, second, widthPx) => {
        const kept = withoutOverlap(widthPx, first, second);
        const px = kept
          .map(({ at, words }) => ({ middle: at * widthPx, half: words.length * 2.9 }))
          .sort((a, b) => a.middle - b.middle);
        px.forEach(({ middle, half }, place) => {
          const before = px[place - 1];
          if (before) assert.ok(middle - half >= before.middle + before.half);
          assert.ok(middle + half <= widthPx + 1e-9);
        });
        const [most] = first;
        if (most && most.at < 0.9 && widthPx > 700) assert.ok(kept.includes(most));
      },
    ),
  );
});
