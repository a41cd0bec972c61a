const FORMATS = new Map<string, Intl.DateTimeFormat>();

/** A format is made once for a locale: to make one takes longer than a hundred uses of it. */
function formatOf(locale: string, timeStyle?: 'short'): Intl.DateTimeFormat {
  const key = `${locale} ${timeStyle}`;
  const known = FORMATS.get(key);
  if (known) return known;
  const format = new Intl.DateTimeFormat(locale, {
    dateStyle: 'medium',
    ...(timeStyle ? { timeStyle } : {}),
  });
  FORMATS.set(key, format);
  return format;
}

/** A day for a person: “24 Nov 2026” as the locale writes it. */
export function showDay(iso: string, locale: string): string {
  return formatOf(locale).format(new Date(iso));
}

/** A day and a time of day. */
export function showMoment(iso: string, locale: string): string {
  return formatOf(locale, 'short').format(new Date(iso));
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
