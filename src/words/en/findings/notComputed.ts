import type { Describe } from './described';

export const notComputed: Describe<'not-computed'> = ({ cause }) => ({
  title: 'This plan can’t be worked out',
  reason: `Its record is safe, and can be exported. Change what was changed last; the cause is: ${cause}.`,
  fixLabel: null,
});
