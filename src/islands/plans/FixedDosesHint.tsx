import { lazy, Suspense, useState } from 'react';
import { isFixedDose } from '../../core/plan/fixedDose';
import { howMuch } from '../../core/plan/howMuch';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';

const FixedDosesQuestion = lazy(() => import('./FixedDosesQuestion'));

interface Props {
  plan: Plan;
  sheet: Sheet | null;
  /** The plan that the fixed doses were typed for. */
  start: Plan;
}

/** A dose of `6 g` stays 6 g when the pieces change, or the weight: said aloud, with the way to scale it. */
export function FixedDosesHint({ plan, sheet, start }: Props) {
  const fixed = plan.pours.flatMap((pour) => pour.doses.filter(isFixedDose));
  const names = fixed.map(({ text }) => text).join(', ');
  const now = howMuch(plan);
  const [typed, setTyped] = useState({ names, typedFor: howMuch(start) });
  const { typedFor } = typed;
  // A fixed dose that was just typed is meant for what is made now, and so is one of a plan that is said another way.
  if (typed.names !== names || typedFor.by !== now.by) setTyped({ names, typedFor: now });
  if (fixed.length === 0 || typedFor.by !== now.by || typedFor.size === now.size) return null;
  return (
    <Suspense>
      <FixedDosesQuestion
        plan={plan}
        sheet={sheet}
        names={names}
        many={fixed.length > 1}
        typedFor={typedFor}
        onKeep={() => setTyped({ names, typedFor: now })}
      />
    </Suspense>
  );
}
