import { type Axis, areaWithin, type Outline, spanOf, WHOLE_PLANE, type Window } from './outline';
import { MM3_PER_ML, type Solid } from './solid';

/** One level of a cavity that came from a model: what lies below it, and its outline there. */
export interface Contour {
  heightMm: number;
  volumeMl: number;
  /** Of the level surface just below and just above; they differ at a step. */
  areaBelowMm2: number;
  areaAboveMm2: number;
  /** Just above; of the brim just below. */
  rings: number[][];
  /** Just below, where a step makes it another outline. */
  ringsBelow?: number[][] | undefined;
}

/**
 * A cavity as a stack of contours. Between two levels the volume is the cubic with the volumes and areas at both (Hermite),
 * which is exact where no corner of the model lies between them; areas are held to what keeps it from falling (Fritsch and
 * Carlson, 1980). Outlines between are blended, and scaled so that their area is the slope of the volume.
 *
 * @param levels from the floor to the brim, rising in height and volume
 */
export function contours({ levels }: { levels: readonly Contour[] }): Solid {
  const heights = levels.map(({ heightMm }) => heightMm);
  const level = (index: number): Contour => {
    const found = levels[index];
    if (!found) throw new RangeError('no such level');
    return found;
  };

  function piece(heightMm: number) {
    let [low, high] = [0, levels.length - 1];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((heights[middle] ?? 0) <= heightMm) low = middle;
      else high = middle;
    }
    const [from, to] = [level(low), level(high)];
    const spanMm = to.heightMm - from.heightMm;
    const secant = (to.volumeMl - from.volumeMl) / spanMm;
    const held = (areaMm2: number) => Math.min(areaMm2 / MM3_PER_ML, 3 * secant);
    return {
      from,
      to,
      spanMm,
      t: Math.min(1, Math.max(0, (heightMm - from.heightMm) / spanMm)),
      fromSlope: held(from.areaAboveMm2),
      toSlope: held(to.areaBelowMm2),
    };
  }

  const areaAtMm2 = (heightMm: number) => {
    const { from, to, spanMm, t, fromSlope, toSlope } = piece(heightMm);
    const rise = (6 * t * (1 - t) * (to.volumeMl - from.volumeMl)) / spanMm;
    const ends = (1 - t) * (1 - 3 * t) * fromSlope + t * (3 * t - 2) * toSlope;
    return Math.max(0, (rise + ends) * MM3_PER_ML);
  };
  const belowOf = ({ rings, ringsBelow }: Contour): Outline => ({
    kind: 'rings',
    rings: ringsBelow ?? rings,
  });
  const aboveOf = ({ rings }: Contour): Outline => ({ kind: 'rings', rings });
  const blended = (heightMm: number, window: Window) => {
    const { from, to, t } = piece(heightMm);
    return (1 - t) * areaWithin(aboveOf(from), window) + t * areaWithin(belowOf(to), window);
  };

  return {
    depthMm: heights.at(-1) ?? 0,
    volumeBelowMl(heightMm) {
      const { from, to, spanMm, t, fromSlope, toSlope } = piece(heightMm);
      return (
        (1 + 2 * t) * (1 - t) ** 2 * from.volumeMl +
        t * (1 - t) ** 2 * spanMm * fromSlope +
        t ** 2 * (3 - 2 * t) * to.volumeMl +
        t ** 2 * (t - 1) * spanMm * toSlope
      );
    },
    areaAtMm2,
    outlineAt(heightMm) {
      const { from, to, t } = piece(heightMm);
      return t < 0.5 ? aboveOf(from) : belowOf(to);
    },
    spanAtMm(heightMm, axis: Axis) {
      const { from, to, t } = piece(heightMm);
      const [one, other] = [spanOf(aboveOf(from), axis), spanOf(belowOf(to), axis)];
      return [one[0] + t * (other[0] - one[0]), one[1] + t * (other[1] - one[1])];
    },
    areaWithinMm2(heightMm, window) {
      const whole = blended(heightMm, WHOLE_PLANE);
      return whole > 0 ? (blended(heightMm, window) * areaAtMm2(heightMm)) / whole : 0;
    },
  };
}
