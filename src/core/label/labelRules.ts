/** Whose rules a label is written by. */
export const LABEL_RULES = ['eu-cosmetic', 'us-cosmetic', 'us-soap'] as const;
export type LabelRules = (typeof LABEL_RULES)[number];

/** Where a list of ingredients stands: on the label, or on a notice beside what is sold. */
export const LIST_PLACES = ['label', 'notice'] as const;
export type ListPlace = (typeof LIST_PLACES)[number];

export const MM_PER_INCH = 25.4;
export const MM2_PER_IN2 = MM_PER_INCH * MM_PER_INCH;

/** Of a panel from its foot up: where the net quantity of contents stands (21 CFR 701.13(f), 16 CFR 500.6; from memory). */
export const LOWEST_SHARE = 0.3;
/** Up to this the place is free (the same sections; from memory). */
export const FREE_PLACE_IN2 = 5;

export function isUs(rules: LabelRules): boolean {
  return rules !== 'eu-cosmetic';
}

/**
 * Whether the ingredients stand on a notice beside it instead, as they may of soap and other small products in the EU
 * (Regulation (EC) No 1223/2009, Art. 19(3); from memory).
 */
export function isOnNotice(rules: LabelRules, listOn: ListPlace): boolean {
  return !isUs(rules) && listOn === 'notice';
}

/** Whether the net quantity has to stand in the lowest part of the panel. */
export function standsLow(rules: LabelRules, panelMm2: number): boolean {
  return isUs(rules) && panelMm2 > FREE_PLACE_IN2 * MM2_PER_IN2;
}

/** Areas of the main panel, in², up to which letters may be so high, inch. */
const US_NET_IN: readonly (readonly [upToIn2: number, heightIn: number])[] = [
  [5, 1 / 16],
  [25, 1 / 8],
  [100, 3 / 16],
  [400, 1 / 4],
  [Number.POSITIVE_INFINITY, 1 / 2],
];

/** Weights, g, up to which figures may be so high, mm. */
const EU_NET_MM: readonly (readonly [upToG: number, heightMm: number])[] = [
  [50, 2],
  [200, 3],
  [1000, 4],
  [Number.POSITIVE_INFINITY, 6],
];

function firstUpTo(table: readonly (readonly [upTo: number, height: number])[], value: number): number {
  return table.find(([upTo]) => value <= upTo + 1e-9)?.[1] ?? 0;
}

/**
 * The least height of the net quantity, mm: by the weight in the EU (Directive 76/211/EEC, annex I, 3.1), by the area of
 * the main panel in the US (21 CFR 701.13(i); true soap by 16 CFR 500.21, whose figures are the same). From memory.
 */
export function netHeightMm(rules: LabelRules, netG: number, panelMm2: number): number {
  return isUs(rules)
    ? firstUpTo(US_NET_IN, panelMm2 / MM2_PER_IN2) * MM_PER_INCH
    : firstUpTo(EU_NET_MM, netG);
}

/** Labels with less room than this may have smaller lists, in² (21 CFR 701.3(p); from memory). */
const SMALL_IN2 = 12;
/** No height is given for cosmetics in the EU, only that they can be read: that of food is taken (Regulation (EU) 1169/2011, Art. 13; from memory). */
const EU_TEXT_MM = { usual: 1.2, small: 0.9, smallBelowMm2: 8000 };

/**
 * The least height of the list of ingredients and of cautions, mm: of a lower-case o (21 CFR 701.3(b), 740.2; from memory).
 *
 * @param roomMm2 all that there is to write on
 */
export function textHeightMm(rules: LabelRules, roomMm2: number): number {
  if (isUs(rules)) return (roomMm2 < SMALL_IN2 * MM2_PER_IN2 ? 1 / 32 : 1 / 16) * MM_PER_INCH;
  return roomMm2 < EU_TEXT_MM.smallBelowMm2 ? EU_TEXT_MM.small : EU_TEXT_MM.usual;
}

/** Which letters a height is of: figures and capitals in the EU, the lower-case o in the US (21 CFR 701.13(h)). */
export function netHeightIsOf(rules: LabelRules): 'capital' | 'lower-case' {
  return isUs(rules) ? 'lower-case' : 'capital';
}
