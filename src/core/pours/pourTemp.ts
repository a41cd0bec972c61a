import { substanceOf } from '../heat/substanceOf';
import type { HouseRules } from '../houseRules/houseRules';
import type { Base } from '../materials/base';
import { ceiling } from '../materials/defaults';
import { type FilledMold, type Molds, moldsFilled } from '../molds/filled';
import type { Mold } from '../molds/mold';
import { isBare, layerGroups, layerOf } from './layers';

/** Bare cavities take 44 to 60 °C (common practice, no source); what the middle of it leaves to do. */
const BARE_C = 57;
const BARE_PLASTIC_C = 52;
const BELOW_MOLD_K = 3;
/** By touch it is warm, not hot. Our own reading of it. */
const BY_TOUCH_C = 53;
/** Where usual soap begins to set; a base that sets lower is poured that much cooler. */
const USUAL_LIQUIDUS_C = 53;

type HotMold = FilledMold & Pick<Mold, 'madeOf' | 'highestC'>;

interface PourInMold extends Molds<HotMold> {
  fills: number;
  pours: readonly {
    base: Base;
    when: { atC?: number | undefined };
    way: { besideShare?: number | undefined };
  }[];
}

/**
 * How warm a pour is poured, °C: as the plan says, or by the house rule on a layer and by the mold into a bare cavity.
 * Pours that go in together are as warm as the first of them.
 */
export function pourTempC(
  { pours, fills, ...molds }: PourInMold,
  pourIndex: number,
  rules: Pick<HouseRules, 'pourCeiling'>,
): number {
  const lead = pours[layerGroups(pours)[layerOf(pours, pourIndex)]?.[0] ?? pourIndex];
  if (!lead) throw new RangeError(`no pour ${pourIndex}`);
  const ceilingC = ceiling(lead.base).value;
  const usualC = (of: HotMold) => usualPourC(of, lead.base, isBare(pours, pourIndex), rules);
  return Math.min(ceilingC, lead.when.atC ?? Math.min(...moldsFilled(molds, fills).map(usualC)));
}

function usualPourC(
  mold: HotMold,
  base: Base,
  bare: boolean,
  { pourCeiling }: Pick<HouseRules, 'pourCeiling'>,
): number {
  const mostC = (mold.highestC ?? Number.POSITIVE_INFINITY) - BELOW_MOLD_K;
  if (!bare) return Math.min(mostC, pourCeiling === 'touch' ? BY_TOUCH_C : Number(pourCeiling));
  const usual = mold.madeOf === 'thin-plastic' ? BARE_PLASTIC_C : BARE_C;
  const { liquidusC } = substanceOf(base).melting;
  return Math.min(mostC, usual + Math.min(0, liquidusC - USUAL_LIQUIDUS_C));
}
