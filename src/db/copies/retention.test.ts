import assert from 'node:assert/strict';
import test from 'node:test';
import { addDays } from 'date-fns/addDays';
import { formatISO } from 'date-fns/formatISO';
import fc from 'fast-check';
import { daysToKeep } from './retention';

const dayOf = (start: number, on: number) =>
  formatISO(addDays(new Date(2026, 0, 1 + start, 12), on), { representation: 'date' });

/** Days on which a workshop was open, one after another, with what is thrown away each evening. */
function keptAfter(start: number, gaps: readonly number[]): string[] {
  let kept: string[] = [];
  let on = 0;
  for (const gap of gaps) {
    on += gap;
    const all = [...kept, dayOf(start, on)];
    const wanted = daysToKeep(all);
    kept = all.filter((day) => wanted.has(day));
  }
  return kept;
}

test('a workshop that is open daily has its last 7 days, 4 weeks and 12 months, at most 23 copies', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 364 }), fc.integer({ min: 380, max: 800 }), (start, days) => {
      const kept = keptAfter(start, Array(days).fill(1));
      assert.equal(kept.filter((day) => day > dayOf(start, days - 7)).length, 7);
      // In each of the last four weeks, Monday to Sunday.
      const monday = days - ((new Date(`${dayOf(start, days)}T12:00`).getDay() + 6) % 7);
      for (let week = 0; week < 4; week++) {
        const [from, to] = [dayOf(start, monday - 7 * week), dayOf(start, monday - 7 * week + 6)];
        assert.ok(
          kept.some((day) => day >= from && day <= to),
          `none from ${from} to ${to}`,
        );
      }
      assert.equal(new Set(kept.map((day) => day.slice(0, 7))).size, 12);
      assert.ok(kept.length <= 23, `${kept.length} kept`);
    }),
    { numRuns: 20 },
  );
});

test('one that is opened now and then keeps as many, however old', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 40 }), (gaps) => {
      const kept = keptAfter(0, gaps);
      assert.ok(kept.length >= Math.min(7, gaps.length), `${kept.length} of ${gaps.length}`);
      assert.equal(
        kept.at(-1),
        dayOf(
          0,
          gaps.reduce((sum, gap) => sum + gap, 0),
        ),
      );
    }),
    { numRuns: 100 },
  );
});
