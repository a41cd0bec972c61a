import type { Describe } from './described';

export const doseReadsOtherwise: Describe<'dose-reads-otherwise'> = ({ about, text }) => ({
  title: `“${text}” of ${about} means what it meant when it was typed`,
  reason: 'It would be read otherwise now. Type it anew to have it read so.',
  fixLabel: null,
});
