import { useEffect, useMemo, useState } from 'react';
import type { HeatOnward } from '../../core/run/heatOnward';
import type { Onward } from '../../core/run/onward';
import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import type { JugReading } from '../../core/run/said';
import { inTheWay, onwardTogether } from '../../core/run/together';
import { useBenchWorld } from './benchWorld';
import { useHeats } from './useHeats';
import type { OtherRun } from './useOtherRuns';

/** What is late is looked at anew so often: it gets colder meanwhile. */
const LATE_EVERY_MS = 30_000;
const TICK_MS = 1000;
/** Where the clock may run fast. */
const FAST_TICK_MS = 250;

export interface OnwardNow extends Onward {
  nowMs: number;
  heat: HeatOnward | null;
  /** The other runs on the bench, made by the same hands. */
  others: readonly (OtherRun & { seen: Onward })[];
  /** What a task takes that another run has. */
  inTheWay(taskId: string): ReturnType<typeof inTheWay>;
}

const NOTHING_READ: readonly JugReading[] = [];

/**
 * The rest of a run by the clock, beside the others on the bench: anew with everything that happens.
 *
 * @param followed what a thermometer showed of jugs that it stands in
 */
export function useOnward(
  run: Run,
  so: Progress,
  followed: readonly JugReading[],
  others: readonly OtherRun[],
): OnwardNow {
  const { now, rehearsal } = useBenchWorld();
  const [nowMs, setNowMs] = useState(now);
  const everyMs = rehearsal ? FAST_TICK_MS : TICK_MS;
  const [isLate, setIsLate] = useState(false);
  const isOpen = so.ended === null;

  useEffect(() => {
    if (!isOpen) return;
    const timer = setInterval(() => setNowMs(now()), everyMs);
    return () => clearInterval(timer);
  }, [isOpen, now, everyMs]);

  const asked = useMemo(
    () => [
      ...(isOpen ? [{ run, readings: followed }] : []),
      ...others.map((other) => ({ run: other.run, readings: NOTHING_READ })),
    ],
    [isOpen, run, followed, others],
  );
  const heats = useHeats(asked, isLate ? Math.floor(nowMs / LATE_EVERY_MS) : 0);
  const heat = heats.get(run.id) ?? null;

  const runs = useMemo(
    () => [
      { run, so, heat },
      ...others.map((other) => ({ run: other.run, so: other.so, heat: heats.get(other.run.id) ?? null })),
    ],
    [run, so, heat, others, heats],
  );
  const seen = useMemo(() => onwardTogether(runs, nowMs), [runs, nowMs]);
  const late = seen.some(({ windows }) => windows.some(({ closesMs }) => closesMs < nowMs));
  if (late !== isLate) setIsLate(late);

  const [own, ...rest] = seen;
  if (!own) throw new RangeError('a bench without a run');
  return {
    ...own,
    nowMs,
    heat,
    others: others.flatMap((other, place) => {
      const each = rest[place];
      return each ? [{ ...other, seen: each }] : [];
    }),
    inTheWay: (taskId) => inTheWay(runs, 0, taskId),
  };
}
