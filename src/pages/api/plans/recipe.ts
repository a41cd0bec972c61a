import { recipeRequestSchema } from '../../../formats/recipe/recipeExchange';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { planFromRecipe } from '../../../server/recipe';
import { workshop } from '../../../server/workshop';

export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: planFromRecipe(workshop(), await readJson(request, recipeRequestSchema)),
}));
