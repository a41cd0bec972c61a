import { lengthWords } from '../../lengthWords';
import { showClockDay } from '../../showClock';
import type { Describe } from '../described';

export const tooLate: Describe<'heat-too-late'> = ({ wantedAt, lateS, neededS, never }, { locale }) => ({
  title: never
    ? `It can’t be done by ${showClockDay(wantedAt, locale)}`
    : `It may not be done by ${showClockDay(wantedAt, locale)}`,
  reason: `It takes up to ${lengthWords(neededS, locale)}, and had to be begun ${lengthWords(lateS, locale)} ago. Choose a later time, fewer pieces, or one more mold.`,
  fixLabel: null,
});
