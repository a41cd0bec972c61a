import { showPercent } from '../../../core/units/showQuantity';
import { USE_NAMES } from '../plan/useNames';
import { bringLabel } from './bringLabel';
import type { Describe } from './described';

export const overSupplierLimit: Describe<'over-supplier-limit'> = (
  { about, ofProduct, limit, forUse, fixOfBase, ofBar, pours, fix },
  { locale },
) => {
  const inBar =
    pours > 1
      ? ` In the whole bar it is ${showPercent(ofBar, locale)}, ${ofBar > limit ? 'over the limit too' : 'but this pour touches skin by itself'}.`
      : '';
  return {
    title: `${about} ${showPercent(ofProduct, locale)} of product, limit ${showPercent(limit, locale)}${forUse ? ` for ${USE_NAMES[forUse].toLowerCase()}` : ''}`,
    reason: `The supplier’s limit holds for the finished product, and protects skin. It may not be passed in any pour.${inBar}`,
    fixLabel: bringLabel(
      'down',
      fix,
      fixOfBase === null
        ? `${showPercent(limit, locale)} of product`
        : `${showPercent(fixOfBase, locale)} of base`,
    ),
  };
};
