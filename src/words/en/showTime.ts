import { dateFormat } from './dateFormat';

/** A day for a person: “24 Nov 2026” as the locale writes it. */
export function showDay(iso: string, locale: string): string {
  return dateFormat(locale, { dateStyle: 'medium' }).format(new Date(iso));
}

/** A day and a time of day. */
export function showMoment(iso: string, locale: string): string {
  return dateFormat(locale, { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(iso));
}

/** Since a beginning, in hours and minutes as a clock would show it: 5:08. */
export function elapsedWords(seconds: number): string {
  return sixties(Math.round(seconds / 60));
}

/** As a stopwatch shows it, minutes and seconds: 6:40. */
export function stopwatchWords(seconds: number): string {
  return sixties(Math.round(seconds));
}

function sixties(count: number): string {
  return `${Math.floor(count / 60)}:${String(count % 60).padStart(2, '0')}`;
}
