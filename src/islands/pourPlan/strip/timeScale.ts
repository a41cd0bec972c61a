/** A stretch of the strip: time on the one side, place on the other. */
export interface Stretch {
  fromS: number;
  toS: number;
  /** 0 to 1 along the strip. */
  from: number;
  to: number;
  /** Drawn shorter than it is, with a break. */
  isBreak: boolean;
}

export interface TimeScale {
  stretches: readonly Stretch[];
  /** What the strip would be long if a minute were one. */
  lengthMin: number;
  at(seconds: number): number;
  secondsAt(place: number): number;
}

const BREAK_S = 25 * 60;
const SHOWN_S = 9 * 60;

/** A scale on which long stretches with nothing to do are broken off, so that the moments that need hands stay legible. */
export function timeScale(busy: readonly { fromS: number; toS: number }[], endS: number): TimeScale {
  const sorted = [...busy].sort((a, b) => a.fromS - b.fromS);
  const cuts: { fromS: number; toS: number }[] = [];
  let untilS = 0;
  for (const { fromS, toS } of [...sorted, { fromS: endS, toS: endS }]) {
    if (fromS - untilS > BREAK_S) cuts.push({ fromS: untilS, toS: fromS });
    untilS = Math.max(untilS, toS);
  }
  const raw: { fromS: number; toS: number; shownS: number }[] = [];
  let atS = 0;
  for (const cut of cuts) {
    if (cut.fromS > atS) raw.push({ fromS: atS, toS: cut.fromS, shownS: cut.fromS - atS });
    raw.push({ ...cut, shownS: SHOWN_S });
    atS = cut.toS;
  }
  if (endS > atS || raw.length === 0)
    raw.push({ fromS: atS, toS: Math.max(endS, atS + 1), shownS: Math.max(endS - atS, 1) });
  const wholeS = raw.reduce((sum, { shownS }) => sum + shownS, 0);
  let place = 0;
  const stretches = raw.map(({ fromS, toS, shownS }): Stretch => {
    const from = place;
    place += shownS / wholeS;
    return { fromS, toS, from, to: place, isBreak: shownS < toS - fromS };
  });
  const last = stretches.at(-1);
  return {
    stretches,
    lengthMin: wholeS / 60,
    at(seconds) {
      const found = stretches.find(({ toS }) => seconds <= toS) ?? last;
      if (!found) return 0;
      const share = (seconds - found.fromS) / (found.toS - found.fromS);
      return Math.min(1, Math.max(0, found.from + share * (found.to - found.from)));
    },
    secondsAt(at) {
      const found = stretches.find(({ to }) => at <= to) ?? last;
      if (!found) return 0;
      return found.fromS + ((at - found.from) / (found.to - found.from)) * (found.toS - found.fromS);
    },
  };
}

/** Words over the strip, about a place of it. */
export interface AxisLabel {
  /** 0 to 1 along the strip. */
  at: number;
  words: string;
}

/** A letter over the strip, and what parts two words at least, px. */
const [LETTER_PX, APART_PX] = [5.8, 8];

/** The words over a strip of so many pixels, those of the first list before those of the others: what would run into another is left out. */
export function withoutOverlap(widthPx: number, ...lists: readonly (readonly AxisLabel[])[]): AxisLabel[] {
  const kept: { fromPx: number; toPx: number; label: AxisLabel }[] = [];
  for (const label of lists.flat()) {
    const halfPx = (label.words.length * LETTER_PX) / 2;
    const [fromPx, toPx] = [label.at * widthPx - halfPx, label.at * widthPx + halfPx];
    const isFree = kept.every((each) => each.toPx + APART_PX <= fromPx || each.fromPx >= toPx + APART_PX);
    if (isFree && toPx <= widthPx) kept.push({ fromPx, toPx, label });
  }
  return kept.map(({ label }) => label);
}

const STEPS_MIN = [5, 10, 15, 30, 60, 120, 240, 480, 1440] as const;
const MOST_TICKS = 16;

/** Round moments to mark, none within a break. `offsetMin` is the minute of the day of the beginning. */
export function ticksOf({ stretches, lengthMin }: TimeScale, offsetMin: number): number[] {
  const stepMin = STEPS_MIN.find((step) => lengthMin / step <= MOST_TICKS) ?? 1440;
  return stretches.flatMap(({ fromS, toS, isBreak }) => {
    if (isBreak) return [];
    const ticks: number[] = [];
    const first = Math.ceil((fromS / 60 + offsetMin) / stepMin) * stepMin - offsetMin;
    for (let minute = first; minute * 60 <= toS; minute += stepMin) ticks.push(minute * 60);
    return ticks;
  });
}
