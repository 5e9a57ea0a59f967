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

/** The same for a hem, which is often turned deeper. */
export const HEM: RecipeField = { field: 'hem', words: 'Hem allowance', kind: 'length', start: 10, min: 0, max: 200 };
