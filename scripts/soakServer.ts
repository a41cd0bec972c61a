import { statSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import type { PlanFile } from '../src/core/plan/plan';
import type { StoredPlan } from '../src/core/plan/storedPlan';
import type { Run, RunEvent } from '../src/core/run/run';
import { DATABASE_FILE } from '../src/db/dataFolder.mjs';
import { anyPlanFile } from '../tests/support/anyPlanFile';
import { additive, planFile } from '../tests/support/planFiles';
import { nextEvent } from '../tests/support/runs';
import { memoryMb, send, startServer, temporaryFolder } from '../tests/support/server';

const PAGES = ['/', '/plans', '/bench', '/log', '/molds', '/shelf', '/house-rules', '/plans/buy'];
/** Looks of a connection from one save of its plan to the next, and saves until it takes in another. */
const [LOOKS, SAVES] = [20, 10];
const MB = 2 ** 20;

/** A plan that can be made, which few of any kind can. */
const ORDINARY = planFile([
  { size: '2 parts', doses: [[additive({ id: 'soak-oats' }), '1 %']] },
  { size: '1 part' },
]);

type Ask = (method: string, path: string, body?: unknown) => Promise<{ status: number; body: unknown }>;

/**
 * A built server under as many connections as a workshop never has: pages, plans of any kind that are saved again and
 * again, runs that are ticked through. Each connection deletes or archives its plan before it takes in the next, so that the
 * workshop's lists stay as long as they are. Prints how many requests it answers, how long the slowest take, its memory, and
 * how large its file has become, minute by minute.
 */
export async function soakServer(minutes: number, connections = 50): Promise<void> {
  const folder = temporaryFolder();
  const server = await startServer(folder.path);
  const until = Date.now() + minutes * 60_000;
  let figures: number[] = [];
  let faults = 0;
  const statuses = new Map<number, number>();
  const ask: Ask = async (method, path, body) => {
    const began = performance.now();
    const answer = path.startsWith('/api/')
      ? await send(server.base, method, path, body)
      : await fetch(server.base + path).then(async (page) => ({
          status: page.status,
          body: await page.text(),
        }));
    figures.push(performance.now() - began);
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
    if (answer.status >= 500 && answer.status !== 503) {
      faults++;
      console.log(`${method} ${path}: ${answer.status}`, answer.body);
    }
    return answer;
  };
  const report = setInterval(() => {
    const sorted = figures.toSorted((a, b) => a - b);
    figures = [];
    const at = (share: number) => (sorted[Math.floor((sorted.length - 1) * share)] ?? 0).toFixed(0);
    const fileMb = statSync(join(folder.path, DATABASE_FILE)).size / MB;
    console.log(
      `${(sorted.length / 60).toFixed(0)} a second, half within ${at(0.5)} ms, 99 of 100 within ${at(0.99)} ms, all within ${at(1)} ms; ${memoryMb(server.process).toFixed(0)} MB, its file ${fileMb.toFixed(1)} MB`,
    );
  }, 60_000);
  await Promise.all(
    Array.from({ length: connections }, (_, index) => work(ask, index + 1, () => Date.now() < until)),
  );
  clearInterval(report);
  console.log(
    `answers: ${[...statuses].map(([status, times]) => `${status}: ${times}`).join(', ')}; ${faults} faults`,
  );
  await server.stop();
  folder.remove();
  if (faults > 0) process.exitCode = 1;
}

/** What one connection asks for. */
async function work(ask: Ask, seed: number, goesOn: () => boolean): Promise<void> {
  const files = fc.sample(anyPlanFile(5), { numRuns: 200, seed });
  let stored: StoredPlan | null = null;
  for (let round = 0; goesOn(); round++) {
    const file = files[round % files.length];
    await ask('GET', PAGES[(seed + round) % PAGES.length] ?? '/');
    await ask('POST', '/api/sheet', file);
    if (round % LOOKS !== 0) continue;
    const saves = round / LOOKS;
    if (stored && saves % SAVES !== 0) stored = await saveAgain(ask, stored, saves);
    else {
      if (stored) await putAway(ask, stored.id);
      stored = await takeIn(ask, (saves / SAVES + seed) % 2 === 0 ? ORDINARY : file);
      if (stored) await make(ask, stored.id);
    }
  }
}

async function saveAgain(ask: Ask, stored: StoredPlan, saves: number): Promise<StoredPlan> {
  const { id, plan, revision } = stored;
  const { status, body } = await ask('PUT', `/api/plans/${id}`, {
    plan: { ...plan, note: `Saved ${saves} times.` },
    revision,
  });
  return status === 200 ? (body as StoredPlan) : stored;
}

async function putAway(ask: Ask, id: string): Promise<void> {
  for (const state of ['deleted', 'archived']) {
    const { status } = await ask('PUT', `/api/put-away/plan/${id}`, { state });
    if (status === 200) return;
  }
}

async function takeIn(ask: Ask, file: PlanFile | undefined): Promise<StoredPlan | null> {
  const { status, body } = await ask('POST', '/api/plans/import', file);
  return status === 201 ? (body as StoredPlan) : null;
}

/** To its last tick, then given up, for the lists to stay as long as they are. */
async function make(ask: Ask, planId: string): Promise<void> {
  const runId = crypto.randomUUID();
  const started = await ask('POST', '/api/runs', { id: runId, planId });
  if (started.status !== 201) return;
  let run = started.body as Run | null;
  const tell = async (event: RunEvent) => {
    const told = { eventId: crypto.randomUUID(), event };
    const answer = await ask('POST', `/api/runs/${runId}/events`, told);
    return answer.status === 201 ? (answer.body as Run) : null;
  };
  for (let event = run && nextEvent(run); event; event = run && nextEvent(run)) run = await tell(event);
  await tell({ kind: 'abandoned', note: '' });
}
