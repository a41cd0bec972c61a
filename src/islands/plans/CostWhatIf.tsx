import { useMemo, useState } from 'react';
import { compareFindings } from '../../core/checks/compareFindings';
import type { CheckContext, Finding } from '../../core/checks/finding';
import { reviewPlan } from '../../core/checks/review';
import type { Cost } from '../../core/cost/cost';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { isTried, NOTHING_TRIED, type Trial, triedPlan } from '../../core/plan/trial';
import type { ScheduledTask } from '../../core/schedule/scheduledTask';
import { usePourPlan } from '../pourPlan/usePourPlan';
import { FindingChanges } from '../shared/FindingChanges';
import { CostsCompared } from './CostsCompared';
import { usePlanPage } from './planContext';
import { TrialFields } from './TrialFields';

interface Props {
  file: PlanFile;
  sheet: Sheet;
  findings: Finding[];
  context: CheckContext;
  /** Of the plan as it is. */
  cost: Cost;
  /** What hands cost is in it. */
  isWhole: boolean;
  /** What another sheet costs; without the tasks of its pour plan, without hands. */
  costFor(sheet: Sheet, tasks: readonly ScheduledTask[] | null): Cost;
}

/** The plan beside what it would cost in another number, of other things; nothing of it changes until it is asked to. */
export default function CostWhatIf({ file, sheet, findings, context, cost, isWhole, costFor }: Props) {
  const { rules, editShown } = usePlanPage();
  const [trial, setTrial] = useState<Trial>(NOTHING_TRIED);
  /** Fields begin anew with each. */
  const [turn, setTurn] = useState(0);
  const hasTried = isTried(trial);
  const tried = useMemo(() => {
    if (!hasTried) return { plan: file.plan, sheet, findings };
    const plan = triedPlan(file.plan, trial, file, sheet);
    return { plan, ...reviewPlan({ ...file, plan }, context) };
  }, [hasTried, file, trial, sheet, findings, context]);
  const hasHands = rules.handsPerHour !== null;
  const view = usePourPlan(hasTried && hasHands ? tried.sheet : null, rules);
  const tasks = (view.isCurrent && view.pourPlan?.tasks) || null;
  const triedCost = useMemo(
    () => (tried.sheet ? costFor(tried.sheet, tasks) : null),
    [tried.sheet, tasks, costFor],
  );
  const leave = () => {
    setTrial(NOTHING_TRIED);
    setTurn(turn + 1);
  };
  return (
    <div className="flex flex-col gap-2">
      <TrialFields key={turn} {...{ file, sheet, tried, trial }} onTry={setTrial} />
      {!hasTried && <p className="quiet">Change one of them, and both costs stand side by side.</p>}
      {hasTried && !triedCost && (
        <p role="alert">
          So there is no sheet: the additions are more than the pour. Try smaller doses, or leave it as it is.
        </p>
      )}
      {hasTried && triedCost && (
        <>
          <CostsCompared before={cost} after={triedCost} isWhole={!hasHands || (isWhole && tasks !== null)} />
          {view.state.kind === 'fault' && (
            <p role="alert">
              How long hands take can’t be worked out: {view.state.reason}. Try something else.
            </p>
          )}
          <div className="text-xs">
            <FindingChanges {...compareFindings(findings, tried.findings)} />
          </div>
        </>
      )}
      {hasTried && (
        <div className="flex flex-wrap gap-2">
          {triedCost && (
            <button
              type="button"
              className="btn btn-secondary min-h-11"
              onClick={() => {
                editShown(tried.plan, `what if ${Date.now()}`);
                leave();
              }}
            >
              Make the plan so
            </button>
          )}
          <button type="button" className="btn btn-ghost min-h-11" onClick={leave}>
            Leave it as it is
          </button>
        </div>
      )}
    </div>
  );
}
