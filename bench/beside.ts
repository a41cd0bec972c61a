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
    await (await fetch(`${server.base}/api/schemas`)).arrayBuffer();
    longestMs = Math.max(longestMs, performance.now() - began);
    await sleep(EVERY_MS);
  }
  await done;
  return longestMs;
}

async function medianBeside(work: (n: number) => Promise<unknown>): Promise<number> {
  const figures: number[] = [];
  for (let n = 0; n <= TIMES; n++) {
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
await server.stop();
folder.remove();
