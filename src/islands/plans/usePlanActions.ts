import { useState } from 'react';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { callApi } from '../shared/api';

const LONGEST_NAME = 113;

/** Ways to leave the workspace, with everything saved; `problem` says why one did not go. */
export function usePlanActions(id: string, flush: () => Promise<boolean>) {
  const [problem, setProblem] = useState<string | null>(null);

  async function follow(address: string) {
    if (await flush()) location.assign(address);
  }

  async function toTheBench() {
    setProblem(null);
    if (!(await flush())) return;
    const runId = crypto.randomUUID();
    const answer = await callApi('POST', '/api/runs', { id: runId, planId: id });
    if (answer.success) location.assign(`/bench/${runId}`);
    else setProblem(answer.error.detail);
  }

  async function openNew(path: string, body?: unknown) {
    const answer = await callApi<StoredPlan>('POST', path, body);
    if (answer.success) location.assign(`/plans/${answer.data.id}`);
    else setProblem(answer.error.detail);
  }

  async function duplicate() {
    if (await flush()) await openNew(`/api/plans/${id}/duplicate`);
  }

  const saveCopy = (mine: Plan) =>
    openNew('/api/plans', { ...mine, name: `${mine.name.slice(0, LONGEST_NAME)} (mine)` });

  return {
    problem,
    print: () => follow(`/plans/${id}/sheet`),
    exportFile: () => follow(`/api/plans/${id}/export`),
    toTheBench,
    duplicate,
    saveCopy,
  };
}
