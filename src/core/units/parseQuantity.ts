import { fail, ok, type Result } from '../result';
import { amountIn, LARGEST, parseAmount } from './parseAmount';
import { parseRange } from './parseRange';
import { parseRate, share } from './parseRate';
import { parseRelation } from './parseRelation';
import { plainPhrase } from './plainPhrase';
import { type Quantity, type QuantityKind, type SingleQuantity, sizeOf } from './quantity';
import type { QuantityFault } from './quantityFault';
import { spokenNumber } from './spokenNumber';
import { TO_TASTE, unitNamed } from './units';

/** The longest text worth reading; every quantity in use is far shorter. */
export const LONGEST_QUANTITY = 80;

export const ALL_KINDS: readonly QuantityKind[] = [
  'ofBase',
  'mass',
  'volume',
  'drops',
  'blocks',
  'scoops',
  'capsules',
  'volumePerBase',
  'dropsPerBase',
  'blocksPerBase',
  'perBase',
  'perPiece',
  'times',
  'range',
  'toTaste',
];

type Read = Result<Quantity, QuantityFault>;

/**
 * Reads a quantity as a crafter types it, or says it.
 *
 * - an amount: `6 g`, `1 lb 4 oz`, `1-1/2 tsp`, `half a teaspoon`, `2 × 5 g`, `12 drops`, `¼ of the block`, `a pinch`
 * - a share of the base: `2 %`, `8 g/100 g`, `1 oz to 2 lb`, `1:50`, `3 parts in 100`
 * - a rate: `½ tsp/lb`, `20 mL per kg`, `½ tsp per pound of base`, `6 drops/piece`
 * - a relation to another dose of the same pour, by weight: `= fragrance`, `2x honey`, `half the fragrance`
 * - a range that begins with its least: `6–9 drops`; and `to taste`
 *
 * @param text what was typed
 * @param kinds which kinds make sense in this field; all of them unless said
 * @returns the quantity in inner units (g, mL, fractions of one), or what was not understood. Never throws.
 * @example parseQuantity('0.27 oz') // { success: true, data: { kind: 'mass', massG: 7.65437124375 } }
 */
export function parseQuantity(text: string, kinds: readonly QuantityKind[] = ALL_KINDS): Read {
  if (text.length > LONGEST_QUANTITY) return fail({ code: 'too-long', length: text.length });
  const { typed, isHedged } = plainPhrase(text);
  if (typed === '') return fail({ code: 'empty' });
  const read = readPhrase(typed);
  if (!read.success) return fail(saidBetter(read.error, typed));
  if (kinds.includes(read.data.kind)) return isHedged ? ok(hedged(read.data)) : read;
  return fail({ code: read.data.kind === 'range' ? 'range' : 'unit-not-for-this', found: typed });
}

/** `6 g`, `2.5 %`, `20mL`: nearly all that is typed, so it need not be looked at in every other way. */
const PLAIN = /^(\d{1,9}(?:\.\d{1,9})?) ?(%|\p{L}+)$/u;

function plainAmount(typed: string): Read | undefined {
  const [, figure = '', name = ''] = PLAIN.exec(typed) ?? [];
  const unit = unitNamed(name);
  if (!unit || Number(figure) > LARGEST) return undefined;
  const amount = amountIn(Number(figure), unit);
  if (amount.kind !== 'ofBase' && sizeOf(amount) > LARGEST) return undefined;
  return parseRate(amount, '', typed);
}

function readPhrase(typed: string): Read {
  const plain = plainAmount(typed);
  if (plain) return plain;
  if (/^[-−–]/.test(typed)) return fail({ code: 'negative', found: typed });
  if (TO_TASTE.names.includes(typed.toLowerCase())) return ok({ kind: 'toTaste' });
  return parseRelation(typed) ?? ratio(typed) ?? parseRange(typed, single) ?? single(typed);
}

function single(typed: string): Result<SingleQuantity, QuantityFault> {
  const amount = parseAmount(typed);
  return amount.success ? parseRate(amount.data.amount, amount.data.rest, typed) : amount;
}

const PARTS = /^parts?\b\s*/i;
const OF_PARTS = /^(?:in|to|per|for|of)\s+(.+?)(?:\s+parts?)?(?:\s+(?:of )?(?:the )?(?:base|soap))?$/i;

/** `1:50`, `3 parts in 100`, `20 parts per thousand`: of the base. Undefined for everything else. */
function ratio(typed: string): Read | undefined {
  if (!/:|\bparts?\b/i.test(typed)) return undefined;
  const first = spokenNumber(typed);
  if (!first.success) return undefined;
  const behind = first.data.rest.trim();
  const colon = /^:\s*(.+?)(?:\s+(?:of )?(?:the )?base)?$/i.exec(behind);
  const parts = PARTS.exec(behind);
  if (!colon && !parts) return undefined;
  const perText = colon?.[1] ?? OF_PARTS.exec(behind.slice(parts?.[0].length ?? 0))?.[1];
  const second = perText === undefined ? undefined : spokenNumber(perText);
  if (!second?.success || second.data.rest.trim() !== '' || !(second.data.value > 0))
    return fail({ code: 'parts-of-what', found: typed });
  const [one, other] = [first.data.value, second.data.value];
  if (colon && one >= other && one > 0)
    return fail({
      code: 'two-meanings',
      found: typed,
      readings: [`${other}:${one}`, `${Number(((100 * other) / (one + other)).toFixed(4))} %`],
    });
  return share(one / other, typed);
}

function hedged(quantity: Quantity): Quantity {
  switch (quantity.kind) {
    case 'mass':
    case 'ofBase':
      return { ...quantity, approximate: true };
    case 'perPiece':
      return quantity.amount.kind === 'mass'
        ? { ...quantity, amount: { ...quantity.amount, approximate: true } }
        : quantity;
    default:
      return quantity;
  }
}

const VAGUE =
  /\b(?:few|couple|little|bit|splash|squirt|handful|spoon|spoonful|pipette|dessertspoon|shot|sprinkle|tip|dash|glug|pump|smidgen|needed|necessary|enough|q\.?s|some|scant|generous)s?\b/i;
const BOUND =
  /^(?:max|min|maximum|minimum|at (?:most|least)|up to|no more than|under|over|[<>≤≥]\s*\d)|\b(?:more|less|over|under) than\b|\b(?:over|under)\b|or (?:more|less)|±|\+\/-/i;

/** Why it can't be read, said of the whole phrase where one word of it decides. */
function saidBetter(fault: QuantityFault, typed: string): QuantityFault {
  if (fault.code !== 'no-number' && fault.code !== 'unknown-unit' && fault.code !== 'rest-unread')
    return fault;
  if (BOUND.test(typed)) return { code: 'bound', found: typed };
  return VAGUE.test(typed) ? { code: 'vague', found: typed } : fault;
}
