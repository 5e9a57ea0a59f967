import type { CutGrain, Role } from '../choose';
import type { Mark, Place } from '../pieces';
import type { PieceShape } from '../shape';
import type { Duty } from '../workpiece';

/** A measure that a recipe asks for; lengths in mm, `yes` is 0 or 1. */
export interface RecipeField {
  field: string;
  words: string;
  kind: 'length' | 'number' | 'yes';
  start: number;
  min: number;
  max: number;
  /** Asked for only where this other measure is not 0. */
  onlyIf?: string;
}

/** A cut of a piece that a recipe makes; allowances and edges as {@link PieceShape} has them. */
export interface RecipeCut {
  duty: Duty;
  count: number;
  orientation: CutGrain;
  /** Left and right alternate; not when nothing is said. */
  pairs?: boolean;
  jobs: { name: string; place: Place; role: Role }[];
}

/** A piece that a recipe makes: its shape is its seam line. */
export interface RecipePiece {
  name: string;
  shape: PieceShape;
  /** One for each edge of the shape, mm. */
  allowances: number[];
  /** Direction of the grain line, degrees counter-clockwise from upright. */
  grain: number;
  marks: Mark[];
  cuts: RecipeCut[];
}

/** A figure that goes with the pieces. */
export interface RecipeFact {
  words: string;
  /** mm. */
  length?: number;
  /** What is no length. */
  value?: string;
}

/** Some edges of a piece of the recipe, by its place in the list, and how often they come in the seam. */
export interface RecipeSeamSide {
  piece: number;
  edges: number[];
  times?: number;
}

/** Edges that are sewn to each other; by how much the first side is longer where it is eased in, mm. */
export interface RecipeSeam {
  first: RecipeSeamSide;
  second: RecipeSeamSide;
  ease?: number;
}

/** What a recipe that is made from edges does to the piece that they belong to. */
export interface RecipeOnSource {
  marks: Mark[];
  /** On its cut from the outer cloth; told apart by their names. */
  jobs: RecipeCut['jobs'];
}

/** What is bought for it beside cloth and layers: a zip, rings, snaps. */
export interface RecipeNotion {
  name: string;
  count: number;
}

/** What a recipe makes of its measures. */
export interface Recipe {
  pieces: RecipePiece[];
  onSource?: RecipeOnSource;
  /** Which edges of the pieces are sewn to which. */
  seams?: RecipeSeam[];
  /** Into the kit of one thing. */
  notions?: RecipeNotion[];
  facts: RecipeFact[];
  /** How it is sewn, in the order of work. */
  notes: string[];
}

/**
 * A shape that has a recipe: what it asks for, and what comes of it. Adding one touches its own file and the list of them.
 */
export interface RecipeKind {
  id: string;
  name: string;
  words: string;
  fields: readonly RecipeField[];
  /** @throws {InputError} naming the field */
  make: (values: Readonly<Record<string, number>>) => Recipe;
}
