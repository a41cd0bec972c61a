import { lazy, Suspense, useState } from 'react';
import type { Plan } from '../../core/plan/plan';
import { isFixedDose } from '../../core/plan/scalePlan';

const FixedDosesQuestion = lazy(() => import('./FixedDosesQuestion'));

interface Props {
  plan: Plan;
  /** The number of pieces that the fixed doses were typed for. */
  start: number;
}

/** A dose of `6 g` stays 6 g when the pieces change: said aloud, with the way to scale it. */
export function FixedDosesHint({ plan, start }: Props) {
  const fixed = plan.pours.flatMap((pour) => pour.doses.filter(isFixedDose));
  const names = fixed.map(({ text }) => text).join(', ');
  const [typed, setTyped] = useState({ names, pieces: start });
  // A fixed dose that was just typed is meant for the pieces as they are now.
  if (typed.names !== names) setTyped({ names, pieces: plan.pieces });
  const typedFor = typed.pieces;
  if (fixed.length === 0 || plan.pieces === typedFor) return null;
  return (
    <Suspense>
      <FixedDosesQuestion
        plan={plan}
        names={names}
        many={fixed.length > 1}
        typedFor={typedFor}
        onKeep={() => setTyped({ names, pieces: plan.pieces })}
      />
    </Suspense>
  );
}
