import { useState } from 'react';
import type { Run } from '../../core/run/run';
import { callApi } from '../shared/api';
import { withShowing } from '../shared/showing';
import { forgetRehearsal, keptRehearsal, type UnderWay } from './keptRehearsal';
import { RehearsalSetup } from './RehearsalSetup';
import { Rehearsing } from './Rehearsing';
import type { Setup } from './setup';
import { TrialForm } from './TrialForm';

interface Props {
  start: Run;
}

/** A batch made with instruments that are not there: set up, made, and told what would have come of it. */
function Rehearsal({ start }: Props) {
  const [going, setGoing] = useState<UnderWay | null>(() => keptRehearsal(start));
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);

  async function begin(setup: Setup) {
    setProblem(null);
    let snapshot = start.snapshot;
    if (setup.dare === 'small-jug') {
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

  if (!going)
    return (
      <div className="flex h-full flex-col gap-4 overflow-y-auto p-6">
        <RehearsalSetup run={start} busy={busy} problem={problem} onBegin={begin} />
        <TrialForm run={start} />
      </div>
    );
  return <Rehearsing key={going.run.id} start={going} onAgain={again} />;
}

export default withShowing(Rehearsal);
