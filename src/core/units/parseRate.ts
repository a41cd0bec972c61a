import { fail, ok, type Result } from '../result';
import { G_PER_LB } from './factors';
import type { Amount } from './parseAmount';
import { amountOf, type Counted, type SingleQuantity, sizeOf } from './quantity';
import type { QuantityFault } from './quantityFault';
import { spokenNumber } from './spokenNumber';
import { isPiece, unitAtHead } from './units';

const PER =
  /^(?:\/|(?:per|pro|for|in|to)\s+(?:each|every)\b|(?:per|pro|for|in)\b|to(?: the| an?)?\b|(?:each|every)\b(?=\s+\p{L})|an?\b(?=\s))\s*/iu;
/** Per pound of oil: so it is said of the base, too. */
const PER_POUND = /^ppo$/i;
/** Behind a weight it says what the weight is of. */
const OF_BASE = /^(?:(?:of|the|melted|clear|white|my|your|soap|base|layer|glycerine?)(?:\s+|$))*$/i;

type Read = Result<SingleQuantity, QuantityFault>;

/**
 * What follows an amount: nothing, or what it is meant for: `/lb`, `per 100 g`, `in 2 lbs`, `a kilo`, `per pound of
 * base`, `/piece`, `per bar`.
 */
export function parseRate(amount: Amount, rest: string, typed: string): Read {
  if (rest === '') return amount.kind === 'ofBase' ? share(amount.fractionOfBase, typed) : ok(amount);
  if (amount.kind === 'ofBase') return shareWith(amount.fractionOfBase, rest, typed);
  if (PER_POUND.test(rest)) return perBase(amount, G_PER_LB, typed);
  const per = PER.exec(rest);
  if (!per) return fail({ code: 'rest-unread', found: rest });
  const perText = rest.slice(per[0].length);
  if (isPiece(perText) || (perText === '' && /(?:each|every)\s*$/i.test(per[0])))
    return ok({ kind: 'perPiece', amount });
  const number = spokenNumber(perText);
  const unit = unitAtHead(number.success ? number.data.rest.trim() : perText);
  if (unit?.unit.kind === 'volume') return fail({ code: 'per-volume', found: perText });
  const perG = (number.success ? number.data.value : 1) * (unit?.unit.kind === 'mass' ? unit.unit.massG : 0);
  if (!(perG > 0) || !unit || !OF_BASE.test(unit.rest)) return fail({ code: 'unknown-per', found: perText });
  return perBase(amount, perG, typed);
}

function shareWith(fractionOfBase: number, rest: string, typed: string): Read {
  if (/^(?:(?:of|in|to) )?(?:the )?(?:melted |soap )*base$/i.test(rest)) return share(fractionOfBase, typed);
  if (/^(?:by vol|vol|v\/v|w\/v)/i.test(rest)) return fail({ code: 'by-volume', found: typed });
  return fail(PER.test(rest) ? { code: 'percent-per', found: typed } : { code: 'rest-unread', found: rest });
}

export function share(fractionOfBase: number, typed: string): Read {
  if (!(fractionOfBase <= 1)) return fail({ code: 'over-the-base', found: typed });
  return ok({ kind: 'ofBase', fractionOfBase });
}

function perBase(amount: Counted, perG: number, typed: string): Read {
  switch (amount.kind) {
    case 'mass':
      return share(amount.massG / perG, typed);
    case 'volume':
      return ok({ kind: 'volumePerBase', mlPerBaseG: amount.volumeMl / perG });
    case 'drops':
      return ok({ kind: 'dropsPerBase', dropsPerBaseG: amount.drops / perG });
    case 'blocks':
      return ok({ kind: 'blocksPerBase', blocksPerBaseG: amount.blocks / perG });
    default:
      return ok({ kind: 'perBase', amount: amountOf(amount.kind, sizeOf(amount) / perG) });
  }
}
