import type { CutGrain } from '../../choose';
import type { PieceSpec } from '../../pieces';
import type { Recipe, RecipeField } from '../recipe';

/** A piece that something is made from an edge of, as its cloth is cut, and those of its edges that are meant. */
export interface EdgeSource {
  name: string;
  spec: PieceSpec;
  /** Numbers of its shape's edges. */
  edges: readonly number[];
  count: number;
  pairs: boolean;
  orientation: CutGrain;
}

/** In the seams of such a recipe the piece that it is made from stands for this place in the list. */
export const SOURCE = -1;

/** What is made from an edge. Adding one touches its own file and the list of them. */
export interface EdgeKind {
  id: string;
  name: string;
  words: string;
  fields: readonly RecipeField[];
  /** @throws {InputError} naming the field */
  make: (source: EdgeSource, values: Readonly<Record<string, number>>) => Recipe;
}
