import type { QuantityFault } from '../../../core/units/quantityFault';
import { explainQuantityFault } from './quantityFault';

/** Says to a person why a text is no weight. */
export function explainWeightFault(fault: QuantityFault): string {
  if ((fault.code === 'no-number' || fault.code === 'no-name') && fault.found.trim() !== '')
    return `“${fault.found.slice(0, 40)}” is no weight. Write it like “6” or “0.27 oz”.`;
  return explainQuantityFault(fault, ['mass']);
}
