export { BRAID_JOIN, flare, flareSectors } from './flare';
export type { Flare, FlareInput, FlareSectors } from './flare';
export { hat, HAT_DUTIES, HAT_PIECES, hatOval } from './hat';
export type { HatDuty, HatInput, HatLayer, HatPiece, HatPieceName } from './hat';
export { besideOval, ovalOf, ovalPerimeter, sharpest } from './oval';
export type { Oval, Quarters } from './oval';
export { RECIPES, recipeOf } from './recipes';
export type { Recipe, RecipeCut, RecipeFact, RecipeField, RecipeKind, RecipePiece } from './recipe';
