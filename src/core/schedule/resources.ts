import { type Busy, busy, busyFrom } from './busy';

/** What the work of runs is given out to. Makers and ovens are counted; jugs and molds are known by their id. */
export interface Resources {
  hands: Busy;
  oven: Busy;
  /** The copies of a mold. */
  mold(id: string, copies: number): Busy;
  /** When a jug may be used again, s. */
  jugFreeS(id: string): number;
  keepJug(id: string, untilS: number): void;
}

export interface ResourceCounts {
  makers: number;
  ovens: number;
}

/** @throws RangeError when there is not one of each at the least */
export function resourcesOf({ makers = 1, ovens = 1 }: Partial<ResourceCounts> = {}): Resources {
  if (!(makers >= 1 && ovens >= 1)) throw new RangeError('no maker, or no oven');
  const molds = new Map<string, Busy>();
  const copiesOf = new Map<string, number>();
  const jugs = new Map<string, number>();
  return {
    hands: busy(() => makers),
    oven: busy(() => ovens),
    mold(id, copies) {
      // A run that was planned before another copy was bought knows of fewer.
      copiesOf.set(id, Math.max(copies, copiesOf.get(id) ?? 1));
      const known = molds.get(id) ?? busy(() => copiesOf.get(id) ?? 1);
      molds.set(id, known);
      return known;
    },
    jugFreeS: (id) => jugs.get(id) ?? Number.NEGATIVE_INFINITY,
    keepJug: (id, untilS) => jugs.set(id, untilS),
  };
}

/** The same resources for a run whose clock begins at `originS`, and which takes nothing before that. */
export function resourcesFrom(all: Resources, originS: number): Resources {
  return {
    hands: busyFrom(all.hands, originS),
    oven: busyFrom(all.oven, originS),
    mold: (id, copies) => busyFrom(all.mold(id, copies), originS),
    jugFreeS: (id) => all.jugFreeS(id) - originS,
    keepJug: (id, untilS) => all.keepJug(id, untilS + originS),
  };
}
