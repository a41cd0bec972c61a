import { useCallback, useDeferredValue, useMemo } from 'react';
import type { CheckContext, Finding } from '../../core/checks/finding';
import { reviewPlan, sheetAtOnce } from '../../core/checks/review';
import type { Plan, PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { useStable } from '../shared/useStable';
import { type Typing, withTyped } from './planHistory';

interface Reviewed {
  /** Of the plan as it is this moment. */
  sheetNow: Sheet | null;
  /** The plan that everything else shows: while somebody types, a frame behind. */
  file: PlanFile;
  sheet: Sheet | null;
  findings: Finding[];
  /** An edit of the plan that is shown; what has been typed since stays. */
  edit(next: Plan, about: string): void;
}

/**
 * The sheet of a plan and what was found about it. A key in a text is answered with the sheet alone; all that follows from
 * it is drawn after the field is. Whatever is dragged or pressed is followed at once.
 */
export function useReview(
  newest: PlanFile,
  context: CheckContext,
  typing: Typing | null,
  onEdit: (plan: Plan, about: string) => void,
): Reviewed {
  const settled = useDeferredValue(newest);
  const file = typing === null ? newest : settled;
  const { sheet, findings } = useMemo(() => reviewPlan(file, context), [file, context]);
  const sheetNow = useMemo(() => (file === newest ? sheet : sheetAtOnce(newest)), [file, newest, sheet]);
  const keepTyped = useCallback(
    (next: Plan) => (file === newest || typing === null ? next : withTyped(next, newest.plan, typing)),
    [file, newest, typing],
  );
  const edit = useStable((next: Plan, about: string) => onEdit(keepTyped(next), about));
  return { sheetNow, file, sheet, findings, edit };
}
