import { execFileSync } from 'node:child_process';
import fc from 'fast-check';
import type { RunEvent } from '../src/core/run/run';
import { anyPlanFile } from '../tests/support/anyPlanFile';
import { nextEvent } from '../tests/support/runs';
import { send, startServer, temporaryFolder } from '../tests/support/server';

/**
 * A built server under as many connections as a workshop never has: pages, plans of any kind, runs that are ticked through.
 * Each connection deletes or archives its plan before it takes in the next, so that the workshop's lists stay as long as
 * they are. Prints how many requests it answers, how long the slowest take, and its memory, minute by minute.
 */
export async function soakServer(minutes: number, connections = 50): Promise<void> {
  const folder = temporaryFolder();
  const server = await startServer(folder.path);
  const until = Date.now() + minutes * 60_000;
  let figures: number[] = [];
  let faults = 0;
  const statuses = new Map<number, number>();
  async function ask(method: string, path: string, body?: unknown) {
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
  }
  const pages = ['/', '/plans', '/bench', '/log', '/molds', '/shelf', '/house-rules', '/plans/buy?plan=all'];
  async function work(seed: number) {
    const files = fc.sample(anyPlanFile(5), { numRuns: 200, seed });
    let planId: string | null = null;
    for (let round = 0; Date.now() < until; round++) {
      const file = files[round % files.length];
      await ask('GET', pages[(seed + round) % pages.length] ?? '/');
      await ask('POST', '/api/sheet', file);
      if (round % 20 !== 0) continue;
      for (const state of planId ? ['deleted', 'archived'] : []) {
        const { status } = await ask('PUT', `/api/put-away/plan/${planId}`, { state });
        if (status === 200) break;
      }
      const taken = await ask('POST', '/api/plans/import', file);
      planId = taken.status === 201 ? taken.body.id : null;
      if (!planId) continue;
      const runId = crypto.randomUUID();
      const started = await ask('POST', '/api/runs', { id: runId, planId });
      let run = started.status === 201 ? started.body : null;
      const tell = async (event: RunEvent) => {
        const told = { eventId: crypto.randomUUID(), event };
        const answer = await ask('POST', `/api/runs/${runId}/events`, told);
        return answer.status === 201 ? answer.body : null;
      };
      for (let event = run && nextEvent(run); event; event = run && nextEvent(run)) run = await tell(event);
      if (started.status === 201) await tell({ kind: 'abandoned', note: '' });
    }
  }
  const memoryMb = () =>
    Number(execFileSync('ps', ['-o', 'rss=', '-p', String(server.process.pid)], { encoding: 'utf8' })) / 1024;
  const report = setInterval(() => {
    const sorted = figures.toSorted((a, b) => a - b);
    figures = [];
    const at = (share: number) => (sorted[Math.floor((sorted.length - 1) * share)] ?? 0).toFixed(0);
    console.log(
      `${(sorted.length / 60).toFixed(0)} a second, half within ${at(0.5)} ms, 99 of 100 within ${at(0.99)} ms, all within ${at(1)} ms; ${memoryMb().toFixed(0)} MB`,
    );
  }, 60_000);
  await Promise.all(Array.from({ length: connections }, (_, index) => work(index + 1)));
  clearInterval(report);
  console.log(
    `answers: ${[...statuses].map(([status, times]) => `${status}: ${times}`).join(', ')}; ${faults} faults`,
  );
  await server.stop();
  folder.remove();
  if (faults > 0) process.exitCode = 1;
}
