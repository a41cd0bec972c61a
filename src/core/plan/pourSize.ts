import type { Result } from '../result';
import { fail, ok } from '../result';
import { G_PER_OZ } from '../units/factors';
import { parseQuantity } from '../units/parseQuantity';
import type { QuantityFault } from '../units/quantityFault';
import type { UnitSystem } from '../units/showQuantity';
import { spokenNumber } from '../units/spokenNumber';
import { writeFigure } from '../units/writeQuantity';
import type { z } from '../zod';
import type { pourSizeSchema } from './pourSizeSchema';

/** The least and the most of each way to say a size. */
export const POUR_SIZE_LIMITS = {
  parts: [0.001, 10_000],
  massG: [0.01, 1e6],
  mm: [0.1, 2000],
  ofFill: [0.001, 1],
} as const;

export type PourSize = z.infer<typeof pourSizeSchema>;

/** Sizes that share what the others leave. */
export function isShared(size: PourSize): size is Extract<PourSize, { by: 'parts' | 'rest' }> {
  return size.by === 'parts' || size.by === 'rest';
}

/**
 * A size as text that {@link parsePourSize} reads back as itself.
 *
 * @param system in which a weight is written
 */
export function writePourSize(size: PourSize, system: UnitSystem = 'metric'): string {
  switch (size.by) {
    case 'parts':
      return `${writeFigure(size.parts, 4)} ${size.parts === 1 ? 'part' : 'parts'}`;
    case 'mass':
      return writeMass(size.massG, system);
    case 'base':
      return `${writeMass(size.baseG, system)} base`;
    case 'thickness':
      return `${writeFigure(size.thicknessMm, 3)} mm`;
    case 'height':
      return `to ${writeFigure(size.heightMm, 3)} mm`;
    case 'fill':
      return `${writeFigure(size.fractionOfFill * 100, 4)} %`;
    case 'disc':
      return `disc ${writeFigure(size.diameterMm, 3)} mm`;
    case 'rest':
      return 'rest';
  }
}

function writeMass(massG: number, system: UnitSystem): string {
  return system === 'us' ? `${writeFigure(massG / G_PER_OZ, 4)} oz` : `${writeFigure(massG, 4)} g`;
}

/** Why a text is no size of a pour. */
export type PourSizeFault =
  | { code: 'empty' }
  | { code: 'negative' }
  | { code: 'unreadable'; found: string }
  | { code: 'needs-length'; found: string; of: 'height' | 'disc' }
  | { code: 'no-size'; found: string }
  | { code: 'bad-mass'; fault: QuantityFault }
  | { code: 'out-of-range' };

/**
 * Reads the size of a pour as it is said: `2 parts`, `8`, `50 g`, `2 oz`, `9 oz base`, `8 mm`, `to 20 mm`, `¾ of the fill`, `75 %`,
 * `disc 30 mm`, `the rest`. Never throws.
 */
export function parsePourSize(text: string): Result<PourSize, PourSizeFault> {
  const typed = text.slice(0, 80).replace(/\s+/g, ' ').trim();
  if (typed === '') return fail({ code: 'empty' });
  if (/^(?:the )?rest$/i.test(typed)) return ok({ by: 'rest' });
  const to = /^(?:up )?to (.+)$/i.exec(typed);
  const disc = /^disc (?:of )?(.+)$|^(.+?) disc$/i.exec(typed);
  const figures = to?.[1] ?? disc?.[1] ?? disc?.[2] ?? typed;
  if (/^[-−–]/.test(figures)) return fail({ code: 'negative' });
  const number = spokenNumber(figures);
  if (!number.success) return fail({ code: 'unreadable', found: typed });
  const { value } = number.data;
  const unit = number.data.rest.trim().toLowerCase();
  const millimetre = lengthMm(value, unit);
  if (to || disc) {
    if (millimetre === null) return fail({ code: 'needs-length', found: typed, of: to ? 'height' : 'disc' });
    return checked(to ? { by: 'height', heightMm: millimetre } : { by: 'disc', diameterMm: millimetre });
  }
  if (millimetre !== null) return checked({ by: 'thickness', thicknessMm: millimetre });
  if (unit === '' || unit === 'part' || unit === 'parts') return checked({ by: 'parts', parts: value });
  if (/^%(?: of the fill)?$/.test(unit)) return checked({ by: 'fill', fractionOfFill: value / 100 });
  if (/^(?:of )?(?:the )?(?:fill|mold)$/.test(unit)) return checked({ by: 'fill', fractionOfFill: value });
  const ofBase = /^(.+?)\s+(?:of\s+)?(?:the\s+)?base$/i.exec(typed);
  const mass = parseQuantity(ofBase?.[1] ?? typed, ['mass']);
  if (!mass.success)
    return fail(
      NO_WEIGHT.has(mass.error.code)
        ? { code: 'no-size', found: typed }
        : { code: 'bad-mass', fault: mass.error },
    );
  const massG = mass.data.kind === 'mass' ? mass.data.massG : 0;
  return checked(ofBase ? { by: 'base', baseG: massG } : { by: 'mass', massG });
}

/** Faults of a text that was meant as no weight at all. */
const NO_WEIGHT: ReadonlySet<QuantityFault['code']> = new Set([
  'unknown-unit',
  'unit-not-for-this',
  'rest-unread',
  'vague',
  'bound',
]);

const MM_PER = { mm: 1, cm: 10, in: 25.4, inch: 25.4, inches: 25.4, '"': 25.4, '″': 25.4 } as const;

function lengthMm(value: number, unit: string): number | null {
  return unit in MM_PER ? value * MM_PER[unit as keyof typeof MM_PER] : null;
}

function checked(size: PourSize): Result<PourSize, PourSizeFault> {
  const { parts, massG, mm, ofFill } = POUR_SIZE_LIMITS;
  const isWithin = (value: number, [least, most]: readonly [number, number]) =>
    value >= least && value <= most;
  const fits = ((): boolean => {
    switch (size.by) {
      case 'parts':
        return isWithin(size.parts, parts);
      case 'mass':
        return isWithin(size.massG, massG);
      case 'base':
        return isWithin(size.baseG, massG);
      case 'thickness':
        return isWithin(size.thicknessMm, mm);
      case 'height':
        return isWithin(size.heightMm, mm);
      case 'fill':
        return isWithin(size.fractionOfFill, ofFill);
      case 'disc':
        return isWithin(size.diameterMm, mm);
      case 'rest':
        return true;
    }
  })();
  return fits ? ok(size) : fail({ code: 'out-of-range' });
}
