import { fail, ok, type Result } from '../result';
import type { Quantity } from './quantity';
import type { QuantityFault } from './quantityFault';
import { spokenNumber } from './spokenNumber';
import { unitAtHead } from './units';

const LARGEST_FACTOR = 1e6;

const SAME =
  /^(?:=|(?:the )?same (?:amount |weight |quantity )?(?:as|of)\b|as much as\b|equal (?:parts? |amounts? |weights? )?(?:with|to|as|of)\b|1\s?:\s?1 (?:with |to )?(?=\p{L}))\s*(.*)$/iu;
/** Without any of these it is no relation, whatever else it is. */
const MAY_RELATE = /[=x×*]|\b(?:of|the|times|twice|double|thrice|triple|same|much|equal)\b|1\s?:\s?1/i;
const TIMES: readonly [RegExp, number][] = [
  [/^(?:twice|double|two times)\s+(.+)$/i, 2],
  [/^(?:thrice|triple|three times)\s+(.+)$/i, 3],
];
/** Said of these, a share is not one of another dose. */
const NO_DOSE =
  /^(?:bottle|bag|packet|pack|packs|jar|jug|tube|mold|mould|recipe|amount|dose|usual|spoon|cup|thumb|hand)s?\b/i;
const BASE =
  /^(?:soap |melted |clear |white |whole )*(?:base|base weight|weight of (?:the )?base)(?: by weight)?$/i;
const PRODUCT =
  /^(?:total|total weight|all|everything|batch|(?:finished |whole |total )*(?:soap|bar|bars|product|mix|mixture|batch|pour|mold|jug))(?: weight)?$/i;

type Read = Result<Quantity, QuantityFault>;

/**
 * Reads a dose that is said by another dose: `= fragrance`, `2x honey`, `twice the fragrance`, `half the fragrance`,
 * `same as honey`, `50 % of the fragrance`. Undefined for everything else.
 */
export function parseRelation(typed: string): Read | undefined {
  if (!MAY_RELATE.test(typed)) return undefined;
  const same = SAME.exec(typed);
  if (same) return named(1, same[1] ?? '', typed);
  for (const [pattern, factor] of TIMES) {
    const times = pattern.exec(typed);
    const of = times?.[1]?.replace(/^as much as\s+/i, '');
    if (of !== undefined && !spokenNumber(of).success)
      return unitAtHead(of) ? undefined : named(factor, of, typed);
  }
  const number = spokenNumber(typed);
  if (!number.success) return undefined;
  const rest = number.data.rest.trim();
  const { value } = number.data;
  const times = /^(?:[x×*]|times\b)\s*(?:as much as\s+)?(.*)$/i.exec(rest);
  if (times) {
    const of = times[1] ?? '';
    return spokenNumber(of).success || unitAtHead(of) ? undefined : named(value, of, typed);
  }
  const share = /^%\s*of\s+(?:the\s+)?(.+)$/i.exec(rest);
  if (share) return shareOf(value / 100, share[1] ?? '', typed);
  // “½ the fragrance”, but “½ of the block” is a half block.
  const part = /^(?:of )?the (.+)$/i.exec(rest) ?? /^as much as (.+)$/i.exec(rest);
  const of = part?.[1]?.replace(/^the /i, '') ?? '';
  return part && !unitAtHead(of) ? named(value, of, typed) : undefined;
}

function shareOf(value: number, of: string, typed: string): Read {
  if (BASE.test(of))
    return value <= 1
      ? ok({ kind: 'ofBase', fractionOfBase: value })
      : fail({ code: 'over-the-base', found: typed });
  if (PRODUCT.test(of)) return fail({ code: 'of-product', found: typed });
  return named(value, of, typed);
}

function named(factor: number, text: string, typed: string): Read {
  const of = text
    .replace(/^\s*(?:(?:of|the)\s+)*/i, '')
    .replace(/^(?:amount|weight) of (?:the )?/i, '')
    .trim();
  if (of === '') return fail({ code: 'no-name', found: typed });
  if (NO_DOSE.test(of)) return fail({ code: 'vague', found: typed });
  if (!(factor <= LARGEST_FACTOR)) return fail({ code: 'too-large', found: typed });
  return ok({ kind: 'times', factor, of });
}
