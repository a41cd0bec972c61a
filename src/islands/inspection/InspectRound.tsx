import { useMemo, useState } from 'react';
import type { Inspection } from '../../core/inspection/inspection';
import { progress } from '../../core/run/progress';
import type { Run, RunEvent } from '../../core/run/run';
import { sectionOf } from '../../core/section/section';
import { piecesOfRound } from '../../core/work/rounds';
import { Section } from '../section/Section';
import type { ApiProblem } from '../shared/api';
import { recordEvent } from '../shared/recordEvent';
import { useShowing, withShowing } from '../shared/showing';
import { Causes } from './Causes';
import { InspectionForm } from './InspectionForm';
import { InspectionList } from './InspectionList';
import { NetWeight } from './NetWeight';

interface Props {
  start: Run;
  /** From 0. */
  round: number;
}

/** A round of a run is looked at: how it came out, what was seen before, and what may have caused it. */
function InspectRound({ start, round }: Props) {
  const { locale } = useShowing();
  const [run, setRun] = useState(start);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [sending, setSending] = useState(false);
  const [isOpen, setIsOpen] = useState(true);
  const { sheet } = run.snapshot;
  const so = useMemo(() => progress(run), [run]);
  const own = useMemo(() => so.inspections.filter((each) => each.round === round), [so, round]);
  const section = useMemo(() => sectionOf(sheet), [sheet]);

  async function record(event: RunEvent): Promise<boolean> {
    setSending(true);
    const answer = await recordEvent(run.id, event);
    setSending(false);
    setProblem(answer.success ? null : answer.error);
    if (answer.success) setRun(answer.data);
    return answer.success;
  }

  const rounds = sheet.totals.rounds;
  const withdraw = ({ inspectionId }: Inspection) => void record({ kind: 'withdrawn', inspectionId });
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[1fr_22rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <h1 className="text-2xl font-semibold">
          Look at {sheet.planName}
          {rounds > 1 && `, round ${round + 1} of ${rounds}`}
        </h1>
        {problem && (
          <p role="alert" className="plate text-error p-3">
            {problem.detail}
          </p>
        )}
        {isOpen ? (
          <InspectionForm
            key={own.length}
            sheet={sheet}
            round={round}
            made={Math.ceil(piecesOfRound(sheet, round) - 1e-9)}
            before={own.at(-1) ?? null}
            sending={sending}
            onSave={(said) => {
              void record({ kind: 'inspected', ...said }).then((done) => done && setIsOpen(false));
            }}
          />
        ) : (
          <p role="status" className="plate live flex flex-wrap items-center gap-3 p-4 text-lg">
            <span className="flex-1">It is written down.</span>
            <a className="btn btn-primary" href="/rack">
              To the rack
            </a>
            <button type="button" className="btn btn-secondary" onClick={() => setIsOpen(true)}>
              Look at it again
            </button>
          </p>
        )}
        <Causes run={run} inspections={own} />
      </div>
      <aside className="flex min-w-0 flex-col gap-4">
        <div className="plate p-4">
          <div className="h-28">
            <Section section={section} locale={locale} thumbnail />
          </div>
          {run.code !== null && (
            <p className="mt-2">
              Batch <strong>{run.code}</strong>
            </p>
          )}
          {so.ended?.kind === 'finished' && (
            <p>
              <a
                className="link inline-flex min-h-11 items-center"
                href={`/log/${encodeURIComponent(run.id)}`}
              >
                In the Logbook
              </a>
            </p>
          )}
        </div>
        <NetWeight run={run} inspections={so.inspections} />
        <InspectionList run={run} inspections={own} sending={sending} onWithdraw={withdraw} />
      </aside>
    </div>
  );
}

export default withShowing(InspectRound);
