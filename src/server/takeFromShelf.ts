import { type EntryOwner, takeFromLots } from '../core/stock/stock';
import type { Workshop } from './openWorkshop';

interface Taken {
  materialId: string;
  /** Grams, or pieces of what is counted. */
  amount: number;
  /** The lot that stood there; null where nobody said. */
  lotId: string | null;
}

/**
 * Takes something off the shelf: from the lot that was said, then the first to expire. A material without lots is not counted
 * by the book.
 */
export function takeFromShelf(
  { lots, now, newId }: Workshop,
  { materialId, amount, lotId }: Taken,
  owner: EntryOwner,
): void {
  const { takings, beyondBook } = takeFromLots(lots.stockOf(materialId), amount, lotId ?? undefined);
  const common = { at: now(), owner };
  if (beyondBook)
    lots.addEntry({
      ...common,
      id: newId(),
      lotId: beyondBook.lotId,
      kind: 'correction',
      change: beyondBook.amount,
      note: 'More was there than the book said',
    });
  for (const { lotId: from, amount: taken } of takings)
    lots.addEntry({ ...common, id: newId(), lotId: from, kind: 'used', change: -taken, note: '' });
}
