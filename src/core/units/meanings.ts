import type { QuantityFault } from './quantityFault';

/** The texts that a text with two meanings may be taken for, each of which is read in one way only; none otherwise. */
export function meaningsOf(text: string, fault: QuantityFault): string[] {
  switch (fault.code) {
    case 'two-meanings':
      return fault.readings;
    case 'ambiguous-number':
      return fault.readings.map((reading) => text.replace(fault.found, reading));
    case 'unknown-unit':
      return fault.closest ? [text.replace(fault.found.split(' ')[0] ?? '', fault.closest)] : [];
    default:
      return [];
  }
}
