import { MM3_PER_ML, outlined, type Solid } from './solid';

export interface BoxShape {
  kind: 'box';
  /** At the brim. */
  lengthMm: number;
  widthMm: number;
  depthMm: number;
  /** How far the walls lean out, degrees from upright. */
  draftDeg: number;
  /** Radius of the four upright edges. */
  cornerMm: number;
}

/**
 * A box whose walls may lean out and whose upright edges may be round.
 *
 * Area at a height: l·w − (4 − π)·r². With walls that lean by the tangent t, l and w grow by 2t a millimetre, so the
 * volume is the integral of that product, a polynomial of the third degree (elementary).
 */
export function box({ lengthMm, widthMm, depthMm, draftDeg, cornerMm }: BoxShape): Solid {
  const tangent = Math.tan((draftDeg * Math.PI) / 180);
  const floor = { length: lengthMm - 2 * depthMm * tangent, width: widthMm - 2 * depthMm * tangent };
  const cutOffMm2 = (4 - Math.PI) * cornerMm ** 2;
  const length = (heightMm: number) => floor.length + 2 * heightMm * tangent;
  const width = (heightMm: number) => floor.width + 2 * heightMm * tangent;
  return outlined({
    depthMm,
    volumeBelowMl: (h) =>
      (floor.length * floor.width * h +
        (floor.length + floor.width) * tangent * h ** 2 +
        (4 / 3) * tangent ** 2 * h ** 3 -
        cutOffMm2 * h) /
      MM3_PER_ML,
    areaAtMm2: (h) => length(h) * width(h) - cutOffMm2,
    outlineAt: (h) => ({ kind: 'rectangle', lengthMm: length(h), widthMm: width(h), cornerMm }),
  });
}

/** Why the walls or edges can't be so; null when they can. */
export function boxFault({
  lengthMm,
  widthMm,
  depthMm,
  draftDeg,
  cornerMm,
}: BoxShape): 'walls-meet' | 'corners-too-round' | null {
  const narrow = Math.min(lengthMm, widthMm) - 2 * depthMm * Math.tan((draftDeg * Math.PI) / 180);
  if (!(narrow > 0)) return 'walls-meet';
  return cornerMm * 2 <= narrow ? null : 'corners-too-round';
}
