const MINUTE_MS = 60_000;
/** Zones are applied from 1900 on: before that, they were local mean times. */
const [FIRST_MS, LAST_MS] = [Date.UTC(1900, 0, 2), Date.UTC(9999, 11, 30)];

const formats = new Map<string, Intl.DateTimeFormat>();

function formatIn(zone: string): Intl.DateTimeFormat {
  const format =
    formats.get(zone) ??
    new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      second: '2-digit',
    });
  formats.set(zone, format);
  return format;
}

/** How far the clocks of a zone are ahead of universal time at an instant, ms. */
function aheadMs(zone: string, instantMs: number): number {
  if (!(instantMs >= FIRST_MS && instantMs <= LAST_MS)) return 0;
  const part = new Map(
    formatIn(zone)
      .formatToParts(instantMs)
      .map(({ type, value }) => [type, Number(value)]),
  );
  const shownMs = Date.UTC(
    part.get('year') ?? 0,
    (part.get('month') ?? 1) - 1,
    part.get('day') ?? 1,
    part.get('hour') ?? 0,
    part.get('minute') ?? 0,
    part.get('second') ?? 0,
  );
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
