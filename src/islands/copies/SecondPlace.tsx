import { type SubmitEvent, useState } from 'react';
import { showDay } from '../../words/en/showTime';
import { callApi } from '../shared/api';
import { useShowing } from '../shared/showing';

/** The second place of the daily copies, as it stands. */
export interface Second {
  folder: string;
  lastDay: string | null;
  fault: string | null;
}

/** A folder elsewhere, such as on a stick, into which each daily copy is put besides. */
export function SecondPlace({ start }: { start: Second | null }) {
  const { locale } = useShowing();
  const [second, setSecond] = useState(start);
  const [text, setText] = useState(start?.folder ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  async function choose(folder: string | null) {
    setBusy(true);
    const answer = await callApi<{ second: Second | null }>('PUT', '/api/copies/second-place', { folder });
    setBusy(false);
    setProblem(answer.success ? null : answer.error.detail);
    if (!answer.success) return;
    setSecond(answer.data.second);
    setText(answer.data.second?.folder ?? '');
  }
  function submit(event: SubmitEvent) {
    event.preventDefault();
    void choose(text.trim() === '' ? null : text.trim());
  }
  return (
    <section className="plate p-4" aria-labelledby="second">
      <h2 id="second" className="text-lg font-semibold">
        A second place
      </h2>
      <p>A folder on a stick, or one that is synced elsewhere: each daily copy is put there, too.</p>
      <form className="mt-2 flex flex-wrap items-end gap-2" onSubmit={submit}>
        <label className="min-w-60 flex-1 text-sm font-semibold">
          Folder
          <input
            className="input min-h-11 w-full font-normal"
            value={text}
            placeholder="/media/stick/tallow"
            spellCheck={false}
            aria-invalid={problem !== null}
            aria-describedby="second-says"
            onChange={({ target }) => setText(target.value)}
          />
        </label>
        <button type="submit" className="btn btn-secondary min-h-11" disabled={busy}>
          {busy ? 'Copying …' : 'Copy there, too'}
        </button>
        {second && (
          <button
            type="button"
            className="btn btn-ghost min-h-11"
            disabled={busy}
            onClick={() => void choose(null)}
          >
            No second place
          </button>
        )}
      </form>
      <p
        id="second-says"
        role="status"
        className={problem || second?.fault ? 'text-error text-sm' : 'quiet text-sm'}
      >
        {problem ??
          (second?.fault
            ? `No copy is made there: ${second.fault}.`
            : second?.lastDay
              ? `The last copy there is of ${showDay(second.lastDay, locale)}.`
              : second
                ? 'The first copy is put there as soon as there is one.'
                : '')}
      </p>
    </section>
  );
}
