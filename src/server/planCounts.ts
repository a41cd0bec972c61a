import { countOpen, type OpenCounts } from '../core/checks/countOpen';
import { type HeatFound, withHeatFound } from '../core/checks/heat/heatFound';
import { hasMold } from '../core/molds/noMold';
import type { Sheet } from '../core/plan/sheet';
import { momentAt } from '../core/schedule/clock';
import type { Workshop } from './openWorkshop';
import { heatAhead, heatKnown } from './pourPlan';
import type { PlanView } from './views';

/** What a card counts of its plan. */
export interface PlanCounts extends OpenCounts {
  /** What the pour plan finds is not in it yet. */
  isHeatToCome: boolean;
}

/** What is open of a plan as far as it is known, at once. */
export function countsNow(workshop: Workshop, view: PlanView): PlanCounts {
  const { sheet } = view;
  const isHeated = sheet !== null && hasMold(sheet);
  const heat = isHeated ? heatKnown(sheet, workshop.rules()) : null;
  return { ...countsWith(workshop, view, heat), isHeatToCome: isHeated && heat === null };
}

/**
 * What is open of a plan, with what its pour plan finds.
 *
 * @throws Problem 503 when the pour plan takes too long
 */
export async function countsWithHeat(workshop: Workshop, view: PlanView): Promise<PlanCounts> {
  const { sheet } = view;
  const heat = sheet && hasMold(sheet) ? await heatAhead(sheet, workshop.rules()) : null;
  return { ...countsWith(workshop, view, heat), isHeatToCome: false };
}

/** What was counted last for the findings of a view: with which heat, at which minute of the plan's clock. */
const COUNTED = new WeakMap<
  PlanView['findings'],
  { heat: HeatFound | null; at: string; counts: OpenCounts }
>();

function countsWith(workshop: Workshop, view: PlanView, heat: HeatFound | null): OpenCounts {
  const { sheet, findings, stored } = view;
  const at = sheet && heat ? clockOf(workshop, sheet) : '';
  const known = COUNTED.get(findings);
  if (known && known.heat === heat && known.at === at) return known.counts;
  const all = sheet && heat ? withHeatFound(findings, sheet, heat, at) : findings;
  const counts = countOpen(all, stored.plan);
  COUNTED.set(findings, { heat, at, counts });
  return counts;
}

/** What the clock of the plan's zone shows now; the one of this machine where it names none. */
function clockOf({ now }: Workshop, { making }: Sheet): string {
  const zone = making.clock?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  return momentAt(Date.parse(now()), zone);
}
