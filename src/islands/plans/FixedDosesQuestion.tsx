import type { Plan } from '../../core/plan/plan';
import { scaleFixedDoses } from '../../core/plan/scalePlan';
import { plural } from '../../words/en/plural';
import { usePlanPage } from './planContext';

interface Props {
  plan: Plan;
  /** The doses as they were typed. */
  names: string;
  many: boolean;
  /** The number of pieces that they were typed for. */
  typedFor: number;
  onKeep(): void;
}

/** Whether fixed doses stay as they are, now that there are more pieces, or fewer. */
export default function FixedDosesQuestion({ plan, names, many, typedFor, onKeep }: Props) {
  const { edit } = usePlanPage();
  return (
    <div role="status" className="live mt-2 flex flex-wrap items-center gap-2 rounded-lg p-2 text-sm">
      <p className="min-w-40 flex-1">
        {names} {many ? 'are' : 'is'} still as typed for {typedFor} {plural(typedFor, 'piece', 'pieces')}.
      </p>
      <button
        type="button"
        className="btn btn-sm btn-primary min-h-11"
        onClick={() => edit(scaleFixedDoses(plan, plan.pieces / typedFor), `scale fixed ${Date.now()}`)}
      >
        Scale to {plan.pieces}
      </button>
      <button type="button" className="btn btn-sm btn-ghost min-h-11" onClick={onKeep}>
        Keep as typed
      </button>
    </div>
  );
}
