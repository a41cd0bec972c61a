import { lengthWords } from '../../../words/en/lengthWords';
import { Lane } from './Lane';
import type { Strip } from './strip';
import { ticksOf, withoutOverlap } from './timeScale';

/** Moments along the strip, and how long what is left out takes. */
export function ClockLane({ strip, begins }: { strip: Strip; begins: string | null }) {
  const { scale, widthPx, locale, moment } = strip;
  const offsetMin = begins === null ? 0 : Number(begins.slice(11, 13)) * 60 + Number(begins.slice(14, 16));
  const ticks = ticksOf(scale, offsetMin).map((seconds) => ({
    at: scale.at(seconds),
    words: moment(seconds),
  }));
  const breaks = scale.stretches
    .filter(({ isBreak }) => isBreak)
    .map(({ from, to, fromS, toS }) => ({
      at: (from + to) / 2,
      words: `… ${lengthWords(toS - fromS, locale)} …`,
    }));
  return (
    <Lane label={begins === null ? 'h:min' : 'Clock'} high="h-4">
      {withoutOverlap(widthPx, breaks, ticks).map(({ at, words }) => (
        <span
          key={at}
          className="quiet absolute -translate-x-1/2 text-[11px] leading-4 whitespace-nowrap tabular-nums"
          style={{ left: `${at * 100}%` }}
        >
          {words}
        </span>
      ))}
    </Lane>
  );
}
