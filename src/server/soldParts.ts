import { makeSheet } from '../core/plan/makeSheet';
import type { Sheet } from '../core/plan/sheet';
import type { Product } from '../core/product/product';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';
import { planFileOf } from './planFile';

/** Pieces of one plan in a pack: of a finished run, or else as the plan has them. */
export interface SoldPart {
  planId: string;
  planName: string;
  pieces: number;
  run: Run | null;
  /** As the run froze it, or as the plan comes to now; null where it comes to none. */
  sheet: Sheet | null;
}

/**
 * What is in a pack of a product.
 *
 * @param runIds that were chosen; of a plan without one, its last finished run
 */
export function soldParts(workshop: Workshop, { parts }: Product, runIds: readonly string[]): SoldPart[] {
  const { runs, plans } = workshop;
  const chosen = runIds.flatMap((id) => orNull(() => runs.find(id)) ?? []);
  return parts.map(({ planId, pieces }) => {
    const [last] = runs.namesOfPlan(planId, 1);
    const run = chosen.find((each) => each.planId === planId) ?? (last && orNull(() => runs.find(last.id)));
    if (run && progress(run).ended?.kind === 'finished')
      return { planId, planName: run.snapshot.sheet.planName, pieces, run, sheet: run.snapshot.sheet };
    const stored = plans.newest(planId);
    return {
      planId,
      planName: stored?.success ? stored.data.plan.name : planId,
      pieces,
      run: null,
      sheet: plannedSheet(workshop, planId),
    };
  });
}

/** As a plan comes to now; null where it comes to none. */
export function plannedSheet(workshop: Workshop, planId: string): Sheet | null {
  const stored = workshop.plans.newest(planId);
  const plan = stored?.success ? stored.data.plan : null;
  const made = plan && orNull(() => makeSheet(planFileOf(workshop, plan)));
  return made?.success ? made.data : null;
}
