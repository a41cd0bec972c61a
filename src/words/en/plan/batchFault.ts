import type { BatchTextFault, LotLeft } from '../../../core/plan/parseBatch';
import type { QuantityFault } from '../../../core/units/quantityFault';
import { type Showing, showMass } from '../../../core/units/showQuantity';
import { listed } from '../plural';
import { explainQuantityFault } from '../units/quantityFault';

/** Faults of a figure, whatever it is of. */
const SAID_BY_ITSELF: ReadonlySet<QuantityFault['code']> = new Set([
  'negative',
  'ambiguous-number',
  'divided-by-zero',
  'too-large',
]);

/** Why a text is no weight of a batch, and what to write. */
export function explainBatchFault(fault: BatchTextFault, lots: readonly LotLeft[], showing: Showing): string {
  switch (fault.code) {
    case 'no-lot': {
      const known = lots.filter(({ left }) => left > 0).map(({ number }) => number);
      if (known.length === 0) return 'No lot of this base is on the shelf. Write a weight, such as “500 g”.';
      return fault.number === null
        ? 'No lot of this base is left. Write a weight, such as “500 g”.'
        : `This base has no lot “${fault.number}”; there is ${listed(known)}.`;
    }
    case 'more-than-all':
      return 'That is more than all of the lot. Write a weight, or a part such as “half the block”.';
    case 'out-of-range':
      return `Must be from ${showMass(fault.leastG, showing)} to ${showMass(fault.mostG, showing)}.`;
    case 'bad-mass':
      return SAID_BY_ITSELF.has(fault.fault.code)
        ? explainQuantityFault(fault.fault, ['mass'])
        : 'Write a weight, such as “500 g” or “1 lb”, or a part of a lot: “half the block”, “all of” its number.';
  }
}
