import { Table, type Kept } from './table';

/** A recipe that pieces of a project were made by. */
export interface RecipeFields {
  projectId: string;
  /** Which recipe of the core it is. */
  kind: string;
  /** As it was asked: mm, numbers, 0 or 1. */
  measures: Record<string, number>;
  /** Ids of the pieces, in the order in which the recipe makes them; null for one that was deleted. */
  pieces: (string | null)[];
  /** The piece and its edges that it is made from, where it is made from edges. */
  source: { pieceId: string; edges: number[]; /** Edges that the piece had then. */ among: number } | null;
  /** What could not follow when that piece last changed, in words. */
  told: string[];
}
export type KeptRecipe = RecipeFields & Kept;

export const recipes = new Table<RecipeFields>('recipe', 'recipe', {
  projectId: 'plain',
  kind: 'plain',
  measures: 'json',
  pieces: 'json',
  source: 'json',
  told: 'json',
});
