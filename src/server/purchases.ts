import { type Purchase, postageOfLots, type Receipt, receivedOf } from '../core/purchase/purchase';
import type { Lot } from '../core/stock/lot';
import { moneyOf } from '../core/units/money';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';
import { idTaken, invalidField, notFound, Problem } from './problem';
import { addLot } from './stock';

/** What came of a purchase, in that order. */
export function lotsOfPurchase({ lots }: Workshop, id: string): Lot[] {
  return lots.idsOfPurchase(id).flatMap((lotId) => orNull(() => lots.find(lotId))?.item ?? []);
}

/** @throws Problem 422 where a purchase is of what is not on the shelf */
export function checkPurchases({ purchases, materials }: Workshop): void {
  for (const { item } of purchases.all())
    item.lines.forEach(({ materialId }, place) => {
      if (!materials.asKept(materialId))
        throw invalidField(`lines.${place}.materialId`, `of “${item.name}” names what is not on the shelf`);
    });
}

/** @throws Problem 422 where a line is taken out of which something came */
export function allowPurchase(workshop: Workshop, before: Purchase, after: Purchase): void {
  const came = lotsOfPurchase(workshop, before.id);
  before.lines.forEach((line, place) => {
    if (receivedOf(line, came) > 0 && !after.lines.some(({ materialId }) => materialId === line.materialId))
      throw invalidField(`lines.${place}`, 'can’t be taken out: some of it has come already');
  });
}

/** @throws Problem 404, or 409 where something came */
export function deletePurchase(workshop: Workshop, id: string): void {
  if (lotsOfPurchase(workshop, id).length > 0)
    throw new Problem(409, 'has-come', 'Something of it has come already, so it can’t be deleted.');
  if (!workshop.purchases.remove(id)) throw notFound('purchase', id);
}

/**
 * Puts what came of a line on the shelf as a lot, and shares the postage out anew. Sent twice, it came once.
 *
 * @throws Problem 404, 409 or 422
 */
export function receive(workshop: Workshop, id: string, receipt: Receipt): Lot[] {
  const { materialId, lotId, receivedOn, heldFor, ...told } = receipt;
  const work = workshop.db.transaction(() => {
    const purchase = workshop.purchases.find(id)?.item;
    if (!purchase) throw notFound('purchase', id);
    if (!purchase.lines.some((line) => line.materialId === materialId))
      throw invalidField('materialId', 'names what was not ordered');
    if (workshop.lots.asKept(lotId)) {
      if (workshop.lots.idsOfPurchase(id).includes(lotId)) return;
      throw idTaken('lot', lotId);
    }
    const lot = {
      ...{ ...told, item: { kind: 'material' as const, id: materialId }, boughtOn: receivedOn },
      ...{ discountFraction: 0, openedOn: null, note: `Ordered from ${purchase.name}` },
    };
    addLot(workshop, heldFor === null ? lot : { ...lot, heldFor }, lotId, { kind: 'purchase', id });
    sharePostage(workshop, purchase);
  });
  work.immediate();
  return lotsOfPurchase(workshop, id);
}

/** Puts the postage of a purchase onto the lots that came of it. Call inside the transaction that changes either. */
export function sharePostage(workshop: Workshop, purchase: Purchase): void {
  const { lots, now } = workshop;
  const came = lotsOfPurchase(workshop, purchase.id);
  for (const [lotId, minor] of postageOfLots(purchase, came, workshop.rules().currency)) {
    const stored = lots.find(lotId);
    if (!stored) continue;
    const { postage, ...lot } = stored.item;
    const share = minor > 0 ? moneyOf(minor) : undefined;
    if (share !== postage)
      lots.update(share === undefined ? lot : { ...lot, postage: share }, stored.revision, now());
  }
}
