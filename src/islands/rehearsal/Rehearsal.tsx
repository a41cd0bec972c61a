import { useState } from 'react';
import type { Dare } from '../../core/rehearsal/dares';
import type { Run } from '../../core/run/run';
import { callApi } from '../shared/api';
import { withStart } from '../shared/pageData';
import { withShowing } from '../shared/showing';
import { forgetRehearsal, keptRehearsal, type UnderWay } from './keptRehearsal';
import { PracticeSetup } from './PracticeSetup';
import { RehearsalSetup } from './RehearsalSetup';
import { Rehearsing } from './Rehearsing';
import type { Setup } from './setup';
import { TrialForm } from './TrialForm';

interface Props {
  start: Run;
  /** The mistake that its plan was made for; left out for a plan of the workshop. */
  practice?: Dare;
}

/** A batch made with instruments that are not there: set up, made, and told what would have come of it. */
function Rehearsal({ start, practice }: Props) {
  const [going, setGoing] = useState<UnderWay | null>(() => keptRehearsal(start));
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);

  async function begin(setup: Setup) {
    setProblem(null);
    let snapshot = start.snapshot;
    if (setup.dare === 'small-jug' && !practice) {
      setBusy(true);
      const path = `/api/plans/${encodeURIComponent(start.planId)}/rehearsal?jugs=smallest`;
      const answer = await callApi<Run>('GET', path);
      setBusy(false);
      if (!answer.success) {
        setProblem(answer.error.detail);
        return;
      }
      ({ snapshot } = answer.data);
    }
    const atMs = Date.now();
    const startedAt = new Date(atMs).toISOString();
    setGoing({
      run: { ...start, snapshot, id: `rehearsal-${atMs}`, startedAt },
      ...{ setup, happened: [], atMs },
    });
  }

  function again() {
    forgetRehearsal(start.planId);
    setGoing(null);
  }

  const back = practice
    ? { href: '/bench#practise', label: 'Other mistakes' }
    : { href: `/plans/${encodeURIComponent(start.planId)}`, label: 'Back to the plan' };
  if (!going)
    return (
      <div className="flex h-full flex-col gap-4 overflow-y-auto p-6">
        {practice ? (
          <PracticeSetup dare={practice} back={back} onBegin={begin} />
        ) : (
          <>
            <RehearsalSetup run={start} back={back} busy={busy} problem={problem} onBegin={begin} />
            <TrialForm run={start} />
          </>
        )}
      </div>
    );
  return <Rehearsing key={going.run.id} start={going} back={back} onAgain={again} />;
}

export default withShowing(withStart('run', Rehearsal));
