import type { LRUCache } from 'lru-cache';
import type { CheckContext } from '../core/checks/finding';
import type { Review } from '../core/checks/review';
import { barsPerCavity, cavitiesOf } from '../core/molds/bars';
import type { Plan, PlanFile } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';
import { keptUntilWritten } from '../db/keptUntilWritten';
import { sameWhileEqual } from '../db/sameWhileEqual';
import { checkContext } from './checkContext';
import { keptOfPlans } from './keptOfPlans';
import type { Workshop } from './openWorkshop';
import { type MadePieces, madePieces, planFileOf } from './planFile';
import { Problem } from './problem';
import { moldsOffered } from './putAway';
import { type KnownReviews, reviewAll } from './reviews';
import { turn, turnWhenLong } from './turn';

/** A plan with what a card or a printed page shows of it. */
export interface PlanView extends Review {
  stored: StoredPlan;
  /** null where what it names does not make a file, or takes too long. */
  file: PlanFile | null;
  /** Why it has no file; null where it has one. */
  fault: string | null;
}

/** What the views of one page share, so that it is looked up and worked out once. */
export interface ViewContext {
  checks: CheckContext;
  pieces: MadePieces;
  /** Files of plans, or why they have none, for as long as nothing is written. */
  files: LRUCache<Plan, PlanFile | Problem>;
  /** What these checks tell of a file, or why they can't, whatever else is written. */
  reviews: KnownReviews;
}

const CONTEXTS = new WeakMap<Workshop, () => ViewContext>();

export function viewContext(workshop: Workshop): ViewContext {
  const contextNow = CONTEXTS.get(workshop) ?? contextsOf(workshop);
  CONTEXTS.set(workshop, contextNow);
  return contextNow();
}

/** The same context until anything is written; reviews are known for as long as the rules, the shelf and the day are the same. */
function contextsOf(workshop: Workshop): () => ViewContext {
  const checksNow = sameWhileEqual(() => checkContext(workshop));
  const reviewsBy = new WeakMap<CheckContext, KnownReviews>();
  const byDayNow = keptUntilWritten(workshop.db, () => new Map<string, ViewContext>());
  return () => {
    const byDay = byDayNow();
    const day = workshop.now().slice(0, 10);
    const known = byDay.get(day);
    if (known) return known;
    const checks = checksNow();
    const reviews: KnownReviews = reviewsBy.get(checks) ?? new WeakMap();
    reviewsBy.set(checks, reviews);
    const context: ViewContext = { checks, pieces: madePieces(workshop), files: keptOfPlans(), reviews };
    byDay.set(day, context);
    return context;
  };
}

/** Each for itself: one that can't be shown says why in its own place, and the others are there. */
export async function planViews(
  workshop: Workshop,
  all: readonly StoredPlan[],
  context = viewContext(workshop),
): Promise<PlanView[]> {
  await turn();
  const files: (PlanFile | Problem)[] = [];
  for (const { plan } of all) {
    files.push(fileOf(workshop, plan, context));
    await turnWhenLong();
  }
  reviewAll(
    new Set(files.filter((file): file is PlanFile => !(file instanceof Problem))),
    context.checks,
    context.reviews,
  );
  const views = await Promise.all(
    all.map(async (stored, place) => {
      const file = files[place];
      const found = file instanceof Problem ? file : file && (await context.reviews.get(file));
      if (!file || !found || file instanceof Problem || found instanceof Problem)
        return { stored, file: null, fault: found instanceof Problem ? found.detail : null, ...UNKNOWN };
      return { stored, file, fault: null, ...found };
    }),
  );
  await turn();
  return views;
}

const UNKNOWN: Review = { sheet: null, findings: [] };

export async function planView(
  workshop: Workshop,
  stored: StoredPlan,
  context = viewContext(workshop),
): Promise<PlanView> {
  const [view] = await planViews(workshop, [stored], context);
  return view ?? { stored, file: null, fault: null, ...UNKNOWN };
}

function fileOf(workshop: Workshop, plan: Plan, { files, pieces }: ViewContext): PlanFile | Problem {
  const known = files.get(plan);
  if (known) return known;
  const file = orCaught(() => planFileOf(workshop, plan, pieces));
  files.set(plan, file);
  return file;
}

function orCaught<Value>(work: () => Value): Value | Problem {
  try {
    return work();
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
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
