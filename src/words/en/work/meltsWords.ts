import { type Showing, showMass } from '../../../core/units/showQuantity';
import type { JugOfMelt } from '../../../core/work/loads';

/** How what is cut is shared out, where it is not melted at once; else nothing. */
export function meltsWords({ fillings, melt: { melts, cutG } }: JugOfMelt, showing: Showing): string {
  const each = melts > 1 ? `${melts} melts of ${showMass(cutG, showing)}` : showMass(cutG, showing);
  if (fillings > 1) return `${each} a filling`;
  return melts > 1 ? each : '';
}
