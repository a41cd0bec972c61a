import { recipeRequestSchema } from '../../formats/recipe/recipeExchange';
import { endpoint } from '../../server/endpoint';
import { readJson } from '../../server/readJson';
import { readRecipeText } from '../../server/recipe';
import { workshop } from '../../server/workshop';

export const POST = endpoint(async ({ request }) => ({
  body: readRecipeText(workshop(), await readJson(request, recipeRequestSchema)),
}));
