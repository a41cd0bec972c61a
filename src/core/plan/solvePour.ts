import type { RecipePour } from './recipe';

/**
 * What a pour's doses do to its jug, as four sums. With base weight B:
 * volume = B · volumePerBaseG + fixedMl, mass = B · massPerBaseG + fixedG.
 */
export interface PourSums {
  /** mL in the jug for each gram of base: the base and every dose that is a share of it. */
  volumePerBaseG: number;
  /** g in the jug for each gram of base. */
  massPerBaseG: number;
  /** mL and g of the doses that do not grow with the base. */
  fixedMl: number;
  fixedG: number;
}

/** What is stirred into a pour, and what came into its jug before. */
type Stirred = Pick<RecipePour, 'baseDensityGPerMl' | 'lines'> & { carried?: RecipePour['lines'] };

export function pourSums(pour: Stirred): PourSums {
  const sums = { volumePerBaseG: 1 / pour.baseDensityGPerMl, massPerBaseG: 1, fixedMl: 0, fixedG: 0 };
  for (const lines of [pour.lines, pour.carried ?? []])
    for (const { amount, densityGPerMl, leaves } of lines) {
      if (leaves) continue;
      sums.volumePerBaseG += amount.shareOfBase / densityGPerMl;
      sums.massPerBaseG += amount.shareOfBase;
      sums.fixedMl += amount.fixedG / densityGPerMl;
      sums.fixedG += amount.fixedG;
    }
  return sums;
}

/** Base weight, g, with which base and additions together take up `jugVolumeMl`; negative when they can't. */
export function baseMassForVolume(sums: PourSums, jugVolumeMl: number): number {
  return (jugVolumeMl - sums.fixedMl) / sums.volumePerBaseG;
}
