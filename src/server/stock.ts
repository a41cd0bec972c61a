import { pourTint } from '../core/colour/pourTint';
import type { Material } from '../core/materials/material';
import type { Run } from '../core/run/run';
import { usedMaterials } from '../core/run/usedMaterials';
import type { Lot, NewLot } from '../core/stock/lot';
import { type StockEntry, sumOfEntries, takeFromLots } from '../core/stock/stock';
import type { Stored } from '../db/records';
import type { Workshop } from './openWorkshop';
import { idTaken, invalidField, notFound } from './problem';
import { conflict } from './records';

/** A lot with its stock told line by line. */
export interface LotView extends Stored<Lot> {
  left: number;
  entries: StockEntry[];
}

export function findLot(workshop: Workshop, id: string): LotView {
  const stored = workshop.lots.find(id);
  if (!stored) throw notFound('lot', id);
  return lotView(workshop, stored);
}

export function lotsOf(workshop: Workshop, materialId: string): LotView[] {
  if (!workshop.materials.find(materialId)) throw notFound('material', materialId);
  return workshop.lots.ofMaterial(materialId).map((stored) => lotView(workshop, stored));
}

function lotView({ lots }: Workshop, stored: Stored<Lot>): LotView {
  const entries = lots.entriesOfLot(stored.item.id);
  return { ...stored, left: sumOfEntries(entries), entries };
}

/** Puts a purchase on the shelf; what came is its first entry. */
export function addLot(workshop: Workshop, lot: NewLot, id = workshop.newId()): LotView {
  const { materials, lots, now, newId } = workshop;
  const add = workshop.db.transaction(() => {
    const { kind, id: ofId } = lot.item;
    if (kind !== 'material') throw invalidField('item.kind', 'has to be a material of the shelf');
    if (!materials.find(ofId)) throw invalidField('item.id', `names “${ofId}”, which is not on the shelf`);
    const at = now();
    lots.insert({ ...lot, id }, at);
    lots.addEntry({ id: newId(), lotId: id, at, kind: 'bought', change: lot.amount, owner: null, note: '' });
  });
  add.immediate();
  return findLot(workshop, id);
}

/**
 * Saves what stands on a lot's label. When the amount that came is put right, the difference is a correction.
 *
 * @throws Problem 404, 409 or 422
 */
export function saveLot(workshop: Workshop, lot: Lot, revision: number): LotView {
  const { lots, now, newId } = workshop;
  const save = workshop.db.transaction(() => {
    const before = lots.find(lot.id);
    if (!before) throw notFound('lot', lot.id);
    const { kind, id } = before.item.item;
    if (lot.item.kind !== kind || lot.item.id !== id)
      throw invalidField('item.item', 'can’t be changed: a lot is of one material');
    const at = now();
    if (!lots.update(lot, revision, at)) throw conflict(lot, before.item, before.revision);
    const change = lot.amount - before.item.amount;
    if (change !== 0) {
      const { left } = findLot(workshop, lot.id);
      if (!staysAbove(left, change))
        throw invalidField(
          'item.amount',
          `is less than what has gone from it already: ${grams(before.item.amount - left)}`,
        );
      const note = 'Amount that came, put right';
      lots.addEntry({ id: newId(), lotId: lot.id, at, kind: 'correction', change, owner: null, note });
    }
  });
  save.immediate();
  return findLot(workshop, lot.id);
}

/** A lot holds nothing at the least; rounding in the last digits is no debt. */
function staysAbove(left: number, change: number): boolean {
  return left + change >= -1e-9;
}

function grams(amount: number): string {
  return String(Number(amount.toFixed(3)));
}

export type StockEdit =
  | { kind: 'correction'; change: number; note: string }
  | { kind: 'count'; counted: number; note: string };

/**
 * Adds a correction, or a count: the difference to what the book said. The caller chooses the id, so that an
 * entry sent twice is there once.
 */
export function editStock(workshop: Workshop, lotId: string, entryId: string, edit: StockEdit): LotView {
  const work = workshop.db.transaction(() => {
    const { left } = findLot(workshop, lotId);
    const sent = workshop.lots.entry(entryId);
    if (sent) {
      // What a count came to depends on what was there then.
      const isSame = edit.kind === 'count' || edit.change === sent.change;
      if (isSame && sent.lotId === lotId && sent.kind === edit.kind && sent.note === edit.note) return;
      throw idTaken('entry', entryId);
    }
    const change = edit.kind === 'count' ? edit.counted - left : edit.change;
    if (!staysAbove(left, change)) {
      throw invalidField('change', `takes more than the ${grams(left)} that is left. Count the lot instead`);
    }
    const { kind, note } = edit;
    workshop.lots.addEntry({ id: entryId, lotId, at: workshop.now(), kind, change, owner: null, note });
  });
  work.immediate();
  return findLot(workshop, lotId);
}

/**
 * Takes what a run really used: the lots that stood on the bench, then the first to expire. Call inside the
 * transaction that ends the run. A material without lots is not counted by the book, and nothing is written.
 *
 * @throws Problem 422 when a chosen lot is not of its material
 */
export function takeForRun(
  workshop: Workshop,
  run: Run,
  chosen: readonly { materialId: string; lotId: string }[],
): void {
  const { lots, now, newId } = workshop;
  const stock = lots.stock();
  chosen.forEach(({ materialId, lotId }, index) => {
    if (!stock.get(materialId)?.some(({ id }) => id === lotId))
      throw invalidField(`event.lots.${index}.lotId`, 'is not a lot of that material');
  });
  const at = now();
  for (const { materialId, amount: used } of usedMaterials(run)) {
    const chosenId = chosen.find((choice) => choice.materialId === materialId)?.lotId;
    const { takings, beyondBook } = takeFromLots(stock.get(materialId) ?? [], used, chosenId);
    const common = { at, owner: { kind: 'run' as const, id: run.id } };
    if (beyondBook) {
      const note = 'More was there than the book said';
      const { lotId, amount } = beyondBook;
      lots.addEntry({ ...common, id: newId(), lotId, kind: 'correction', change: amount, note });
    }
    for (const { lotId, amount } of takings)
      lots.addEntry({ ...common, id: newId(), lotId, kind: 'used', change: -amount, note: '' });
  }
}

/**
 * Puts what a run left into the scrap jar: a lot of the scrap that is called after the plan, which comes onto the shelf
 * with the first of them. Call inside the transaction that ends the run.
 */
export function putIntoScrapJar(workshop: Workshop, run: Run, massG: number): void {
  if (!(massG > 0)) return;
  const { materials, now, newId } = workshop;
  const { planName, pours } = run.snapshot.sheet;
  const name = `Scrap of ${planName.replaceAll(';', ',')}`.slice(0, 80);
  const known = materials.all().find(({ item }) => item.kind === 'scrap' && item.name === name)?.item;
  const [most] = pours.toSorted((a, b) => b.intoMoldG - a.intoMoldG);
  const scrap: Material = known ?? {
    kind: 'scrap',
    id: newId(),
    name,
    note: '',
    inci: null,
    origins: null,
    lowStock: null,
    archived: false,
    densityGPerMl: most ? Number((most.jugG / most.jugVolumeMl).toFixed(4)) : null,
    colour: most ? pourTint(most).hex : null,
  };
  if (!known) materials.insert(scrap, now());
  const day = now().slice(0, 10);
  addLot(workshop, {
    item: { kind: 'material', id: scrap.id },
    number: `Run of ${day}`,
    boughtOn: day,
    price: null,
    discountFraction: 0,
    amount: massG,
    bestBefore: null,
    openedOn: null,
    note: '',
  });
}
