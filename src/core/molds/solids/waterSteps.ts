import { MM3_PER_ML, roundSolid, type Solid } from './solid';

/** A known amount of water in the cavity, and the height it stood at. */
export interface WaterStep {
  heightMm: number;
  volumeMl: number;
}

/**
 * Volume against height through measured points, never falling between them.
 *
 * Piecewise cubic Hermite with slopes held within the region of monotonicity: F. N. Fritsch and R. E. Carlson,
 * Monotone Piecewise Cubic Interpolation, SIAM J. Numer. Anal. 17 (1980) 238–246; inner slopes as the weighted harmonic
 * mean of F. N. Fritsch and J. Butland, SIAM J. Sci. Stat. Comput. 5 (1984) 300–304. The cavity is drawn as if it were
 * round, since only its areas are known.
 *
 * @param steps rising in both, the first above the floor; the floor itself is added
 */
export function waterSteps({ steps }: { steps: readonly WaterStep[] }): Solid {
  const h = [0, ...steps.map(({ heightMm }) => heightMm)];
  const v = [0, ...steps.map(({ volumeMl }) => volumeMl)];
  const at = (figures: number[], index: number) => figures[index] ?? 0;
  const width = h.slice(1).map((height, index) => height - at(h, index));
  const secant = v.slice(1).map((volume, index) => (volume - at(v, index)) / at(width, index));
  const slope = h.map((_, index) => slopeAt(index, width, secant));

  function piece(heightMm: number) {
    const index = Math.max(
      0,
      h.findLastIndex((height, place) => heightMm >= height && place < h.length - 1),
    );
    const span = at(width, index);
    const t = (heightMm - at(h, index)) / span;
    return { index, span, t };
  }
  const volumeMl = (heightMm: number) => {
    const { index, span, t } = piece(heightMm);
    return (
      (1 + 2 * t) * (1 - t) ** 2 * at(v, index) +
      t * (1 - t) ** 2 * span * at(slope, index) +
      t ** 2 * (3 - 2 * t) * at(v, index + 1) +
      t ** 2 * (t - 1) * span * at(slope, index + 1)
    );
  };
  const areaMm2 = (heightMm: number) => {
    const { index, span, t } = piece(heightMm);
    const rise = (6 * t * (1 - t) * (at(v, index + 1) - at(v, index))) / span;
    const ends = (1 - t) * (1 - 3 * t) * at(slope, index) + t * (3 * t - 2) * at(slope, index + 1);
    return Math.max(0, (rise + ends) * MM3_PER_ML);
  };
  const solid = roundSolid(
    h.at(-1) ?? 0,
    (heightMm) => Math.sqrt(areaMm2(heightMm) / Math.PI),
    (heightMm) => volumeMl(heightMm) * MM3_PER_ML,
  );
  /** Between two steps the area is a parabola. */
  const turnsMm = secant.flatMap((rise, index) => {
    const [from, to] = [at(slope, index), at(slope, index + 1)];
    const t = (6 * rise - 4 * from - 2 * to) / (12 * rise - 6 * from - 6 * to);
    return [at(h, index), ...(t > 0 && t < 1 ? [at(h, index) + t * at(width, index)] : [])];
  });
  return { ...solid, turnsMm, areaAtMm2: areaMm2 };
}

function slopeAt(index: number, width: number[], secant: number[]): number {
  const before = secant[index - 1];
  const after = secant[index];
  if (before === undefined) return endSlope(width[0] ?? 1, width[1], after ?? 0, secant[1]);
  if (after === undefined)
    return endSlope(width[index - 1] ?? 1, width[index - 2], before, secant[index - 2]);
  const [wider, narrower] = [width[index - 1] ?? 1, width[index] ?? 1];
  const [one, two] = [2 * narrower + wider, narrower + 2 * wider];
  return before * after <= 0 ? 0 : (one + two) / (one / before + two / after);
}

/** One-sided, three points, held to what keeps the curve monotone. */
function endSlope(
  own: number,
  next: number | undefined,
  secant: number,
  nextSecant: number | undefined,
): number {
  if (next === undefined || nextSecant === undefined) return secant;
  const slope = ((2 * own + next) * secant - own * nextSecant) / (own + next);
  return Math.min(Math.max(slope, 0), 3 * secant);
}
