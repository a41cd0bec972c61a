import { inTheWayWords } from '../../words/en/run/inTheWayWords';
import type { FaceProps } from './faceProps';

/** What the task takes that another run on the bench has, with a way to it. */
export function InTheWay({ task, seen }: FaceProps) {
  const held = seen.inTheWay(task.id);
  if (held.length === 0) return null;
  return (
    <ul className="my-2">
      {held.map((hold) => (
        <li key={`${hold.run.id} ${hold.fromTaskId}`} className="text-lg font-semibold" role="status">
          {inTheWayWords(hold, hold.run.snapshot.sheet)}{' '}
          <a
            className="link inline-flex min-h-11 items-center"
            href={`/bench/${encodeURIComponent(hold.run.id)}`}
          >
            To it
          </a>
        </li>
      ))}
    </ul>
  );
}
