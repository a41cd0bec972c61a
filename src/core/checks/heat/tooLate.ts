import { beginsAt, later, secondsBetween } from '../../schedule/clock';
import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

/** A plan that can't be done by its time, counted from now. */
export const tooLate: HeatCheck = ({ sheet: { making }, pourPlan, now }) => {
  const { clock } = making;
  if (clock?.at !== 'finish' || now === null) return [];
  const begin = beginsAt(pourPlan, clock);
  if (begin === null || begin >= now) return [];
  return [
    {
      ...PLAIN,
      code: 'heat-too-late',
      severity: 'caution',
      pourIndex: null,
      wantedAt: clock.time,
      lateS: secondsBetween(begin, now, clock.zone),
      neededS: pourPlan.done.high,
      // It could not be done if all went quickly.
      never: later(now, pourPlan.done.low, clock.zone) > clock.time,
    },
  ];
};
