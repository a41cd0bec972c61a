import { beginsAt, later, secondsBetween, showClockDay } from '../../pourPlan/clock';
import { lengthWords } from '../../pourPlan/lengthWords';
import { type HeatCheck, heatFinding } from './heatCheck';

/** A plan that can't be done by its time, counted from now. */
export const tooLate: HeatCheck = {
  code: 'heat-too-late',

  run: ({ sheet: { making }, pourPlan, now }) => {
    const { clock } = making;
    if (clock?.at !== 'finish' || now === null) return [];
    const begin = beginsAt(pourPlan, clock);
    if (begin === null || begin >= now) return [];
    // Whether it could be done if all went quickly.
    const never = later(now, pourPlan.done.low) > clock.time;
    return [
      heatFinding({
        code: tooLate.code,
        severity: 'caution',
        pourIndex: null,
        text: clock.time,
        figures: {
          lateS: secondsBetween(begin, now),
          neededS: pourPlan.done.high,
          never: never ? 1 : 0,
        },
      }),
    ];
  },

  say: ({ text = '', figures: { lateS = 0, neededS = 0, never = 0 } }, { locale }) => ({
    title: never
      ? `It can’t be done by ${showClockDay(text, locale)}`
      : `It may not be done by ${showClockDay(text, locale)}`,
    reason: `It takes up to ${lengthWords(neededS, locale)}, and had to be begun ${lengthWords(lateS, locale)} ago. Choose a later time, fewer pieces, or one more mold.`,
    mendLabel: null,
  }),
};
