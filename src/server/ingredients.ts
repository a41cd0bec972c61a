import { type Ingredients, ingredientsOf } from '../core/ingredients/ingredients';
import { packsOf } from '../core/ingredients/packsOf';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';

/** What is in the pieces of a run, by what was weighed; null where something melted again is not known. */
export function ingredientsOfRun({ materials }: Workshop, run: Run): Ingredients | null {
  const packs = packsOf(
    run.snapshot.sheet,
    progress(run),
    (id) => orNull(() => materials.find(id))?.item ?? null,
  );
  return packs && ingredientsOf(packs);
}
