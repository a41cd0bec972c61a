import { matchText } from '../src/db/runSearch';
import { importPlan } from '../src/server/importPlan';
import { PER_PAGE, PLANS_PER_PAGE } from '../src/server/pageAsked';
import { openWorkshop } from '../src/server/workshop';
import { startServer, temporaryFolder } from '../tests/support/server';
import { fileOf, fill, type Size } from './largeWorkshop';

const SMALL: Size = { runs: 100, plans: 10, materials: 2000 };
const LARGE: Size = { runs: 10_000, plans: 1000, materials: 2000 };
const TIMES = 25;
/** So often each page is asked for before it is timed. */
const WARMING = 5;

const middle = (figures: number[]) => figures.sort((a, b) => a - b)[Math.floor(figures.length / 2)] ?? 0;

/** @param written called before each: what was kept does not hold any more */
function median(work: () => unknown, written: () => unknown): number {
  work();
  return middle(
    Array.from({ length: TIMES }, () => {
      written();
      const began = performance.now();
      work();
      return performance.now() - began;
    }),
  );
}

/** What is behind each list, beside its bare SQL: the same rows, read by nobody. */
function functions(folder: string) {
  const open = openWorkshop(folder);
  const runRows = open.db.prepare(
    `SELECT * FROM runs WHERE ended = 'finished' ORDER BY ended_at DESC, id LIMIT ${PER_PAGE}`,
  );
  const events = open.db.prepare('SELECT * FROM run_events WHERE run_id = ? ORDER BY place');
  const planRows = open.db.prepare(
    `SELECT *, EXISTS (SELECT 1 FROM runs WHERE runs.plan_id = plans.id AND runs.plan_version = v.version) AS used
     FROM plans JOIN plan_versions v ON v.plan_id = plans.id AND v.version = plans.latest_version
     ORDER BY plans.changed_at DESC, plans.id LIMIT ${PLANS_PER_PAGE}`,
  );
  const materialRows = open.db.prepare("SELECT * FROM materials ORDER BY record ->> 'name'");
  const words = open.db.prepare('SELECT rowid FROM run_words WHERE run_words MATCH ?');
  const facetRows = open.db.prepare('SELECT facet, value, count(*) FROM run_facets GROUP BY facet, value');
  const count = open.db.prepare("SELECT count(*) FROM runs WHERE ended = 'finished'");
  const countPlans = open.db.prepare('SELECT count(*) FROM plans');
  const write = open.db.prepare(
    'UPDATE materials SET changed_at = changed_at WHERE rowid = (SELECT max(rowid) FROM materials)',
  );
  const lists: [string, () => unknown, () => unknown][] = [
    [
      'log',
      () => open.runs.finished({ limit: PER_PAGE }),
      () => [count.get(), (runRows.all() as { id: string }[]).map(({ id }) => events.all(id))],
    ],
    ['plans', () => open.plans.page(PLANS_PER_PAGE, 0), () => [countPlans.get(), planRows.all()]],
    ['materials', () => open.materials.all(), () => materialRows.all()],
    ...['note', 'tenth', 'run 17'].map((search): [string, () => unknown, () => unknown] => [
      `“${search}”`,
      () => open.runSearch.find({ search, chosen: [] }, 0, PER_PAGE),
      () => words.all(matchText(search) ?? ''),
    ]),
    ['facets', () => open.runSearch.facets({ search: '', chosen: [] }, LARGE.runs), () => facetRows.all()],
  ];
  for (const [name, work, sql] of lists) {
    const [ours, bare] = [median(work, () => write.run()), median(sql, () => write.run())];
    console.log(
      `  ${name.padEnd(10)} ${ours.toFixed(2).padStart(7)} ms, its bare SQL ${bare.toFixed(2)} ms, ratio ${(ours / bare).toFixed(2)}`,
    );
  }
  open.db.close();
}

const PAGES = [
  '/',
  '/plans',
  '/plans?page=2',
  '/log',
  '/log?page=2',
  // Found by all runs, so that the page is full in either workshop.
  '/log?q=note',
  '/bench',
  '/molds',
  '/shelf',
];

/** How long a built server takes for a page, ms. */
async function took(base: string, page: string, time: number): Promise<number> {
  // Each under an address of its own: what was answered a moment ago is not made again.
  const address = new URL(page, base);
  address.searchParams.set('time', String(time));
  const began = performance.now();
  const answer = await fetch(address);
  await answer.text();
  if (!answer.ok) throw new Error(`${page} answers ${answer.status}`);
  return performance.now() - began;
}

/** The pages of both workshops by turns, so that a slow minute of the machine is in both. */
async function pages(folders: readonly [string, string]): Promise<void> {
  const [small, large] = [await startServer(folders[0]), await startServer(folders[1])];
  for (const page of PAGES) {
    const figures: { few: number; many: number }[] = [];
    for (let time = 0; time < TIMES + WARMING; time++) {
      const pair = { few: await took(small.base, page, time), many: await took(large.base, page, time) };
      if (time >= WARMING) figures.push(pair);
    }
    const [few, many] = [middle(figures.map((pair) => pair.few)), middle(figures.map((pair) => pair.many))];
    console.log(
      `  ${page.padEnd(14)} ${many.toFixed(1).padStart(6)} ms, ${few.toFixed(1)} ms, ratio ${(many / few).toFixed(2)}`,
    );
  }
  await Promise.all([small.stop(), large.stop()]);
}

const folders = [temporaryFolder(), temporaryFolder()] as const;
for (const [place, size] of [SMALL, LARGE].entries()) {
  const open = openWorkshop(folders[place]?.path ?? '');
  importPlan(open, fileOf());
  fill(open, fileOf(), size);
  open.db.close();
}
console.log(
  `a workshop of ${LARGE.runs} runs, ${LARGE.plans} plans and ${LARGE.materials} materials: what is behind each list`,
);
functions(folders[1].path);
console.log(
  `each list page, while nothing is written, beside the same with ${SMALL.runs} runs and ${SMALL.plans} plans`,
);
await pages([folders[0].path, folders[1].path]);
for (const folder of folders) folder.remove();
