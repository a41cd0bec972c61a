import { Download } from 'lucide-react';
import { useState } from 'react';
import { counted, listed } from '../../words/en/plural';
import { showDay, showMoment } from '../../words/en/showTime';
import { type ApiAnswer, type ApiProblem, callApi } from '../shared/api';
import { FileButton } from '../shared/FileButton';
import { useShowing, withShowing } from '../shared/showing';
import { PlansOfCopy } from './PlansOfCopy';
import { type Second, SecondPlace } from './SecondPlace';

/** One of the workshop's own copies, as it is listed. */
export interface ListedCopy {
  name: string;
  kind: 'day' | 'step' | 'before';
  day: string;
  bytes: number;
}

interface Holds {
  plans: number;
  molds: number;
  materials: number;
  runs: number;
  changedAt: string | null;
}

interface LookedInto {
  id: string;
  at: string | null;
  holds: Holds;
}

interface Props {
  copies: ListedCopy[];
  second: Second | null;
  /** In which the copy is kept that was made before another was brought back. */
  keptAs: string | null;
}

const KINDS = {
  day: 'of the day',
  step: 'before a new version changed the file',
  before: 'before a copy was brought back',
} as const;

const MB = 1_000_000;

/** The whole workshop out as one file, and in again; its own copies, each to be looked into before it takes the place. */
function Copies({ copies, second, keptAs }: Props) {
  const { locale } = useShowing();
  const [found, setFound] = useState<{ of: string; copy: LookedInto } | null>(null);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [busy, setBusy] = useState<string | null>(null);

  async function look(of: string, asked: Promise<ApiAnswer<LookedInto>>) {
    setProblem(null);
    setFound(null);
    setBusy('Looking into it …');
    const answer = await asked;
    setBusy(null);
    if (answer.success) setFound({ of, copy: answer.data });
    else setProblem(answer.error);
  }

  async function bringBack({ id }: LookedInto) {
    setProblem(null);
    setBusy('Bringing it back …');
    const answer = await callApi<{ keptAs: string | null }>('POST', '/api/copies/bring-back', { id });
    if (answer.success) {
      location.assign(`/copies?kept=${encodeURIComponent(answer.data.keptAs ?? '')}`);
      return;
    }
    setBusy(null);
    setFound(null);
    setProblem(answer.error);
  }

  return (
    <div className="flex flex-col gap-4">
      {keptAs !== null && (
        <p role="status" className="plate border-success p-4">
          The copy is the workshop now. What was here before is kept below as <strong>{keptAs}</strong>, and
          comes back the same way.
        </p>
      )}
      <section className="plate flex flex-wrap items-center gap-4 p-4" aria-labelledby="out">
        <div className="min-w-60 flex-1">
          <h2 id="out" className="text-lg font-semibold">
            Take it along
          </h2>
          <p>Everything in one file, as it is now. Keep it on a stick, or on another machine.</p>
          <p className="quiet text-sm">
            In open formats it is JSON and CSV for other programs, and can be brought back here, too.
          </p>
        </div>
        <a className="btn btn-secondary" href="/api/copies/whole?in=open-formats" download>
          <Download size={20} aria-hidden="true" />
          In open formats
        </a>
        <a className="btn btn-primary" href="/api/copies/whole" download>
          <Download size={20} aria-hidden="true" />
          Save a copy
        </a>
      </section>
      <SecondPlace start={second} />
      <section className="plate p-4" aria-labelledby="in">
        <div className="flex flex-wrap items-center gap-4">
          <div className="min-w-60 flex-1">
            <h2 id="in" className="text-lg font-semibold">
              Bring back a copy
            </h2>
            <p>It is looked into first. What is here now is kept as a copy before another takes its place.</p>
          </div>
          <FileButton
            label="File with a copy"
            accept=".zip,.sqlite"
            busy={busy !== null}
            onFile={(file) => void look(file.name, sent(file))}
          >
            Choose a file
          </FileButton>
        </div>
        {busy && (
          <p role="status" className="mt-3">
            {busy}
          </p>
        )}
        {problem && (
          <p role="alert" className="text-error mt-3">
            {problem.detail}
          </p>
        )}
        {found && (
          <Found
            {...found}
            busy={busy !== null}
            onBringBack={() => void bringBack(found.copy)}
            onLeave={() => setFound(null)}
          />
        )}
        {copies.length === 0 ? (
          <p className="quiet mt-3">
            There is no copy here yet. The first is made by itself, soon after something is in the workshop.
          </p>
        ) : (
          <ul className="mt-3">
            {copies.map(({ name, kind, day, bytes }) => (
              <li
                key={name}
                className="border-base-300 flex min-h-13 flex-wrap items-center gap-x-4 border-t py-1 first:border-0"
              >
                <span className="min-w-48 flex-1">
                  <strong>{showDay(day, locale)}</strong> <span className="quiet">{KINDS[kind]}</span>
                </span>
                <span className="quiet text-sm">{`${(bytes / MB).toLocaleString(locale, { maximumFractionDigits: 1 })} MB`}</span>
                <button
                  type="button"
                  className="btn btn-secondary min-h-11"
                  disabled={busy !== null}
                  aria-label={`Look into it: ${showDay(day, locale)}, ${KINDS[kind]}`}
                  onClick={() => void look(name, callApi('POST', '/api/copies/look', { name }))}
                >
                  Look into it
                </button>
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}

interface FoundProps {
  of: string;
  copy: LookedInto;
  busy: boolean;
  onBringBack(): void;
  onLeave(): void;
}

function Found({ of, copy: { id, at, holds }, busy, onBringBack, onLeave }: FoundProps) {
  const { locale } = useShowing();
  const [isInPart, setIsInPart] = useState(false);
  const all = listed([
    counted(holds.plans, 'plan', 'plans'),
    counted(holds.molds, 'mold', 'molds'),
    counted(holds.materials, 'material', 'materials'),
    counted(holds.runs, 'run', 'runs'),
  ]);
  return (
    <div role="status" className="border-primary mt-3 rounded-lg border-2 p-4">
      <p className="font-semibold break-all">{of}</p>
      <p>
        {all}
        {holds.changedAt && `, last changed ${showMoment(holds.changedAt, locale)}`}
        {at && `, copied ${at.length > 10 ? showMoment(at, locale) : showDay(at, locale)}`}.
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary" disabled={busy} onClick={onBringBack}>
          Bring it back
        </button>
        {holds.plans > 0 && (
          <button
            type="button"
            className="btn btn-secondary"
            aria-expanded={isInPart}
            disabled={busy}
            onClick={() => setIsInPart(!isInPart)}
          >
            Some of its plans
          </button>
        )}
        <button type="button" className="btn btn-ghost" disabled={busy} onClick={onLeave}>
          Leave it
        </button>
      </div>
      {isInPart && <PlansOfCopy copyId={id} />}
    </div>
  );
}

/** Sends a file as it is: it may be larger than what is held in memory. */
async function sent(file: File): Promise<ApiAnswer<LookedInto>> {
  try {
    const answer = await fetch('/api/copies/look', {
      method: 'POST',
      body: file,
      headers: { 'content-type': 'application/octet-stream' },
    });
    const body = await answer.json();
    return answer.ok ? { success: true, data: body } : { success: false, error: body };
  } catch {
    const detail = 'Idle Tallow does not answer, or the file can’t be read. Nothing was changed.';
    return { success: false, error: { status: 0, code: 'unreachable', detail } };
  }
}

export default withShowing(Copies);
