import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { callApi } from '../shared/api';
import { newId } from '../shared/newId';

const LONGEST_NAME = 113;

interface About {
  id: string;
  /** Saves what is not saved yet; false where that fails. */
  flush(): Promise<boolean>;
  onProblem(says: string | null): void;
}

async function follow({ flush }: About, address: string): Promise<void> {
  if (await flush()) location.assign(address);
}

async function openNew({ onProblem }: About, path: string, body?: unknown): Promise<void> {
  const answer = await callApi<StoredPlan>('POST', path, body);
  if (answer.success) location.assign(`/plans/${answer.data.id}`);
  else onProblem(answer.error.detail);
}

export function print(about: About): Promise<void> {
  return follow(about, `/plans/${about.id}/sheet`);
}

export function rehearse(about: About): Promise<void> {
  return follow(about, `/plans/${about.id}/rehearsal`);
}

export function exportFile(about: About): Promise<void> {
  return follow(about, `/api/plans/${about.id}/export`);
}

export async function duplicate(about: About): Promise<void> {
  if (await about.flush()) await openNew(about, `/api/plans/${about.id}/duplicate`);
}

export function saveCopy(about: About, mine: Plan): Promise<void> {
  return openNew(about, '/api/plans', { ...mine, name: `${mine.name.slice(0, LONGEST_NAME)} (mine)` });
}

export async function toTheBench({ id, flush, onProblem }: About): Promise<void> {
  onProblem(null);
  if (!(await flush())) return;
  const runId = newId();
  const answer = await callApi('POST', '/api/runs', { id: runId, planId: id });
  if (answer.success) location.assign(`/bench/${runId}`);
  else onProblem(answer.error.detail);
}
