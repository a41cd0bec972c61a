import { pourLetter } from '../../../core/plan/plan';
import { showVolume } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const usualMold: Describe<'usual-mold'> = ({ about, capacityMl }, { locale }) => ({
  title: `${about}: usual, not yours`,
  reason: `A cavity is taken to hold ${showVolume(capacityMl, locale)}. Fill one of yours with water, weigh it, and enter it in the mold book.`,
  fixLabel: null,
});

export const secondMoldTimes: Describe<'second-mold-times'> = (
  { about, first, holdsMl, firstHoldsMl },
  { locale },
) => {
  const [holds, firstHolds] = [holdsMl, firstHoldsMl].map((ml) => showVolume(ml, locale));
  const pace =
    holdsMl > firstHoldsMl
      ? 'It skins and sets later: touch it before you pour on it or take it out.'
      : holdsMl < firstHoldsMl
        ? 'It skins and sets sooner: pour it first, and touch it before the pour plan says so.'
        : 'Its walls may make it sooner or later.';
  return {
    title: `Pieces in ${about} set at their own pace`,
    reason: `The times are those of ${first}. A cavity of ${about} holds ${holds}, one of ${first} ${firstHolds}. ${pace}`,
    fixLabel: null,
  };
};

export const needsMold: Describe<'needs-mold'> = ({ about, pourIndex }) => ({
  title:
    about === ''
      ? `${pourLetter(pourIndex ?? 0)} is said in millimetres, and there is no mold yet`
      : `${about} is said for each piece, and there is no mold yet`,
  reason: 'Choose a mold, or say it for all of the base: in parts, by weight or as a share.',
  fixLabel: null,
});
