import type { Result } from '../../core/result';
import type { Run, RunEvent } from '../../core/run/run';
import { type ApiProblem, callApi } from './api';
import { newId } from './newId';

/** Adds what happened to a run at the server; answers the run with it. */
export function recordEvent(runId: string, event: RunEvent): Promise<Result<Run, ApiProblem>> {
  const path = `/api/runs/${encodeURIComponent(runId)}/events`;
  return callApi<Run>('POST', path, { eventId: newId(), event, occurredAt: new Date().toISOString() });
}
