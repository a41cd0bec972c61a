import type { PurchaseState } from '../../../core/purchase/purchase';

/** How far a purchase has come. */
export const PURCHASE_STATES: Record<PurchaseState, string> = {
  list: 'a list, not ordered yet',
  ordered: 'ordered',
  'partly-received': 'some of it has come',
  received: 'all of it has come',
};
