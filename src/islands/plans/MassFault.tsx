import type { QuantityFault } from '../../core/units/quantityFault';
import { explainQuantityFault } from '../../words/en/units/quantityFault';

/** Why a text is no weight, and what to write. */
export default function MassFault({ fault }: { fault: QuantityFault }) {
  return explainQuantityFault(fault, ['mass']);
}
