import { startOfISOWeek } from 'date-fns/startOfISOWeek';

/** So many days, weeks and months have a copy each, counted back over those that have one. */
export const KEPT = { days: 7, weeks: 4, months: 12 };

/** Which daily copies are kept: the newest of each of the last days, weeks and months that have one. */
export function daysToKeep(days: readonly string[]): Set<string> {
  const newestFirst = [...new Set(days)].sort().reverse();
  const newestOf = (bucket: (day: string) => string, most: number) => {
    const byBucket = new Map<string, string>();
    for (const day of newestFirst) if (!byBucket.has(bucket(day))) byBucket.set(bucket(day), day);
    return [...byBucket.values()].slice(0, most);
  };
  return new Set([
    ...newestOf((day) => day, KEPT.days),
    ...newestOf((day) => startOfISOWeek(new Date(`${day}T12:00`)).toDateString(), KEPT.weeks),
    ...newestOf((day) => day.slice(0, 7), KEPT.months),
  ]);
}
