import { fail, ok, type Result } from '../result';
import { type NumberFault, parseNumber } from './parseNumber';
import type { Counted, Quantity, QuantityKind } from './quantity';
import { isPiece, type Unit, unitNamed } from './units';

export type QuantityFault =
  | NumberFault
  | { code: 'empty' }
  | { code: 'too-long'; length: number }
  | { code: 'negative'; found: string }
  | { code: 'range'; found: string }
  | { code: 'no-unit'; number: string }
  | { code: 'unknown-unit'; found: string }
  | { code: 'unknown-per'; found: string }
  | { code: 'percent-per'; found: string }
  | { code: 'no-name'; found: string }
  | { code: 'unit-not-for-this'; found: string }
  | { code: 'too-large'; found: string }
  | { code: 'over-the-base'; found: string };

/** The longest text worth reading; every quantity in use is far shorter. */
export const LONGEST_QUANTITY = 80;
/** A tonne, a cubic metre, a million drops: more than a workshop pours, so it is a slip of the finger. */
const LARGEST = 1e6;

export const ALL_KINDS: readonly QuantityKind[] = [
  'ofBase',
  'mass',
  'volume',
  'drops',
  'blocks',
  'volumePerBase',
  'dropsPerBase',
  'blocksPerBase',
  'perPiece',
  'times',
];

type Read = Result<Quantity, QuantityFault>;

/**
 * Reads a quantity as a crafter types it.
 *
 * - an amount: `6 g`, `0.27 oz`, `1 1/2 tsp`, `2,5 mL`, `12 drops`, `¼ block`, `¼ of the block`
 * - a share of the base: `2 %`, `8 g/100 g`
 * - a rate: `½ tsp/lb`, `20 mL per kg`, `½ tsp a pound`, `40 drops/lb`, `6 drops/piece`
 * - a relation to another dose of the same pour, by weight: `= fragrance`, `2x honey`
 *
 * @param text what was typed
 * @param kinds which kinds make sense in this field; all of them unless said
 * @returns the quantity in inner units (g, mL, fractions of one), or what was not understood. Never throws.
 * @example parseQuantity('0.27 oz') // { success: true, data: { kind: 'mass', massG: 7.65437124375 } }
 */
export function parseQuantity(text: string, kinds: readonly QuantityKind[] = ALL_KINDS): Read {
  if (text.length > LONGEST_QUANTITY) return fail({ code: 'too-long', length: text.length });
  const typed = text
    .normalize('NFC')
    .replace(/[\s\u00a0]+/g, ' ')
    .trim()
    .replace(/ of each$/i, '');
  if (typed === '') return fail({ code: 'empty' });
  const read = typed.startsWith('=') ? relation(1, typed.slice(1), typed) : numberFirst(typed);
  if (read.success && !kinds.includes(read.data.kind))
    return fail({ code: 'unit-not-for-this', found: typed });
  return read;
}

function numberFirst(typed: string): Read {
  if (/^[-−–]/.test(typed)) return fail({ code: 'negative', found: typed });
  const number = parseNumber(typed);
  if (!number.success) return number;
  const { value } = number.data;
  const rest = number.data.rest.trim();
  if (/^(?:[-–—]|(?:to|or)\b|\.\.)/i.test(rest)) return fail({ code: 'range', found: typed });
  if (rest === '') return fail({ code: 'no-unit', number: typed });
  const times = /^(?:[x×*]|times\b)\s*(.*)$/i.exec(rest);
  if (times) return relation(value, times[1] ?? '', typed);

  const [unitText = '', ...perText] = rest.split(/\/|\bper\b| an? /i);
  const unit = unitNamed(unitText.replace(/^(?:of )?(?:an?|the) /i, ''));
  if (unit === undefined) return fail({ code: 'unknown-unit', found: unitText.trim() || rest });
  if (perText.length === 0)
    return unit.kind === 'ofBase' ? share(value / 100, typed) : counted(value, unit, typed);
  if (unit.kind === 'ofBase') return fail({ code: 'percent-per', found: typed });
  return rate(counted(value, unit, typed), perText.join('/').trim(), typed);
}

function relation(factor: number, nameText: string, typed: string): Read {
  const of = nameText.replace(/^\s*(?:(?:of|the)\s+)*/i, '').trim();
  if (of === '') return fail({ code: 'no-name', found: typed });
  if (!(factor <= LARGEST)) return fail({ code: 'too-large', found: typed });
  return ok({ kind: 'times', factor, of });
}

function share(fractionOfBase: number, typed: string): Read {
  if (!(fractionOfBase <= 1)) return fail({ code: 'over-the-base', found: typed });
  return ok({ kind: 'ofBase', fractionOfBase });
}

function counted(
  value: number,
  unit: Exclude<Unit, { kind: 'ofBase' }>,
  typed: string,
): Result<Counted, QuantityFault> {
  const amount = amountOf(value, unit);
  const size = Object.values(amount).find((each) => typeof each === 'number') ?? 0;
  return size <= LARGEST ? ok(amount) : fail({ code: 'too-large', found: typed });
}

function amountOf(value: number, unit: Exclude<Unit, { kind: 'ofBase' }>): Counted {
  switch (unit.kind) {
    case 'mass':
      return { kind: 'mass', massG: value * unit.massG };
    case 'volume':
      return { kind: 'volume', volumeMl: value * unit.volumeMl };
    case 'drops':
      return { kind: 'drops', drops: value };
    case 'blocks':
      return { kind: 'blocks', blocks: value };
  }
}

/** `/piece`, or per a weight of base: `/lb`, `/kg`, `/100 g`. */
function rate(amount: Result<Counted, QuantityFault>, perText: string, typed: string): Read {
  if (!amount.success) return amount;
  if (isPiece(perText)) return ok({ kind: 'perPiece', amount: amount.data });
  const number = parseNumber(perText);
  const unit = unitNamed(number.success ? number.data.rest : perText);
  const per = (number.success ? number.data.value : 1) * (unit?.kind === 'mass' ? unit.massG : 0);
  if (!(per > 0)) return fail({ code: 'unknown-per', found: perText });
  const counted = amount.data;
  switch (counted.kind) {
    case 'mass':
      return share(counted.massG / per, typed);
    case 'volume':
      return ok({ kind: 'volumePerBase', mlPerBaseG: counted.volumeMl / per });
    case 'drops':
      return ok({ kind: 'dropsPerBase', dropsPerBaseG: counted.drops / per });
    case 'blocks':
      return ok({ kind: 'blocksPerBase', blocksPerBaseG: counted.blocks / per });
  }
}
