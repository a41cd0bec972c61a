import { useRef, useState } from 'react';
import type { Run, RunEvent } from '../../core/run/run';
import { type ApiProblem, callApi } from '../shared/api';

/**
 * A run and the way to add to it. An event counts when the server has it on the disk; one that got no answer is
 * sent again under its first id, so it can't happen twice.
 */
export function useRun(start: Run) {
  const [run, setRun] = useState(start);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [sending, setSending] = useState(false);
  const unanswered = useRef<{ id: string; text: string } | null>(null);
  const busy = useRef(false);

  async function record(event: RunEvent): Promise<boolean> {
    if (busy.current) return false;
    busy.current = true;
    setSending(true);
    const text = JSON.stringify(event);
    if (unanswered.current?.text !== text) unanswered.current = { id: crypto.randomUUID(), text };
    const answer = await callApi<Run>('POST', `/api/runs/${run.id}/events`, {
      eventId: unanswered.current.id,
      event,
    });
    busy.current = false;
    setSending(false);
    if (answer.success) {
      unanswered.current = null;
      setRun(answer.data);
      setProblem(null);
      return true;
    }
    // Someone ticked on another screen: show how it stands there, with the reason.
    if (answer.error.run) setRun(answer.error.run as Run);
    setProblem(answer.error);
    return false;
  }

  return { run, problem, sending, record };
}
