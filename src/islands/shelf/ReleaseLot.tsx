import { useState } from 'react';
import { callApi } from '../shared/api';
import type { LotView } from './lotView';

interface Props {
  view: LotView;
  onSaved(view: LotView): void;
}

/** Takes a lot that was put aside into use. */
export function ReleaseLot({ view: { item, revision }, onSaved }: Props) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  async function release() {
    setBusy(true);
    const { heldFor: _, ...released } = item;
    const answer = await callApi<LotView>('PUT', `/api/lots/${encodeURIComponent(item.id)}`, {
      item: released,
      revision,
    });
    setBusy(false);
    setProblem(answer.success ? null : answer.error.detail);
    if (answer.success) onSaved(answer.data);
  }
  return (
    <>
      <button
        type="button"
        className="btn btn-sm btn-primary min-h-11"
        disabled={busy}
        onClick={() => void release()}
      >
        Release it
      </button>
      {problem && (
        <p role="alert" className="text-error w-full text-sm">
          {problem}
        </p>
      )}
    </>
  );
}
