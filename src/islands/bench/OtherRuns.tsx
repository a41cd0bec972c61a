import type { OnwardTask } from '../../core/run/onward';
import { countdown, nextWords, waitWords } from '../../words/en/run/onwardWords';
import { useShowing } from '../shared/showing';
import type { OnwardNow } from './useOnward';

/** A task that hands are asked for within so much is asked for now. */
const NOW_MS = 1000;

type Other = OnwardNow['others'][number];

/** What hands are asked for in another run, with its time; null where only its end is left. */
function inHandOf({ so, seen }: Other): OnwardTask | null {
  return seen.tasks.find(({ id }) => id === so.inHand?.id) ?? null;
}

/** The run that hands are asked for next, of the others. */
export function nextOther({ others }: OnwardNow): { other: Other; task: OnwardTask } | null {
  const asked = others.flatMap((other) => {
    const task = inHandOf(other);
    return task ? [{ other, task }] : [];
  });
  return asked.toSorted((a, b) => a.task.fromMs - b.task.fromMs)[0] ?? null;
}

/** The other runs on the bench: what each asks for or waits for. A press turns to it. */
export function OtherRuns({ seen }: { seen: OnwardNow }) {
  const first = nextOther(seen)?.other ?? seen.others[0];
  if (!first) return null;
  return (
    <ul className="flex gap-2 overflow-x-auto border-b border-base-300 py-1" aria-label="Also on the bench">
      {seen.others.map((other) => (
        <li key={other.run.id} className="flex-none">
          <OtherRunLink other={other} nowMs={seen.nowMs} isNext={other === first} />
        </li>
      ))}
    </ul>
  );
}

function OtherRunLink({ other, nowMs, isNext }: { other: Other; nowMs: number; isNext: boolean }) {
  const { locale } = useShowing();
  const { id, snapshot } = other.run;
  const task = inHandOf(other);
  const [wait] = other.seen.waits;
  const isDue = task !== null && task.fromMs - nowMs < NOW_MS;
  const isOver = wait !== undefined && wait.toMs <= nowMs;
  return (
    <a
      href={`/bench/${encodeURIComponent(id)}`}
      data-other={id}
      data-other-next={isNext ? '' : undefined}
      className={`flex min-h-11 max-w-96 items-center gap-2 rounded-lg border-2 px-3 ${isDue || isOver ? 'live border-primary' : 'border-base-300'}`}
    >
      <span className="truncate font-semibold">{snapshot.sheet.planName}</span>
      <span className="flex-none">
        {isDue || !wait
          ? task
            ? nextWords(task, snapshot.sheet, nowMs, locale)
            : 'To the Logbook'
          : `${waitWords(wait, snapshot.sheet, isOver)} ${isOver ? '' : countdown(wait.toMs - nowMs)}`}
      </span>
    </a>
  );
}
