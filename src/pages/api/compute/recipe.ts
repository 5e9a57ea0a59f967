import { InputError } from '../../../core/input-error';
import { RECIPES, toldRecipe } from '../../../core/recipes';
import { recipeSchema } from '../../../schemas/compute';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';

/** Every shape that has a recipe, and what it asks for. */
export const GET = endpoint(() => ({
  recipes: RECIPES.map(({ id, name, words, fields }) => ({
    ...{ id, name, words },
    fields: fields.map(({ field, words: asked, kind, start, min, max }) => ({ field, words: asked, kind, start, min, max })),
  })),
}));

/** Pieces, edges, seams and figures that come of a recipe and its measures. */
export const POST = jsonEndpoint(recipeSchema, ({ recipe, values }) => {
  const kind = RECIPES.find(({ id }) => id === recipe);
  if (!kind)
    throw new InputError(
      'recipe',
      `must be one of ${RECIPES.map(({ id }) => id).join(', ')}, saw ${JSON.stringify(recipe.slice(0, 60))}`,
    );
  const known = new Set(kind.fields.map(({ field }) => field));
  for (const [field, value] of Object.entries(values)) {
    if (!known.has(field)) throw new InputError(`values.${field}`, 'is not a measure of this recipe');
    if (typeof value !== 'number' || !Number.isFinite(value))
      throw new InputError(`values.${field}`, `must be a number, saw ${JSON.stringify(value)}`);
  }
  try {
    return toldRecipe(kind, values as Record<string, number>);
  } catch (error) {
    if (error instanceof InputError && known.has(error.field))
      throw new InputError(`values.${error.field}`, error.message.slice(error.field.length + 2));
    throw error;
  }
});
