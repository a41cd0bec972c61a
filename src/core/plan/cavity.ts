import {
  highestOfParallel,
  type Lean,
  levelSurface,
  middleForVolumeMm,
  type Surface,
  spillsAboveMm,
  surfaceOf,
  volumeUnderMl,
} from '../molds/lean';
import type { Mold } from '../molds/mold';
import {
  depthMm,
  heightForDiscMm,
  heightForVolumeMm,
  isKnown,
  shapeCapacityMl,
  volumeBelowMl,
} from '../molds/shape';

/**
 * One cavity by its measured capacity; a known shape is brought to it, since the two differ a little. Heights are over
 * the middle of the floor, and null where the shape is not known.
 */
export interface Cavity {
  capacityMl: number;
  depthMm: number | null;
  /** Height of the surface that a pour of this lean has, when everything together comes to `volumeMl`. */
  heightOf(volumeMl: number, under: readonly Surface[], lean: Lean | undefined): number | null;
  /** Everything together when a pour's surface stands at a height. */
  volumeTo(heightMm: number, under: readonly Surface[], lean: Lean | undefined): number | null;
  discHeight(diameterMm: number): number | null;
  /** The highest a surface may stand before it runs over the low edge. */
  spillsAboveMm(lean: Lean | undefined): number | null;
}

export function cavityOf({ shape, capacityMl }: Mold): Cavity {
  if (!isKnown(shape)) {
    const unknown = () => null;
    return {
      capacityMl,
      depthMm: null,
      heightOf: unknown,
      volumeTo: unknown,
      discHeight: unknown,
      spillsAboveMm: unknown,
    };
  }
  const wholeMl = shapeCapacityMl(shape);
  const toShape = wholeMl / capacityMl;
  const depth = depthMm(shape);
  const isLevel = (under: readonly Surface[], lean: Lean | undefined) =>
    lean === undefined && under.every(({ rise }) => rise === 0);
  return {
    capacityMl,
    depthMm: depth,
    heightOf(volumeMl, under, lean) {
      const inShapeMl = Math.min(Math.max(0, volumeMl * toShape), wholeMl);
      return isLevel(under, lean)
        ? heightForVolumeMm(shape, inShapeMl)
        : middleForVolumeMm(shape, under, lean, inShapeMl);
    },
    volumeTo(heightMm, under, lean) {
      const ml = isLevel(under, lean)
        ? volumeBelowMl(shape, Math.min(Math.max(0, heightMm), depth))
        : volumeUnderMl(shape, [...under, lean ? surfaceOf(heightMm, lean) : levelSurface(heightMm)]);
      return ml / toShape;
    },
    discHeight: (diameterMm) => heightForDiscMm(shape, diameterMm),
    spillsAboveMm: (lean) => spillsAboveMm(shape, lean),
  };
}

/** More figures than a plan asks for; beyond them the earlier ones are forgotten. */
const MOST_FIGURES = 20_000;

const remembered = new WeakMap<Mold, Cavity>();

/**
 * The same cavity, which works out each figure once: the searches for the size of a part and for what is set in ask again and
 * again for pours that do not depend on it, and so does another sheet of the same mold.
 */
export function rememberingCavityOf(mold: Mold): Cavity {
  const known = remembered.get(mold);
  if (known) return known;
  const cavity = cavityOf(mold);
  const made = { ...cavity, heightOf: once(cavity.heightOf), volumeTo: once(cavity.volumeTo) };
  remembered.set(mold, made);
  return made;
}

function once(work: Cavity['heightOf']): Cavity['heightOf'] {
  const known = new Map<string, number | null>();
  return (figure, under, lean) => {
    const key = keyOf(figure, under, lean);
    let answer = known.get(key);
    if (answer === undefined) {
      if (known.size >= MOST_FIGURES) known.clear();
      answer = work(figure, under, lean);
      known.set(key, answer);
    }
    return answer;
  };
}

function keyOf(figure: number, under: readonly Surface[], lean: Lean | undefined): string {
  const surfaces = highestOfParallel(under)
    .map(({ atMiddleMm, rise, along }) => `${atMiddleMm} ${rise} ${along}`)
    .join();
  return `${figure}|${surfaces}|${lean ? `${lean.deg} ${lean.along}` : ''}`;
}
