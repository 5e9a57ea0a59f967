import type { Outline } from '../shape';

export interface NestPiece {
  id: string;
  /** Corners in mm, allowances included. */
  outline: Outline;
  count: number;
  /** Turns that grain and nap allow, degrees. */
  rotations: readonly number[];
  /** Whether the piece may be cut face down. */
  flip?: boolean;
}

/** Flip (x → −x) if `flipped`, turn counter-clockwise by `rotation` degrees about the origin, move by (x, y). */
export interface Placement {
  id: string;
  /** Number of the copy, from 0. */
  copy: number;
  rotation: number;
  flipped: boolean;
  x: number;
  y: number;
}

/** A copy that found no place. */
export interface Unplaced {
  id: string;
  copy: number;
}
