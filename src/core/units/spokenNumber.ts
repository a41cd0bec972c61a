import { ok, type Result } from '../result';
import { type NumberFault, type NumberRead, parseNumber } from './parseNumber';

const WHOLE = new Map(
  [
    ...['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven'],
    ...['twelve', 'thirteen', 'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen'],
    'twenty',
  ].map((word, value) => [word, value] as const),
);
for (const [word, value] of [
  ['a', 1],
  ['an', 1],
  ['thirty', 30],
  ['forty', 40],
  ['fifty', 50],
  ['sixty', 60],
] as const)
  WHOLE.set(word, value);
/** Behind a number they multiply it, and by themselves they are one of it. */
const MANY: Record<string, number> = { dozen: 12, hundred: 100, thousand: 1000 };

const PARTS: Record<string, number> = {
  half: 2,
  halve: 2,
  third: 3,
  quarter: 4,
  fourth: 4,
  fifth: 5,
  eighth: 8,
};
const PART = '(half|halves|third|quarter|fourth|fifth|eighth)s?';
const OF_ONE = '(?: of)?(?: an?(?= ))?';
const WHOLE_WORDS = [...WHOLE.keys()].sort((a, b) => b.length - a.length).join('|');

/** half, a half, half an, a quarter of a, three quarters of a, three-quarter */
const FRACTION = new RegExp(`^(?:(an?|one|two|three|five|seven|\\d+)[ -])?${PART}\\b${OF_ONE}`, 'i');
const WORD = new RegExp(`^(?:${WHOLE_WORDS})(?![\\p{L}\\p{N}])`, 'iu');
const AND_A_PART = new RegExp(`^\\s+and (?:an? |one )?${PART}\\b${OF_ONE}`, 'i');
const AND_FRACTION = /^\s+and (?=\d+\s*[/⁄]\s*\d|[½⅓⅔¼¾⅛⅜⅝⅞])/i;

/** A number in figures, which no “quarters” follow. */
const IN_FIGURES = new RegExp(`^[\\d.,½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞](?!\\d*[ -]${PART})`, 'i');
const GOES_ON = /^\s*(?:an? |and |dozen|hundred|thousand)/i;

/**
 * Reads the number at the head of a phrase, in figures or in words: `1½`, `half a`, `three quarters of a`, `one and a
 * half`, `a`, `a dozen`.
 */
export function spokenNumber(text: string): Result<NumberRead, NumberFault> {
  if (IN_FIGURES.test(text)) return withMore(parseNumber(text));
  const fraction = FRACTION.exec(text);
  if (fraction) {
    const [matched, count = 'one', part = ''] = fraction;
    return counted(numberOf(count) / partOf(part), text.slice(matched.length));
  }
  const many = manyTimes(1, text);
  if (many) return ok(many);
  const word = WORD.exec(text)?.[0];
  if (word === undefined) return parseNumber(text);
  return withMore(ok({ value: numberOf(word), rest: text.slice(word.length) }));
}

/** What goes on behind a number: `and a half`, `and 1/2`, `dozen`. */
function withMore(whole: Result<NumberRead, NumberFault>): Result<NumberRead, NumberFault> {
  if (!whole.success || !GOES_ON.test(whole.data.rest)) return whole;
  const { value, rest } = whole.data;
  const more = AND_A_PART.exec(rest);
  if (more) return ok({ value: value + 1 / partOf(more[1] ?? ''), rest: rest.slice(more[0].length) });
  const and = AND_FRACTION.exec(rest);
  const added = and ? parseNumber(rest.slice(and[0].length)) : undefined;
  return added?.success
    ? ok({ value: value + added.data.value, rest: added.data.rest })
    : counted(value, rest);
}

function counted(value: number, rest: string): Result<NumberRead, NumberFault> {
  return ok(manyTimes(value, rest) ?? { value, rest });
}

function manyTimes(value: number, rest: string): NumberRead | undefined {
  const many = /^\s*(?:an? )?(dozen|hundred|thousand)\b/i.exec(rest);
  if (!many) return undefined;
  return { value: value * (MANY[many[1]?.toLowerCase() ?? ''] ?? 1), rest: rest.slice(many[0].length) };
}

function numberOf(word: string): number {
  return WHOLE.get(word.toLowerCase()) ?? Number(word);
}

function partOf(word: string): number {
  return PARTS[word.toLowerCase()] ?? PARTS[word.toLowerCase().replace(/s$/, '')] ?? 2;
}
