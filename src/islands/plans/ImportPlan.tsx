import { useState } from 'react';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { type ApiProblem, callApi } from '../shared/api';
import { FileButton } from '../shared/FileButton';

const LARGEST_BYTES = 1_000_000;

/** Opens a plan file from this or another workshop. */
export default function ImportPlan() {
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [busy, setBusy] = useState(false);

  async function take(file: File) {
    setProblem(null);
    setBusy(true);
    const answer = await send(file);
    setBusy(false);
    if (answer.success) location.assign(`/plans/${answer.data.id}`);
    else setProblem(answer.error);
  }

  return (
    <div className="flex flex-wrap items-center justify-end gap-2">
      <FileButton
        label="Plan file"
        accept=".json,application/json"
        busy={busy}
        onFile={(file) => void take(file)}
      >
        {busy ? 'Reading …' : 'Open a plan file'}
      </FileButton>
      {problem && (
        <div role="alert" className="plate text-error max-w-md p-3 text-sm">
          <p className="font-semibold">The file was not taken; nothing was changed.</p>
          {problem.errors ? (
            <ul className="ml-4 list-disc">
              {problem.errors.slice(0, 6).map(({ path, reason }) => (
                <li key={path + reason}>
                  <code>{path || 'file'}</code> {reason}
                </li>
              ))}
            </ul>
          ) : (
            <p>{problem.detail}</p>
          )}
        </div>
      )}
    </div>
  );
}

async function send(file: File) {
  const refused = (code: string, detail: string) => ({
    success: false as const,
    error: { status: 0, code, detail },
  });
  if (file.size > LARGEST_BYTES)
    return refused('too-large', 'It is over 1 MB. A plan file is a few kilobytes.');
  try {
    return await callApi<StoredPlan>('POST', '/api/plans/import', JSON.parse(await file.text()));
  } catch {
    return refused('broken-json', 'It is not whole JSON. Save it again from the workshop it comes from.');
  }
}
