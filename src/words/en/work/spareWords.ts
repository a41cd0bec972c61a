import { showPercent } from '../../../core/units/showQuantity';
import type { SpareFill } from '../../../core/work/spareFill';
import { counted } from '../plural';

/** What is left over, as cavities of the spare mold; null where it makes no piece. */
export function spareWords({ whole, part }: SpareFill, moldName: string, locale: string): string | null {
  const rest = part > 0 ? `one to ${showPercent(part, locale, 0)}` : null;
  if (whole === 0 && !rest) return null;
  const full = whole > 0 ? counted(whole, 'cavity', 'cavities') : null;
  return `${[full, rest].filter((each) => each !== null).join(' and ')} of ${moldName}`;
}
