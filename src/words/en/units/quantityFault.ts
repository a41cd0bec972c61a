import { ALL_KINDS, LONGEST_QUANTITY } from '../../../core/units/parseQuantity';
import type { QuantityKind } from '../../../core/units/quantity';
import type { QuantityFault } from '../../../core/units/quantityFault';
import { UNITS } from '../../../core/units/units';

/** As many as a line can hold; the rarer ones come after. */
const MOST_UNITS = 15;

function unitsFor(kinds: readonly QuantityKind[]): string {
  return UNITS.filter((unit) => kinds.includes(unit.kind))
    .slice(0, MOST_UNITS)
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
      return `“${shorten(fault.found)}” is a range, and here one figure is needed. Pick one.`;
    case 'no-number':
      return `“${shorten(fault.found)}” doesn’t start with a number. Write it like “2 %”, “6 g”, “half a teaspoon”, “½ tsp/lb” or “= fragrance”.`;
    case 'ambiguous-number':
      return `“${fault.found}” could be ${fault.readings[0]} or ${fault.readings[1]}. Write the one you mean.`;
    case 'divided-by-zero':
      return `“${fault.found}” divides by zero. Write the fraction again.`;
    case 'no-unit':
      return `“${fault.number}” has no unit. Add one: ${unitsFor(kinds)}.`;
    case 'unknown-unit':
      return fault.closest
        ? `“${shorten(fault.found)}” is no unit. Is “${fault.closest}” meant?`
        : `“${shorten(fault.found)}” is no unit that is known here. Weigh it and write grams or ounces, or use another of: ${unitsFor(kinds)}.`;
    case 'rest-unread':
      return `The amount is read, but not “${shorten(fault.found)}” behind it. Take it away, or write a rate such as “per lb” or “/piece”.`;
    case 'per-volume':
      return `“per ${shorten(fault.found)}” is a volume, and doses go by weight of base. Write it per weight: “/lb”, “/100 g”.`;
    case 'mixed-sum':
      return `“${shorten(fault.found)}” adds up what can’t be added, such as drops and grams. Write it as two doses, or in one unit.`;
    case 'of-product':
      return `“${shorten(fault.found)}” is a share of all that is poured, and a dose is a share of its base. Write the share of the base: “2 %”.`;
    case 'by-volume':
      return `“${shorten(fault.found)}” goes by volume, and a dose by weight. Write the weight: “2 %”, or the volume itself: “20 mL/kg”.`;
    case 'parts-of-what':
      return `“${shorten(fault.found)}” doesn’t say in how many parts of base. Write it like “3 parts in 100” or “1:50”.`;
    case 'vague':
      return `“${shorten(fault.found)}” is no amount that comes out alike twice. Weigh it once and write the grams, or write “to taste”.`;
    case 'bound':
      return `“${shorten(fault.found)}” is a limit. Write what goes in: one amount, or a range such as “6–9 drops”.`;
    case 'two-meanings':
      return `“${shorten(fault.found)}” can be “${fault.readings[0]}” or “${fault.readings[1]}”. Write the one you mean.`;
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
