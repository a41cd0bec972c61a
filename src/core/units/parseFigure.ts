import { fail, ok, type Result } from '../result';
import { type NumberFault, parseNumber } from './parseNumber';
import { parseQuantity } from './parseQuantity';

/** What a field that has its unit printed beside it takes: a bare number within bounds. */
export interface FigureRule {
  /** The unit beside the field; it may be typed too. */
  unit: string;
  least: number;
  most: number;
  whole?: boolean;
}

export type FigureFault =
  | NumberFault
  | { code: 'empty' }
  | { code: 'negative' }
  | { code: 'not-only-a-number'; rest: string }
  | { code: 'not-whole'; value: number }
  | { code: 'too-small' }
  | { code: 'too-large' };

/**
 * Reads the number of a field, in the field's own unit: `95`, `95 %`, `2,5`, `½`. A field of grams or millilitres takes
 * any weight or volume: `1 lb`, `4 fl oz`; one of millimetres `2.5 cm` and `1 ½ in`; one of degrees `140 °F`. Never throws.
 *
 * @example parseFigure('2,5 mm', { unit: 'mm', least: 1, most: 200 }) // { success: true, data: 2.5 }
 */
export function parseFigure(text: string, rule: FigureRule): Result<number, FigureFault> {
  const typed = text.trim();
  if (typed === '') return fail({ code: 'empty' });
  if (/^[-−–]/.test(typed)) return fail({ code: 'negative' });
  const number = parseNumber(typed.slice(0, 400));
  if (!number.success) return number;
  const rest = number.data.rest.trim();
  const isOwn = rest === '' || rest.toLowerCase() === rule.unit.toLowerCase();
  const value = isOwn ? number.data.value : inUnit(typed, number.data.value, rest, rule.unit);
  if (value === null) return fail({ code: 'not-only-a-number', rest });
  if (rule.whole && !Number.isInteger(value)) return fail({ code: 'not-whole', value });
  if (!(value >= rule.least)) return fail({ code: 'too-small' });
  if (!(value <= rule.most)) return fail({ code: 'too-large' });
  return ok(value);
}

const MM_PER: ReadonlyMap<string, number> = new Map([
  ['cm', 10],
  ['m', 1000],
  ...['in', 'in.', 'inch', 'inches', '"', '″', '”'].map((name): [string, number] => [name, 25.4]),
]);

const isCelsius = (named: string) => /^°?\s*c$/.test(named);
/** Last digits of a conversion are no figure that anybody measured. */
const rounded = (value: number) => Number(value.toFixed(4));

/** What was typed in another unit of the same kind; null when it is of another kind, or not understood. */
function inUnit(typed: string, value: number, rest: string, unit: string): number | null {
  const named = rest.toLowerCase();
  if (unit === 'mm') {
    const each = MM_PER.get(named);
    return each === undefined ? null : rounded(value * each);
  }
  if (unit === '°C')
    return /^°?\s*f$/.test(named) ? rounded((value - 32) / 1.8) : isCelsius(named) ? value : null;
  if (unit === '°F')
    return isCelsius(named) ? rounded(value * 1.8 + 32) : /^°?\s*f$/.test(named) ? value : null;
  if (unit !== 'g' && unit !== 'mL') return null;
  const parsed = parseQuantity(typed, [unit === 'g' ? 'mass' : 'volume']);
  if (!parsed.success) return null;
  return parsed.data.kind === 'mass'
    ? parsed.data.massG
    : parsed.data.kind === 'volume'
      ? parsed.data.volumeMl
      : null;
}
