import { useEffect, useMemo, useState } from 'react';
import { type Progress, progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { callApi } from '../shared/api';
import { listenToChanges } from '../shared/changes';
import { useBenchWorld } from './benchWorld';
import { onThisBench, putOnThisBench, takeOffThisBench } from './onThisBench';

/** Another run that is made at this screen, and where it stands. */
export interface OtherRun {
  run: Run;
  so: Progress;
}

/** The other open runs that were opened at this screen, as they go on elsewhere and end. */
export function useOtherRuns(ownId: string): OtherRun[] {
  const isMade = useBenchWorld().rehearsal === null;
  const [runs, setRuns] = useState<readonly Run[]>([]);

  useEffect(() => {
    if (!isMade) return;
    putOnThisBench(ownId);
    const ids = onThisBench().filter((id) => id !== ownId);
    const refresh = async (id: string) => {
      const answer = await callApi<Run>('GET', `/api/runs/${encodeURIComponent(id)}`);
      if (answer.success)
        setRuns((all) =>
          all.some((each) => each.id === id)
            ? all.map((each) => (each.id === id ? answer.data : each))
            : [...all, answer.data],
        );
      // A workshop that was brought back may be without it.
      else if (answer.error.status === 404) takeOffThisBench(id);
    };
    return listenToChanges({
      onChange: ({ run: id }) => {
        if (ids.includes(id)) void refresh(id);
      },
      onThere: () => {
        for (const id of ids) void refresh(id);
      },
      onAway: () => undefined,
    });
  }, [ownId, isMade]);

  const all = useMemo(
    () =>
      runs
        .map((run) => ({ run, so: progress(run) }))
        .sort((a, b) => a.run.startedAt.localeCompare(b.run.startedAt)),
    [runs],
  );
  useEffect(() => {
    for (const { run, so } of all) if (so.ended) takeOffThisBench(run.id);
  }, [all]);
  return useMemo(() => all.filter(({ so }) => so.ended === null), [all]);
}
