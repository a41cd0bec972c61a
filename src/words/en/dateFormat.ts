const FORMATS = new Map<string, Intl.DateTimeFormat>();

/** A format is made once for a locale: to make one takes longer than a hundred uses of it. */
export function dateFormat(locale: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${locale} ${JSON.stringify(options)}`;
  const known = FORMATS.get(key);
  if (known) return known;
  const format = new Intl.DateTimeFormat(locale, options);
  FORMATS.set(key, format);
  return format;
}
