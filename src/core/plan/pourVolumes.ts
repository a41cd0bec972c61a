import type { Mold } from '../molds/mold';
import {
  depthMm,
  heightForDiscMm,
  heightForVolumeMm,
  isKnown,
  type KnownShape,
  shapeCapacityMl,
  volumeBelowMl,
  whereGrowing,
} from '../molds/shape';
import { z } from '../zod';
import type { Plan } from './plan';
import { isShared, type PourSize } from './pourSize';
import type { RecipePour } from './recipe';
import { pourSums } from './solvePour';

export const SIZE_FAULTS = [
  'over-brim',
  'over-fill',
  'below-fill',
  'nothing-left',
  'needs-shape',
  'already-higher',
  'no-such-disc',
] as const;

/** What is wrong with the sizes of a plan's pours; one of the whole bar has no pour. */
export const sizeFaultSchema = z.strictObject({
  code: z.enum(SIZE_FAULTS),
  pourIndex: z.int().nonnegative().nullable(),
  /** By how much: mL in one cavity, and mm where the shape is known. */
  offMl: z.number(),
  offMm: z.number().nullable(),
});

export type SizeFault = z.infer<typeof sizeFaultSchema>;

/** Where a pour lies in one cavity. Heights are null where the mold's shape is not known. */
export interface PourRoom {
  volumeMl: number;
  fromMm: number | null;
  toMm: number | null;
}

/** One cavity by its measured capacity; a known shape is brought to it, since the two differ a little. */
interface Cavity {
  capacityMl: number;
  depthMm: number | null;
  heightOf(volumeMl: number): number | null;
  volumeTo(heightMm: number): number | null;
  discHeight(diameterMm: number): number | null;
}

function cavityOf({ shape, capacityMl }: Mold): Cavity {
  if (!isKnown(shape))
    return { capacityMl, depthMm: null, heightOf: () => null, volumeTo: () => null, discHeight: () => null };
  const known: KnownShape = shape;
  const wholeMl = shapeCapacityMl(known);
  const toShape = wholeMl / capacityMl;
  const depth = depthMm(known);
  return {
    capacityMl,
    depthMm: depth,
    heightOf: (volumeMl) => heightForVolumeMm(known, Math.min(Math.max(0, volumeMl * toShape), wholeMl)),
    volumeTo: (heightMm) => volumeBelowMl(known, Math.min(Math.max(0, heightMm), depth)) / toShape,
    discHeight: (diameterMm) => heightForDiscMm(known, diameterMm),
  };
}

const CLOSE_ML = 1e-7;

/**
 * The volume of every pour in one cavity. Pours are laid down in their order; those that are said in parts, and the
 * rest, share what the others leave of the fill.
 *
 * A level only rises with the size of a part, so one search finds it; where no size depends on the level below, it is
 * a division.
 */
export function pourVolumes(
  plan: Plan,
  mold: Mold,
  recipe: readonly Pick<RecipePour, 'baseDensityGPerMl' | 'lines'>[],
): { rooms: PourRoom[]; faults: SizeFault[] } {
  const cavity = cavityOf(mold);
  const fillMl = mold.capacityMl * plan.fillFraction;
  const sizes = plan.pours.map(({ size }) => size);
  const massMl = sizes.map((size, index) =>
    size.by === 'mass' ? volumeOfMass(size.massG, plan, recipe[index]) / plan.pieces : 0,
  );
  const lay = (partMl: number) => layDown(sizes, massMl, partMl, fillMl, cavity);
  const partMl = partOf(sizes, massMl, fillMl, (part) => lay(part).at(-1)?.endMl ?? 0);
  const laid = lay(partMl);
  const rooms = laid.map(({ startMl, endMl }): PourRoom => {
    const [from, to] = [startMl, endMl].map((level) => Math.min(level, mold.capacityMl));
    return {
      volumeMl: Math.max(0, (to ?? 0) - (from ?? 0)),
      fromMm: cavity.heightOf(from ?? 0),
      toMm: cavity.heightOf(to ?? 0),
    };
  });
  return { rooms, faults: faultsOf(sizes, laid, fillMl, cavity) };
}

interface Laid {
  startMl: number;
  endMl: number;
  fault: SizeFault['code'] | null;
  overMm: number;
}

function partsOf(size: PourSize): number {
  if (size.by === 'parts') return size.parts;
  // Beside parts, the rest is one part; alone, it is all there is.
  return size.by === 'rest' ? 1 : 0;
}

/** Volume of one part in one cavity. */
function partOf(
  sizes: PourSize[],
  massMl: number[],
  fillMl: number,
  endAt: (partMl: number) => number,
): number {
  const parts = sizes.reduce((sum, size) => sum + partsOf(size), 0);
  if (parts === 0) return 0;
  const onLevel = sizes.some(({ by }) => by === 'thickness' || by === 'height' || by === 'disc');
  if (!onLevel) {
    const given = sizes.reduce(
      (sum, size, index) => sum + (size.by === 'fill' ? size.fractionOfFill * fillMl : (massMl[index] ?? 0)),
      0,
    );
    return Math.max(0, (fillMl - given) / parts);
  }
  if (endAt(0) >= fillMl) return 0;
  return whereGrowing(
    fillMl / Math.min(...sizes.filter(isShared).map(partsOf)),
    (partMl) => endAt(partMl) - fillMl,
  );
}

function layDown(
  sizes: PourSize[],
  massMl: number[],
  partMl: number,
  fillMl: number,
  cavity: Cavity,
): Laid[] {
  let levelMl = 0;
  return sizes.map((size, index): Laid => {
    const startMl = levelMl;
    const {
      endMl,
      fault = null,
      overMm = 0,
    } = endOf(size, startMl, massMl[index] ?? 0, partMl, fillMl, cavity);
    levelMl = endMl;
    return { startMl, endMl, fault, overMm };
  });
}

function endOf(
  size: PourSize,
  startMl: number,
  massMl: number,
  partMl: number,
  fillMl: number,
  cavity: Cavity,
): { endMl: number; fault?: SizeFault['code']; overMm?: number } {
  switch (size.by) {
    case 'parts':
    case 'rest':
      return { endMl: startMl + partMl * partsOf(size) };
    case 'mass':
      return { endMl: startMl + massMl };
    case 'fill':
      return { endMl: startMl + size.fractionOfFill * fillMl };
    case 'thickness':
      return upTo((cavity.heightOf(startMl) ?? 0) + size.thicknessMm, startMl, cavity);
    case 'height':
      return upTo(size.heightMm, startMl, cavity);
    case 'disc': {
      const heightMm = cavity.discHeight(size.diameterMm);
      if (heightMm === null)
        return { endMl: startMl, fault: cavity.depthMm === null ? 'needs-shape' : 'no-such-disc' };
      return upTo(heightMm, startMl, cavity);
    }
  }
}

function upTo(heightMm: number, startMl: number, cavity: Cavity): ReturnType<typeof endOf> {
  const endMl = cavity.volumeTo(heightMm);
  if (endMl === null || cavity.depthMm === null) return { endMl: startMl, fault: 'needs-shape' };
  if (endMl <= startMl + CLOSE_ML) return { endMl: startMl, fault: 'already-higher' };
  const overMm = heightMm - cavity.depthMm;
  return overMm > 1e-6 ? { endMl, fault: 'over-brim', overMm } : { endMl };
}

function faultsOf(sizes: PourSize[], laid: Laid[], fillMl: number, cavity: Cavity): SizeFault[] {
  const own = laid.flatMap(({ fault, overMm }, pourIndex): SizeFault[] =>
    fault ? [{ code: fault, pourIndex, offMl: 0, offMm: fault === 'over-brim' ? overMm : null }] : [],
  );
  const endMl = laid.at(-1)?.endMl ?? 0;
  const heightOff = (volumeMl: number, otherMl: number) => {
    const [one, other] = [cavity.heightOf(volumeMl), cavity.heightOf(otherMl)];
    return one === null || other === null ? null : one - other;
  };
  const empty = laid.flatMap(({ startMl, endMl: end }, pourIndex): SizeFault[] => {
    const size = sizes[pourIndex];
    return size && isShared(size) && end - startMl <= CLOSE_ML
      ? [{ code: 'nothing-left', pourIndex, offMl: endMl - fillMl, offMm: heightOff(endMl, fillMl) }]
      : [];
  });
  const whole = (code: SizeFault['code'], offMl: number, offMm: number | null): SizeFault[] => [
    { code, pourIndex: null, offMl, offMm },
  ];
  if (endMl > cavity.capacityMl + CLOSE_ML && !own.some(({ code }) => code === 'over-brim'))
    return [...own, ...empty, ...whole('over-brim', endMl - cavity.capacityMl, null)];
  if (endMl > fillMl + CLOSE_ML && empty.length === 0)
    return [...own, ...whole('over-fill', endMl - fillMl, heightOff(endMl, fillMl))];
  if (endMl < fillMl - CLOSE_ML && own.length === 0)
    return whole('below-fill', fillMl - endMl, heightOff(fillMl, endMl));
  return [...own, ...empty];
}

/** Volume in the molds, mL, of a pour of this weight in the molds. */
function volumeOfMass(
  massG: number,
  plan: Plan,
  recipe: Pick<RecipePour, 'baseDensityGPerMl' | 'lines'> | undefined,
): number {
  if (!recipe) return 0;
  const sums = pourSums(recipe);
  const intoMold = 1 - plan.jugLossFraction;
  const baseG = (massG / intoMold - sums.fixedG) / sums.massPerBaseG;
  return Math.max(0, (baseG * sums.volumePerBaseG + sums.fixedMl) * intoMold);
}
