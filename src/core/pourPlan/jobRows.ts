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
      when: begins === null ? elapsedWords(fromS) : showClock(later(begins, fromS), locale, begins),
      length: lengthWords(toS - fromS, locale),
      words: `${pourPlan.rounds > 1 ? `Filling ${round + 1}: ` : ''}${jobWords(job, sheet, pourPlan, showing)}`,
      hands: bindsHands(job),
    };
  });
}
