import { showNumber, showPercent } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const tooMuchColour: Describe<'too-much-colour'> = (
  { about, ofMost, colorants, pours, fix },
  { locale },
) => ({
  title: `${pours > 1 ? `Pour ${about}: ` : ''}${colorants} doses of colour, together ${showNumber(ofMost, 1, locale)} times what is usual`,
  reason:
    'Each is within its own most, but they add up. It colours the lather, and can stain skin, tub and cloth.',
  fixLabel: fix && `Bring all of them to ${showPercent(1 / ofMost, locale)} of what they are`,
});
