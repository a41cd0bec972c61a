import { foldedName } from '../core/materials/byName';
import type { Material } from '../core/materials/material';
import { newOfKind } from '../core/materials/newKind';
import type { Plan } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';
import { planOfRecipe, type RecipeContext } from '../formats/recipe/planOfRecipe';
import { readRecipe } from '../formats/recipe/readRecipe';
import type { Found, RecipeLine } from '../formats/recipe/recipe';
import type { LineRead, RecipeRead, RecipeRequest } from '../formats/recipe/recipeExchange';
import { explainRecipeFault, recipeLineWords } from '../formats/recipe/recipeWords';
import type { Workshop } from './openWorkshop';
import { createPlan } from './plans';
import { invalidField } from './problem';

/** What a workshop understands of a recipe. */
export function readRecipeText(workshop: Workshop, request: RecipeRequest): RecipeRead {
  const { recipe, made } = understood(workshop, request);
  return {
    lines: recipe.lines.filter(({ kind }) => kind !== 'blank').map(lineRead),
    namesMold: recipe.settings.mold !== undefined,
    faults: made.success ? [] : made.error.map(explainRecipeFault),
  };
}

/**
 * The plan of a recipe, with what it names and is new put on the shelf: all of it or nothing.
 *
 * @throws Problem 422 with what is still open
 */
export function planFromRecipe(workshop: Workshop, request: RecipeRequest): StoredPlan {
  const take = workshop.db.transaction(() => {
    const { made, fresh } = understood(workshop, request);
    if (!made.success) throw invalidField('text', made.error.map(explainRecipeFault).join(' '));
    const named = usedIn(made.data);
    for (const material of fresh)
      if (named.has(material.id)) workshop.materials.insert(material, workshop.now());
    return createPlan(workshop, made.data);
  });
  return take.immediate();
}

function understood(workshop: Workshop, { text, chosen, moldId }: RecipeRequest) {
  const shelf = workshop.materials.all().map(({ item }) => item);
  const molds = workshop.molds.all().map(({ item }) => item);
  const fresh: Material[] = [];
  const meant = new Map<string, Material>();
  for (const { name, is } of chosen) {
    const known = 'id' in is ? shelf.find((each) => each.id === is.id) : undefined;
    if ('id' in is && !known) throw invalidField('chosen', `names “${is.id}”, which is not on the shelf`);
    const material = 'id' in is ? known : { ...newOfKind(is, name), id: workshop.newId() };
    if (!material) continue;
    if (!known) fresh.push(material as Material);
    meant.set(foldedName(name), material as Material);
  }
  const recipe = readRecipe(text, shelf, meant);
  const start: RecipeContext['start'] = {
    name: 'From a recipe',
    use: 'body',
    moldId,
    fillFraction: workshop.rules().fillFraction,
    jugLossFraction: workshop.rules().jugLossFraction,
    leastMeltG: workshop.rules().leastMeltG,
  };
  return { recipe, fresh, made: planOfRecipe(recipe, { molds, start }) };
}

function lineRead(line: RecipeLine): LineRead {
  const { at, kind, text } = line;
  const found: Found | null = line.kind === 'base' || line.kind === 'dose' ? line.found : null;
  const among = found?.kind === 'called' ? [found.material] : found?.kind === 'among' ? found.materials : [];
  return {
    at,
    kind,
    text,
    says: recipeLineWords(line),
    name: line.kind === 'base' || line.kind === 'dose' ? line.name : null,
    among: among.map((each) => ({ id: each.id, name: each.name, kind: each.kind })),
    isSettled: found === null || found.kind === 'called',
  };
}

function usedIn({ pours }: Plan): Set<string> {
  return new Set(
    pours.flatMap(({ baseId, doses }) => [baseId, ...doses.map(({ materialId }) => materialId)]),
  );
}
