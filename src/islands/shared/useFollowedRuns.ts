import { useEffect, useMemo, useState } from 'react';
import type { Run, RunEvent } from '../../core/run/run';
import { type ApiProblem, callApi } from './api';
import { listenToChanges } from './changes';
import { recordEvent } from './recordEvent';

/**
 * Runs as they go on at this screen and at others.
 *
 * @param withOthers runs that something happens to meanwhile come to them
 */
export function useFollowedRuns(start: readonly Run[], withOthers: boolean) {
  const [runs, setRuns] = useState(start);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [sending, setSending] = useState<string | null>(null);

  useEffect(() => {
    const refresh = async (id: string) => {
      const answer = await callApi<Run>('GET', `/api/runs/${encodeURIComponent(id)}`);
      if (answer.success) setRuns((all) => withRun(all, answer.data));
    };
    return listenToChanges({
      onChange: ({ run }) => {
        if (withOthers || start.some(({ id }) => id === run)) void refresh(run);
      },
      onThere: () => {
        for (const { id } of start) void refresh(id);
      },
      onAway: () => undefined,
    });
  }, [start, withOthers]);

  async function record(runId: string, event: RunEvent): Promise<boolean> {
    setSending(runId);
    const answer = await recordEvent(runId, event);
    setSending(null);
    setProblem(answer.success ? null : answer.error);
    if (answer.success) setRuns((all) => withRun(all, answer.data));
    return answer.success;
  }

  return { runs, problem, sending, record };
}

/** One run, likewise. */
export function useFollowedRun(start: Run) {
  const only = useMemo(() => [start], [start]);
  const { runs, problem, sending, record } = useFollowedRuns(only, false);
  return {
    run: runs[0] ?? start,
    problem,
    sending: sending !== null,
    record: (event: RunEvent) => record(start.id, event),
  };
}

function withRun(all: readonly Run[], run: Run): readonly Run[] {
  return all.some(({ id }) => id === run.id)
    ? all.map((each) => (each.id === run.id && run.events.length >= each.events.length ? run : each))
    : [...all, run];
}
