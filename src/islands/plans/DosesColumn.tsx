import { type ComponentProps, lazy, Suspense } from 'react';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { Detail } from '../pourPlan/details';
import type { PourPlanView } from '../pourPlan/usePourPlan';
import { DoseGrid } from './DoseGrid';
import { FixedDosesHint } from './FixedDosesHint';

const PourPlanDetails = lazy(() => import('../pourPlan/PourPlanDetails'));

interface Props extends ComponentProps<typeof DoseGrid> {
  view: PourPlanView;
  /** What of the pour plan is opened in place of the doses. */
  detail: Detail | null;
  /** The plan that its fixed doses were typed for. */
  start: Plan;
  onClose(): void;
}

/** What goes into each pour, or what the pour plan opens to. */
export function DosesColumn({ view, detail, start, onClose, ...grid }: Props) {
  const { settled: sheet, plan } = grid;
  return (
    <section
      aria-labelledby="doses-title"
      className="plate flex flex-col p-3 md:max-lg:order-first md:col-span-2 lg:max-xl:order-2 lg:col-span-1 lg:row-span-2 xl:row-span-1 xl:min-h-0 xl:overflow-y-auto"
    >
      {detail !== null && sheet && view.pourPlan && isOf(view, sheet) ? (
        <Suspense fallback={<p className="quiet text-sm">Opening …</p>}>
          <PourPlanDetails
            {...grid}
            detail={detail}
            sheet={sheet}
            pourPlan={view.pourPlan}
            onClose={onClose}
          />
        </Suspense>
      ) : (
        <>
          <DoseGrid {...grid} />
          <FixedDosesHint plan={plan} sheet={sheet} start={start} />
        </>
      )}
    </section>
  );
}

/** A pour plan may be of the plan as it was a moment ago, with other pours. */
function isOf({ pourPlan }: PourPlanView, sheet: Sheet): boolean {
  const told = pourPlan?.layers.flatMap(({ pourIndexes }) => pourIndexes) ?? [];
  return told.length === sheet.pours.length;
}
