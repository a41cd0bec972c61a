import type { Box, FontMetrics } from './typeset';

/** How long something is good once it is opened, as a jar with its lid off and the months on it. */
export interface OpenJar {
  /** Lines to draw, each from point to point. */
  strokes: readonly (readonly Point[])[];
  strokeMm: number;
}

type Point = readonly [xMm: number, yMm: number];

export const JAR_MM = { width: 9, height: 10 };
const STROKE_MM = 0.35;
/** Of its months, as high as is set in it, and as wide. */
const [MONTHS_HIGH_MM, MONTHS_WIDE_MM] = [2, 5.2];
const MONTHS_FOOT = 0.8;

/** Within a box of 1 by 1, from its upper left corner: the lid stands open over the rim, and the body below. */
const SHAPE: readonly (readonly Point[])[] = [
  [
    [0.96, 0.24],
    [0.2, 0.02],
    [0.16, 0.12],
    [0.92, 0.34],
    [0.96, 0.24],
  ],
  [
    [0.08, 0.38],
    [0.92, 0.38],
    [0.92, 0.48],
    [0.08, 0.48],
    [0.08, 0.38],
  ],
  [
    [0.13, 0.48],
    [0.13, 0.92],
    [0.21, 0.98],
    [0.79, 0.98],
    [0.87, 0.92],
    [0.87, 0.48],
  ],
];

/**
 * The symbol of Regulation (EC) 1223/2009, annex VII, 2, from memory: an open jar, with the months and their M in it or
 * beside it. The drawing is our own.
 */
export function openJar(box: Box): OpenJar {
  return {
    strokes: SHAPE.map((line) =>
      line.map(([x, y]): Point => [box.xMm + x * box.widthMm, box.yMm + y * box.heightMm]),
    ),
    strokeMm: STROKE_MM,
  };
}

/** Where its months stand. */
export function monthsIn(box: Box, text: string, { capital, width }: FontMetrics) {
  const sizeMm = Math.min(MONTHS_HIGH_MM / capital, MONTHS_WIDE_MM / width(text, true));
  return {
    sizeMm,
    xMm: box.xMm + (box.widthMm - width(text, true) * sizeMm) / 2,
    baselineMm: box.yMm + MONTHS_FOOT * box.heightMm + (capital * sizeMm) / 4,
  };
}
