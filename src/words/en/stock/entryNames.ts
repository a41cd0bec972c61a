import type { StockEntry } from '../../../core/stock/stock';

/** Why stock changed. */
export const ENTRY_NAMES: Record<StockEntry['kind'], string> = {
  bought: 'Bought',
  used: 'Used in a run',
  returned: 'Given back',
  correction: 'Correction',
  count: 'Counted',
  made: 'Packed',
  moved: 'Moved',
  sold: 'Sold',
  given: 'Given away',
  sampled: 'Used as samples',
  'kept-back': 'Kept back',
  damaged: 'Damaged',
};
