import { fail, ok, type Result } from '../result';
import { parseMass } from '../units/parseMass';
import type { QuantityFault } from '../units/quantityFault';
import { massUnit, type UnitSystem } from '../units/showQuantity';
import { spokenNumber } from '../units/spokenNumber';
import { BATCH_LIMITS_G } from './batch';

/** What is left of a lot of the base. */
export interface LotLeft {
  number: string;
  left: number;
}

/** Why a text is no weight of a batch. */
export type BatchTextFault =
  | { code: 'no-lot'; number: string | null }
  | { code: 'more-than-all' }
  | { code: 'out-of-range'; leastG: number; mostG: number }
  | { code: 'bad-mass'; fault: QuantityFault };

/** Words between a part and the lot it is of: half **the block**, all **that is left of lot** CK-0914. */
const FILLING = /^(?:(?:of|the|a|my|blocks?|lot|base|slab|rest|what|that|is|left)(?=\s|$)\s*)+/i;
const ALL = /^(?:all|everything|the whole|the rest)(?=\s|$)\s*/i;

/**
 * Reads how much is made by its weight, g: `1 lb`, `1.1 kg`, a bare number in the unit beside the field, or a part of what
 * is left of a lot of the base: `half the block`, `all of CK-0914`, `all that is left`. Never throws.
 *
 * @param lots of the base, the one that is opened next first
 */
export function parseBatch(
  text: string,
  system: UnitSystem,
  lots: readonly LotLeft[],
): Result<number, BatchTextFault> {
  const typed = text.slice(0, 80).replace(/\s+/g, ' ').trim();
  const mass = parseMass(typed, system);
  if (mass.success) return checked(mass.data);
  const part = partOfLot(typed);
  if (!part) return fail({ code: 'bad-mass', fault: mass.error });
  const { share, number } = part;
  const lot =
    number === null
      ? lots.find(({ left }) => left > 0)
      : lots.find((each) => each.number.toLowerCase() === number.toLowerCase());
  if (!lot)
    return number === null || looksLikeLot(number)
      ? fail({ code: 'no-lot', number })
      : fail({ code: 'bad-mass', fault: mass.error });
  if (share > 1) return fail({ code: 'more-than-all' });
  return checked(share * lot.left);
}

/** A batch as it is kept: a bare number is in the unit beside its field, whatever is shown later. */
export function batchText(typed: string, system: UnitSystem): string {
  return /^[\d.,\s]+$/.test(typed) ? `${typed.trim()} ${massUnit(system)}` : typed.trim();
}

function partOfLot(typed: string): { share: number; number: string | null } | null {
  const all = ALL.exec(typed);
  const figure = all ? ok({ value: 1, rest: typed.slice(all[0].length) }) : spokenNumber(typed);
  if (!figure.success) return null;
  const { value, rest } = figure.data;
  const filling = FILLING.exec(rest.trim());
  if (!all && !filling) return null;
  const number = rest.trim().slice(filling?.[0].length ?? 0);
  return { share: value, number: number === '' ? null : number };
}

/** A number of a lot has a figure in it; what has none is a word that was not understood. */
function looksLikeLot(text: string): boolean {
  return /\d/.test(text);
}

function checked(massG: number): Result<number, BatchTextFault> {
  const [leastG, mostG] = BATCH_LIMITS_G;
  return massG >= leastG && massG <= mostG ? ok(massG) : fail({ code: 'out-of-range', leastG, mostG });
}
