import { ring } from './ring';

/** Something that is over or due, and calls. */
export interface Call {
  runId: string;
  /** Of the run. */
  id: string;
  words: string;
}

const calledKey = (runId: string) => `tallow.called.${runId}`;

/** What of a run was called, whichever page called it. */
function calledOf(runId: string): string[] {
  return (localStorage.getItem(calledKey(runId)) ?? '').split(' ');
}

/**
 * Rings once for all that was not called yet, with a notification where that is allowed.
 *
 * @returns what was called now, in words
 */
export function callOnce(over: readonly Call[]): string {
  const fresh = over.filter((each) => !calledOf(each.runId).includes(each.id));
  if (fresh.length === 0) return '';
  for (const { runId, id } of fresh)
    localStorage.setItem(calledKey(runId), [...calledOf(runId), id].join(' '));
  const words = fresh.map((each) => each.words).join(', ');
  ring();
  notify(words);
  return words;
}

function notify(words: string): void {
  try {
    if ('Notification' in window && Notification.permission === 'granted' && document.hidden)
      new Notification(words);
  } catch {
    // Some browsers have it for service workers only.
  }
}
