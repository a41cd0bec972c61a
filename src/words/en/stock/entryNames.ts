import type { StockEntry } from '../../../core/stock/stock';

/** Why stock changed. */
export const ENTRY_NAMES: Record<StockEntry['kind'], string> = {
  bought: 'Bought',
  used: 'Used in a run',
  returned: 'Given back by a run',
  correction: 'Correction',
  count: 'Counted',
};
