import type { Lot, NewLot } from '../core/stock/lot';
import { type EntryOwner, type StockEntry, sumOfEntries } from '../core/stock/stock';
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
  return workshop.lots.of({ kind: 'material', id: materialId }).map((stored) => lotView(workshop, stored));
}

function lotView({ lots }: Workshop, stored: Stored<Lot>): LotView {
  const entries = lots.entriesOfLot(stored.item.id);
  return { ...stored, left: sumOfEntries(entries), entries };
}

/**
 * Puts a purchase on the shelf; what came is its first entry.
 *
 * @param owner what it was ordered by
 */
export function addLot(
  workshop: Workshop,
  lot: NewLot,
  id = workshop.newId(),
  owner: EntryOwner | null = null,
): LotView {
  const { materials, lots, now, newId } = workshop;
  const add = workshop.db.transaction(() => {
    const { kind, id: ofId } = lot.item;
    if (kind !== 'material') throw invalidField('item.kind', 'has to be a material of the shelf');
    if (!materials.find(ofId)) throw invalidField('item.id', `names “${ofId}”, which is not on the shelf`);
    const at = now();
    lots.insert({ ...lot, id }, at);
    lots.addEntry({ id: newId(), lotId: id, at, kind: 'bought', change: lot.amount, owner, note: '' });
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
    if (kind === 'product')
      throw invalidField('item.item', 'is finished goods: they are kept with their product');
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
    const { item: lot, left } = findLot(workshop, lotId);
    if (lot.item.kind === 'product')
      throw invalidField('id', 'is of finished goods: they are kept with their product');
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
