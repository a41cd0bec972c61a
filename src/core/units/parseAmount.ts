import { fail, ok, type Result } from '../result';
import { HEAPED } from './factors';
import { amountOf, type Counted, sizeOf } from './quantity';
import type { QuantityFault } from './quantityFault';
import { spokenNumber } from './spokenNumber';
import { closestUnit, type Unit, unitAtHead } from './units';

/** A share of the base, or an amount that stands for itself. */
export type Amount = Counted | { kind: 'ofBase'; fractionOfBase: number };

/** An amount at the head of a phrase, and what follows it. */
export interface AmountRead {
  amount: Amount;
  rest: string;
}

type Read = Result<AmountRead, QuantityFault>;

/** A tonne, a cubic metre, a million drops: more than a workshop pours, so it is a slip of the finger. */
export const LARGEST = 1e6;

/**
 * Reads the amount at the head of a phrase: `6 g`, `1½ tsp`, `1 lb, 4 oz`, `1 tbsp + ½ tbsp`, `2 × 5 g`, `0.2 oz × 8`,
 * `1 heaped tsp`, `2 %`. Behind “per” a unit stands for one of it.
 */
export function parseAmount(text: string): Read {
  const first = term(text);
  if (!first.success) return first;
  let { amount, rest } = first.data;
  for (;;) {
    const join = JOIN.exec(rest);
    const next = join && term(rest.slice(join[0].length));
    if (!next?.success) {
      if (join?.[1] && next) return next;
      break;
    }
    const sum = added(amount, next.data.amount);
    if (sum === undefined) return fail({ code: 'mixed-sum', found: text });
    amount = sum;
    rest = next.data.rest;
  }
  const times = /^[x×*]\s*(?=\S)(.*)$/i.exec(rest);
  const number = times && spokenNumber(times[1] ?? '');
  if (!number?.success) return checked(amount, rest, text);
  return checked(multiplied(amount, number.data.value), number.data.rest.trim(), text);
}

/** `1 lb, 4 oz`, `1 tbsp plus a pinch`; with nothing between, the next begins with a figure: “a kilo” is a rate. */
const JOIN = /^(?:(?:(\+|plus\b)|and\b|&|,)\s*(?=[\p{L}\p{N},.])|(?=[\p{N}]))/iu;

function checked(amount: Amount, rest: string, text: string): Read {
  const size = amount.kind === 'ofBase' ? amount.fractionOfBase : sizeOf(amount);
  return size <= LARGEST ? ok({ amount, rest }) : fail({ code: 'too-large', found: text });
}

function term(text: string): Read {
  const number = spokenNumber(text);
  if (!number.success) {
    const bare = unitAtHead(text);
    return bare && /^(?:\/|per\b)/i.test(bare.rest)
      ? ok({ amount: amountIn(1, bare.unit), rest: bare.rest })
      : number;
  }
  const rest = number.data.rest.trim();
  const times = /^(?:[x×*]|times\b)\s*(.*)$/i.exec(rest);
  if (times) {
    const inner = term(times[1] ?? '');
    if (inner.success) return ok({ ...inner.data, amount: multiplied(inner.data.amount, number.data.value) });
  }
  if (rest === '') return fail({ code: 'no-unit', number: text });
  return unitFrom(number.data.value, rest.replace(/^[x×*]\s*/i, ''));
}

const HOW_FULL = /^(?:(level|levelled|flat|full)|(heaped|heaping|rounded))\b\s*/i;
/** Behind an amount it changes nothing. */
const SAYS_NOTHING =
  /^(?:by (?:weight|mass)|(?:in )?weight|w\/w|in total|total|altogether|in all|of each|each)(?![\p{L}\p{N}])(?!\s+\p{L})\s*/iu;
/** “Drops of oil”: what it is of, up to where a rate begins. */
const OF_WHAT = /^of (?:(?!(?:per|pro|in|for|to|an?|each|every|and|plus|the)\b)[\p{L}'’-]+(?:\s+|$)){1,4}/iu;

function unitFrom(value: number, text: string): Read {
  const before = HOW_FULL.exec(text);
  const named = text.slice(before?.[0].length ?? 0).replace(/^(?:of )?(?:an?|the) /i, '');
  const found = unitAtHead(named);
  if (!found) {
    const word = /^\S*/.exec(named)?.[0] ?? '';
    return fail({ code: 'unknown-unit', found: named, closest: closestUnit(word) });
  }
  const behind = before ? null : HOW_FULL.exec(found.rest);
  const heaped = before?.[2] || behind?.[2] ? HEAPED : 1;
  let rest = found.rest.slice(behind?.[0].length ?? 0).replace(SAYS_NOTHING, '');
  if (found.unit.kind !== 'ofBase') rest = rest.replace(OF_WHAT, '').replace(SAYS_NOTHING, '');
  return ok({ amount: amountIn(value * heaped, found.unit), rest: rest.trim() });
}

/** So many of a unit. */
export function amountIn(value: number, unit: Unit): Amount {
  switch (unit.kind) {
    case 'ofBase':
      return { kind: 'ofBase', fractionOfBase: value * unit.share };
    case 'mass':
      return amountOf('mass', value * unit.massG);
    case 'volume':
      return amountOf('volume', value * unit.volumeMl);
    default:
      return amountOf(unit.kind, value);
  }
}

function multiplied(amount: Amount, by: number): Amount {
  return amount.kind === 'ofBase'
    ? { kind: 'ofBase', fractionOfBase: amount.fractionOfBase * by }
    : amountOf(amount.kind, sizeOf(amount) * by);
}

function added(one: Amount, other: Amount): Amount | undefined {
  if (one.kind === 'ofBase' || other.kind === 'ofBase')
    return one.kind === 'ofBase' && other.kind === 'ofBase'
      ? { kind: 'ofBase', fractionOfBase: one.fractionOfBase + other.fractionOfBase }
      : undefined;
  return one.kind === other.kind ? amountOf(one.kind, sizeOf(one) + sizeOf(other)) : undefined;
}
