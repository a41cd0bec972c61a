import { parseQuantity } from '../../core/units/parseQuantity';
import { spokenNumber } from '../../core/units/spokenNumber';
import { readOptional, readPlace } from './places';
import type { RecipeLineFault, RecipePart } from './recipe';

/** A line taken apart: its amount, its name, and where its parts go. */
export interface LineParts {
  /** null where it says none. */
  amount: string | null;
  name: string;
  parts: RecipePart[];
  /** It ends with the words that let it be left out. */
  isOptional: boolean;
}

interface Belonging extends Pick<LineParts, 'amount' | 'name'> {
  parts: Omit<RecipePart, 'isOptional'>[];
}

/** An amount has no more words than this. */
const MOST_WORDS = 9;
const QUOTED = /[“"„«]([^”"“»]+)[”"“»]/;

/**
 * Takes a line of a recipe apart: `½ cup rice bran`, `orange: 30 drops`, `3 tsp calendula, 2 stirred in, 1 on the floor`,
 * `2 % of “Rose, 40 %”`. A name between quotation marks is that name, whatever it reads like.
 */
export function readLine(typed: string): LineParts | RecipeLineFault {
  const { line, isOptional } = readOptional(typed);
  const read = readBelonging(line);
  if (typeof read === 'string') return read;
  return { ...read, isOptional, parts: read.parts.map((part) => ({ ...part, isOptional })) };
}

/** A line as if what it names belonged in. */
function readBelonging(typed: string): Belonging | RecipeLineFault {
  const quoted = QUOTED.exec(typed);
  if (quoted) {
    const before = typed.slice(0, quoted.index).trim();
    const after = typed.slice(quoted.index + quoted[0].length);
    return withPlaces(withoutOf(before), quoted[1] ?? '', after.split(','));
  }
  const [head = '', ...tail] = typed.split(/,(?!\d)|\s+[–—-]\s+/);
  const split = amountFirst(head) ?? nameFirst(head);
  return withPlaces(split?.amount ?? '', split?.name ?? head.trim(), tail);
}

function withPlaces(amount: string, name: string, tail: readonly string[]): Belonging | RecipeLineFault {
  const segments = tail.map((each) => each.trim()).filter((each) => each !== '');
  if (amount !== '' && !isAmount(amount)) return 'no-amount';
  if (amount === '') return segments.length === 0 ? { amount: null, name, parts: [] } : 'no-amount';
  const whole = readPlace(segments.join(', '));
  if (segments.length === 0) return { amount, name, parts: [{ text: amount, laid: null }] };
  if (whole !== undefined) return { amount, name, parts: [{ text: amount, laid: whole }] };
  return inParts(amount, name, segments);
}

/** `3 tsp`, of which `2 stirred in` and `1 on the floor`: each part in the unit of the whole. */
function inParts(amount: string, name: string, segments: readonly string[]): Belonging | RecipeLineFault {
  const all = spokenNumber(amount);
  if (!all.success) return 'no-place';
  const { value, rest: unit } = all.data;
  const parts: Belonging['parts'] = [];
  let sum = 0;
  for (const segment of segments) {
    const number = spokenNumber(segment);
    if (!number.success) return 'no-place';
    const laid = readPlace(number.data.rest);
    const figure = segment.slice(0, segment.length - number.data.rest.length).trim();
    const text = `${figure} ${unit.trim()}`;
    if (laid === undefined || !isAmount(text)) return 'no-place';
    sum += number.data.value;
    parts.push({ text, laid });
  }
  return Math.abs(sum - value) > 1e-9 * value ? 'parts-differ' : { amount, name, parts };
}

/** The longest beginning that is an amount, with a name behind it. */
function amountFirst(head: string): { amount: string; name: string } | null {
  const words = head.trim().split(/\s+/);
  for (let count = Math.min(words.length - 1, MOST_WORDS); count > 0; count--) {
    const amount = words.slice(0, count).join(' ');
    if (isAmount(amount))
      return {
        amount,
        name: words
          .slice(count)
          .join(' ')
          .replace(/^of\s+/i, ''),
      };
  }
  return null;
}

/** `orange: 30 drops`, `orange 30 drops`. */
function nameFirst(head: string): { amount: string; name: string } | null {
  const words = head.trim().split(/\s+/);
  for (let from = Math.max(1, words.length - MOST_WORDS); from < words.length; from++) {
    const amount = words.slice(from).join(' ');
    if (isAmount(amount)) return { amount, name: words.slice(0, from).join(' ').replace(/[:=]$/, '').trim() };
  }
  return null;
}

function withoutOf(text: string): string {
  return text.replace(/\s+of$/i, '');
}

/** What an amount is of belongs to the name: only a relation has one in it. */
function isAmount(text: string): boolean {
  const read = parseQuantity(text);
  return read.success && (read.data.kind === 'times' || !/\bof (?!(?:the )?base\b)/i.test(text));
}
