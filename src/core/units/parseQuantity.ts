import { fail, ok, type Result } from '../result';
import { type NumberFault, parseNumber } from './parseNumber';
import type { Quantity, QuantityKind } from './quantity';
import { UNITS, type Unit, unitNamed } from './units';

export type QuantityFault =
  | NumberFault
  | { code: 'empty' }
  | { code: 'too-long'; length: number }
  | { code: 'negative'; found: string }
  | { code: 'range'; found: string }
  | { code: 'no-unit'; number: string }
  | { code: 'unknown-unit'; found: string }
  | { code: 'unit-not-for-this'; found: string; kind: QuantityKind }
  | { code: 'too-large'; found: string }
  | { code: 'over-the-base'; found: string };

/** The longest text worth reading; every quantity in use is far shorter. */
export const LONGEST_QUANTITY = 60;
/** A tonne, a cubic metre, a million drops: more than a workshop pours, so it is a slip of the finger. */
const LARGEST = 1e6;

const ALL_KINDS: readonly QuantityKind[] = ['ofBase', 'mass', 'volume', 'drops'];

/**
 * Reads a quantity as a crafter types it: `2 %`, `6 g`, `0.27 oz`, `1 1/2 tsp`, `2,5 mL`, `12 drops`.
 *
 * @param text what was typed
 * @param kinds which kinds make sense in this field; all of them unless said
 * @returns the quantity in inner units (g, mL, fraction of one), or what was not understood. Never throws.
 * @example parseQuantity('0.27 oz') // { success: true, data: { kind: 'mass', massG: 7.65437124375 } }
 */
export function parseQuantity(
  text: string,
  kinds: readonly QuantityKind[] = ALL_KINDS,
): Result<Quantity, QuantityFault> {
  if (text.length > LONGEST_QUANTITY) return fail({ code: 'too-long', length: text.length });
  const typed = text
    .normalize('NFC')
    .replace(/[\s ]+/g, ' ')
    .trim();
  if (typed === '') return fail({ code: 'empty' });
  if (/^[-−–]/.test(typed)) return fail({ code: 'negative', found: typed });

  const number = parseNumber(typed);
  if (!number.success) return number;
  const { value } = number.data;
  const rest = number.data.rest.trim();
  if (/^(?:[-–—]|to\b|or\b|\.\.)/i.test(rest)) return fail({ code: 'range', found: typed });
  if (rest === '') return fail({ code: 'no-unit', number: typed });

  const unit = unitNamed(rest);
  if (unit === undefined) return fail({ code: 'unknown-unit', found: rest });
  if (!kinds.includes(unit.kind)) return fail({ code: 'unit-not-for-this', found: rest, kind: unit.kind });
  return inInnerUnits(value, unit, typed);
}

function inInnerUnits(value: number, unit: Unit, typed: string): Result<Quantity, QuantityFault> {
  switch (unit.kind) {
    case 'ofBase':
      if (!(value <= 100)) return fail({ code: 'over-the-base', found: typed });
      return ok({ kind: 'ofBase', fractionOfBase: value / 100 });
    case 'mass':
      if (!(value * unit.massG <= LARGEST)) return fail({ code: 'too-large', found: typed });
      return ok({ kind: 'mass', massG: value * unit.massG });
    case 'volume':
      if (!(value * unit.volumeMl <= LARGEST)) return fail({ code: 'too-large', found: typed });
      return ok({ kind: 'volume', volumeMl: value * unit.volumeMl });
    case 'drops':
      if (!(value <= LARGEST)) return fail({ code: 'too-large', found: typed });
      return ok({ kind: 'drops', drops: value });
  }
}

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
      return `“${fault.found}” is a range, and a scale needs one figure. Pick one.`;
    case 'no-number':
      return `“${shorten(fault.found)}” doesn’t start with a number. Write it like “2 %”, “6 g” or “½ tsp”.`;
    case 'ambiguous-number':
      return `“${fault.found}” could be ${fault.readings[0]} or ${fault.readings[1]}. Write the one you mean.`;
    case 'divided-by-zero':
      return `“${fault.found}” divides by zero. Write the fraction again.`;
    case 'no-unit':
      return `“${fault.number}” has no unit. Add one: ${unitsFor(kinds)}.`;
    case 'unknown-unit':
      return `“${shorten(fault.found)}” is not a unit in use here. Use one of: ${unitsFor(kinds)}.`;
    case 'unit-not-for-this':
      return `“${fault.found}” doesn’t fit here. Use one of: ${unitsFor(kinds)}.`;
    case 'too-large':
      return `“${fault.found}” is more than any workshop pours. Check the unit and the decimal mark.`;
    case 'over-the-base':
      return `“${fault.found}” is more than the base itself. A dose is 100 % of the base at the most.`;
  }
}

function shorten(text: string): string {
  return text.length > 20 ? `${text.slice(0, 20)}…` : text;
}
