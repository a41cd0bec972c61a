import type { Sheet } from '../../../core/plan/sheet';
import { beginsAt, later } from '../../../core/schedule/clock';
import type { PourPlan } from '../../../core/schedule/pourPlan';
import type { ScheduledTask } from '../../../core/schedule/scheduledTask';
import type { Showing } from '../../../core/units/showQuantity';
import { lengthWords } from '../lengthWords';
import { showClock } from '../showClock';
import { elapsedWords } from '../showTime';
import { taskWords } from './taskWords';

/** A task of the pour plan as a line of a list. */
export interface TaskRow {
  task: ScheduledTask;
  /** By the clock, or since the beginning. */
  when: string;
  length: string;
  words: string;
}

export function taskRows(sheet: Sheet, pourPlan: PourPlan, showing: Showing): TaskRow[] {
  const { locale } = showing;
  const { clock } = sheet.making;
  const begins = beginsAt(pourPlan, clock);
  return pourPlan.tasks.map((task) => ({
    task,
    when: whenWords(begins, task.fromS, locale, clock?.zone),
    length: lengthWords(task.toS - task.fromS, locale),
    words: `${pourPlan.roundsInAll > 1 ? `Round ${task.round + 1}: ` : ''}${taskWords(task, sheet, showing)}`,
  }));
}

/** By the clock, or since the beginning. */
export function whenWords(begins: string | null, seconds: number, locale: string, zone?: string): string {
  return begins === null ? elapsedWords(seconds) : showClock(later(begins, seconds, zone), locale, begins);
}

/** When one round is melted first, when each of its layers is poured, and when it comes out of its molds. */
export interface RoundRow {
  /** From 1. */
  round: number;
  melt: string;
  pours: string[];
  out: string;
}

/** The rounds of a pour plan, a line each: all of them are made like the first. */
export function roundRows(sheet: Sheet, pourPlan: PourPlan, { locale }: Showing): RoundRow[] {
  const { clock } = sheet.making;
  const begins = beginsAt(pourPlan, clock);
  return Array.from({ length: pourPlan.rounds }, (_, round) => {
    const own = pourPlan.tasks.filter((task) => task.round === round);
    const first = (isIt: (task: ScheduledTask) => boolean) => {
      const found = own.find(isIt);
      return found ? whenWords(begins, found.fromS, locale, clock?.zone) : '';
    };
    return {
      round: round + 1,
      melt: first(({ kind }) => kind === 'melt'),
      pours: pourPlan.layers.map((layer) =>
        first(({ kind, pourIndexes }) => kind === 'pour' && pourIndexes[0] === layer.pourIndexes[0]),
      ),
      out: first(({ kind }) => kind === 'unmold'),
    };
  });
}
