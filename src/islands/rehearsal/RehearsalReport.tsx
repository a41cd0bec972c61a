import { useEffect, useState } from 'react';
import type { Mishap } from '../../core/rehearsal/mishaps';
import type { Outcome } from '../../core/run/outcome';
import { progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import {
  bondWords,
  dareAfterwards,
  mishapAfterwards,
  outcomeWords,
} from '../../words/en/rehearsal/rehearsalWords';
import type { RehearsalAnswer, RehearsalRequest } from '../../workers/rehearsalProtocol';
import { FindingTitle } from '../shared/FindingTitle';
import { useShowing } from '../shared/showing';
import type { Setup, Way } from './setup';

interface Props {
  run: Run;
  setup: Setup;
  mishaps: readonly Mishap[];
  back: Way;
  onAgain(): void;
}

/** What a rehearsal came to: bond by bond, by limits and time, and what to do otherwise. */
export function RehearsalReport({ run, setup, mishaps, back, onAgain }: Props) {
  const told = useRehearsed(run, mishaps);
  return (
    <div className="h-full overflow-y-auto p-6">
      <section className="plate m-auto flex max-w-3xl flex-col gap-4 p-6" aria-labelledby="came-out">
        <h1 id="came-out" className="text-2xl font-semibold">
          How {run.snapshot.sheet.planName} would have come out
        </h1>
        {told === 'working' ? (
          <p role="status">Following its heat …</p>
        ) : told === null ? (
          <p role="alert" className="text-error">
            Its heat can’t be followed. Rehearse it again.
          </p>
        ) : (
          <Told run={run} setup={setup} mishaps={mishaps} told={told} />
        )}
        <div className="flex flex-wrap gap-3">
          <button type="button" className="btn btn-primary btn-lg" onClick={onAgain}>
            Rehearse it again
          </button>
          <a className="btn btn-secondary btn-lg" href={back.href}>
            {back.label}
          </a>
        </div>
      </section>
    </div>
  );
}

function Told({ run, setup, mishaps, told }: Omit<Props, 'back' | 'onAgain'> & { told: Outcome }) {
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const { tasks } = progress(run);
  const hasRounds = told.bonds.some(({ round }) => round > 0);
  return (
    <>
      {told.bonds.length > 0 && (
        <ul className="flex flex-col gap-2" aria-label="Bonds">
          {told.bonds.map((each) => {
            const { title, sentence } = bondWords(each, showing);
            const isWhole = each.bond === 'good' || each.bond === 'deep';
            return (
              <li key={`${each.round} ${each.above}`} data-bond={each.bond}>
                <strong className={isWhole ? '' : 'text-error'}>
                  {hasRounds && `Round ${each.round + 1}: `}
                  {title}.
                </strong>{' '}
                {sentence}
              </li>
            );
          })}
        </ul>
      )}
      <ul className="list-disc pl-5" aria-label="Else">
        {told.over.map(({ finding }) => (
          <li key={`${finding.code} ${finding.about}`} className="text-error">
            <FindingTitle found={finding} />
          </li>
        ))}
        {outcomeWords(told, sheet, showing).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {(setup.dare !== null || mishaps.length > 0) && (
        <>
          <h2 className="text-lg font-semibold">What went wrong</h2>
          <ul className="list-disc pl-5">
            {setup.dare !== null && <li>{dareAfterwards(setup.dare, tasks)}</li>}
            {mishaps.map((mishap) => (
              <li key={mishap.kind}>{mishapAfterwards(mishap, tasks, sheet)}</li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** Worked out beside the page. */
function useRehearsed(run: Run, mishaps: readonly Mishap[]): RehearsalAnswer | 'working' {
  const [told, setTold] = useState<RehearsalAnswer | 'working'>('working');
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/rehearsal.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = ({ data }: MessageEvent<RehearsalAnswer>) => setTold(data);
    worker.onerror = () => setTold(null);
    worker.postMessage({ run, mishaps } satisfies RehearsalRequest);
    return () => worker.terminate();
  }, [run, mishaps]);
  return told;
}
