import { showPercent } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const vanillinBrowns: Describe<'vanillin-browns'> = (
  { about, stabiliser, vanillinOfBase, fix },
  { locale },
) => ({
  title: `${about} will brown this pour`,
  reason: `It brings vanillin, ${showPercent(vanillinOfBase, locale)} of the base. Add a stabiliser in equal parts, or plan for brown.`,
  fixLabel: fix && `Add ${stabiliser}, = fragrance`,
});

export const stabiliserOutOfStep: Describe<'stabiliser-out-of-step'> = (
  { about, stabiliser, off, fix },
  { locale },
) => ({
  title: `${stabiliser} is out of step with ${about}`,
  reason: `It is ${showPercent(Math.abs(off), locale)} ${off < 0 ? 'less' : 'more'} than the fragrance that has vanillin in it; equal parts are usual.`,
  fixLabel: fix && 'Bring into step',
});
