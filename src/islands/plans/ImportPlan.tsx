import { lazy, Suspense, useState } from 'react';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { Choices, Met } from '../../formats/meeting';
import { type ApiAnswer, type ApiProblem, callApi } from '../shared/api';
import { FileButton } from '../shared/FileButton';

const MeetingList = lazy(async () => ({ default: (await import('../shared/MeetingList')).MeetingList }));

const LARGEST_BYTES = 1_000_000;

/** A file whose mold or materials are other here: what becomes of them is asked first. */
interface Meeting {
  file: unknown;
  name: string;
  met: Met[];
  choices: Choices;
}

/** Opens a plan file from this or another workshop. */
export default function ImportPlan() {
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [busy, setBusy] = useState(false);
  const [meeting, setMeeting] = useState<Meeting | null>(null);

  async function look(chosen: File) {
    setProblem(null);
    setMeeting(null);
    setBusy(true);
    const read = await contentOf(chosen);
    const met = read.success ? await callApi<Met[]>('POST', '/api/plans/meet', read.data) : read;
    if (read.success && met.success) {
      const isAsked = met.data.some(({ verdict }) => verdict === 'other');
      if (!isAsked) return take(read.data, {});
      setMeeting({ file: read.data, name: chosen.name, met: met.data, choices: {} });
    } else if (!met.success) setProblem(met.error);
    setBusy(false);
  }

  async function take(file: unknown, choices: Choices) {
    setBusy(true);
    const answer = await callApi<StoredPlan>('POST', '/api/plans/import?with=choices', { file, choices });
    setBusy(false);
    if (answer.success) location.assign(`/plans/${answer.data.id}`);
    else {
      setMeeting(null);
      setProblem(answer.error);
    }
  }

  return (
    <div className="flex flex-wrap items-center justify-end gap-2">
      <FileButton
        label="Plan file"
        accept=".json,application/json"
        busy={busy}
        onFile={(file) => void look(file)}
      >
        {busy ? 'Reading …' : 'Open a plan file'}
      </FileButton>
      {meeting && (
        <dialog
          ref={(dialog) => {
            if (dialog && !dialog.open) dialog.showModal();
          }}
          className="modal"
          aria-labelledby="meeting-title"
          onClose={() => setMeeting(null)}
        >
          <div className="modal-box max-w-3xl text-left">
            <h2 id="meeting-title" className="text-lg font-semibold">
              {meeting.name}: some of it is other here
            </h2>
            <Suspense fallback={<p role="status">Comparing …</p>}>
              <MeetingList
                met={meeting.met}
                choices={meeting.choices}
                onChoose={(choices) => setMeeting({ ...meeting, choices })}
              />
            </Suspense>
            <div className="flex flex-wrap gap-2">
              <button
                type="button"
                className="btn btn-primary"
                disabled={busy}
                onClick={() => void take(meeting.file, meeting.choices)}
              >
                Take the plan
              </button>
              <button
                type="button"
                className="btn btn-ghost"
                disabled={busy}
                onClick={() => setMeeting(null)}
              >
                Leave it
              </button>
            </div>
          </div>
        </dialog>
      )}
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

async function contentOf(file: File): Promise<ApiAnswer<unknown>> {
  const refused = (code: string, detail: string) => ({
    success: false as const,
    error: { status: 0, code, detail },
  });
  if (file.size > LARGEST_BYTES)
    return refused('too-large', 'It is over 1 MB. A plan file is a few kilobytes.');
  try {
    return { success: true, data: JSON.parse(await file.text()) };
  } catch {
    return refused('broken-json', 'It is not whole JSON. Save it again from the workshop it comes from.');
  }
}
