import type { Describe } from './described';

export const solidsMove: Describe<'solids-move'> = ({ about, baseName, floats, unknown }) => ({
  title: unknown
    ? `Cannot tell whether ${baseName} holds ${about}`
    : `${about} will ${floats ? 'float' : 'sink'} in ${baseName}`,
  reason: `${unknown ? 'The shelf does not know whether it is a suspension base. If not, it' : 'It'} ${floats ? 'rises' : 'settles'} in hot thin base. Stir on until it thickens and pour at once, or use a suspension base.`,
  fixLabel: null,
});
