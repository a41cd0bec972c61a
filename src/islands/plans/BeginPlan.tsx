import { useState } from 'react';
import { callApi } from '../shared/api';

/** Puts the starter shelf into an empty workshop, and goes on to a new plan. */
export default function BeginPlan({ label }: { label: string }) {
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);

  async function begin() {
    setBusy(true);
    setProblem(null);
    const answer = await callApi<{ added: number }>('POST', '/api/shelf/starter', {});
    if (answer.success) location.assign('/plans?new');
    else {
      setBusy(false);
      setProblem(answer.error.detail);
    }
  }

  return (
    <>
      <button
        type="button"
        className="btn btn-primary btn-lg"
        disabled={isBusy}
        aria-busy={isBusy}
        onClick={begin}
      >
        {label}
      </button>
      {problem && (
        <p role="alert" className="text-error mt-2">
          {problem}
        </p>
      )}
    </>
  );
}
