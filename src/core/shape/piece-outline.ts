import { InputError, requireNumber } from '../input-error';
import type { Outline, Point } from './polygon';

/**
 * The typed shapes of a piece, by its measures in mm, seam allowances included.
 * Edges of the outline run bottom, right, top, left; what lies in a corner counts with the edge before it.
 */
export const PIECE_KINDS = ['rectangle', 'rounded', 'angled'] as const;

export interface PieceShape {
  kind: (typeof PIECE_KINDS)[number];
  width: number;
  height: number;
  /** Which corners are shaped: bottom left, bottom right, top right, top left. */
  corners: [boolean, boolean, boolean, boolean];
  /** Radius of a rounded corner, or how much an angled one takes off each edge, mm. */
  corner: number;
}

/** Most deviation of the polygon from a true arc, mm: a tenth of what scissors can follow. */
const CHORD_ERROR = 0.02;

/** An outline with the side each edge belongs to: 0 bottom, 1 right, 2 top, 3 left. */
export interface SidedOutline {
  outline: Outline;
  sides: (0 | 1 | 2 | 3)[];
}

/**
 * Outline of a typed piece, counter-clockwise from the bottom left, and the side of each of its edges.
 *
 * @throws {InputError} when a measure is not positive, or the corners take more than an edge has
 */
export function pieceOutline(shape: PieceShape): SidedOutline {
  requireNumber('width', shape.width, 'mm', { min: 1, max: 20_000 });
  requireNumber('height', shape.height, 'mm', { min: 1, max: 20_000 });
  const shaped = shape.kind === 'rectangle' ? [false, false, false, false] : shape.corners;
  const size = shape.kind === 'rectangle' ? 0 : requireNumber('corner', shape.corner, 'mm', { min: 0, max: 20_000 });
  const room = Math.min(
    shape.width / (shaped[0] && shaped[1] ? 2 : shaped[2] && shaped[3] ? 2 : 1),
    shape.height / ((shaped[0] && shaped[3]) || (shaped[1] && shaped[2]) ? 2 : 1),
  );
  if (!(size <= room)) throw new InputError('corner', `must be at most ${room} mm so that the corners fit, saw ${size}`);

  const { width: w, height: h } = shape;
  const corners: Point[] = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
  const outline: Outline = [];
  const sides: SidedOutline['sides'] = [];
  for (let k = 0; k < 4; k++) {
    // Corner k ends side k − 1 and begins side k.
    const before = ((k + 3) % 4) as 0 | 1 | 2 | 3;
    const side = k as 0 | 1 | 2 | 3;
    if (!shaped[k] || size === 0) {
      outline.push(corners[k]!);
      sides.push(side);
      continue;
    }
    for (const point of cornerPoints(corners[k]!, before, side, size, shape.kind === 'rounded')) {
      outline.push(point);
      sides.push(before);
    }
    sides[sides.length - 1] = side;
  }
  return { outline, sides };
}

const ALONG: Point[] = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
];

/** Points of a shaped corner, from where it leaves the side before to where it joins the side after. */
function cornerPoints(corner: Point, before: number, after: number, size: number, round: boolean): Point[] {
  const d0 = ALONG[before]!;
  const d1 = ALONG[after]!;
  const start: Point = [corner[0] - size * d0[0], corner[1] - size * d0[1]];
  const end: Point = [corner[0] + size * d1[0], corner[1] + size * d1[1]];
  if (!round) return [start, end];
  // Sagitta of a chord: r (1 − cos(α/2)) ≤ error.
  const steps = Math.max(2, Math.ceil(Math.PI / 4 / Math.acos(Math.max(0, 1 - CHORD_ERROR / size))));
  const centre: Point = [start[0] + size * d1[0], start[1] + size * d1[1]];
  const points: Point[] = [start];
  for (let i = 1; i < steps; i++) {
    const a = (i / steps) * (Math.PI / 2);
    points.push([
      centre[0] - size * Math.cos(a) * d1[0] + size * Math.sin(a) * d0[0],
      centre[1] - size * Math.cos(a) * d1[1] + size * Math.sin(a) * d0[1],
    ]);
  }
  points.push(end);
  return points;
}
