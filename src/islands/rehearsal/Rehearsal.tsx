import { useState } from 'react';
import type { Run } from '../../core/run/run';
import { callApi } from '../shared/api';
import { withShowing } from '../shared/showing';
import { RehearsalSetup } from './RehearsalSetup';
import { Rehearsing } from './Rehearsing';
import type { Setup } from './setup';
import { TrialForm } from './TrialForm';

interface Props {
  start: Run;
}

/** A batch made with instruments that are not there: set up, made, and told what would have come of it. */
function Rehearsal({ start }: Props) {
  const [going, setGoing] = useState<{ run: Run; setup: Setup } | null>(null);
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
    setGoing({
      run: { ...start, snapshot, id: `rehearsal-${Date.now()}`, startedAt: new Date().toISOString() },
      setup,
    });
  }

  if (!going)
    return (
      <div className="flex h-full flex-col gap-4 overflow-y-auto p-6">
        <RehearsalSetup run={start} busy={busy} problem={problem} onBegin={begin} />
        <TrialForm run={start} />
      </div>
    );
  return <Rehearsing key={going.run.id} {...going} onAgain={() => setGoing(null)} />;
}

export default withShowing(Rehearsal);
