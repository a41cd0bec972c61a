import type { SheetPour } from '../plan/sheet';

// How long one pair of hands takes, s. Our own assumptions.
const STIR = { first: 15, eachDose: 45 };
const POUR = { first: 40, eachCavity: 8 };
const INCLUDE = { eachPiece: 8, eachFilling: 12 };
const LAY = { eachCavity: 6 };
const UNMOLD = { first: 60, eachCavity: 15 };

/** A few strokes of the spray over all cavities. */
export const SPRITZ_S = 10;
export const WEIGH_BASE_S = 60;
export const WASH_S = 300;
export const CUT_BAR_S = 20;
export const WRAP_BAR_S = 45;
export const REWARM_S = 45;
export const START_BATH_S = 60;
/** From empty until it is wiped, and base may go in again. */
export const JUG_AGAIN_S = 60;

export function stirS(doses: number): number {
  return STIR.first + STIR.eachDose * doses;
}

export function pourS(cavities: number): number {
  return POUR.first + POUR.eachCavity * cavities;
}

/** Sharing a pour's fillings out, or setting its pieces in. */
export function includeS(
  { embeds }: Pick<SheetPour, 'embeds'>,
  cavities: number,
  isFilling: boolean,
): number {
  return embeds
    .filter(({ perPiece }) => (perPiece === null) === isFilling)
    .reduce(
      (sum, { perPiece }) =>
        sum + cavities * (perPiece === null ? INCLUDE.eachFilling : perPiece * INCLUDE.eachPiece),
      0,
    );
}

/** Laying something on or under a pour. */
export function layS(cavities: number): number {
  return LAY.eachCavity * cavities;
}

export function unmoldS(cavities: number): number {
  return UNMOLD.first + UNMOLD.eachCavity * cavities;
}
