import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import type { Run, RunEvent } from '../src/core/run/run';
import { faultOf } from '../src/db/copies/copyFolder';
import { memoryStore } from '../src/islands/bench/outboxStore';
import { runDelivery } from '../src/islands/bench/runDelivery';
import type { ApiAnswer } from '../src/islands/shared/api';
import { planFile } from '../tests/support/planFiles';
import { freePort, send, startServer, temporaryFolder } from '../tests/support/server';

const LONGEST_LIFE_MS = 1500;

/**
 * A server that is killed (-9) again and again while a bench ticks on and copies are made: every tick is with the server at
 * the end, in order, once; every copy that has its name is whole.
 */
export async function soakKills(rounds: number): Promise<void> {
  const folder = temporaryFolder();
  const port = await freePort();
  let server = await startServer(folder.path, [], port);
  const { base } = server;
  const { body: plan } = await send(base, 'POST', '/api/plans/import', planFile([{}]));
  const { body: run } = await send(base, 'POST', '/api/runs', { id: crypto.randomUUID(), planId: plan.id });
  const taskId: string = run.snapshot.tasks[0].id;
  const over = async (method: string, path: string, body?: unknown): Promise<ApiAnswer<Run>> => {
    try {
      const answer = await send(base, method, path, body);
      return answer.status < 300
        ? { success: true, data: answer.body }
        : { success: false, error: { ...answer.body, status: answer.status } };
    } catch {
      return { success: false, error: { status: 0, code: 'unreachable', detail: '' } };
    }
  };
  const address = `/api/runs/${run.id}`;
  const bench = runDelivery(run, {
    store: memoryStore(),
    newId: () => crypto.randomUUID(),
    now: () => new Date().toISOString(),
    send: ({ id, event, occurredAt }) =>
      over('POST', `${address}/events`, { eventId: id, event, occurredAt }),
    load: () => over('GET', address),
    onChange: () => {},
  });
  const ticked: RunEvent[] = [];
  let isOver = false;
  const hands = (async () => {
    while (!isOver) {
      const event: RunEvent =
        ticked.length % 2 === 0
          ? { kind: 'weighed', taskId, massG: ticked.length + 1 }
          : { kind: 'undone', taskId };
      const checked = await bench.record(event);
      if (!checked.success) throw new Error(`refused here: ${checked.error.code}`);
      ticked.push(event);
      await bench.deliver();
      await after(2);
    }
  })();
  const copies = join(folder.path, 'backups');
  const wholeCopies = () =>
    existsSync(copies) ? readdirSync(copies).filter((name) => name.endsWith('.sqlite')) : [];
  let looked = 0;
  for (let round = 0; round < rounds; round++) {
    await after(Math.random() * LONGEST_LIFE_MS);
    await server.stop('SIGKILL');
    for (const name of wholeCopies()) {
      const fault = faultOf(join(copies, name), true);
      if (fault !== null) throw new Error(`round ${round}: ${name} is not whole: ${fault}`);
      looked++;
      // The next start makes the day's copy anew, and may be killed in the middle of it.
      rmSync(join(copies, name));
    }
    server = await startServer(folder.path, [], port);
    if ((round + 1) % 20 === 0)
      console.log(`${round + 1} kills, ${ticked.length} ticks, ${looked} copies looked into`);
  }
  isOver = true;
  await hands;
  while (bench.state().waiting > 0) await bench.deliver();
  const { events } = (await send(base, 'GET', address)).body as Run;
  const kept = events.map(({ event }) => JSON.stringify(event));
  const wanted = ticked.map((event) => JSON.stringify(event));
  if (kept.join() !== wanted.join())
    throw new Error(`${kept.length} kept of ${wanted.length}, or out of order`);
  await server.stop();
  const fault = faultOf(join(folder.path, 'workshop.sqlite'), true);
  if (fault !== null) throw new Error(`the workshop is not whole: ${fault}`);
  console.log(
    `${rounds} kills: all ${wanted.length} ticks are there, in order, once; ${looked} copies were whole`,
  );
  folder.remove();
}
