import type { RackCall } from '../../../core/rack/rackCall';
import type { RackDue, RackKind, RackRound, RackWait } from '../../../core/rack/rackRounds';
import type { Feel } from '../../../core/run/run';
import type { Range } from '../../../core/schedule/range';
import { dateFormat } from '../dateFormat';

/** What hands do with a round, as its button says it. */
export const DUE_NAMES: Record<RackKind, string> = {
  unmold: 'It is out',
  'cut-bars': 'It is cut',
  inspect: 'Look at it',
  wrap: 'It is wrapped',
  'look-again': 'Look again',
};

/** What is to come, in a list. */
const COMING: Record<RackKind, string> = {
  unmold: 'take it out',
  'cut-bars': 'cut it',
  inspect: 'look at it',
  wrap: 'wrap it',
  'look-again': 'look again',
};

const HOW: Record<RackKind, string> = {
  unmold: 'Pull the walls away all round first, to let air in; then press from below.',
  'cut-bars': 'Still a little warm it cuts best: colder it is brittle, warmer it smears. Away from yourself.',
  inspect: 'At arm’s length, then by touch.',
  wrap: 'With gloves: fingers leave marks.',
  'look-again': 'Did it dew, go cloudy, brown, or lose its scent?',
};

const WAITS: Record<RackWait['kind'], string> = {
  skin: 'its skin forms',
  freezer: 'in the freezer',
  set: 'sets',
  harden: 'hardens',
};

export const FEEL_NAMES: Record<Feel, string> = {
  firm: 'Firm',
  warm: 'Still warm',
  soft: 'Soft',
  stuck: 'Stuck',
};

/** What is felt before a round is taken out or cut. */
export const FEELS_FOR: Partial<Record<RackKind, readonly Feel[]>> = {
  unmold: ['firm', 'soft', 'stuck'],
  'cut-bars': ['warm', 'firm', 'soft'],
};

/** What is due of a round, as it is called out. */
export function callWords({ planName, kind }: RackCall): string {
  return `${planName}: ${COMING[kind]}`;
}

/** How a round is dealt with next, by what was felt of it. */
export function howWords({ kind, felt }: Pick<RackDue, 'kind' | 'felt'>): string {
  switch (felt?.how) {
    case 'stuck':
      return 'It is stuck: ten minutes in the freezer, then air in from the edges, and press from below.';
    case 'soft':
      return 'It is soft inside: feel it again then.';
    case 'warm':
      return 'It is still warm: cut it now.';
    default:
      return HOW[kind];
  }
}

const DAY_MS = 24 * 3600_000;

/** A moment as near as it is: the time today, with the day before long, the day alone further off. */
export function whenWords(atMs: number, nowMs: number, locale: string): string {
  const [at, now] = [new Date(atMs), new Date(nowMs)];
  const isToday = at.toDateString() === now.toDateString();
  const isNear = Math.abs(atMs - nowMs) < 2 * DAY_MS;
  const format = dateFormat(
    locale,
    isToday
      ? { timeStyle: 'short' }
      : isNear
        ? { weekday: 'short', hour: 'numeric', minute: '2-digit' }
        : { weekday: 'short', day: 'numeric', month: 'short' },
  );
  return format.format(at);
}

/** When a mold is free again. */
export function freeWords({ low, high }: Range, nowMs: number, locale: string): string {
  if (high <= nowMs) return 'as soon as it is out';
  return low <= nowMs
    ? `by ${whenWords(high, nowMs, locale)}`
    : `from ${whenWords(low, nowMs, locale)} to ${whenWords(high, nowMs, locale)}`;
}

/** When something is due, as surely as it is known. */
function dueWords({ low, middle, high }: Range, nowMs: number, locale: string): string {
  const at = (ms: number) => whenWords(ms, nowMs, locale);
  if (high <= nowMs) return `due since ${at(middle)}`;
  if (low <= nowMs) return `perhaps now, surely by ${at(high)}`;
  const [from, to] = [at(low), at(high)];
  return from === to ? `due ${from}` : `due between ${from} and ${to}`;
}

/** What hands do next, and when: “Take it out: due between 17:05 and 17:20”. */
export function nextWords(
  { kind, due }: Pick<RackDue, 'kind' | 'due'>,
  nowMs: number,
  locale: string,
): string {
  return `${capital(COMING[kind])}: ${dueWords(due, nowMs, locale)}`;
}

/** What passes by itself, and what hands do after it: “sets; then take it out, cut it”. */
export function courseWords({ waits, due }: RackRound, nowMs: number): string {
  const passes = waits.filter(({ ends }) => ends.high > nowMs).map(({ kind }) => WAITS[kind]);
  const coming = due.map(({ kind }) => COMING[kind]).join(', ');
  return passes.length === 0 ? `To do: ${coming}` : `${capital(passes.join(', '))}; then ${coming}`;
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
