import type { Describe } from './described';

export const unknownLimit: Describe<'unknown-limit'> = ({ about, releaseUnknown }) => ({
  title: `Cannot tell whether ${about} is safe at this dose`,
  reason: releaseUnknown
    ? 'The shelf does not know whether it is released for skin. Look at the supplier’s sheet and enter it on the shelf.'
    : 'The shelf has no limit for it. Look at the supplier’s sheet and enter the limit on the shelf.',
  fixLabel: null,
});
