import type { Outline } from '../polygon';

/** A measure that a shape is typed with. */
export interface Measure<F extends string = string> {
  field: F;
  words: string;
  /** Least value, mm or °. */
  min: number;
  /** Largest value of an angle; lengths are all limited alike. */
  max?: number;
  /** Angles are typed as numbers, everything else as lengths. */
  unit?: '°';
}

/** An outline with the edge that each of its segments belongs to. */
export interface EdgedOutline {
  /** Counter-clockwise, mm, seam allowances included or not as the piece says. */
  outline: Outline;
  /** Number of the edge of each segment; segment i runs from corner i to i + 1. */
  edges: number[];
  /** What is cut out of the middle, clockwise, and the edge each is. */
  holes: { outline: Outline; edge: number }[];
}

/** A way of saying what shape a piece has. */
export interface ShapeKind<S extends { kind: string }> {
  kind: S['kind'];
  words: string;
  measures: readonly Measure<Exclude<keyof S & string, 'kind'>>[];
  /** Names of the edges, in the order in which allowances are given. */
  edgeNames: (shape: S) => string[];
  /** A usable shape to start from. */
  start: S;
  /** @throws {InputError} naming the measure */
  draw: (shape: S) => EdgedOutline;
}

/** Longest measure of a piece, mm. */
export const LONGEST = 20_000;
