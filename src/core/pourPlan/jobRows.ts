import type { Sheet } from '../plan/sheet';
import { elapsedWords } from '../showTime';
import type { Showing } from '../units/showQuantity';
import { beginsAt, later, showClock } from './clock';
import { bindsHands } from './job';
import { jobWords } from './jobWords';
import { lengthWords } from './lengthWords';
import type { PourPlan } from './pourPlan';

/** A line of the pour plan as a list. */
export interface JobRow {
  key: string;
  /** By the clock, or since the beginning. */
  when: string;
  length: string;
  words: string;
  /** It binds hands. */
  hands: boolean;
}

export function jobRows(sheet: Sheet, pourPlan: PourPlan, showing: Showing): JobRow[] {
  const { locale } = showing;
  const begins = beginsAt(pourPlan, sheet.making.clock);
  return pourPlan.jobs.map((job) => {
    const { kind, fromS, toS, round, load, pourIndexes } = job;
    return {
      key: `${kind} ${round} ${load} ${pourIndexes.join()} ${fromS}`,
      when: whenWords(begins, fromS, locale),
      length: lengthWords(toS - fromS, locale),
      words: `${pourPlan.rounds > 1 ? `Filling ${round + 1}: ` : ''}${jobWords(job, sheet, pourPlan, showing)}`,
      hands: bindsHands(job),
    };
  });
}

function whenWords(begins: string | null, seconds: number, locale: string): string {
  return begins === null ? elapsedWords(seconds) : showClock(later(begins, seconds), locale, begins);
}

/** When one filling is melted first, when each of its layers is poured, and when it comes out of its molds. */
export interface FillingTimes {
  /** From 1. */
  filling: number;
  melt: string;
  pours: string[];
  out: string;
}

/** The fillings of a pour plan, a line each: all of them are made like the first. */
export function fillingTimes(sheet: Sheet, pourPlan: PourPlan, { locale }: Showing): FillingTimes[] {
  const begins = beginsAt(pourPlan, sheet.making.clock);
  return Array.from({ length: pourPlan.rounds }, (_, round) => {
    const own = pourPlan.jobs.filter((job) => job.round === round);
    const first = (isIt: (job: (typeof own)[number]) => boolean) => {
      const found = own.find(isIt);
      return found ? whenWords(begins, found.fromS, locale) : '';
    };
    return {
      filling: round + 1,
      melt: first(({ kind }) => kind === 'melt'),
      pours: pourPlan.layers.map((layer) =>
        first(({ kind, pourIndexes }) => kind === 'pour' && pourIndexes[0] === layer.pourIndexes[0]),
      ),
      out: first(({ kind }) => kind === 'unmold'),
    };
  });
}
