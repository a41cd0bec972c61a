import { useState } from 'react';
import { callApi } from './api';

interface Props {
  id: string;
  /** What it is. */
  what: string;
  /** Of its endpoint and its list, which has the way back. */
  path: 'products' | 'purchases';
}

/** Takes a record away after a second thought. */
export function DeleteRecord({ id, what, path }: Props) {
  const [sure, setSure] = useState(false);
  const [isGoing, setGoing] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const address = encodeURIComponent(id);
  async function remove() {
    setGoing(true);
    const answer = await callApi('DELETE', `/api/${path}/${address}`);
    if (answer.success) {
      location.assign(`/${path}?gone=${address}`);
      return;
    }
    setProblem(answer.error.detail);
    setGoing(false);
  }
  return (
    <div>
      <button
        type="button"
        disabled={isGoing}
        className={`btn min-h-11 ${sure ? 'btn-error' : 'btn-ghost text-error'}`}
        onClick={() => (sure ? void remove() : setSure(true))}
        onBlur={() => setSure(false)}
      >
        {sure ? 'Yes, delete it' : `Delete this ${what}`}
      </button>
      {problem && (
        <p role="alert" className="text-error text-sm">
          {problem}
        </p>
      )}
    </div>
  );
}
