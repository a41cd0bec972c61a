import type { Sheet } from '../../plan/sheet';
import { beginsAt, later, secondsBetween } from '../../schedule/clock';
import type { PourPlan } from '../../schedule/pourPlan';
import type { Found } from '../finding';
import { PLAIN } from '../plain';

/** All that the clock is held against. */
export interface LateContext {
  sheet: Sheet;
  pourPlan: Pick<PourPlan, 'done'>;
  /** The workshop's own clock, 2026-05-02T09:30; null where there is none, as on a printed sheet. */
  now: string | null;
}

/** A plan that can't be done by its time, counted from now. */
export function tooLate({ sheet: { making }, pourPlan, now }: LateContext): Found[] {
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
}
