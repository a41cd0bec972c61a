import type { ScheduledTask } from '../src/core/schedule/scheduledTask';
import { openWorkshop } from '../src/server/workshop';
import { additive, planFile } from '../tests/support/planFiles';
import { send, startServer, temporaryFolder } from '../tests/support/server';
import { fileOf, fill } from './largeWorkshop';

/** How long somebody else waits while a crowded plan file is worked out or comes in, beside how long with nothing else to do. */
const TIMES = 7;
const EVERY_MS = 3;
const ALONE_MS = 1000;

const folder = temporaryFolder();
const workshop = openWorkshop(folder.path);
fill(workshop, fileOf(), { runs: 0, plans: 0, materials: 2000 });
workshop.db.close();
const server = await startServer(folder.path);

const doses = Array.from({ length: 60 }, (_, n): [ReturnType<typeof additive>, string] => [
  additive({ id: `dosed-${n}`, name: `Dosed ${n}` }),
  '0.01 %',
]);
const crowded = (n: number) =>
  planFile(
    Array.from({ length: 26 }, () => ({ size: '1 part', doses })),
    { name: `Crowded ${n}` },
  );

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** The longest that a small answer takes while `work` goes on, ms. */
async function longestBeside(work: () => Promise<unknown>): Promise<number> {
  let longestMs = 0;
  let isDone = false;
  const done = work().finally(() => {
    isDone = true;
  });
  while (!isDone) {
    const began = performance.now();
    await (await fetch(`${server.base}/api/house-rules`)).arrayBuffer();
    longestMs = Math.max(longestMs, performance.now() - began);
    await sleep(EVERY_MS);
  }
  await done;
  return longestMs;
}

/** @param before what is done first each time, and is not counted */
async function medianBeside(
  work: (n: number) => Promise<unknown>,
  before?: (n: number) => Promise<unknown>,
): Promise<number> {
  const figures: number[] = [];
  for (let n = 0; n <= TIMES; n++) {
    await before?.(n);
    const longestMs = await longestBeside(() => work(n));
    // What is compiled on the way is not counted.
    if (n > 0) figures.push(longestMs);
  }
  return figures.sort((a, b) => a - b)[Math.floor(TIMES / 2)] ?? 0;
}

const alone = await medianBeside(() => sleep(ALONE_MS));
console.log(`somebody else waits ${alone.toFixed(0)} ms at the longest of a second with nothing else to do`);
for (const path of ['/api/sheet', '/api/pour-plan', '/api/plans/meet', '/api/plans/import']) {
  const beside = await medianBeside((n) => send(server.base, 'POST', path, crowded(n)));
  console.log(
    `  beside ${path.padEnd(17)} of 26 pours of 60 doses, 2000 materials: ${beside.toFixed(0)} ms, ratio ${(beside / alone).toFixed(1)}`,
  );
}

/** A crowded plan in the workshop, saved with another note each time: what was known of it is of before. */
const { id, plan, ...first } = (await send(server.base, 'POST', '/api/plans/import', crowded(0))).body;
let revision: number = first.revision;
async function save(note: string): Promise<void> {
  const saved = await send(server.base, 'PUT', `/api/plans/${id}`, { plan: { ...plan, note }, revision });
  if (saved.status !== 200) throw new Error(JSON.stringify(saved.body));
  revision = saved.body.revision;
}
const saving = await medianBeside((n) => save(`Saved ${n}`));
console.log(`  beside a save of such a plan: ${saving.toFixed(0)} ms, ratio ${(saving / alone).toFixed(1)}`);

/** @param change what makes the page another than the last time */
async function pageBeside(path: string, change: (n: number) => Promise<unknown>): Promise<void> {
  const beside = await medianBeside(async () => {
    const answer = await fetch(server.base + path);
    await answer.arrayBuffer();
    if (answer.status !== 200) throw new Error(`${path} answers ${answer.status}`);
  }, change);
  console.log(
    `  beside ${path.replace(/[^/]{36}/, ':id').padEnd(17)} with it: ${beside.toFixed(0)} ms, ratio ${(beside / alone).toFixed(1)}`,
  );
}

for (const path of ['/plans', `/plans/${id}`, `/plans/${id}/sheet`, '/plans/buy'])
  await pageBeside(path, (n) => save(`${path} ${n}`));

/** A run of it, of which something is weighed each time. */
const runId = crypto.randomUUID();
const begun = await send(server.base, 'POST', '/api/runs', { id: runId, planId: id });
const weighed: string[] = begun.body.snapshot.tasks.flatMap((task: ScheduledTask) =>
  task.kind === 'weigh-base' ? [task.id] : [],
);
async function tick(): Promise<void> {
  const event = { kind: 'weighed', taskId: weighed.pop(), massG: 5 };
  const sent = await send(server.base, 'POST', `/api/runs/${runId}/events`, {
    eventId: crypto.randomUUID(),
    event,
  });
  if (sent.status !== 201) throw new Error(JSON.stringify(sent.body));
}
const ticking = await medianBeside(tick);
console.log(
  `  beside a tick of a run of ${begun.body.snapshot.tasks.length} tasks: ${ticking.toFixed(0)} ms, ratio ${(ticking / alone).toFixed(1)}`,
);
let noted = 0;
const note = () =>
  send(server.base, 'POST', `/api/runs/${runId}/events`, {
    eventId: crypto.randomUUID(),
    event: { kind: 'room-read', tempC: 20 + (noted++ % 5), humidity: null },
  });
for (const path of ['/', `/bench/${runId}`, '/rack', `/api/runs/${runId}`]) await pageBeside(path, note);
await server.stop();
folder.remove();
