import { type Ingredients, ingredientsOf } from '../core/ingredients/ingredients';
import { packsOf } from '../core/ingredients/packsOf';
import type { AllergenList } from '../core/materials/allergenNames';
import type { Sheet } from '../core/plan/sheet';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';

/** What is in the pieces of a run, by what was weighed; null where something melted again is not known. */
export function ingredientsOfRun(workshop: Workshop, run: Run, list?: AllergenList): Ingredients | null {
  return ingredientsBy(workshop, run.snapshot.sheet, progress(run), list);
}

/** The same by a plan: a draft, until it is weighed. */
export function ingredientsOfPlan(workshop: Workshop, sheet: Sheet, list?: AllergenList): Ingredients | null {
  return ingredientsBy(workshop, sheet, { tasks: [] }, list);
}

function ingredientsBy(
  { materials }: Workshop,
  sheet: Sheet,
  so: Parameters<typeof packsOf>[1],
  list?: AllergenList,
): Ingredients | null {
  const packs = packsOf(sheet, so, (id) => orNull(() => materials.find(id))?.item ?? null, list);
  return packs && ingredientsOf(packs);
}
