import type { SheetPour } from '../plan/sheet';

// How long one pair of hands takes, s. Our own assumptions.
const STIR = { first: 15, eachDose: 45 };
const POUR = { first: 40, eachCavity: 8, eachPiece: 8, eachFilling: 12 };
const UNMOLD = { first: 60, eachCavity: 15 };

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

/** Pouring, with what is set into each cavity. */
export function pourS(pours: readonly Pick<SheetPour, 'embeds'>[], cavities: number): number {
  const perCavity = pours
    .flatMap(({ embeds }) => embeds)
    .reduce(
      (sum, { perPiece }) => sum + (perPiece === null ? POUR.eachFilling : perPiece * POUR.eachPiece),
      POUR.eachCavity,
    );
  return POUR.first + perCavity * cavities;
}

export function unmoldS(cavities: number): number {
  return UNMOLD.first + UNMOLD.eachCavity * cavities;
}
