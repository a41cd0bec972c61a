import { msOfMoment } from '../../core/schedule/clock';

/** A time of day, and the day where it is another one than `sinceDay`. */
export function showClock(moment: string, locale: string, sinceDay?: string): string {
  const show = (how: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...how }).format(msOfMoment(moment));
  const time = show({ timeStyle: 'short' });
  const isOtherDay = sinceDay !== undefined && moment.slice(0, 10) !== sinceDay.slice(0, 10);
  return isOtherDay ? `${show({ weekday: 'short', day: 'numeric', month: 'short' })}, ${time}` : time;
}

/** A moment with its day. */
export function showClockDay(moment: string, locale: string): string {
  return new Intl.DateTimeFormat(locale, { timeZone: 'UTC', dateStyle: 'medium', timeStyle: 'short' }).format(
    msOfMoment(moment),
  );
}
