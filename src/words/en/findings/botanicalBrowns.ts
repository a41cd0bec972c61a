import type { Describe } from './described';

export const botanicalBrowns: Describe<'botanical-browns'> = ({ about }) => ({
  title: `${about} may brown`,
  reason:
    'Petals and leaves lose their colour in soap within weeks, green and purple ones first; yellow and orange ones mostly keep it.',
  fixLabel: null,
});
