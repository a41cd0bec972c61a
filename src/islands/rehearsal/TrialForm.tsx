import { useState } from 'react';
import type { Run } from '../../core/run/run';
import { parseFigure } from '../../core/units/parseFigure';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { callApi } from '../shared/api';
import { newId } from '../shared/newId';

/** Enough to look at, and little to lose. */
const USUAL_PIECES = 2;

/** A few pieces of a plan, for real: from the shelf, into the Logbook, marked as a trial. */
export function TrialForm({ run: { planId, snapshot } }: { run: Run }) {
  const { pieces: all } = snapshot.sheet;
  const rule = { unit: '', least: 1, most: all, whole: true };
  const [pieces, setPieces] = useState(String(Math.min(USUAL_PIECES, all)));
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const read = parseFigure(pieces, rule);

  async function start() {
    if (!read.success) return;
    setBusy(true);
    const id = newId();
    const answer = await callApi('POST', '/api/runs', { id, planId, trialPieces: read.data });
    if (answer.success) location.assign(`/bench/${id}`);
    else {
      setBusy(false);
      setProblem(answer.error.detail);
    }
  }

  return (
    <form
      className="plate m-auto flex w-full max-w-2xl flex-wrap items-end gap-4 p-6"
      noValidate
      aria-labelledby="trial"
      onSubmit={(event) => {
        event.preventDefault();
        void start();
      }}
    >
      <div className="basis-full">
        <h2 id="trial" className="text-xl font-semibold">
          Or make a few for real
        </h2>
        <p>
          A trial batch comes from the shelf and into the Logbook, marked as a trial. What went in otherwise
          is taken into the plan from there.
        </p>
      </div>
      <label>
        <span className="block font-semibold">Pieces</span>
        <input
          className={`input min-h-11 w-28 ${read.success ? '' : 'input-error'}`}
          inputMode="numeric"
          autoComplete="off"
          value={pieces}
          aria-invalid={!read.success}
          aria-describedby="trial-says"
          onChange={({ target }) => setPieces(target.value)}
        />
      </label>
      <button type="submit" className="btn btn-secondary min-h-11" disabled={busy} aria-busy={busy}>
        Start a trial batch
      </button>
      <p
        id="trial-says"
        className="text-error basis-full text-sm empty:hidden"
        role={problem ? 'alert' : undefined}
      >
        {read.success ? problem : explainFigureFault(read.error, rule)}
      </p>
    </form>
  );
}
