const MINUTE_MS = 60_000;
/** Zones are applied from 1900 on: before that, they were local mean times. */
const [FIRST_MS, LAST_MS] = [Date.UTC(1900, 0, 2), Date.UTC(9999, 11, 30)];

const formats = new Map<string, Intl.DateTimeFormat>();

/** Swedish writes moments as ISO 8601 does, but for the space: 2026-03-29 02:30:00. */
function formatIn(zone: string): Intl.DateTimeFormat {
  const format =
    formats.get(zone) ??
    new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'medium' });
  formats.set(zone, format);
  return format;
}

/** How far the clocks of a zone are ahead of universal time at an instant, ms. */
function aheadMs(zone: string, instantMs: number): number {
  if (!(instantMs >= FIRST_MS && instantMs <= LAST_MS)) return 0;
  const shownMs = Date.parse(`${formatIn(zone).format(instantMs).replace(' ', 'T')}Z`);
  return shownMs - Math.floor(instantMs / 1000) * 1000;
}

/**
 * What the clocks of a zone show at an instant, as if it were universal time, ms.
 *
 * @param zone of the IANA database
 * @throws RangeError for one that is not
 */
export function shownMs(zone: string, instantMs: number): number {
  return instantMs + aheadMs(zone, instantMs);
}

/**
 * The instant at which the clocks of a zone show a moment, ms. Of one that they show twice the first; one that they leave
 * out counts on from before.
 */
export function instantMs(zone: string, momentMs: number): number {
  const day = 24 * 60 * MINUTE_MS;
  const before = momentMs - aheadMs(zone, momentMs - day);
  if (shownMs(zone, before) === momentMs) return before;
  const after = momentMs - aheadMs(zone, momentMs + day);
  return shownMs(zone, after) === momentMs ? after : before;
}
