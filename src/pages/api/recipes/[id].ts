import { recipeChangeSchema } from '../../../schemas/recipes';
import { database } from '../../../server/database';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { changeRecipe } from '../../../server/recipe-work';
import { recipes } from '../../../store/recipes';

/** Changes the measures of a recipe: its pieces follow. */
export const PUT = jsonEndpoint(recipeChangeSchema, ({ measures, version }, { params }) =>
  changeRecipe(database(), params['id']!, measures, version),
);

/** Forgets a recipe; its pieces stay as they are. */
export const DELETE = endpoint(({ params }) => {
  recipes.remove(database(), params['id']!);
  return { deleted: params['id'] };
});
