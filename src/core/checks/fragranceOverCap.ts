import { fragranceCap } from '../materials/defaults';
import { capCheck } from './capCheck';

/** More fragrance than the base holds. */
export const fragranceOverCap = capCheck({
  code: 'fragrance-over-cap',
  what: 'Fragrance',
  reason: 'The surplus weeps out, and the bar turns soft and sweats.',
  counts: ({ material }) => material.kind === 'fragrance',
  cap: fragranceCap,
  mends: true,
});
