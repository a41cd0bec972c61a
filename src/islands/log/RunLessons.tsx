import { useEffect, useState } from 'react';
import type { OfferedLesson } from '../../core/run/lessons';
import { keepWords, lessonWords } from '../../words/en/run/lessonWords';
import { callApi } from '../shared/api';
import { useShowing, withShowing } from '../shared/showing';
import { type Kept, keepLesson } from './keepLesson';

interface Props {
  runId: string;
}

/** What a run taught: each is kept, or taken back, by a press. */
function RunLessons({ runId }: Props) {
  const address = `/api/runs/${encodeURIComponent(runId)}/lessons`;
  const [lessons, setLessons] = useState<OfferedLesson[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [turn, setTurn] = useState(0);

  // biome-ignore lint/correctness/useExhaustiveDependencies: asked again by a press
  useEffect(() => {
    setProblem(null);
    void callApi<OfferedLesson[]>('GET', address).then((answer) => {
      if (answer.success) setLessons(answer.data);
      else setProblem(answer.error.detail);
    });
  }, [address, turn]);

  return (
    <section className="plate p-4" aria-labelledby="lessons">
      <h2 id="lessons" className="mb-1 font-semibold">
        What it taught
      </h2>
      {problem ? (
        <p role="alert" className="text-error flex flex-wrap items-center gap-2">
          {problem}
          <button type="button" className="btn btn-secondary min-h-11" onClick={() => setTurn(turn + 1)}>
            Try again
          </button>
        </p>
      ) : lessons === null ? (
        <p className="quiet" role="status">
          Looking at what was read, touched and counted …
        </p>
      ) : lessons.length === 0 ? (
        <p className="quiet">
          Nothing was read, touched or counted from which to learn. A thermometer in a jug, and the room,
          teach the next pour plan.
        </p>
      ) : (
        <ul className="flex flex-col gap-2">
          {lessons.map((lesson, place) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: they stay in their order
            <Offer key={place} runId={runId} lesson={lesson} />
          ))}
        </ul>
      )}
      {lessons?.some((lesson) => 'taught' in lesson) && (
        <p className="quiet mt-2 text-sm">Of a jug or a mold, what is kept last counts.</p>
      )}
    </section>
  );
}

function Offer({ runId, lesson }: Props & { lesson: OfferedLesson }) {
  const showing = useShowing();
  const [kept, setKept] = useState<Kept | null>(null);
  const [isKept, setIsKept] = useState(lesson.isKept);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const canKeep = !('taught' in lesson) || lesson.taught.success;

  async function change(how: 'keep' | 'undo') {
    setBusy(true);
    const answer = how === 'undo' && kept ? await kept.undo() : await keepLesson(runId, lesson);
    setBusy(false);
    setProblem(answer.success ? null : answer.error);
    if (!answer.success) return;
    setIsKept(how === 'keep');
    setKept(answer.data);
  }

  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className={`min-w-0 flex-1 basis-80 ${canKeep ? '' : 'quiet'}`}>
        {lessonWords(lesson, showing)}
      </span>
      {isKept ? (
        <span className="flex items-center gap-2" role="status">
          Kept
          {kept && (
            <button
              type="button"
              className="btn btn-ghost min-h-11"
              disabled={busy}
              onClick={() => change('undo')}
            >
              Undo
            </button>
          )}
        </span>
      ) : (
        canKeep && (
          <button
            type="button"
            className="btn btn-secondary min-h-11"
            disabled={busy}
            onClick={() => change('keep')}
          >
            {keepWords(lesson)}
          </button>
        )
      )}
      {problem && (
        <span role="alert" className="text-error w-full">
          {problem}
        </span>
      )}
    </li>
  );
}

export default withShowing(RunLessons);
