import type { Making } from '../plan/making';
import type { PourPlan } from './pourPlan';

const MINUTE_MS = 60_000;

/** Local moments have no zone: they are counted as if in one without summer time. */
export function msOfMoment(moment: string): number {
  return Date.parse(`${moment}Z`);
}

/** The first and the last minute that a moment can be written for. */
const [FIRST_MS, LAST_MS] = [msOfMoment('0000-01-01T00:00'), msOfMoment('9999-12-31T23:59')];

/** A moment so many seconds later, to the minute; the last there is where it would be after that. */
export function later(moment: string, seconds: number): string {
  const ms = Math.round(msOfMoment(moment) / MINUTE_MS + seconds / 60) * MINUTE_MS;
  return new Date(Math.min(LAST_MS, Math.max(FIRST_MS, ms))).toISOString().slice(0, 16);
}

/** Seconds from one moment to another. */
export function secondsBetween(from: string, to: string): number {
  return (msOfMoment(to) - msOfMoment(from)) / 1000;
}

/**
 * When the first action is: as the plan says, or so late that everything is done by its time nine times in ten; null where
 * the plan has no clock.
 */
export function beginsAt({ done }: Pick<PourPlan, 'done'>, clock: Making['clock']): string | null {
  if (clock === null) return null;
  // Rounded down: a minute too early is never too late.
  return clock.at === 'start' ? clock.time : later(clock.time, -Math.ceil(done.high / 60) * 60);
}
