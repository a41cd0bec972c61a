import { pourLetter } from '../../../core/plan/plan';
import { showPercent } from '../../../core/units/showQuantity';
import { counted } from '../plural';
import type { Describe } from './described';

export const remelted: Describe<'remelted'> = (
  { about, pourIndex, ofBase, melts, isKnown, doses, missing, otherBases, ofOtherKind },
  { locale },
) => {
  const of = ofBase === 1 ? 'All' : showPercent(ofBase, locale);
  const lost = `It was melted ${counted(melts, 'time', 'times')} before, and lost water that nobody weighed: what is in it may be stronger.`;
  if (!isKnown)
    return {
      title: `Nobody knows what ${about} holds`,
      reason: `${of} of the base of ${pourLetter(pourIndex ?? 0)} comes out of it. What was dosed into it is in no limit here, and in no list of allergens.`,
      fixLabel: null,
    };
  const brings = doses.map(({ name, ofBase }) => `${name} ${showPercent(ofBase, locale)}`).join(', ');
  const gone =
    missing.length > 0 ? ` ${missing.join(', ')} is in it and no more on the shelf: counted nowhere.` : '';
  const mixed =
    otherBases.length === 0
      ? ''
      : ` ${otherBases.join(', ')} is in it too${ofOtherKind ? ', a base of another kind: what the two do together nobody knows here, so try a little first' : ', another base'}; keep to the lower ceiling of the two.`;
  return {
    title: `${about} is melted again in ${pourLetter(pourIndex ?? 0)}`,
    reason: `${of} of the base comes out of it${brings === '' ? ', with nothing dosed into it' : `, with ${brings} of the base`}; all of it counts in the limits.${mixed}${gone} ${lost}`,
    fixLabel: null,
  };
};
