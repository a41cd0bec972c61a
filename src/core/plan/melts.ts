import type { HouseRules } from '../houseRules/houseRules';
import { jugGroups } from './oneJug';
import type { Sheet } from './sheet';

/** What is melted for one jug, which may serve several pours. */
export interface JugOfMelt {
  /** Letters of the pours it serves. */
  letters: string[];
  baseName: string;
  /** Base that the sheet asks for. */
  needG: number;
  /** The same, up to what can be cut. */
  cutG: number;
  /** What the jug holds once everything is in it, with what was cut beyond the need. */
  contentMl: number;
  /** The jug that takes it; null when the workshop has told of none. */
  jugName: string | null;
  /** How often that jug is filled. */
  melts: number;
  /** Base a melt. */
  eachG: number;
  /** What is left over once the molds are full, base and additions: for a spare mold, or the scrap jar. */
  leftOverG: number;
}

/**
 * What to melt, jug by jug: the base of all pours that share one, up to what can be cut, in the smallest jug that holds it
 * under its headspace; in the largest one, several times, where none does. Doses follow the base that is really cut, so
 * what is cut beyond the need comes with its additions.
 */
export function meltsOf(
  { pours }: Pick<Sheet, 'pours'>,
  { jugs, headspaceFraction, cutStepG }: Pick<HouseRules, 'jugs' | 'headspaceFraction' | 'cutStepG'>,
): JugOfMelt[] {
  const bySize = [...jugs].sort((a, b) => a.holdsMl - b.holdsMl);
  const usable = (holdsMl: number) => holdsMl * (1 - headspaceFraction);
  return jugGroups(pours).flatMap((group): JugOfMelt[] => {
    const own = group.flatMap((index) => pours[index] ?? []);
    const [first] = own;
    if (!first) return [];
    const sum = (figure: (pour: (typeof own)[number]) => number) =>
      own.reduce((total, pour) => total + figure(pour), 0);
    const needG = first.meltG;
    const cutG = needG > 0 ? Math.ceil(needG / cutStepG - 1e-9) * cutStepG : 0;
    const grown = needG > 0 ? cutG / needG : 1;
    const contentMl = sum(({ jugVolumeMl }) => jugVolumeMl) * grown;
    const jug = bySize.find(({ holdsMl }) => usable(holdsMl) >= contentMl - 1e-9) ?? bySize.at(-1);
    const melts = jug ? Math.max(1, Math.ceil(contentMl / usable(jug.holdsMl) - 1e-9)) : 1;
    return [
      {
        letters: own.map(({ letter }) => letter),
        baseName: first.base.name,
        needG,
        cutG,
        contentMl,
        jugName: jug?.name ?? null,
        melts,
        eachG: cutG / melts,
        leftOverG: sum(({ jugG }) => jugG) * (grown - 1),
      },
    ];
  });
}
