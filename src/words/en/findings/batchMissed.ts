import { showMass } from '../../../core/units/showQuantity';
import { counted } from '../plural';
import type { Describe } from './described';

export const batchMissed: Describe<'batch-missed'> = ({ fault, by, massG, comesToG, pieces }, showing) => {
  const asked = `${showMass(massG, showing)} ${by === 'base' ? 'of base' : 'in the jug'}`;
  const comesTo = showMass(comesToG, showing);
  switch (fault) {
    case 'over':
      return {
        title: `${asked} is more than ${pieces === null ? 'one plan takes' : counted(pieces, 'piece holds', 'pieces hold')}`,
        reason:
          pieces === null
            ? `It takes ${comesTo}. Make less of it at a time.`
            : `Filled to the brim they take ${comesTo}. Make more pieces, or let their number follow.`,
        fixLabel: 'Make as many as it gives',
      };
    case 'under':
      return {
        title: `${asked} is too little for ${pieces === null ? 'its pours' : counted(pieces, 'piece', 'pieces')}`,
        reason: `The pours that have a size of their own take ${comesTo} with the others. Make ${pieces === null ? 'more of it' : 'fewer pieces'}, or these pours smaller.`,
        fixLabel: 'Say it as pieces',
      };
    case 'sizes-fixed':
      return {
        title: `${asked} can’t be kept to`,
        reason: `Every pour has a size of its own, and together they take ${comesTo}. Say one of them in parts or as the rest${pieces === null ? '' : ', or say how many pieces'}.`,
        fixLabel: 'Say it as pieces',
      };
  }
};
