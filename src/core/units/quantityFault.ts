import type { NumberFault } from './parseNumber';

/** Why a text is no quantity. `found` is the part of it that was not understood. */
export type QuantityFault =
  | NumberFault
  | { code: 'empty' }
  | { code: 'too-long'; length: number }
  | { code: 'negative'; found: string }
  | { code: 'range'; found: string }
  | { code: 'no-unit'; number: string }
  | { code: 'unknown-unit'; found: string; closest: string | null }
  /** An amount was read, and this behind it was not. */
  | { code: 'rest-unread'; found: string }
  | { code: 'unknown-per'; found: string }
  | { code: 'per-volume'; found: string }
  | { code: 'percent-per'; found: string }
  /** Amounts that can't be added up: drops and grams. */
  | { code: 'mixed-sum'; found: string }
  /** A share of all that is poured, not of the base. */
  | { code: 'of-product'; found: string }
  | { code: 'by-volume'; found: string }
  | { code: 'parts-of-what'; found: string }
  /** A handful: no amount that two people would take alike. */
  | { code: 'vague'; found: string }
  /** “At most 5 g”: a limit, not an amount. */
  | { code: 'bound'; found: string }
  /** It can be meant in two ways; each is a text that is read in one way only. */
  | { code: 'two-meanings'; found: string; readings: [string, string] }
  | { code: 'no-name'; found: string }
  | { code: 'unit-not-for-this'; found: string }
  | { code: 'too-large'; found: string }
  | { code: 'over-the-base'; found: string };
