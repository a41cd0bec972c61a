import { useState } from 'react';
import type { Plan } from '../../core/plan/plan';
import { isFixedDose, scaleFixedDoses } from '../../core/plan/scalePlan';
import { usePlanPage } from './planContext';

interface Props {
  plan: Plan;
  /** The number of pieces that the fixed doses were typed for. */
  start: number;
}

/** A dose of `6 g` stays 6 g when the pieces change: said aloud, with the way to scale it. */
export function FixedDosesHint({ plan, start }: Props) {
  const { edit } = usePlanPage();
  const fixed = plan.pours.flatMap((pour) => pour.doses.filter(isFixedDose));
  const names = fixed.map(({ text }) => text).join(', ');
  const [typed, setTyped] = useState({ names, pieces: start });
  // A fixed dose that was just typed is meant for the pieces as they are now.
  if (typed.names !== names) setTyped({ names, pieces: plan.pieces });
  const typedFor = typed.pieces;
  if (fixed.length === 0 || plan.pieces === typedFor) return null;
  const keep = () => setTyped({ names, pieces: plan.pieces });
  return (
    <div role="status" className="live mt-2 flex flex-wrap items-center gap-2 rounded-lg p-2 text-sm">
      <p className="min-w-40 flex-1">
        {names} {fixed.length === 1 ? 'is' : 'are'} still as typed for {typedFor}{' '}
        {typedFor === 1 ? 'piece' : 'pieces'}.
      </p>
      <button
        type="button"
        className="btn btn-sm btn-primary min-h-11"
        onClick={() => edit(scaleFixedDoses(plan, plan.pieces / typedFor), `scale fixed ${Date.now()}`)}
      >
        Scale to {plan.pieces}
      </button>
      <button type="button" className="btn btn-sm btn-ghost min-h-11" onClick={keep}>
        Keep as typed
      </button>
    </div>
  );
}
