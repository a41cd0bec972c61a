import { showPercent } from '../../../core/units/showQuantity';
import { bringLabel } from './bringLabel';
import type { Describe } from './described';

type CapCode = 'fragrance-over-cap' | 'oils-over-cap' | 'liquids-over-cap' | 'additions-over-cap';

/** What is capped, and what comes of passing it. */
const CAPPED: Record<CapCode, { what: string; reason: string }> = {
  'fragrance-over-cap': {
    what: 'Fragrance',
    reason: 'The surplus weeps out, and the bar turns soft and sweats.',
  },
  'oils-over-cap': { what: 'Oils and butters', reason: 'The bar stays soft and lathers poorly.' },
  'liquids-over-cap': {
    what: 'Liquids',
    reason: 'Too much water, honey or glycerin leaves a sticky bar that sweats.',
  },
  'additions-over-cap': {
    what: 'Additions',
    reason: 'All together they keep the bar from setting firm. Take some out.',
  },
};

export const caps: Describe<CapCode> = (
  { code, about, pourIndex, ofBase, cap, apart, assumed, fix },
  { locale },
) => {
  const { what, reason } = CAPPED[code];
  const whose = assumed ? `the usual cap for a base like ${about}` : `the cap of ${about}`;
  const where = pourIndex === null ? ' in the whole bar' : '';
  const without = apart > 0 ? ` Grit, ${showPercent(apart, locale)}, is not counted in this.` : '';
  return {
    title: `${what} ${showPercent(ofBase, locale)} of base${where}, cap ${showPercent(cap, locale)}`,
    reason: `That is over ${pourIndex === null ? 'the mean of the caps of its bases' : whose}. ${reason}${without}`,
    fixLabel: fix && bringLabel('down', fix, showPercent(cap, locale)),
  };
};
