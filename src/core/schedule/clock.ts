import type { Making } from '../plan/making';
import type { PourPlan } from './pourPlan';
import { instantMs, shownMs } from './zone';

const MINUTE_MS = 60_000;

/** A moment of the clock on the wall as if it were universal time, ms. */
export function msOfMoment(moment: string): number {
  return Date.parse(`${moment}Z`);
}

/** Where no zone is known, clocks are taken as ones without summer time. */
const instantOf = (moment: string, zone: string | undefined) =>
  zone === undefined ? msOfMoment(moment) : instantMs(zone, msOfMoment(moment));

/** The first and the last minute that a moment can be written for. */
const [FIRST_MS, LAST_MS] = [msOfMoment('0000-01-01T00:00'), msOfMoment('9999-12-31T23:59')];

/**
 * A moment so many seconds later, to the minute; the last there is where it would be after that.
 *
 * @param zone whose clocks are put forward and back; left out, they are not
 */
export function later(moment: string, seconds: number, zone?: string): string {
  return momentAt(instantOf(moment, zone) + seconds * 1000, zone);
}

/** What the clocks of a zone show at an instant, to the minute. */
export function momentAt(instant: number, zone?: string): string {
  const rounded = Math.round(instant / MINUTE_MS) * MINUTE_MS;
  const ms = zone === undefined ? rounded : shownMs(zone, rounded);
  return new Date(Math.min(LAST_MS, Math.max(FIRST_MS, ms))).toISOString().slice(0, 16);
}

/** Seconds from one moment to another. */
export function secondsBetween(from: string, to: string, zone?: string): number {
  return (instantOf(to, zone) - instantOf(from, zone)) / 1000;
}

/**
 * When the first action is: as the plan says, or so late that everything is done by its time nine times in ten; null where
 * the plan has no clock.
 */
export function beginsAt({ done }: Pick<PourPlan, 'done'>, clock: Making['clock']): string | null {
  if (clock === null) return null;
  // Rounded down: a minute too early is never too late.
  return clock.at === 'start' ? clock.time : later(clock.time, -Math.ceil(done.high / 60) * 60, clock.zone);
}
