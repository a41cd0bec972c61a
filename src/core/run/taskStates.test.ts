import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import {
  additive,
  BOX,
  colorant,
  dispersant,
  fragrance,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { nextEvent, recorded, runOf } from '../../../tests/support/runs';
import { asOptional } from '../plan/plan';
import { checkEvent } from './checkEvent';
import { progress, withEvent } from './progress';
import type { Run, RunEvent } from './run';

const glycerin = dispersant();
const scent = fragrance({ id: 'rose' });
const bran = additive({ id: 'bran', role: 'grit' });
const file = planFile(
  [
    {
      doses: [
        [scent, '2 %'],
        [colorant(), '1 %', { dispersantId: glycerin.id, times: 3 }],
      ],
      laid: [[bran, '1 g/piece', 'under']],
      size: '8 mm',
    },
    { doses: [[bran, '1 %']], size: 'rest' },
    { doses: [[scent, '1 %']], size: '4 mm', way: { sameJug: true } },
  ],
  { pieces: 2 },
  { ...BOX, cavities: 1 },
  [glycerin],
);
const optional = {
  ...file,
  plan: {
    ...file.plan,
    pours: file.plan.pours.map((pour) => ({
      ...pour,
      doses: pour.doses.map((each) => asOptional(each, true)),
    })),
  },
};

const kinds = ['next', 'weighed', 'done', 'left-out', 'undone', 'added', 'corrected', 'topped-up'] as const;
interface Pick {
  kind: (typeof kinds)[number];
  place: number;
  massG: number;
}
const pick: fc.Arbitrary<Pick> = fc.record({
  kind: fc.constantFrom(...kinds),
  place: fc.nat(),
  massG: fc.double({ min: 0.5, max: 50, noNaN: true }),
});

/** What was picked, of the tasks that it may be said of; null where it may be said of none. */
function eventOf(run: Run, { kind, place, massG }: Pick): RunEvent | null {
  if (kind === 'next') return nextEvent(run);
  const may = progress(run).tasks.flatMap(({ id: taskId }): RunEvent[] => {
    const event: RunEvent =
      kind === 'done' || kind === 'left-out' || kind === 'undone'
        ? { kind, taskId }
        : { kind, taskId, massG };
    return checkEvent(run, event).success ? [event] : [];
  });
  return may[place % may.length] ?? null;
}

test('where a run stands, told from where it stood before, is what all its events tell', () => {
  const sheet = sheetOf(optional);
  const seen = new Set<string>();
  fc.assert(
    fc.property(fc.array(pick, { minLength: 10, maxLength: 60 }), (picks) => {
      let run = runOf(sheet);
      const moments = [run];
      for (const each of picks) {
        const event = eventOf(run, each);
        if (!event) continue;
        seen.add(event.kind);
        run = withEvent(run, recorded(event));
        moments.push(run);
        const anew = { ...run, snapshot: structuredClone(run.snapshot) };
        assert.deepEqual(progress(run), progress(anew));
      }
      // An earlier moment is told by itself, and what comes after it goes on from there.
      for (const { events } of moments.slice(0, 3)) {
        const again = { snapshot: run.snapshot, events: [...events] };
        assert.deepEqual(progress(again), progress({ ...again, snapshot: structuredClone(run.snapshot) }));
      }
    }),
    { numRuns: 60 },
  );
  assert.deepEqual([...seen].sort(), [
    'added',
    'corrected',
    'done',
    'left-out',
    'topped-up',
    'undone',
    'weighed',
  ]);
});

test('what nothing was said of is the same object as before', () => {
  const run = runOf(sheetOf(optional));
  const before = progress(run).tasks;
  const after = progress(
    withEvent(run, recorded({ kind: 'weighed', taskId: 'r1/A/l1/base', massG: 40 })),
  ).tasks;
  const anew = after.filter((task, place) => task !== before[place]).map(({ id }) => id);
  assert.deepEqual(
    anew,
    ['base', 'melt', 'dose-2', 'dose-2-2', 'dose-1'].map((id) => `r1/A/l1/${id}`),
  );
});
