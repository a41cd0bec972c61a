import { makeSheet } from '../src/core/plan/makeSheet';
import { newProduct } from '../src/core/product/newProduct';
import { slimSheet } from '../src/core/run/snapshot';
import type { Lot } from '../src/core/stock/lot';
import type { StockEntry } from '../src/core/stock/stock';
import { indexRun } from '../src/server/search/indexRuns';
import type { Workshop } from '../src/server/workshop';
import { additive, base, fragrance, mold, planFile } from '../tests/support/planFiles';
import { madeRun, recorded } from '../tests/support/runs';

export interface Size {
  runs: number;
  plans: number;
  materials: number;
}

/** Fills a workshop: so many finished runs, plans and materials. */
export function fill(workshop: Workshop, file: ReturnType<typeof fileOf>, size: Size): void {
  const { db, plans, runs, materials } = workshop;
  const made = makeSheet(file);
  if (!made.success) throw new Error('the plan of the benchmark has no sheet');
  const sheet = slimSheet(made.data);
  const at = (n: number) => new Date(Date.UTC(2020, 0, 1) + n * 3_600_000).toISOString();
  db.transaction(() => {
    for (let n = materials.all().length; n < size.materials; n++)
      materials.insert(additive({ id: `extra-${n}`, name: `Extra ${n}`, role: 'other' }), at(n));
    const ids = plans.all().map(({ id }) => id);
    for (let n = ids.length; n < size.plans; n++) {
      const id = `plan-${n}`;
      plans.insert(id, { ...file.plan, name: `Plan ${n}` }, at(n));
      ids.push(id);
    }
    for (let n = 0; n < size.runs; n++) {
      const planId = ids[n % ids.length] ?? '';
      const run = {
        ...madeRun({ ...sheet, planName: `Run ${n % ids.length}` }),
        ...{ id: `run-${n}`, startedAt: at(n), planId },
      };
      runs.insert({ ...run, events: [] });
      run.events.forEach((event, place) => {
        runs.append(run.id, `event-${place}`, event);
      });
      runs.end(run.id, 'finished', at(n + 1), `note ${n}`);
      const said = recordedNote(n);
      indexRun(workshop, { ...run, events: [...run.events, said] });
    }
  })();
}

const LABEL = { widthMm: 60, heightMm: 40 };

export interface Stock {
  /** Of materials that are there. */
  lots: number;
  /** What runs took of those lots. */
  taken: number;
  products: number;
  /** Times that some of each product was packed. */
  packings: number;
}

/** Buys lots of the materials of a workshop, takes from them, and packs pieces of its runs. */
export function fillStock(workshop: Workshop, planId: string, size: Stock): void {
  const { db, lots, materials, products, newId } = workshop;
  const at = '2026-01-01T00:00:00.000Z';
  const ids = materials.all().map(({ item }) => item.id);
  const lotOf = (id: string, item: Lot['item'], amount: number): Lot => ({
    ...{ id, item, number: id, boughtOn: '2026-01-01', price: null, discountFraction: 0, amount },
    ...{ bestBefore: null, openedOn: null, note: '' },
  });
  const enter = (lotId: string, kind: StockEntry['kind'], change: number, owner: StockEntry['owner']) =>
    lots.addEntry({ id: newId(), lotId, at, kind, change, owner, note: '' });
  db.transaction(() => {
    for (let n = 0; n < size.lots; n++) {
      const lot = lotOf(`lot-${n}`, { kind: 'material', id: ids[n % ids.length] ?? '' }, 1000);
      lots.insert(lot, at);
      enter(lot.id, 'bought', lot.amount, null);
    }
    for (let n = 0; n < size.taken; n++)
      enter(`lot-${n % size.lots}`, 'used', -1, {
        kind: 'run',
        id: `run-${n % 10_000}`,
        taskId: `task-${n}`,
      });
    for (let n = 0; n < size.products; n++) {
      const id = `product-${n}`;
      const part = { planId, pieces: 1 };
      products.insert(
        { ...newProduct({ id: planId, name: `Product ${n}` }, 'eu-cosmetic', LABEL), id, parts: [part] },
        at,
      );
      for (let k = 0; k < size.packings; k++) {
        const lot = lotOf(`pack-${n}-${k}`, { kind: 'product', id }, 4);
        const madeOf = [{ runId: `run-${(n * size.packings + k) % 10_000}`, pieces: 1 }];
        lots.insert({ ...lot, madeOf }, at);
        enter(lot.id, 'made', lot.amount, { kind: 'act', id: lot.id });
        enter(lot.id, 'sold', -lot.amount, { kind: 'act', id: `sold-${lot.id}` });
      }
    }
  })();
}

/** Every run says “note”, every tenth “tenth”. */
function recordedNote(n: number) {
  return recorded({ kind: 'remarked', note: `note ${n}${n % 10 === 0 ? ' tenth' : ''}` });
}

export function fileOf() {
  return planFile(
    [{ base: base(), doses: [[fragrance(), '2 %']] }],
    { name: 'Plain bar', pieces: 6 },
    mold(),
  );
}
