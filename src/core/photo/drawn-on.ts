import { distanceToBorder, grownBy, nearestOnBorder, polygonArea, simplifyOutward, type Outline, type Point } from '../shape';
import type { Within } from './seen-within';

/** What is drawn on a piece. */
export interface DrawnOn {
  /** The longest straight line inside it, by which it is laid to the grain. */
  grain?: [Point, Point];
  /** Where short strokes run in from its border. */
  notches: Point[];
  /** Holes and stains, with a little room round them. */
  spots: Outline[];
}

/** A grain line is at least so long, mm, and its strokes reach no farther to either side. */
const GRAIN = 35;
const STROKE = 1.6;
/** A line nearer to an edge than this, mm, and much nearer than to the other side is a seam's. */
const SEAM = 26;
const LOPSIDED = 0.4;
/** A notch is so long, mm, and begins so near the border. */
const NOTCH = { shortest: 2.5, longest: 22, near: 3.5 };
/** It runs in from the border, no flatter than this to it, as a sine. */
const INWARD = 0.7;
/** A spot is at least so large, mm², so wide, mm, and filled. */
const SPOT = { area: 30, halfWidth: 1.8, filled: 0.5 };
/** Room that is kept round a spot, and how finely its border is told, mm. */
const ROUND_SPOT = 1.5;
const FINE = 0.8;

/**
 * What the lines and spots on a piece mean: the longest straight stroke is its grain line, short strokes that run in from the border are
 * notches, what is broad and filled is a hole or a stain. Writing and lines that run round the piece mean nothing.
 *
 * @param outline of the piece, mm @param within what is seen on it
 * @example drawnOn(square(100), []).notches // []
 */
export function drawnOn(outline: Outline, within: readonly Within[]): DrawnOn {
  const strokes = within.filter(({ halfWidth }) => halfWidth <= STROKE);
  const lengthOf = ({ from, to }: Within) => Math.hypot(to[0] - from[0], to[1] - from[1]);
  const grain = strokes
    .filter((stroke) => lengthOf(stroke) >= GRAIN)
    .sort((a, b) => lengthOf(b) - lengthOf(a))
    .find((stroke) => !runsAlong(outline, stroke) && reachesNoEdge(outline, stroke));
  const notches = strokes.flatMap((stroke) => {
    const length = lengthOf(stroke);
    if (length < NOTCH.shortest || length > NOTCH.longest) return [];
    const [outer, inner] = [stroke.from, stroke.to].sort((a, b) => distanceToBorder(outline, a) - distanceToBorder(outline, b));
    const [near, far] = [distanceToBorder(outline, outer!), distanceToBorder(outline, inner!)];
    if (near > NOTCH.near || far - near < INWARD * length) return [];
    return [nearestOnBorder(outline, outer!).at];
  });
  const spots = within
    .filter(({ area, halfWidth, border }) => {
      const filled = area / polygonArea(border);
      return area >= SPOT.area && halfWidth >= SPOT.halfWidth && filled >= SPOT.filled;
    })
    .flatMap(({ border }) => grownBy([border], ROUND_SPOT).map((spot) => simplifyOutward(spot, FINE)));
  return { ...(grain ? { grain: upward(grain) } : {}), notches, spots };
}

/** From its lower end to its upper one. */
function upward({ from, to }: Within): [Point, Point] {
  return from[1] <= to[1] ? [from, to] : [to, from];
}

const reachesNoEdge = (outline: Outline, { from, to }: Within) =>
  Math.min(distanceToBorder(outline, from), distanceToBorder(outline, to)) > NOTCH.near;

/** Whether a line runs beside an edge, as a seam's does: near it on one side, far from the other. */
function runsAlong(outline: Outline, { from, to }: Within): boolean {
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [u, v] = [(from[1] - to[1]) / length, (to[0] - from[0]) / length];
  let [left, right] = [Infinity, Infinity];
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    // Where the normal through its middle crosses an edge: how far along the edge, how far off.
    const cross = u * (by - ay) - v * (bx - ax);
    const share = (u * (y - ay) - v * (x - ax)) / cross;
    if (!(share >= 0 && share <= 1)) return;
    const off = u * (ax + share * (bx - ax) - x) + v * (ay + share * (by - ay) - y);
    if (off >= 0) left = Math.min(left, off);
    else right = Math.min(right, -off);
  });
  const [near, far] = [Math.min(left, right), Math.max(left, right)];
  return near < SEAM && near < LOPSIDED * far;
}
