import type { Lot } from '../../core/stock/lot';
import type { StockEntry } from '../../core/stock/stock';
import type { StoredItem } from '../shared/saveQueue';

/** A lot with its stock told line by line, as the server tells it. */
export interface LotView extends StoredItem<Lot> {
  left: number;
  entries: StockEntry[];
}
