import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { progress } from '../../src/core/run/progress';
import type { Run, RunEvent } from '../../src/core/run/run';
import { memoryStore, type OutboxStore, outboxStore } from '../../src/islands/bench/outboxStore';
import { type RunDelivery, runDelivery } from '../../src/islands/bench/runDelivery';
import type { ApiAnswer } from '../../src/islands/shared/api';
import { Problem } from '../../src/server/problem';
import { findRun, recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import type { Workshop } from '../../src/server/workshop';
import { fragrance, planFile } from '../support/planFiles';
import { nextEvent } from '../support/runs';
import { workshopWith } from '../support/workshops';

/** What becomes of a request: it gets there and is answered, gets there and is not, does not, or the disk is full. */
const FATES = ['answered', 'answer-lost', 'lost', 'full'] as const;
type Fate = (typeof FATES)[number];

const lost: ApiAnswer<never> = {
  success: false,
  error: { status: 0, code: 'unreachable', detail: 'No answer.' },
};

/** A screen at the bench, over a network whose fates are given, and answered well once they are used up. */
function screen(workshop: Workshop, run: Run, fates: Fate[], store: OutboxStore = memoryStore()) {
  const over = async (work: () => Run): Promise<ApiAnswer<Run>> => {
    const fate = fates.shift() ?? 'answered';
    await new Promise(setImmediate);
    if (fate === 'lost') return lost;
    if (fate === 'full')
      return { success: false, error: { status: 507, code: 'disk-full', detail: 'No room.' } };
    try {
      const data = structuredClone(work());
      return fate === 'answered' ? { success: true, data } : lost;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      const { status, code, detail, more } = error;
      return { success: false, error: { status, code, detail, ...more } };
    }
  };
  return runDelivery(structuredClone(run), {
    store,
    newId: () => crypto.randomUUID(),
    now: () => new Date().toISOString(),
    send: ({ runId, id, event, occurredAt }) =>
      over(() => recordEvent(workshop, runId, id, event, { occurredAt })),
    load: () => over(() => findRun(workshop, run.id)),
    onChange: () => {},
  });
}

async function delivered(screens: RunDelivery[]): Promise<void> {
  for (let round = 0; round < 60; round++) for (const each of screens) await each.deliver();
  for (const each of screens) {
    assert.equal(each.state().waiting, 0);
    // As often as the page asks again while nothing is answered.
    for (let look = 0; look < 31; look++) await each.refresh();
  }
}

const onBench = async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [[fragrance(), '2 %']] }, {}, {}]));
  return { workshop, run: startRun(workshop, crypto.randomUUID(), stored.id) };
};

const taskIds = (run: Run) => run.events.map(({ event }) => ('taskId' in event ? event.taskId : event.kind));

test('whatever the network does, what one screen ticked is with the server in order, once', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.constantFrom(...FATES), { maxLength: 40 }), async (fates) => {
      const { workshop, run } = await onBench();
      const bench = screen(workshop, run, [...fates]);
      const ticked: string[] = [];
      for (let event = nextEvent(bench.state().run); event; event = nextEvent(bench.state().run)) {
        assert.ok((await bench.record(event)).success);
        await bench.deliver();
        ticked.push('taskId' in event ? event.taskId : event.kind);
      }
      await delivered([bench]);
      assert.deepEqual(taskIds(findRun(workshop, run.id)), ticked);
      assert.deepEqual(bench.state().run, findRun(workshop, run.id));
    }),
    { numRuns: 25 },
  );
});

test('two screens that work on without the server come to one run: each task once, and both see it', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom(...FATES), { maxLength: 30 }),
      fc.array(fc.constantFrom(...FATES), { maxLength: 30 }),
      fc.array(fc.boolean(), { minLength: 5, maxLength: 40 }),
      async (one, two, hands) => {
        const { workshop, run } = await onBench();
        const screens = [screen(workshop, run, [...one]), screen(workshop, run, [...two])] as const;
        for (const isSecond of hands) {
          const bench = screens[isSecond ? 1 : 0];
          const event = nextEvent(bench.state().run);
          if (event) await bench.record(event);
          await bench.deliver();
        }
        await delivered([...screens]);
        const { events } = findRun(workshop, run.id);
        const tasks = taskIds({ ...run, events });
        assert.equal(new Set(tasks).size, tasks.length);
        for (const bench of screens) assert.deepEqual(bench.state().run.events, events);
      },
    ),
    { numRuns: 25 },
  );
});

test('what another screen did is told with the reason where the same was ticked here; the rest goes on', async () => {
  const { workshop, run } = await onBench();
  const bench = screen(workshop, run, ['lost', 'lost']);
  const first = nextEvent(run) as RunEvent;
  recordEvent(workshop, run.id, crypto.randomUUID(), first);
  await bench.record(first);
  await bench.deliver();
  assert.deepEqual([bench.state().waiting, bench.state().away?.code], [1, 'unreachable']);
  await bench.deliver();
  const { refused, away, waiting } = bench.state();
  assert.deepEqual([refused?.code, away, waiting], ['already-done', null, 0]);
  const next = nextEvent(bench.state().run) as RunEvent;
  assert.ok((await bench.record(next)).success);
  await bench.deliver();
  assert.deepEqual([bench.state().refused, findRun(workshop, run.id).events.length], [null, 2]);
  // What can't follow is not kept at all.
  const again = await bench.record(next);
  assert.deepEqual([again.success, bench.state().waiting], [false, 0]);
});

test('a reload without the server takes up the run and what was ticked since, from the browser’s own database', async () => {
  const { workshop, run } = await onBench();
  const first = screen(workshop, run, ['answered', ...Array<Fate>(9).fill('lost')], outboxStore());
  for (let tick = 0; tick < 3; tick++) await first.record(nextEvent(first.state().run) as RunEvent);
  await first.deliver();
  const seen = first.state();
  assert.equal(seen.waiting, 2);
  // The page that was kept is of before the first tick.
  const again = screen(workshop, run, ['lost'], outboxStore());
  await again.begin();
  assert.deepEqual(taskIds(again.state().run), taskIds(seen.run));
  assert.equal(again.state().waiting, 2);
  await again.deliver();
  assert.deepEqual(taskIds(findRun(workshop, run.id)), taskIds(seen.run));
  // Another run has nothing of it.
  assert.deepEqual(await outboxStore().of('another'), []);
});

test('an answer that tells how the run stood before a tick never comes after the tick', async () => {
  const { workshop, run } = await onBench();
  const bench = screen(workshop, run, []);
  // The server is asked how it stands, as when it is there again, while something is ticked.
  const looks = [bench.refresh(), bench.refresh(0)];
  const event = nextEvent(run) as RunEvent;
  await Promise.all([...looks, bench.record(event), bench.refresh()]);
  assert.deepEqual(taskIds(bench.state().run), ['taskId' in event ? event.taskId : '']);
});

test('an event that the server has is counted once: as its answer is being kept, and where that was lost', async () => {
  const { workshop, run } = await onBench();
  const seen: (number | null)[] = [];
  let doseId = '';
  const store = memoryStore();
  const look = () => {
    seen.push(progress(bench.state().run).tasks.find(({ id }) => id === doseId)?.actualG ?? null);
  };
  const fates: Fate[] = [];
  const bench = screen(workshop, run, fates, {
    ...store,
    async keepRun(kept) {
      look();
      await store.keepRun(kept);
    },
  });
  for (let event = nextEvent(run); event && doseId === ''; event = nextEvent(bench.state().run)) {
    await bench.record(event);
    await bench.deliver();
    if (event.kind === 'weighed' && event.taskId.includes('dose')) doseId = event.taskId;
  }
  look();
  const [weighedG] = seen.slice(-1);
  assert.ok(weighedG);
  seen.length = 0;
  await bench.record({ kind: 'added', taskId: doseId, massG: 1 });
  await bench.deliver();
  fates.push('answer-lost', 'answer-lost');
  await bench.record({ kind: 'added', taskId: doseId, massG: 1 });
  await bench.deliver();
  assert.equal(bench.state().waiting, 1);
  await bench.refresh();
  look();
  assert.deepEqual(new Set(seen), new Set([weighedG + 1, weighedG + 2]));
  await bench.record({ kind: 'undone', taskId: doseId });
  await bench.deliver();
  look();
  assert.ok(!seen.includes(null));
});

test('of two presses at one moment the second is checked after the first was kept: it is none, and nothing is sent for it', async () => {
  const { workshop, run } = await onBench();
  const bench = screen(workshop, run, []);
  const event = nextEvent(run);
  assert.ok(event);
  const checked = await Promise.all([bench.record(event), bench.record(event)]);
  await bench.deliver();
  assert.deepEqual(
    checked.map(({ success }) => success),
    [true, false],
  );
  assert.equal(bench.state().refused, null);
  assert.equal(findRun(workshop, run.id).events.length, 1);
});
