import { applyFix } from '../../core/checks/applyFix';
import type { PlanEdit } from '../../core/checks/planEdit';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { fail, ok, type Result } from '../../core/result';
import type { Run } from '../../core/run/run';
import { callApi } from '../shared/api';

/** What the note of a plan holds. */
const LONGEST_NOTE = 4000;

/** A change that was taken, and the way back. */
export interface Taken {
  undo(): Promise<Result<null, string>>;
}

/**
 * Takes a change into a run's plan as it is now, with its reason in the plan's note; answers the way back.
 *
 * @param edits none where it is only noted
 * @param reason why, in a sentence
 */
export async function takeChange(
  { planId, snapshot: { sheet } }: Run,
  edits: readonly PlanEdit[],
  reason: string,
): Promise<Result<Taken, string>> {
  const address = `/api/plans/${encodeURIComponent(planId)}`;
  const now = await callApi<StoredPlan>('GET', address);
  if (!now.success) return fail(now.error.detail);
  const { plan, revision } = now.data;
  // Edits name pours and doses by their places in the plan as it was made.
  const isSame =
    edits.length === 0 ||
    sheet.pours.every(
      ({ id, lines }, index) =>
        plan.pours[index]?.id === id &&
        lines.every(({ doseId, doseIndex }) => plan.pours[index]?.doses[doseIndex]?.id === doseId),
    );
  if (!isSame) return fail('The plan has been changed since. Open it, and change it there.');
  const changed = applyFix({ plan, mold: sheet.mold, secondMold: sheet.secondMold ?? undefined }, edits);
  const note = [plan.note, reason].filter((words) => words !== '').join('\n');
  const save = (next: Plan, at: number) => callApi<StoredPlan>('PUT', address, { plan: next, revision: at });
  const saved = await save({ ...changed, note: note.slice(-LONGEST_NOTE) }, revision);
  if (!saved.success) return fail(saved.error.detail);
  const undo = async (): Promise<Result<null, string>> => {
    const back = await save(plan, saved.data.revision);
    return back.success ? ok(null) : fail(back.error.detail);
  };
  return ok({ undo });
}
