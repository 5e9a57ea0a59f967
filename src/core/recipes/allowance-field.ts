import type { RecipeField } from './recipe';

/** Seam allowance, asked for by every recipe. */
export const ALLOWANCE: RecipeField = {
  field: 'allowance',
  words: 'Seam allowance',
  kind: 'length',
  start: 10,
  min: 0,
  max: 100,
};
