import { requireNumber } from '../input-error';
import { biasBindingRecipe } from './bias-binding-recipe';
import { buttonBandRecipe } from './button-band-recipe';
import { collarRecipe } from './collar-recipe';
import { cuffRecipe } from './cuff-recipe';
import { curvedWaistbandRecipe } from './curved-waistband-recipe';
import { flareRecipe } from './flare-recipe';
import { godetRecipe } from './godet-recipe';
import { gussetBagRecipe } from './gusset-bag-recipe';
import { hatRecipe } from './hat-recipe';
import { neckbandRecipe } from './neckband-recipe';
import { panelRecipe } from './panel-recipe';
import type { Recipe, RecipeKind } from './recipe';
import { trayRecipe } from './tray-recipe';
import { waistbandRecipe } from './waistband-recipe';

/** Every shape that has a recipe, in the order in which they are offered. */
export const RECIPES: readonly RecipeKind[] = [
  flareRecipe,
  godetRecipe,
  waistbandRecipe,
  curvedWaistbandRecipe,
  collarRecipe,
  cuffRecipe,
  buttonBandRecipe,
  neckbandRecipe,
  biasBindingRecipe,
  hatRecipe,
  gussetBagRecipe,
  trayRecipe,
  panelRecipe,
];

/**
 * What comes of a recipe with these measures; those that are not given are as they start.
 *
 * @param values mm, or 0 and 1
 * @throws {InputError} naming the field, also of a measure that is too large or too small
 * @example recipeOf(RECIPES[0], { circles: 0.5 }).pieces.length // 1
 */
export function recipeOf(kind: RecipeKind, values: Readonly<Record<string, number>>): Recipe {
  const whole: Record<string, number> = {};
  for (const { field, kind: of, start, min, max } of kind.fields)
    whole[field] = requireNumber(field, values[field] ?? start, of === 'length' ? 'mm' : '', { min, max });
  return kind.make(whole);
}
