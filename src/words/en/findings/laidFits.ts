import { pourLetter } from '../../../core/plan/plan';
import type { Describe } from './described';

export const laidPlants: Describe<'laid-plants'> = ({ about, floats }) => ({
  title: `${about}: dry ones only${floats ? ', and they float' : ''}`,
  reason: `Fresh and wet plants spoil in a bar, and dry ones brown where they touch it.${floats ? ' Poured over, they rise: wet them with a little base first, or pour a thin go and let it skin.' : ''}`,
  fixLabel: null,
});

export const laidWithoutGoes: Describe<'laid-without-goes'> = ({ about, pourIndex }) => ({
  title: `${about}: ${pourLetter(pourIndex ?? 0)} is poured in one go`,
  reason: `It is to lie between the goes of ${pourLetter(pourIndex ?? 0)}. Say in how many goes that is poured, or lay it somewhere else.`,
  fixLabel: null,
});
