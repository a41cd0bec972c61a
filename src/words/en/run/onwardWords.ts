import type { Sheet } from '../../../core/plan/sheet';
import type { JugOnward } from '../../../core/run/heatOnward';
import type { OnwardTask, PourWindow } from '../../../core/run/onward';
import { type Showing, showTemperature } from '../../../core/units/showQuantity';
import { dateFormat } from '../dateFormat';
import { lengthWords } from '../lengthWords';
import { elapsedWords, stopwatchWords } from '../showTime';
import { pourLetters } from '../work/pourLetters';
import { taskName } from '../work/taskName';

const HOUR_MS = 3_600_000;
/** A window that closes so soon is told to hurry for. */
export const HURRY_MS = 90_000;

/** Until a moment as a clock counts it down: 4:10, and from an hour on 1 h 05. */
export function countdown(leftMs: number): string {
  const left = Math.max(0, leftMs);
  if (left < HOUR_MS) return stopwatchWords(Math.ceil(left / 1000));
  const [hours, minutes] = elapsedWords(left / 1000).split(':');
  return `${hours} h ${minutes}`;
}

/** A time of day on the clock of this machine. */
export function clockTime(atMs: number, locale: string): string {
  return dateFormat(locale, { timeStyle: 'short' }).format(atMs);
}

/** What passes by itself, while it does, and when it is over. */
export function waitWords(wait: OnwardTask, { pours }: Sheet, isOver: boolean): string {
  const letters = pours.length > 1 ? `${pourLetters(wait.pourIndexes)} ` : '';
  switch (wait.kind) {
    case 'skin':
      return isOver ? `${letters || 'It '}should carry` : `${letters}skins`.trim();
    case 'cool':
      return isOver ? `${letters || 'The '}jug is ready` : `${letters}jug cools`.trim();
    case 'freezer':
      return isOver ? 'Out of the freezer' : 'In the freezer';
    case 'set':
      return isOver ? 'Ready to unmold' : 'Sets';
    case 'harden':
      return isOver ? 'Hard' : 'Hardens';
    default:
      return '';
  }
}

/** The state of the window that a pour has, and what to do. */
export interface WindowSaid {
  state: 'early' | 'open' | 'hurry' | 'late';
  /** In a word or two, and how long it is so: null where it stays. */
  title: string;
  untilMs: number | null;
  sentence: string;
}

export function windowWords(
  { opensMs, closesMs, rewarmC }: PourWindow,
  /** As warm as its jug is again, where it was rewarmed for it. */
  rewarmedC: number | null,
  nowMs: number,
  showing: Showing,
): WindowSaid {
  if (rewarmedC !== null)
    return {
      state: 'open',
      title: 'Now',
      untilMs: null,
      sentence: `Late, but at ${showTemperature(rewarmedC, showing)} it melts into the layer below and joins it.`,
    };
  if (nowMs < opensMs)
    return {
      state: 'early',
      title: 'Not yet',
      untilMs: opensMs,
      sentence:
        'Poured now, it breaks through the layer below. A touch is the last word. If it must be now, spoon a thin layer on first.',
    };
  if (nowMs > closesMs)
    return {
      state: 'late',
      title: 'Late',
      untilMs: null,
      sentence: rewarmC
        ? `As it is, it no longer joins. Rewarm the jug to ${rewarmWords(rewarmC, showing)} and read it, or score the layer below and spritz it.`
        : 'As it is, it no longer joins, and no heat helps. Score the layer below and spritz it, or let them be two.',
    };
  const isSoon = closesMs - nowMs < HURRY_MS;
  return {
    state: isSoon ? 'hurry' : 'open',
    title: isSoon ? 'Hurry' : 'Now',
    untilMs: closesMs,
    sentence: 'The layer below carries, and still joins.',
  };
}

function rewarmWords({ fromC, toC }: NonNullable<PourWindow['rewarmC']>, showing: Showing): string {
  return `${showTemperature(fromC, showing)} to ${showTemperature(toC, showing)}`;
}

/** How warm a jug is thought to be, and when it may be poured. */
export function jugWords(
  { atC, tooThickC, fromMs, forecast, isRead }: JugOnward,
  /** What its pour has to be rewarmed to, where that is too late. */
  rewarmC: PourWindow['rewarmC'],
  nowMs: number,
  showing: Showing,
): string {
  const [ready, thick] = forecast.reaches;
  const at = (
    range: { low: number; middle: number; high: number } | null | undefined,
    key: 'low' | 'middle' | 'high',
  ) => (range ? fromMs + range[key] * 1000 : null);
  const readyMs = at(ready, 'middle');
  const thickMs = at(thick, 'middle');
  const by = isRead ? 'by what was read' : 'by the model, until it is read';
  if (readyMs !== null && nowMs < readyMs) {
    const [low, high] = [at(ready, 'low') ?? readyMs, at(ready, 'high') ?? readyMs];
    return `At ${showTemperature(atC, showing)} in ${countdown(readyMs - nowMs)}, between ${clockTime(low, showing.locale)} and ${clockTime(high, showing.locale)}, ${by}.`;
  }
  if (thickMs !== null && nowMs > thickMs)
    return `Below ${showTemperature(tooThickC, showing)} it is too thick to pour, ${by}: rewarm it to ${rewarmC ? rewarmWords(rewarmC, showing) : showTemperature(atC, showing)}.`;
  return thickMs === null
    ? `Down to ${showTemperature(atC, showing)}, ${by}.`
    : `Down to ${showTemperature(atC, showing)}, ${by}; too thick in ${lengthWords((thickMs - nowMs) / 1000, showing.locale)}.`;
}

/** What hands are asked for next, and when. */
export function nextWords(next: OnwardTask, sheet: Sheet, nowMs: number, locale: string): string {
  const name = taskName(next, sheet);
  return next.fromMs - nowMs < 60_000 ? name : `${name} at ${clockTime(next.fromMs, locale)}`;
}
