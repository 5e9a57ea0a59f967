export { flare, flareSectors, slitRing } from './flare';
export type { Flare, FlareInput, FlareSectors } from './flare';
export { hat, HAT_DUTIES, hatOval } from './hat';
export type { HatDuty, HatInput, HatLayer, HatPiece, HatPieceName } from './hat';
export { ovalPerimeter } from './oval';

export { followPiece, followPlace, pairPieces } from './follow';
export type { FollowedPiece, KeptRecipePiece, PairedPieces } from './follow';
export { EDGE_RECIPES, edgeRecipeOf } from './edge/edge-recipes';
export { SOURCE } from './edge/edge-kind';
export type { EdgeKind, EdgeSource } from './edge/edge-kind';
export { RECIPES, recipeOf } from './recipes';
export { toldRecipe } from './told-recipe';
export type { ToldRecipe, ToldSide } from './told-recipe';
export type { Recipe, RecipeCut, RecipeFact, RecipeField, RecipeKind, RecipeNotion, RecipeOnSource, RecipePiece } from './recipe';
