import { type Review, reviewPlan } from '../core/checks/review';
import { barsPerCavity, cavitiesOf } from '../core/molds/bars';
import type { Plan, PlanFile } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';
import { keptUntilWritten } from '../db/keptUntilWritten';
import { checkContext } from './checkContext';
import { madePieces, planFileOf } from './planFile';
import { Problem } from './problem';
import { moldsOffered } from './putAway';
import type { Workshop } from './workshop';

/** A plan with what a card or a printed page shows of it. */
export interface PlanView extends Review {
  stored: StoredPlan;
  /** null where what it names does not make a file. */
  file: PlanFile | null;
  /** Why it has no file; null where it has one. */
  fault: string | null;
}

/** What the views of one page share, so that it is looked up and worked out once. */
export interface ViewContext {
  checks: ReturnType<typeof checkContext>;
  pieces: ReturnType<typeof madePieces>;
  /** What was worked out already, for as long as nothing is written: by plan. */
  known: WeakMap<Plan, Looked>;
}

type Looked = Omit<PlanView, 'stored'>;

/** What plans looked like on a day, kept until anything is written. */
const KEPT = new WeakMap<Workshop, () => Map<string, ViewContext['known']>>();

export function viewContext(workshop: Workshop): ViewContext {
  const checks = checkContext(workshop);
  const keptNow = KEPT.get(workshop) ?? keptUntilWritten(workshop.db, () => new Map());
  KEPT.set(workshop, keptNow);
  const byDay = keptNow();
  const day = checks.shelf?.today ?? '';
  const known = byDay.get(day) ?? new WeakMap();
  byDay.set(day, known);
  return { checks, pieces: madePieces(workshop), known };
}

/** One plan that can't be shown says why in its own place, and the others are there. */
export function planView(workshop: Workshop, stored: StoredPlan, context = viewContext(workshop)): PlanView {
  const { plan } = stored;
  const known = context.known.get(plan);
  if (known) return { stored, ...known };
  const looked = lookedAt(workshop, plan, context);
  context.known.set(plan, looked);
  return { stored, ...looked };
}

function lookedAt(workshop: Workshop, plan: Plan, { checks, pieces }: ViewContext): Looked {
  try {
    const file = planFileOf(workshop, plan, pieces);
    return { file, fault: null, ...reviewPlan(file, checks) };
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    return { file: null, fault: error.detail, sheet: null, findings: [] };
  }
}

/** The plan that a new one starts from, in the first mold and base of the workshop; null while one is missing. */
export function firstPlan(workshop: Workshop): Plan | null {
  const { materials, houseRules } = workshop;
  const [mold] = moldsOffered(workshop);
  const base = materials.all().find(({ item }) => item.kind === 'base' && !item.archived)?.item;
  if (!mold || !base) return null;
  const rules = houseRules.read().item;
  return {
    name: '',
    use: 'body',
    moldId: mold.id,
    pieces: cavitiesOf(mold) * barsPerCavity(mold),
    fillFraction: mold.usualFillFraction,
    jugLossFraction: rules.jugLossFraction,
    leastMeltG: rules.leastMeltG,
    pours: [{ id: 'p1', baseId: base.id, size: { by: 'parts', parts: 1 }, doses: [] }],
    note: '',
  };
}
