/** The rules by which a net weight is declared. */
export const WEIGHT_RULES = ['eu', 'us'] as const;
export type WeightRule = (typeof WEIGHT_RULES)[number];

/** What may be declared by a rule, of pieces that were weighed. */
export interface Declarable {
  rule: WeightRule;
  /** Whole grams; null where nothing can be declared by it. */
  netG: number | null;
  /** How many of a batch of that size have to be weighed. */
  sample: number;
  weighed: number;
  meanG: number;
  leastG: number;
  /** How much one piece may lack of `netG`: the tolerable negative error, or the maximum allowable variation. */
  mayLackG: number | null;
  /** What keeps it from being more: its mean, or its lightest pieces. */
  heldBy: 'mean' | 'lightest';
}

/**
 * Of what is declared, a piece may lack so much: Directive 76/211/EEC, annex I, 2.4, from memory. Percentages are rounded
 * up to a tenth of a gram.
 *
 * @returns null outside 5 g to 10 kg
 */
export function tolerableNegativeErrorG(netG: number): number | null {
  const share = (fraction: number) => Math.ceil(netG * fraction * 10 - 1e-9) / 10;
  if (!(netG >= 5 && netG <= 10_000)) return null;
  if (netG <= 50) return share(0.09);
  if (netG <= 100) return 4.5;
  if (netG <= 200) return share(0.045);
  if (netG <= 300) return 9;
  if (netG <= 500) return share(0.03);
  if (netG <= 1000) return 15;
  return share(0.015);
}

/** Upper end of a range of labelled weights and its variation, g: NIST Handbook 133, table 2-5, from memory. */
const MAXIMUM_ALLOWABLE: readonly (readonly [toG: number, variationG: number])[] = [
  [54, 3.6],
  [81, 5.4],
  [117, 7.2],
  [154, 9],
  [208, 10.8],
  [263, 12.7],
  [317, 14.5],
  [381, 16.3],
  [426, 18.1],
];

/** @returns null beyond the part of the table that is known here */
export function maximumAllowableVariationG(netG: number): number | null {
  if (!(netG > 0)) return null;
  if (netG < 36) return netG * 0.1;
  return MAXIMUM_ALLOWABLE.find(([toG]) => netG <= toG)?.[1] ?? null;
}

interface Plan {
  sample: number;
  /** The mean may lie so many standard deviations below what is declared. */
  meanMayLack: number;
  /** So many of the sample may lack more than one may. */
  mayBeShort(weighed: number): number;
}

/** From 100 pieces on, samples by Directive 76/211/EEC, annex II, for tests that destroy nothing; below, all. From memory. */
function planEu(batch: number): Plan {
  if (batch < 100)
    return { sample: batch, meanMayLack: 0, mayBeShort: (weighed) => Math.floor(weighed * 0.025) };
  if (batch <= 500) return { sample: 30, meanMayLack: 0.503, mayBeShort: () => 1 };
  return { sample: 50, meanMayLack: 0.379, mayBeShort: () => 2 };
}

/** NIST Handbook 133, table 2-1, category A, from memory: lots of up to 11 are weighed whole. */
function planUs(lot: number): Plan {
  if (lot <= 11) return { sample: lot, meanMayLack: 0, mayBeShort: () => 0 };
  if (lot <= 250) return { sample: 12, meanMayLack: 0.635, mayBeShort: () => 0 };
  if (lot <= 3200) return { sample: 24, meanMayLack: 0.422, mayBeShort: () => 0 };
  return { sample: 48, meanMayLack: 0.29, mayBeShort: () => 1 };
}

/**
 * The most that may be declared of each piece of a batch, in whole grams, by the weights of some or all of its pieces.
 *
 * @param weightsG one at the least
 * @param batch pieces in it
 * @throws RangeError without a weight
 */
export function declarable(rule: WeightRule, weightsG: readonly number[], batch: number): Declarable {
  if (weightsG.length === 0) throw new RangeError('nothing was weighed');
  const plan = rule === 'eu' ? planEu(batch) : planUs(batch);
  const mayLack = rule === 'eu' ? tolerableNegativeErrorG : maximumAllowableVariationG;
  const weighed = weightsG.length;
  const meanG = weightsG.reduce((sum, each) => sum + each, 0) / weighed;
  const leastG = Math.min(...weightsG);
  const byMeanG = meanG + (weighed > 1 ? plan.meanMayLack * deviation(weightsG, meanG) : 0);
  const highest = Math.floor(byMeanG + 1e-9);
  const common = { rule, weighed, meanG, leastG, sample: Math.min(plan.sample, batch) };
  for (let netG = highest; netG > 0; netG--) {
    const lackG = mayLack(netG);
    if (lackG === null) break;
    const short = weightsG.filter((each) => each < netG - lackG - 1e-9).length;
    // By the directive none may lack twice as much; the handbook's few have no such end.
    const isTooShort = rule === 'eu' && leastG < netG - 2 * lackG - 1e-9;
    if (short <= plan.mayBeShort(weighed) && !isTooShort)
      return { ...common, netG, mayLackG: lackG, heldBy: netG === highest ? 'mean' : 'lightest' };
  }
  return { ...common, netG: null, mayLackG: null, heldBy: 'lightest' };
}

function deviation(figures: readonly number[], mean: number): number {
  return Math.sqrt(figures.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (figures.length - 1));
}
