import { type HowMuch, howMuch } from '../../core/plan/howMuch';
import type { Plan } from '../../core/plan/plan';
import { meltFactors, scaleFixedDoses } from '../../core/plan/scalePlan';
import type { Sheet } from '../../core/plan/sheet';
import { showMass } from '../../core/units/showQuantity';
import { counted } from '../../words/en/plural';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

interface Props {
  plan: Plan;
  /** Of the plan as it is now. */
  sheet: Sheet | null;
  /** The doses as they were typed. */
  names: string;
  many: boolean;
  typedFor: HowMuch;
  onKeep(): void;
}

/** Whether fixed doses stay as they are, now that more is made, or less. */
export default function FixedDosesQuestion({ plan, sheet, names, many, typedFor, onKeep }: Props) {
  const { edit } = usePlanPage();
  const showing = useShowing();
  const now = howMuch(plan);
  const backFactor = typedFor.size / now.size;
  const back = sheet ? meltFactors(sheet, backFactor) : plan.pours.map(() => backFactor);
  const said = ({ by, size }: HowMuch) =>
    by === 'pieces' ? counted(size, 'piece', 'pieces') : showMass(size, showing);
  return (
    <div role="status" className="live mt-2 flex flex-wrap items-center gap-2 rounded-lg p-2 text-sm">
      <p className="min-w-40 flex-1">
        {names} {many ? 'are' : 'is'} still as typed for {said(typedFor)}.
      </p>
      <button
        type="button"
        className="btn btn-sm btn-primary min-h-11"
        onClick={() =>
          edit(
            scaleFixedDoses(
              plan,
              back.map((factor) => 1 / factor),
            ),
            `scale fixed ${Date.now()}`,
          )
        }
      >
        Scale to {now.by === 'pieces' ? now.size : said(now)}
      </button>
      <button type="button" className="btn btn-sm btn-ghost min-h-11" onClick={onKeep}>
        Keep as typed
      </button>
    </div>
  );
}
