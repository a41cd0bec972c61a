import type { Run } from '../src/core/run/run';
import { importPlan } from '../src/server/importPlan';
import { openWorkshop } from '../src/server/workshop';
import { additive, fragrance, planFile } from '../tests/support/planFiles';
import { nextEvent } from '../tests/support/runs';
import { type RunningServer, send, startServer, temporaryFolder } from '../tests/support/server';
import { fileOf, fill, fillStock } from './largeWorkshop';

/** How long the thread that saves ticks is held at once, by the time it had a core: the first time, and later ones after a write. */
const TIMES = 5;
/** Past its answer something may still be done. */
const AFTERWARDS_MS = 80;
const LONGEST_NAME = 50;
const LONGEST_SHOWN = 8;

const folder = temporaryFolder();
const workshop = openWorkshop(folder.path);
const ordinary = planFile(
  Array.from({ length: 3 }, () => ({
    size: '1 part',
    doses: Array.from({ length: 4 }, (_, n): [ReturnType<typeof additive>, string] => [
      additive({ id: `dosed-${n}`, name: `Dosed ${n}` }),
      '0.5 %',
    ]),
  })),
  { name: 'Ordinary', pieces: 6 },
);
const { plan: known } = importPlan(workshop, ordinary);
fill(workshop, fileOf(), { runs: 10_000, plans: 1000, materials: 2000 });
fillStock(workshop, 'plan-3', { lots: 3000, taken: 60_000, products: 10, packings: 200 });
/** Each plan was saved again and again since, with more in it. */
const VERSIONS = 4;
const ON_RACK = 80;
const ARCHIVED = 300;
const { plans, runs, putAway } = workshop;
const at = workshop.now();
workshop.db.transaction(() => {
  for (const { id, plan, version, revision, changedAt } of plans.all())
    for (let n = 1; n < VERSIONS; n++)
      plans.save(id, { ...known, name: plan.name }, version + n, true, revision + n - 1, changedAt);
  for (let n = 0; n < ON_RACK; n++) runs.setOnRack(`run-${n}`, true);
  for (let n = 0; n < ARCHIVED; n++) {
    putAway.put({ kind: 'plan', id: `plan-${500 + n}`, state: 'archived', at });
    putAway.put({ kind: 'run', id: `run-${500 + n}`, state: 'archived', at });
  }
})();
workshop.db.close();

interface Held {
  name: string;
  firstMs: number;
  laterMs: number[];
}

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const begin = () =>
  startServer(folder.path, [], undefined, {
    NODE_OPTIONS: `--import ${new URL('heldClock.mjs', import.meta.url)}`,
  });

/** The longest that the server's thread was held since this was asked last, ms. */
async function heldMs({ process, printed }: RunningServer): Promise<number> {
  const before = printed().length;
  process.kill('SIGUSR2');
  for (;;) {
    const [, figure] = /held ([\d.]+) ms/.exec(printed().slice(before)) ?? [];
    if (figure) return Number(figure);
    await sleep(5);
  }
}

async function held(server: RunningServer, work: () => Promise<unknown>): Promise<number> {
  await heldMs(server);
  await work();
  await sleep(AFTERWARDS_MS);
  return await heldMs(server);
}

async function answered(address: string): Promise<void> {
  const answer = await fetch(address);
  await answer.arrayBuffer();
  if (answer.status !== 200) throw new Error(`${address} answers ${answer.status}`);
}

function print(title: string, all: readonly Held[]): void {
  const middle = ({ laterMs }: Held) =>
    laterMs.toSorted((a, b) => a - b)[Math.floor(laterMs.length / 2)] ?? 0;
  const most = (figures: number[]) => Math.max(...figures).toFixed(0);
  console.log(
    `${title}: at once ${most(all.map(({ firstMs }) => firstMs))} ms at the most for the first, ${most(all.map(middle))} ms in the middle of later ones, ${most(all.flatMap(({ laterMs }) => laterMs))} ms at the most; the longest:`,
  );
  for (const each of all.toSorted((a, b) => middle(b) - middle(a)).slice(0, LONGEST_SHOWN))
    console.log(
      `  ${each.name.slice(0, LONGEST_NAME).padEnd(22)} ${each.firstMs.toFixed(0)}, then ${each.laterMs.map((ms) => ms.toFixed(0)).join(' ')} ms`,
    );
}

/** A hundred plans, to be made at once. */
const TICKED = Array.from({ length: 100 }, (_, n) => `plan=plan-${n + 1}`).join('&');
/** Pages of a large workshop, each after a write. */
const PAGES = [
  ...['/', '/plans', '/plans?page=2', '/plans?q=Plan+9', '/plans/plan-3', '/plans/plan-3/sheet'],
  ...['/plans/buy?plan=plan-3', '/plans/recipe', '/bench', '/rack', '/log', '/log?q=tenth', '/log/run-9'],
  ...['/log/knows', '/molds', '/shelf', '/products', '/house-rules', '/api/plans', '/api/materials'],
  ...['/copies', '/devices', '/log/run-9/sheet', '/plans/plan-3/counts', '/plans/plan-3/rehearsal'],
  ...[
    '/plans/plan-3/versions',
    '/plans/archive',
    '/products/product-3',
    '/products/notice',
    '/products/stock',
  ],
  ...['/purchases', '/rack/run-9', '/records/material/extra-30', '/trace/lot-9', '/trace/pack-3-9'],
  ...['/log/compare?one=run-9&other=run-1010', '/api/lots?material=extra-30', '/api/shelf/lots', '/api/log'],
  ...['/api/rack/due', `/plans/buy?${TICKED}`],
];
let server = await begin();
const materials: { item: { id: string } }[] = (await send(server.base, 'GET', '/api/materials')).body;
async function write(note: string): Promise<void> {
  const at = `/api/materials/${materials[0]?.item.id}`;
  const { item, revision } = (await send(server.base, 'GET', at)).body;
  await send(server.base, 'PUT', at, { item: { ...item, note }, revision });
}
const pages: Held[] = [];
for (const name of PAGES) {
  const all: number[] = [];
  for (let n = 0; n <= TIMES; n++) {
    await write(`${name} ${n}`);
    all.push(await held(server, () => answered(server.base + name)));
  }
  const [firstMs = 0, ...laterMs] = all;
  pages.push({ name, firstMs, laterMs });
}
print(`${PAGES.length} pages of 10,000 runs, 1,000 plans and 2,000 materials`, pages);

/** What changes something, on a server that has read nothing yet. */
await server.stop();
server = await begin();
const writes: Held[] = [];
/** Prepares what `work` then does: only that is looked at. */
async function change(name: string, prepare: (n: number) => Promise<() => Promise<Answer>>): Promise<void> {
  const all: number[] = [];
  for (let n = 0; n <= TIMES; n++) {
    const work = await prepare(n);
    all.push(
      await held(server, async () => {
        const { status, body } = await work();
        if (status >= 300) throw new Error(`${name} answers ${status}: ${JSON.stringify(body)}`);
      }),
    );
  }
  const [firstMs = 0, ...laterMs] = all;
  writes.push({ name, firstMs, laterMs });
}
const without = ({ id: _, ...rest }: ReturnType<typeof additive>) => rest;
type Answer = { status: number; body: unknown };
const ask = (method: string, path: string, body?: unknown): Promise<Answer> =>
  send(server.base, method, path, body);
/** Saves a record as it is, with something else in it. */
async function saved(
  at: string,
  key: 'item' | 'plan',
  other: (record: never, n: number) => object,
  n: number,
) {
  const { body } = (await ask('GET', at)) as { body: { revision: number; item: never; plan: never } };
  return () => ask('PUT', at, { [key]: other(body[key], n), revision: body.revision });
}
await change('deletes a material', async (n) => {
  const fresh = additive({ name: `Never used ${n}` });
  const { body } = (await ask('POST', '/api/materials', without(fresh))) as {
    body: { item: { id: string } };
  };
  return () => ask('DELETE', `/api/materials/${body.item.id}`);
});
await change('deletes a plan', async () => {
  const { body } = (await ask('POST', '/api/plans/plan-9/duplicate')) as { body: { id: string } };
  return () => ask('PUT', `/api/put-away/plan/${body.id}`, { state: 'deleted' });
});
await change('another kind of material', async (n) => {
  const fresh = without(additive({ name: `Of another kind ${n}` }));
  const { body } = (await ask('POST', '/api/materials', fresh)) as { body: { item: { id: string } } };
  const { id } = body.item;
  const item = { ...fragrance(), id, name: `A scent ${n}` };
  return () => ask('PUT', `/api/materials/${id}`, { item, revision: 1 });
});
const noted = (record: object, n: number) => ({ ...record, note: `written ${n}` });
await change('saves a material', (n) => saved('/api/materials/extra-30', 'item', noted, n));
const named = (record: object, n: number) => ({ ...record, name: `Named ${n}` });
await change('saves a plan', (n) => saved('/api/plans/plan-3', 'plan', named, n));
await change('duplicates a plan', async () => () => ask('POST', '/api/plans/plan-5/duplicate'));
await change(
  'archives a plan',
  async (n) => () => ask('PUT', `/api/put-away/plan/plan-${n + 1}`, { state: 'archived' }),
);
await change('takes in a plan', async () => () => ask('POST', '/api/plans/import', ordinary));
const counted = (choices: object, n: number) => ({ ...choices, batchesPerMonth: n + 1 });
const documentOf = (n: number) => Buffer.concat([Buffer.from('%PDF-1.7 '), Buffer.alloc(19_900_000, n + 1)]);
const keep = async (n: number): Promise<Answer> => {
  const answer = await fetch(`${server.base}/api/files`, { method: 'POST', body: documentOf(n) });
  return { status: answer.status, body: await answer.json() };
};
await change('keeps 20 MB of a PDF', async (n) => () => keep(n));
await change('gives 20 MB of a PDF', async (n) => {
  const { hash } = (await keep(n)).body as { hash: string };
  return async () => {
    await answered(`${server.base}/api/files/${hash}`);
    return { status: 200, body: null };
  };
});
await change('saves the house rules', (n) => saved('/api/house-rules', 'item', counted, n));
await change('house rules, then Today', async (n) => {
  const save = await saved('/api/house-rules', 'item', counted, TIMES + 1 + n);
  return async () => {
    const answer = await save();
    await answered(`${server.base}/`);
    return answer;
  };
});
await change('a lot, then the shelf', async (n) => {
  const bought = {
    number: `Bought ${n}`,
    boughtOn: '2026-01-01',
    price: null,
    discountFraction: 0,
    amount: 10,
  };
  const dates = { bestBefore: null, openedOn: null, note: '' };
  return async () => {
    const answer = await ask('POST', '/api/lots', {
      item: { kind: 'material', id: 'extra-50' },
      ...bought,
      ...dates,
    });
    await answered(`${server.base}/shelf`);
    return answer;
  };
});
print('Writes', writes);

/** A run as long as a plan makes it, on a server that knows nothing of it yet. */
const crowded = planFile(
  Array.from({ length: 26 }, () => ({
    size: '1 part',
    doses: Array.from({ length: 60 }, (_, n): [ReturnType<typeof additive>, string] => [
      additive({ id: `dosed-${n}`, name: `Dosed ${n}` }),
      '0.01 %',
    ]),
  })),
  { name: 'Crowded', pieces: 36 },
);
const planId: string = (await send(server.base, 'POST', '/api/plans/import', crowded)).body.id;
await server.stop();
server = await begin();
const ids = Array.from({ length: TIMES + 1 }, () => crypto.randomUUID());
const started: Run[] = [];
const long: Held[] = [];
async function each(name: string, work: (id: string, n: number) => Promise<unknown>): Promise<void> {
  const all: number[] = [];
  for (const [n, id] of ids.entries()) {
    await write(`${name} ${n}`);
    all.push(await held(server, () => work(id, n)));
  }
  const [firstMs = 0, ...laterMs] = all;
  long.push({ name, firstMs, laterMs });
}
await each('start', async (id) => {
  started.push((await send(server.base, 'POST', '/api/runs', { id, planId })).body);
});
await each('its bench', (id) => answered(`${server.base}/bench/${id}`));
await each('a tick', (id, n) => {
  const run = started[n];
  return send(server.base, 'POST', `/api/runs/${id}/events`, {
    eventId: crypto.randomUUID(),
    event: run && nextEvent(run),
  });
});
await each('the run', (id) => answered(`${server.base}/api/runs/${id}`));
await each('all on the bench', () => answered(`${server.base}/bench`));
await each('today', () => answered(`${server.base}/`));
print(`Runs of ${started[0]?.snapshot.tasks.length} tasks`, long);
await server.stop();
folder.remove();
