import type { HouseRules } from '../houseRules/houseRules';
import { roundFills } from '../molds/filled';
import { meltedName } from '../plan/baseParts';
import type { Sheet } from '../plan/sheet';
import { jugsOf, meltedBeyond } from '../pours/jugsOf';
import { meltOfFilling } from '../pours/leastMelt';

/** What of the workshop decides how a batch is shared out among jugs. */
export type JugRules = Pick<HouseRules, 'jugs' | 'headspaceFraction' | 'cutStepG'>;

/** What a jug takes under its headspace, mL. */
export function usableMl(
  holdsMl: number,
  { headspaceFraction }: Pick<HouseRules, 'headspaceFraction'>,
): number {
  return holdsMl * (1 - headspaceFraction);
}

/** One melt of the pours that share a jug, for one filling of the molds. */
export interface MeltOfFilling {
  /** Places of the pours, in order. */
  group: number[];
  /** So many melts like this one make a filling. */
  melts: number;
  /** Base that is cut for it, up to the cutting step. */
  cutG: number;
  /** Of all that is melted for its pours, so much is for one melt. */
  ofAll: number;
  /** What the jug holds once everything is in it; doses follow the base that is really cut. */
  contentMl: number;
  contentG: number;
}

/** More melts of one filling than this are no plan: a check says that the jug is too small. */
const MOST_MELTS = 24;

/** What is melted for a filling of so many cavities, jug by jug: in several melts where the largest jug does not take it. */
export function meltsOfFilling(
  sheet: Pick<Sheet, 'pours' | 'fills' | 'leastMeltG'>,
  fills: number,
  rules: JugRules,
): MeltOfFilling[] {
  const share = fills / sheet.fills;
  const largestMl = Math.max(...rules.jugs.map(({ holdsMl }) => usableMl(holdsMl, rules)));
  return jugsOf(sheet.pours).map(({ group, baseG, jugG, jugMl, meltG }) => {
    const ofPoursG = baseG * share;
    const needG = meltOfFilling(ofPoursG, sheet);
    const inMelts = (melts: number): MeltOfFilling => {
      // Of next to nothing, too, one piece is cut.
      const steps = Math.max(needG > 0 ? 1 : 0, Math.ceil(needG / melts / rules.cutStepG - 1e-9));
      const cutG = steps * rules.cutStepG;
      const grown = needG > 0 ? cutG / ofPoursG : 1 / melts;
      return {
        group,
        melts,
        cutG,
        ofAll: (meltG > 0 ? needG / meltG : share) / melts,
        contentMl: jugMl * share * grown,
        contentG: jugG * share * grown,
      };
    };
    let melt = inMelts(1);
    while (rules.jugs.length > 0 && melt.contentMl > largestMl + 1e-9 && melt.melts < MOST_MELTS)
      melt = inMelts(melt.melts + 1);
    return melt;
  });
}

/** What is melted for one jug, which may serve several pours. */
export interface JugOfMelt {
  /** Letters of the pours it serves. */
  letters: string[];
  baseName: string;
  /** Base that its pours take, for all fillings. */
  needG: number;
  /** What is melted: at least the least, and up to what can be cut for each melt. */
  cutG: number;
  fillings: number;
  /** One melt of a full filling. */
  melt: MeltOfFilling;
  /** The smallest jug that takes it, or the largest; null when the workshop has told of none. */
  jugName: string | null;
  /** It is the least that melts well, and more than its pours take. */
  isLeast: boolean;
  /** What is left over once the molds are full, base and additions: for a spare mold, or the scrap jar. */
  leftOverG: number;
}

/**
 * What to melt, jug by jug: for each filling of the molds the base of all pours that share a jug, up to what can be cut, in
 * the smallest jug that holds it under its headspace. What is cut beyond the need comes with its additions.
 */
export function meltsOf(
  sheet: Pick<Sheet, 'pours' | 'fills' | 'mold' | 'secondMold' | 'leastMeltG' | 'totals'>,
  rules: JugRules,
): JugOfMelt[] {
  const { fills, pours, totals } = sheet;
  const full = Math.min(roundFills(sheet), fills);
  const fillings = totals.rounds;
  const jugs = jugsOf(pours);
  const last = meltsOfFilling(sheet, fills - (fillings - 1) * full, rules);
  return meltsOfFilling(sheet, full, rules).map((melt, place): JugOfMelt => {
    const own = melt.group.flatMap((index) => pours[index] ?? []);
    const { baseG: needG = 0, jugG = 0, meltG = 0 } = jugs[place] ?? {};
    const ofLast = last[place] ?? melt;
    const cutG = (fillings - 1) * melt.melts * melt.cutG + ofLast.melts * ofLast.cutG;
    const jug = rules.jugs
      .toSorted((a, b) => a.holdsMl - b.holdsMl)
      .find(
        ({ holdsMl }, index, all) =>
          usableMl(holdsMl, rules) >= melt.contentMl - 1e-9 || index === all.length - 1,
      );
    return {
      letters: own.map(({ letter }) => letter),
      baseName: own[0] ? meltedName(own[0]) : '',
      needG,
      cutG,
      fillings,
      melt,
      jugName: jug?.name ?? null,
      isLeast: meltedBeyond({ baseG: needG, meltG }) > 0,
      leftOverG: needG > 0 ? jugG * (cutG / needG - 1) : 0,
    };
  });
}
