import { msOfMoment } from '../../core/schedule/clock';
import { dateFormat } from './dateFormat';

/** A time of day, and the day where it is another one than `sinceDay`. */
export function showClock(moment: string, locale: string, sinceDay?: string): string {
  const show = (how: Intl.DateTimeFormatOptions) =>
    dateFormat(locale, { timeZone: 'UTC', ...how }).format(msOfMoment(moment));
  const time = show({ timeStyle: 'short' });
  const isOtherDay = sinceDay !== undefined && moment.slice(0, 10) !== sinceDay.slice(0, 10);
  return isOtherDay ? `${show({ weekday: 'short', day: 'numeric', month: 'short' })}, ${time}` : time;
}

/** A moment with its day. */
export function showClockDay(moment: string, locale: string): string {
  const format = dateFormat(locale, { timeZone: 'UTC', dateStyle: 'medium', timeStyle: 'short' });
  return format.format(msOfMoment(moment));
}
