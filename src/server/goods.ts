import { certainMinor } from '../core/cost/bounds';
import {
  actsOf,
  backOf,
  type GoodsChange,
  type GoodsEdit,
  type GoodsFault,
  goodsChanges,
  type Packing,
  type PacksThere,
  packsByPlace,
  takenBack,
} from '../core/goods/goods';
import type { Goods, GoodsLot, PackableRun, PacksOfLot } from '../core/goods/goodsView';
import { goodPiecesSeen } from '../core/inspection/inspection';
import { goodUntil, lastDayOf } from '../core/product/goodUntil';
import type { Product } from '../core/product/product';
import { piecesMade } from '../core/run/piecesMade';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import type { Lot } from '../core/stock/lot';
import type { EntryOwner } from '../core/stock/stock';
import { moneyOf } from '../core/units/money';
import type { Stored } from '../db/records';
import { explainGoodsFault } from '../words/en/goods/goodsWords';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';
import { packCost } from './packCosts';
import { idTaken, invalidField, notFound, Problem } from './problem';
import { takeFromShelf } from './takeFromShelf';

/** More batches of one plan nobody looks through. */
const MOST_RUNS = 20;

/**
 * The finished goods of a product, the last packed first, and what more can be packed.
 *
 * @throws Problem 404
 */
export function goodsOf(workshop: Workshop, productId: string): Goods {
  const product = productOf(workshop, productId);
  const lots = workshop.lots.of({ kind: 'product', id: productId });
  return {
    lots: lots.map((stored) => goodsLot(workshop, stored)).toReversed(),
    places: workshop.lots.places(),
    parts: product.parts.map(({ planId, pieces }) => {
      const stored = workshop.plans.newest(planId);
      const runs = workshop.runs
        .namesOfPlan(planId, MOST_RUNS)
        .flatMap(({ id }) => orNull(() => workshop.runs.find(id)) ?? []);
      return {
        planId,
        planName: stored?.success ? stored.data.plan.name : planId,
        pieces,
        runs: runs.flatMap((run) => packable(workshop, run) ?? []),
      };
    }),
  };
}

/** Where packs of each product stand, by product. */
export function packsInStock({ lots, products }: Workshop): ReadonlyMap<string, PacksThere[]> {
  const there = lots.packsThere();
  return new Map(
    products
      .all()
      .map(({ item: { id } }) => [id, packsByPlace(there.filter(({ productId }) => productId === id))]),
  );
}

/** All finished goods by where they stand, the workshop first; each with what is good for the shortest time first. */
export function goodsByPlace(workshop: Workshop): { place: string | null; of: PacksOfLot[] }[] {
  const withPacks = new Set(workshop.lots.packsThere().map(({ lotId }) => lotId));
  const all = workshop.products.all().flatMap(({ item: { id, name } }) =>
    workshop.lots.of({ kind: 'product', id }).flatMap((stored) => {
      if (!withPacks.has(stored.item.id)) return [];
      const { lot, places } = goodsLot(workshop, stored);
      return places.map(({ place, packs }) => ({ place, productId: id, product: name, lot, packs }));
    }),
  );
  const places = [
    null,
    ...new Set(all.flatMap(({ place }) => place ?? []).sort((a, b) => a.localeCompare(b))),
  ];
  return places.flatMap((place) => {
    const of = all
      .filter((each) => each.place === place)
      .sort((a, b) => (a.lot.bestBefore ?? '9999').localeCompare(b.lot.bestBefore ?? '9999'));
    return of.length === 0 ? [] : [{ place, of }];
  });
}

/** Finished goods with pieces of a run. */
export function goodsOfRun(workshop: Workshop, runId: string): GoodsLot[] {
  return workshop.lots.withRun(runId).map((stored) => goodsLot(workshop, stored));
}

/**
 * Packs pieces of batches: what a pack takes besides goes off the shelf. Sent twice, it was packed once.
 *
 * @throws Problem 404, 409 or 422
 */
export function pack(workshop: Workshop, productId: string, packing: Packing): Goods {
  const { lotId, packs, runIds, packedOn } = packing;
  const { db, lots, now, newId } = workshop;
  const work = db.transaction(() => {
    const product = productOf(workshop, productId);
    const sent = lots.asKept(lotId);
    if (sent) {
      if (lots.find(lotId)?.item.item.id === productId) return;
      throw idTaken('lot', lotId);
    }
    const runs = product.parts.map((part) => runOf(workshop, part, runIds, packs));
    const item = { kind: 'product' as const, id: productId };
    lots.insert({ ...lotOf(workshop, product, packing, runs), id: lotId, item, boughtOn: packedOn }, now());
    const owner = { kind: 'act' as const, id: lotId };
    lots.addEntry({ id: newId(), lotId, at: now(), kind: 'made', change: packs, owner, note: '' });
    for (const { materialId, count } of product.packaging)
      takeFromShelf(workshop, { materialId, amount: count * packs, lotId: null }, owner);
  });
  work.immediate();
  return goodsOf(workshop, productId);
}

/**
 * Keeps what became of packs. Sent twice, it happened once.
 *
 * @param actId chosen by whoever sends it
 * @throws Problem 404, 409 or 422
 */
export function editGoods(workshop: Workshop, lotId: string, actId: string, edit: GoodsEdit): Goods {
  const { db, lots } = workshop;
  const work = db.transaction(() => {
    const { entries } = lotOfGoods(workshop, lotId);
    const owner = { kind: 'act' as const, id: actId };
    const [sent] = lots.entriesOf(owner);
    if (sent?.lotId === lotId && sent.kind === edit.kind) return;
    if (sent) throw idTaken('entry', actId);
    const changes = goodsChanges(edit, entries);
    if (!changes.success) throw refused(changes.error);
    addChanges(workshop, lotId, owner, changes.data, edit.note);
  });
  work.immediate();
  return goodsOf(workshop, lotOfGoods(workshop, lotId).lot.item.id);
}

/**
 * Takes back what became of packs, or that they were packed: what they took of the shelf comes back to it.
 *
 * @throws Problem 404, or 409 where they are not there any more
 */
export function takeGoodsBack(workshop: Workshop, lotId: string, actId: string): Goods {
  const { db, lots, now, newId } = workshop;
  const work = db.transaction(() => {
    const { entries } = lotOfGoods(workshop, lotId);
    const act = actsOf(entries).find(({ id }) => id === actId);
    if (!act || act.isBack) throw notFound('act that can be taken back', actId);
    if (!act.isOpen) return;
    const owner = { kind: 'act' as const, id: backOf(actId) };
    const changes = takenBack(act.entries, entries);
    if (!changes.success) throw refused(changes.error);
    addChanges(workshop, lotId, owner, changes.data, 'Taken back');
    for (const { lotId: from, kind, change } of lots.entriesOf({ kind: 'act', id: actId }))
      if (from !== lotId)
        lots.addEntry({
          ...{ id: newId(), lotId: from, at: now(), owner, change: -change, note: 'Taken back' },
          kind: kind === 'used' ? 'returned' : kind,
        });
  });
  work.immediate();
  return goodsOf(workshop, lotOfGoods(workshop, lotId).lot.item.id);
}

function addChanges(
  { lots, now, newId }: Workshop,
  lotId: string,
  owner: EntryOwner,
  changes: readonly GoodsChange[],
  note: string,
): void {
  for (const change of changes) lots.addEntry({ ...change, id: newId(), lotId, at: now(), owner, note });
}

function productOf({ products }: Workshop, id: string): Product {
  const stored = products.find(id);
  if (!stored) throw notFound('product', id);
  return stored.item;
}

function goodsLot({ lots }: Workshop, { item: lot }: Stored<Lot>): GoodsLot {
  const entries = lots.entriesOfLot(lot.id);
  return { lot, entries, places: packsByPlace(entries) };
}

function lotOfGoods(workshop: Workshop, lotId: string): GoodsLot {
  const stored = workshop.lots.find(lotId);
  if (stored?.item.item.kind !== 'product') throw notFound('lot of finished goods', lotId);
  return goodsLot(workshop, stored);
}

/** A finished run with its good pieces that are in no pack; null for others. */
function packable({ lots }: Workshop, run: Run): PackableRun | null {
  const so = progress(run);
  if (so.ended?.kind !== 'finished') return null;
  const { sheet } = run.snapshot;
  const rounds = Array.from({ length: sheet.totals.rounds }, (_, round) => round);
  const there = rounds.reduce((sum, round) => sum + piecesMade(sheet, round, so, true), 0);
  const good = goodPiecesSeen(so.inspections, sheet.totals.rounds) ?? so.ended.goodPieces;
  const free = Math.min(good, there) - lots.piecesPacked(run.id);
  return { id: run.id, code: run.code, finishedAt: so.ended.at, free: Math.max(0, free) };
}

/** The run among those that were said that a part's pieces are of. */
function runOf(
  workshop: Workshop,
  { planId, pieces }: Product['parts'][number],
  runIds: readonly string[],
  packs: number,
): { run: PackableRun; pieces: number } {
  for (const [place, id] of runIds.entries()) {
    const found = orNull(() => workshop.runs.find(id));
    if (found?.planId !== planId) continue;
    const run = packable(workshop, found);
    if (!run) throw invalidField(`runIds.${place}`, 'names a batch that is not finished');
    if (run.free < pieces * packs)
      throw invalidField(
        'packs',
        `takes ${pieces * packs} pieces of batch ${run.code ?? id}, which has ${run.free}`,
      );
    return { run, pieces };
  }
  throw invalidField('runIds', `names no batch of the plan ${planId}`);
}

function lotOf(
  workshop: Workshop,
  product: Product,
  { packs, runIds }: Packing,
  parts: readonly { run: PackableRun; pieces: number }[],
): Omit<Lot, 'id' | 'item' | 'boughtOn'> {
  const codes = parts.map(({ run }) => run.code ?? 'without a code');
  const until = goodUntil(
    product.good,
    parts.map(({ run }) => run.finishedAt),
  );
  const each = certainMinor(packCost(workshop, product, runIds).total);
  return {
    number: [...new Set(codes)].join(' + ').slice(0, 60),
    price: each === null ? null : moneyOf(Math.round(each * packs)),
    ...{ discountFraction: 0, amount: packs, openedOn: null, note: '' },
    bestBefore: until && lastDayOf(until),
    madeOf: parts.map(({ run, pieces }) => ({ runId: run.id, pieces })),
  };
}

function refused(fault: GoodsFault): Problem {
  return new Problem(409, fault.code, explainGoodsFault(fault));
}
