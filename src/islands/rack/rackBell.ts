import type { RackCall } from '../../core/rack/rackCall';
import { onThisBench } from '../bench/onThisBench';
import { callApi } from '../shared/api';

/** Asked again at the least so often: another screen may have felt or taken out what was due. */
const ASKED_MS = 60_000;
const SOONEST_MS = 1_000;

interface Answer {
  nowMs: number;
  calls: RackCall[];
}

/**
 * Calls to the rack from whatever page is open, and marks its station with how much is due.
 *
 * @param mark holds how many are due; hidden while none is
 * @param isBench what is made at this screen calls by itself there, and the title is the bench's
 */
export function rackBell(mark: HTMLElement, isBench: boolean): void {
  const title = document.title;
  let shown = title;
  const aloud = document.createElement('span');
  aloud.className = 'sr-only';

  async function ask() {
    const answer = await callApi<Answer>('GET', '/api/rack/due');
    // Without the server nothing is known: it is asked again.
    const waitMs = answer.success ? await tell(answer.data) : ASKED_MS;
    setTimeout(() => void ask(), waitMs);
  }

  async function tell({ nowMs, calls }: Answer): Promise<number> {
    const due = calls.filter(({ dueMs }) => dueMs <= nowMs);
    const [next] = calls.filter(({ dueMs }) => dueMs > nowMs);
    mark.hidden = due.length === 0;
    aloud.textContent = ' due on the rack';
    mark.replaceChildren(`${due.length}`, aloud);
    if (due.length > 0) await call(due);
    else if (!isBench && document.title === shown) document.title = shown = title;
    return next ? Math.min(ASKED_MS, Math.max(SOONEST_MS, next.dueMs - nowMs)) : ASKED_MS;
  }

  async function call(due: readonly RackCall[]) {
    const [{ callOnce }, { callWords }] = await Promise.all([
      import('../bench/callOnce'),
      import('../../words/en/rack/rackWords'),
    ]);
    const here = new Set(isBench ? onThisBench() : []);
    const calls = due
      .filter(({ runId }) => !here.has(runId))
      .map((each) => ({ runId: each.runId, id: each.id, words: callWords(each) }));
    callOnce(calls);
    const [first] = calls;
    if (!isBench && first && document.title === shown) document.title = shown = `● ${first.words} – ${title}`;
  }

  void ask();
}
