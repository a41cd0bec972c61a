import { momentAt } from '../../core/schedule/clock';

/** The zone of the clock here, of the IANA database. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** What the clocks of a zone show, to the minute, so many hours on: 2026-05-02T09:30. Here, where none is said. */
export function clockNow(zone: string = zoneHere(), hoursOn = 0): string {
  return momentAt(Date.now() + hoursOn * 3_600_000, zone);
}

/** The day here, ISO 8601. */
export const today = (): string => clockNow().slice(0, 10);
