import type { Light } from './rgb';

/** Lightness and two opponent colours, in which equal distances look about equal. */
export type Oklab = readonly [lightness: number, greenRed: number, blueYellow: number];

/** Linear light to OKLab (B. Ottosson, A perceptual color space for image processing, 2020). */
export function oklabOf([r, g, b]: Light): Oklab {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

/** How far apart two colours look: 0.02 is just seen, 1 is black to white. */
export function visibleDistance(one: Light, other: Light): number {
  const [a, b] = [oklabOf(one), oklabOf(other)];
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
}
