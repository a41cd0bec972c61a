import type { FoundOf } from '../../../core/checks/finding';
import type { Describe } from './described';
import { cameWords, takeOutLabel } from './takeOut';

const REASONS: Record<FoundOf<'unfit-for-use'>['why'], string> = {
  'hair-salt': 'Salt dries hair out and takes the lather.',
  'hair-botanical': 'Petals and leaves stay hanging in hair.',
  'hair-grit': 'Grit does not rinse out of hair.',
  'hair-glitter': 'Glitter does not rinse out of hair.',
  'face-glitter': 'Glitter gets into eyes.',
  'face-salt': 'Salt stings in eyes and small cuts.',
  'face-fragrance': 'For a face, without fragrance is the safe choice.',
};

export const unfitForUse: Describe<'unfit-for-use'> = ({ about, why, fix }) => ({
  title: `${about} does not suit a ${why.startsWith('hair') ? 'bar for hair' : 'face bar'}`,
  reason: `${REASONS[why]}${cameWords({ fix })}`,
  fixLabel: takeOutLabel({ fix }),
});
