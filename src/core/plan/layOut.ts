import type { Surface } from '../molds/lean';
import { surfaceOf } from '../molds/lean';
import type { Mold } from '../molds/mold';
import { whereGrowing } from '../molds/shape';
import type { Cavity } from './cavity';
import type { PlacedEmbed } from './displaced';
import type { Filling } from './filling';
import type { Plan, Pour } from './plan';
import type { PourSize } from './pourSize';
import { isShared } from './pourSize';
import type { RecipePour } from './recipe';
import type { SizeFault } from './sizeFault';
import { pourSums } from './solvePour';

/** What a pour must be known by to find its room. */
export type SizedPour = Pick<RecipePour, 'baseDensityGPerMl' | 'lines' | 'laid'> & {
  embeds: readonly PlacedEmbed[];
};

/** A pour with those that go in beside it, at the same time. */
interface Slot {
  lead: number;
  pours: { pourIndex: number; share: number }[];
  size: PourSize;
  lean: NonNullable<Pour['way']>['lean'];
}

/** Volumes that differ by less are the same. */
export const CLOSE_ML = 1e-7;

const BRIMFUL = 1e-12;

/** Pours that go in beside one another lie in one slot, whose size is that of the first. */
export function slotsOf(pours: readonly Pour[]): Slot[] {
  const slots: Slot[] = [];
  pours.forEach(({ size, way }, pourIndex) => {
    const last = slots.at(-1);
    const share = way?.besideShare;
    if (share !== undefined && last) last.pours.push({ pourIndex, share });
    else
      slots.push({
        lead: pourIndex,
        pours: [{ pourIndex, share: 1 }],
        size,
        lean: way?.lean,
      });
  });
  for (const { pours: all } of slots) {
    const beside = all.slice(1).reduce((sum, { share }) => sum + share, 0);
    const [lead] = all;
    // Shares of more than all of it are brought to it; the first keeps a little.
    const scale = beside > 0.95 ? 0.95 / beside : 1;
    for (const each of all.slice(1)) each.share *= scale;
    if (lead) lead.share = 1 - beside * scale;
  }
  return slots;
}

/**
 * Lays the pours down into one cavity, slot by slot.
 *
 * @param displaced what is set into each pour takes so much of its room, mL
 */
export function layOut(
  plan: Plan,
  mold: Mold,
  recipe: readonly SizedPour[],
  { fills, fillFraction }: Filling,
  slots: readonly Slot[],
  displaced: readonly number[],
  cavity: Cavity,
) {
  const fillMl = mold.capacityMl * fillFraction;
  const sizes = slots.map(({ size }) => size);
  const massMl = slots.map(({ size, lead, pours }) =>
    size.by === 'mass' || size.by === 'base'
      ? volumeOfWeight(size, plan, recipe[lead]) / fills +
        pours.reduce((sum, { pourIndex }) => sum + (displaced[pourIndex] ?? 0), 0)
      : 0,
  );
  const lay = (partMl: number) => layDown(slots, massMl, partMl, fillMl, cavity);
  const partMl = partOf(
    sizes,
    massMl,
    { fillMl, capacityMl: mold.capacityMl },
    (part) => lay(part).at(-1)?.endMl ?? 0,
  );
  const laid = lay(partMl);
  const surfaces = laid.map(({ surface }) => surface());
  const lying = slots.flatMap(({ pours, lead }, slot) => {
    const { startMl = 0, endMl = 0 } = laid[slot] ?? {};
    const [from, to] = [startMl, endMl].map((level) => Math.min(level, mold.capacityMl));
    const volumeMl = Math.max(0, (to ?? 0) - (from ?? 0));
    const surfaceMm = surfaces[slot]?.atMiddleMm ?? null;
    const fromMm = heightOver(surfaces.slice(0, slot), cavity);
    const toMm = heightOver(surfaces.slice(0, slot + 1), cavity);
    return pours.map(({ share }) => ({
      slot,
      lead,
      volumeMl: volumeMl * share,
      fromMm,
      toMm,
      surfaceMm,
    }));
  });
  const spilling = slots.flatMap(({ lean, lead }, slot): SizeFault[] => {
    const [highest, stands] = [cavity.spillsAboveMm(lean), surfaces[slot]?.atMiddleMm];
    if (!lean || highest === null || stands === undefined || stands <= highest + 1e-6) return [];
    const spilledMl = (laid[slot]?.endMl ?? 0) - (cavity.volumeTo(highest, [], lean) ?? 0);
    return [{ code: 'spills', pourIndex: lead, offMl: Math.max(0, spilledMl), offMm: stands - highest }];
  });
  return { lying, faults: [...spilling, ...faultsOf(slots, laid, fillMl, cavity)] };
}

/** Height of what was poured over the middle of the floor; null where the shape is not known. */
function heightOver(surfaces: readonly (Surface | null)[], { depthMm }: Cavity): number | null {
  if (depthMm === null) return null;
  const highest = Math.max(0, ...surfaces.map((surface) => surface?.atMiddleMm ?? 0));
  return Math.min(depthMm, highest);
}

interface Laid {
  startMl: number;
  endMl: number;
  fault: SizeFault['code'] | null;
  overMm: number;
  /** Worked out when it is asked for: most sizes need no surface. */
  surface(): Surface | null;
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
  { fillMl, capacityMl }: { fillMl: number; capacityMl: number },
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
  // A brimful cavity holds no more, however high its last pour would reach: rounding must not hide that it is full.
  const slackMl = fillMl >= capacityMl * (1 - BRIMFUL) ? CLOSE_ML / 2 : 0;
  return whereGrowing(
    fillMl / Math.min(...sizes.filter(isShared).map(partsOf)),
    (partMl) => endAt(partMl) - fillMl + slackMl,
    1e-10,
  );
}

function layDown(
  slots: readonly Slot[],
  massMl: number[],
  partMl: number,
  fillMl: number,
  cavity: Cavity,
): Laid[] {
  let levelMl = 0;
  const laid: Laid[] = [];
  slots.forEach((slot, index) => {
    const startMl = levelMl;
    const below = laid.slice();
    const under = () =>
      below.flatMap(({ surface }) => {
        const made = surface();
        return made ? [made] : [];
      });
    const {
      endMl,
      fault = null,
      overMm = 0,
    } = endOf(slot, startMl, massMl[index] ?? 0, partMl, fillMl, under, cavity);
    levelMl = endMl;
    let known: Surface | null | undefined;
    laid.push({
      startMl,
      endMl,
      fault,
      overMm,
      surface() {
        if (known === undefined) {
          const heightMm = cavity.heightOf(Math.min(endMl, cavity.capacityMl), under(), slot.lean);
          known = heightMm === null ? null : surfaceOf(heightMm, slot.lean);
        }
        return known;
      },
    });
  });
  return laid;
}

function endOf(
  { size, lean }: Slot,
  startMl: number,
  massMl: number,
  partMl: number,
  fillMl: number,
  under: () => Surface[],
  cavity: Cavity,
): { endMl: number; fault?: SizeFault['code']; overMm?: number } {
  const upTo = (heightMm: number): ReturnType<typeof endOf> => {
    const endMl = cavity.volumeTo(heightMm, lean ? under() : under().filter(({ rise }) => rise !== 0), lean);
    if (endMl === null || cavity.depthMm === null) return { endMl: startMl, fault: 'needs-shape' };
    if (endMl <= startMl + CLOSE_ML) return { endMl: startMl, fault: 'already-higher' };
    const overMm = heightMm - cavity.depthMm;
    return overMm > 1e-6 && !lean ? { endMl, fault: 'over-brim', overMm } : { endMl };
  };
  switch (size.by) {
    case 'parts':
    case 'rest':
      return { endMl: startMl + partMl * partsOf(size) };
    case 'mass':
    case 'base':
      return { endMl: startMl + massMl };
    case 'fill':
      return { endMl: startMl + size.fractionOfFill * fillMl };
    case 'thickness':
      return upTo((heightOver(under(), cavity) ?? 0) + size.thicknessMm);
    case 'height':
      return upTo(size.heightMm);
    case 'disc': {
      const heightMm = cavity.discHeight(size.diameterMm);
      if (heightMm === null)
        return { endMl: startMl, fault: cavity.depthMm === null ? 'needs-shape' : 'no-such-disc' };
      return upTo(heightMm);
    }
  }
}

function faultsOf(slots: readonly Slot[], laid: Laid[], fillMl: number, cavity: Cavity): SizeFault[] {
  const own = laid.flatMap(({ fault, overMm }, slot): SizeFault[] =>
    fault
      ? [
          {
            code: fault,
            pourIndex: slots[slot]?.lead ?? slot,
            offMl: 0,
            offMm: fault === 'over-brim' ? overMm : null,
          },
        ]
      : [],
  );
  const endMl = laid.at(-1)?.endMl ?? 0;
  const heightOff = (volumeMl: number, otherMl: number) => {
    const [one, other] = [volumeMl, otherMl].map((each) => cavity.heightOf(each, [], undefined));
    return one == null || other == null ? null : one - other;
  };
  const empty = laid.flatMap(({ startMl, endMl: end }, slot): SizeFault[] => {
    const { size, lead } = slots[slot] ?? {};
    return size && isShared(size) && end - startMl <= CLOSE_ML
      ? [
          {
            code: 'nothing-left',
            pourIndex: lead ?? slot,
            offMl: endMl - fillMl,
            offMm: heightOff(endMl, fillMl),
          },
        ]
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

/** Volume in the molds, mL, of a pour of this weight in the molds, or of so much base in its jug. */
function volumeOfWeight(
  size: Extract<PourSize, { by: 'mass' | 'base' }>,
  plan: Plan,
  recipe: SizedPour | undefined,
): number {
  if (!recipe) return 0;
  const sums = pourSums(recipe);
  const intoMold = 1 - plan.jugLossFraction;
  const baseG = size.by === 'base' ? size.baseG : (size.massG / intoMold - sums.fixedG) / sums.massPerBaseG;
  return Math.max(0, (baseG * sums.volumePerBaseG + sums.fixedMl) * intoMold);
}
