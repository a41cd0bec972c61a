import { ALL_KINDS, LONGEST_QUANTITY, type QuantityFault } from '../../../core/units/parseQuantity';
import type { QuantityKind } from '../../../core/units/quantity';
import { UNITS } from '../../../core/units/units';

function unitsFor(kinds: readonly QuantityKind[]): string {
  return UNITS.filter((unit) => kinds.includes(unit.kind))
    .map((unit) => unit.symbol)
    .join(', ');
}

/** Says a fault to a person: what was not understood, and what to write instead. */
export function explainQuantityFault(
  fault: QuantityFault,
  kinds: readonly QuantityKind[] = ALL_KINDS,
): string {
  switch (fault.code) {
    case 'empty':
      return `Nothing typed yet. Write an amount with its unit: ${unitsFor(kinds)}.`;
    case 'too-long':
      return `${fault.length} characters are too many for one amount. Keep it under ${LONGEST_QUANTITY}, such as “2 %” or “6 g”.`;
    case 'negative':
      return 'An amount can’t be below zero. Take the minus sign away.';
    case 'range':
      return `“${shorten(fault.found)}” is a range, and a scale needs one figure. Pick one.`;
    case 'no-number':
      return `“${shorten(fault.found)}” doesn’t start with a number. Write it like “2 %”, “6 g”, “½ tsp/lb” or “= fragrance”.`;
    case 'ambiguous-number':
      return `“${fault.found}” could be ${fault.readings[0]} or ${fault.readings[1]}. Write the one you mean.`;
    case 'divided-by-zero':
      return `“${fault.found}” divides by zero. Write the fraction again.`;
    case 'no-unit':
      return `“${fault.number}” has no unit. Add one: ${unitsFor(kinds)}.`;
    case 'unknown-unit':
      return `“${shorten(fault.found)}” is not a unit in use here. Use one of: ${unitsFor(kinds)}.`;
    case 'unknown-per':
      return `“per ${shorten(fault.found)}” can’t be read. A rate is per weight of base or per piece: /lb, /kg, /100 g, /piece.`;
    case 'percent-per':
      return `“${shorten(fault.found)}” mixes two ways. A percentage is of the base already; write “2 %” alone.`;
    case 'no-name':
      return `“${shorten(fault.found)}” doesn’t say of what. Name a dose of this pour, such as “= fragrance” or “2x honey”.`;
    case 'unit-not-for-this':
      return `“${shorten(fault.found)}” doesn’t fit here. Use one of: ${unitsFor(kinds)}.`;
    case 'too-large':
      return `“${shorten(fault.found)}” is more than any workshop pours. Check the unit and the decimal mark.`;
    case 'over-the-base':
      return `“${shorten(fault.found)}” is more than the base itself. A dose is 100 % of the base at the most.`;
  }
}

function shorten(text: string): string {
  return text.length > 24 ? `${text.slice(0, 24)}…` : text;
}
