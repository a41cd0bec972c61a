import { Agent, get } from 'node:http';
import { importPlan } from '../src/server/importPlan';
import { openWorkshop } from '../src/server/workshop';
import { startServer, temporaryFolder } from '../tests/support/server';
import { fileOf, fill } from './largeWorkshop';

/** Pages asked for by many at once, beside a bare page of the same server: how many a second, and how long the slowest take. */
const CONNECTIONS = 50;
const FOR_MS = 6000;
/** Before it, so that what is compiled on the way is not counted to who comes first. */
const WARM_MS = 3000;

const folder = temporaryFolder();
const workshop = openWorkshop(folder.path);
const plan = importPlan(workshop, fileOf());
fill(workshop, fileOf(), { runs: 10_000, plans: 1000, materials: 200 });
workshop.db.close();
const server = await startServer(folder.path);

// The day's copy is made first: it reads the whole file.
while (!(await (await fetch(`${server.base}/api/health`)).json()).copies.lastDay)
  await new Promise((resolve) => setTimeout(resolve, 200));

const agent = new Agent({ keepAlive: true, maxSockets: CONNECTIONS });

function once(path: string): Promise<number> {
  const began = performance.now();
  return new Promise((resolve, reject) => {
    get(server.base + path, { agent, headers: { 'accept-encoding': 'gzip' } }, (response) => {
      if ((response.statusCode ?? 500) >= 500) reject(new Error(`${path} answers ${response.statusCode}`));
      response.resume().once('end', () => resolve(performance.now() - began));
    }).once('error', reject);
  });
}

async function askFor(ms: number, path: string): Promise<number[]> {
  const until = performance.now() + ms;
  const figures: number[] = [];
  await Promise.all(
    Array.from({ length: CONNECTIONS }, async () => {
      while (performance.now() < until) figures.push(await once(path));
    }),
  );
  return figures;
}

async function load(path: string) {
  await askFor(WARM_MS, path);
  const figures = await askFor(FOR_MS, path);
  figures.sort((a, b) => a - b);
  const at = (share: number) => figures[Math.floor((figures.length - 1) * share)] ?? 0;
  return { perSecond: figures.length / (FOR_MS / 1000), p99: at(0.99), slowest: at(1) };
}

const bare = await load('/no-such-page');
console.log(
  `${CONNECTIONS} connections, 1000 plans, 10,000 runs: a bare page ${bare.perSecond.toFixed(0)} a second, 99 of 100 within ${bare.p99.toFixed(0)} ms`,
);
for (const path of [
  '/',
  '/plans',
  `/plans/${plan.id}`,
  '/bench',
  '/log',
  '/log/run-17',
  '/molds',
  '/shelf',
  '/house-rules',
]) {
  const { perSecond, p99, slowest } = await load(path);
  const name = path.replace(plan.id, 'ID');
  console.log(
    `  ${name.padEnd(13)} ${perSecond.toFixed(0).padStart(5)} a second, ${(perSecond / bare.perSecond).toFixed(2)} of the bare page; 99 of 100 within ${p99.toFixed(0)} ms, all within ${slowest.toFixed(0)} ms`,
  );
}
await server.stop();
folder.remove();
