import { useState } from 'react';
import { callApi } from '../shared/api';

/** Takes a product away after a second thought; its list has the way back. */
export function DeleteProduct({ id }: { id: string }) {
  const [sure, setSure] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const path = encodeURIComponent(id);
  async function remove() {
    const answer = await callApi('DELETE', `/api/products/${path}`);
    if (answer.success) location.assign(`/products?gone=${path}`);
    else setProblem(answer.error.detail);
  }
  return (
    <div>
      <button
        type="button"
        className={`btn min-h-11 ${sure ? 'btn-error' : 'btn-ghost text-error'}`}
        onClick={() => (sure ? void remove() : setSure(true))}
        onBlur={() => setSure(false)}
      >
        {sure ? 'Yes, delete it' : 'Delete this product'}
      </button>
      {problem && (
        <p role="alert" className="text-error text-sm">
          {problem}
        </p>
      )}
    </div>
  );
}
