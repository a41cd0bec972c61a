import { isCounted } from '../units/quantity';
import type { Dose } from './plan';

/** True for a dose of a fixed amount, which does not follow the base by itself. */
export function isFixedDose({ means }: Dose): boolean {
  return means !== null && isCounted(means.kind === 'range' ? means.least : means);
}
