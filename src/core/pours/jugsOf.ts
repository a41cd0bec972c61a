import { jugGroups } from './sharedJug';

/** What one jug takes over all fillings, and what is melted for it, g. */
export interface JugOfPours {
  /** Places of the pours that it serves, in order. */
  group: number[];
  /** Base that its pours take. */
  baseG: number;
  /** Base and additions that its pours take, with what will stay on its walls. */
  jugG: number;
  /** The same, mL. */
  jugMl: number;
  /** Base that is melted: what its pours take, or the least. */
  meltG: number;
}

/** A pour of a sheet, as far as its jug needs it. */
interface PourOfSheet {
  base: { id: string };
  way: { sameJug?: true | undefined };
  baseG: number;
  jugG: number;
  jugVolumeMl: number;
  meltG: number;
}

/** The jugs of a sheet, in the order in which they are poured from. */
export function jugsOf(pours: readonly PourOfSheet[]): JugOfPours[] {
  return jugGroups(pours).map((group) => {
    const own = group.flatMap((index) => pours[index] ?? []);
    return {
      group,
      baseG: own.reduce((sum, { baseG }) => sum + baseG, 0),
      jugG: own.reduce((sum, { jugG }) => sum + jugG, 0),
      jugMl: own.reduce((sum, { jugVolumeMl }) => sum + jugVolumeMl, 0),
      meltG: own[0]?.meltG ?? 0,
    };
  });
}

/** What is melted beyond what the pours take, of that; nothing for a jug without base. */
export function meltedBeyond({ baseG, meltG }: Pick<JugOfPours, 'baseG' | 'meltG'>): number {
  return baseG > 0 ? meltG / baseG - 1 : 0;
}
