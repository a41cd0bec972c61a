import { useEffect, useState } from 'react';
import type { Run, RunEvent } from '../../core/run/run';
import { type ApiProblem, callApi } from '../shared/api';
import { listenToChanges } from '../shared/changes';
import { recordEvent } from '../shared/recordEvent';

/** Runs on the rack, as they go on at this screen and at others. */
export function useRackRuns(start: readonly Run[]) {
  const [runs, setRuns] = useState(start);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [sending, setSending] = useState<string | null>(null);

  useEffect(() => {
    const refresh = async (id: string) => {
      const answer = await callApi<Run>('GET', `/api/runs/${encodeURIComponent(id)}`);
      if (answer.success) setRuns((all) => withRun(all, answer.data));
    };
    return listenToChanges({
      onChange: ({ run }) => void refresh(run),
      onThere: () => {
        for (const { id } of start) void refresh(id);
      },
      onAway: () => undefined,
    });
  }, [start]);

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

function withRun(all: readonly Run[], run: Run): readonly Run[] {
  return all.some(({ id }) => id === run.id)
    ? all.map((each) => (each.id === run.id && run.events.length >= each.events.length ? run : each))
    : [...all, run];
}
