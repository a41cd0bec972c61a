import type { PourPlan } from '../../../core/schedule/pourPlan';
import type { ScheduledTask } from '../../../core/schedule/scheduledTask';
import { type TimeScale, timeScale } from './timeScale';

/** What every lane of the strip draws by. */
export interface Strip {
  scale: TimeScale;
  /** How wide it is drawn, px. */
  widthPx: number;
  locale: string;
  /** A moment as a clock shows it, or the time since the beginning. */
  moment(seconds: number): string;
  /** What is done, in words. */
  said(task: ScheduledTask): string;
  onOpen(pourIndex: number): void;
  /** A block is looked at, or none. */
  onTell(block: ToldBlock | null): void;
}

/** What a block says in full, and where it begins, as a fraction of the strip. */
export interface ToldBlock {
  words: string;
  from: number;
}

/** The stretches that something happens in, to scale; what only waits is broken. */
export function scaleOf({ tasks, layers, done }: PourPlan): TimeScale {
  const busy = tasks
    .filter(({ kind }) => kind !== 'set' && kind !== 'harden')
    .map(({ fromS, toS }) => ({ fromS, toS }));
  // A window that lies open for hours is only begun.
  const windows = layers.flatMap(({ window, pourIndexes, afterS }) => {
    const own = tasks.find(({ kind, pourIndexes: of }) => kind === 'pour' && of[0] === pourIndexes[0]);
    return window && own
      ? [
          {
            fromS: own.fromS,
            toS: own.fromS - afterS + Math.min(window.latest.middle, window.earliest.high + 1200),
          },
        ]
      : [];
  });
  return timeScale(
    [...busy, ...windows],
    Math.max(done.middle, ...tasks.filter(({ kind }) => kind !== 'harden').map(({ toS }) => toS)),
  );
}
