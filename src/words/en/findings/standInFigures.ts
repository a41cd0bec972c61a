import type { FoundOf } from '../../../core/checks/finding';
import { listed } from '../plural';
import type { Describe } from './described';

const FIGURES: Record<FoundOf<'stand-in-figures'>['figures'][number], string> = {
  density: 'density',
  'spoon-density': 'density in the spoon',
  'drop-size': 'size of a drop',
  'block-mass': 'weight of a block',
  'scoop-size': 'size of a scoop',
  'capsule-mass': 'weight of a capsule',
};

export const standInFigures: Describe<'stand-in-figures'> = ({ about, figures, isBase }) => ({
  title: `${about}: usual ${listed(figures.map((figure) => FIGURES[figure]))} assumed`,
  reason: isBase
    ? 'How much base the mold takes rests on it. Measure it once and enter it on the shelf.'
    : 'The weight is only as good as that figure. Measure it once and enter it on the shelf.',
  fixLabel: null,
});
