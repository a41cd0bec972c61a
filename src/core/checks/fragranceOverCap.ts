import { fragranceCap } from '../materials/defaults';
import { capCheck } from './capCheck';

/** More fragrance than the base holds. */
export const fragranceOverCap = capCheck({
  code: 'fragrance-over-cap',
  counts: ({ material }) => material.kind === 'fragrance',
  cap: fragranceCap,
  fixes: true,
});
