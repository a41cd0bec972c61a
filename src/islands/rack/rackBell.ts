import type { RackCall } from '../../core/rack/rackCall';
import { callOnce } from '../bench/callOnce';
import { onThisBench } from '../bench/onThisBench';

/** Asked again at the least so often: another screen may have felt or taken out what was due. */
const ASKED_MS = 60_000;
const SOONEST_MS = 1_000;

interface Answer {
  nowMs: number;
  calls: (RackCall & { words: string })[];
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
    // Without the server nothing is known: it is asked again.
    const answer = await fetch('/api/rack/due').catch(() => null);
    const waitMs = answer?.ok ? tell(await answer.json()) : ASKED_MS;
    setTimeout(() => void ask(), waitMs);
  }

  function tell({ nowMs, calls }: Answer): number {
    const due = calls.filter(({ dueMs }) => dueMs <= nowMs);
    const [next] = calls.filter(({ dueMs }) => dueMs > nowMs);
    mark.hidden = due.length === 0;
    aloud.textContent = ' due on the rack';
    mark.replaceChildren(`${due.length}`, aloud);
    if (due.length > 0) call(due);
    else if (!isBench && document.title === shown) document.title = shown = title;
    return next ? Math.min(ASKED_MS, Math.max(SOONEST_MS, next.dueMs - nowMs)) : ASKED_MS;
  }

  function call(due: Answer['calls']) {
    const here = new Set(isBench ? onThisBench() : []);
    const calls = due.filter(({ runId }) => !here.has(runId));
    callOnce(calls);
    const [first] = calls;
    if (!isBench && first && document.title === shown) document.title = shown = `● ${first.words} – ${title}`;
  }

  void ask();
}
