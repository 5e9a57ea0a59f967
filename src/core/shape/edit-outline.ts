import { InputError, requireNumber } from '../input-error';
import { smoothed } from './as-drawn';
import { cubicAt } from './cubic';
import { distanceToEdge } from './distance';
import type { DrawnEdge } from './kinds/drawn';
import type { Outline, Point } from './polygon';

/** An outline that is being edited: its edges, and for each the number of the edge it came from. */
export interface Edited {
  edges: DrawnEdge[];
  sources: number[];
}

/** The fewest edges that make an outline that can be edited on. */
const FEWEST = 3;

/**
 * Corner at the end of an edge.
 *
 * @example endOf(asDrawn(rectangle).shape, 0) // [ 300, 0 ]
 */
export function endOf({ edges }: Edited, edge: number): Point {
  return edges[(edge + 1) % edges.length]!.from;
}

/**
 * Moves a corner; curves that meet there keep their direction.
 *
 * @example moveCorner(asDrawn(rectangle).shape, 0, [-10, 0]).edges[0].from // [ -10, 0 ]
 */
export function moveCorner(edited: Edited, corner: number, to: Point): Edited {
  const n = edited.edges.length;
  const from = edited.edges[corner]!.from;
  const by: Point = [to[0] - from[0], to[1] - from[1]];
  const before = (corner + n - 1) % n;
  const edges = edited.edges.map((edge, i): DrawnEdge => {
    if (i !== corner && i !== before) return edge;
    const { curve, via } = edge;
    const moved: DrawnEdge = { ...edge, ...(i === corner ? { from: to } : {}) };
    if (curve) moved.curve = [i === corner ? plus(curve[0], by) : curve[0], i === before ? plus(curve[1], by) : curve[1]];
    // Points of a line from a file go along, the nearer the corner the more.
    if (via && via.length > 0)
      moved.via = via.map((p, k) => {
        const share = (k + 1) / (via.length + 1);
        const weight = (i === corner ? 1 - share : 0) + (i === before ? share : 0);
        return [p[0] + weight * by[0], p[1] + weight * by[1]];
      });
    return moved;
  });
  return { ...edited, edges };
}

/**
 * Moves a control point of a curve: 0 the one at its start, 1 the one at its end.
 *
 * @example moveControl(bend(asDrawn(rectangle).shape, 0), 0, 0, [100, -20]).edges[0].curve[0] // [ 100, -20 ]
 */
export function moveControl(edited: Edited, edge: number, which: 0 | 1, to: Point): Edited {
  return changeEdge(edited, edge, ({ curve, ...rest }) => ({
    ...rest,
    ...(curve ? { curve: which === 0 ? [to, curve[1]] : [curve[0], to] } : {}),
  }));
}

/**
 * Puts a corner into the middle of an edge.
 *
 * @example splitEdge({ edges: asDrawn(rectangle).shape.edges, sources: [0, 1, 2, 3] }, 0).edges.length // 5
 */
export function splitEdge(edited: Edited, edge: number): Edited {
  const { from, curve, via = [] } = edited.edges[edge]!;
  const to = endOf(edited, edge);
  let halves: [DrawnEdge, DrawnEdge];
  if (curve) {
    // De Casteljau at one half.
    const [c, d] = curve;
    const ac = between(from, c);
    const cd = between(c, d);
    const db = between(d, to);
    const left = between(ac, cd);
    const right = between(cd, db);
    halves = [
      { from, curve: [ac, left] },
      { from: cubicAt(from, c, d, to, 0.5), curve: [right, db] },
    ];
  } else if (via.length > 0) {
    const k = Math.floor(via.length / 2);
    halves = [part(from, via.slice(0, k)), part(via[k]!, via.slice(k + 1))];
  } else halves = [{ from }, { from: between(from, to) }];
  return replaceEdges(edited, edge, 1, halves);
}

function part(from: Point, via: Point[]): DrawnEdge {
  return via.length > 0 ? { from, via } : { from };
}

/**
 * Takes a corner out; the edges that met there become one straight edge.
 *
 * @throws {InputError} when the outline would be no outline any more
 * @example removeCorner({ edges: asDrawn(rectangle).shape.edges, sources: [0, 1, 2, 3] }, 0).edges.length // 3
 */
export function removeCorner(edited: Edited, corner: number): Edited {
  const n = edited.edges.length;
  if (n <= FEWEST) throw new InputError('edges', `must be at least ${FEWEST}, so this corner has to stay`);
  const before = (corner + n - 1) % n;
  const straight = changeEdge(edited, before, ({ from }) => ({ from }));
  return replaceEdges(straight, corner, 1, []);
}

/**
 * The outline with an edge made straight.
 *
 * @example straighten(bend(asDrawn(rectangle).shape, 0), 0).edges[0].curve // undefined
 */
export function straighten(edited: Edited, edge: number): Edited {
  return changeEdge(edited, edge, ({ from }) => ({ from }));
}

/**
 * Makes an edge a curve, bulging outward a little so that its control points can be taken hold of.
 *
 * @example bend(asDrawn(rectangle).shape, 0).edges[0].curve.length // 2
 */
export function bend(edited: Edited, edge: number): Edited {
  const { from, curve, via } = edited.edges[edge]!;
  if (curve) return edited;
  const to = endOf(edited, edge);
  if (via && via.length > 0) return replaceEdges(edited, edge, 1, smoothed([from, ...via, to]));
  const out: Point = [(to[1] - from[1]) * BULGE, (from[0] - to[0]) * BULGE];
  const third = (t: number): Point => [from[0] + t * (to[0] - from[0]) + out[0], from[1] + t * (to[1] - from[1]) + out[1]];
  return changeEdge(edited, edge, () => ({ from, curve: [third(1 / 3), third(2 / 3)] }));
}
const BULGE = 0.12;

/**
 * Length of the straight line from the start of an edge to its end, mm, and its angle, degrees counter-clockwise from right.
 *
 * @example edgeMeasures(asDrawn(rectangle).shape, 0) // { length: 300, angle: 0 }
 */
export function edgeMeasures(edited: Edited, edge: number): { length: number; angle: number } {
  const { from } = edited.edges[edge]!;
  const to = endOf(edited, edge);
  const angle = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  return { length: Math.hypot(to[0] - from[0], to[1] - from[1]), angle: angle < -1e-9 ? angle + 360 : Math.max(0, angle) };
}

/**
 * Gives an edge this length and angle by moving its end.
 *
 * @throws {InputError} for a length that is not positive
 * @example edgeMeasures(setEdge(asDrawn(rectangle).shape, 0, 200, 0), 0).length // 200
 */
export function setEdge(edited: Edited, edge: number, length: number, angle: number): Edited {
  requireNumber('length', length, 'mm', { above: 0, max: 100_000 });
  requireNumber('angle', angle, '°', { min: -360, max: 360 });
  const { from } = edited.edges[edge]!;
  const a = (angle * Math.PI) / 180;
  return moveCorner(edited, (edge + 1) % edited.edges.length, [
    tidy(from[0] + length * Math.cos(a)),
    tidy(from[1] + length * Math.sin(a)),
  ]);
}

/**
 * The whole of a half: everything but this edge, and its mirror image at it.
 *
 * @example mirrorAtEdge({ edges: asDrawn(rectangle).shape.edges, sources: [0, 1, 2, 3] }, 0).edges.length // 6
 */
export function mirrorAtEdge(edited: Edited, edge: number): Edited {
  const n = edited.edges.length;
  const a = edited.edges[edge]!.from;
  const b = endOf(edited, edge);
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [dx, dy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const mirror = ([x, y]: Point): Point => {
    const out = (x - a[0]) * dy - (y - a[1]) * dx;
    return [tidy(x - 2 * out * dy), tidy(y + 2 * out * dx)];
  };
  const half = Array.from({ length: n - 1 }, (_, k) => (edge + 1 + k) % n);
  const there = half.map((i) => edited.edges[i]!);
  const back = [...half].reverse().map((i): DrawnEdge => {
    const { curve, via } = edited.edges[i]!;
    return {
      from: mirror(endOf(edited, i)),
      ...(curve ? { curve: [mirror(curve[1]), mirror(curve[0])] as [Point, Point] } : {}),
      ...(via ? { via: [...via].reverse().map(mirror) } : {}),
    };
  });
  const sources = half.map((i) => edited.sources[i]!);
  return { edges: [...there, ...back], sources: [...sources, ...[...sources].reverse()] };
}

/**
 * A place moved to the nearest step of a ruler.
 *
 * @example snapped([12, 18], 5) // [ 10, 20 ]
 */
export function snapped([x, y]: Point, step: number): Point {
  return step > 0 ? [tidy(Math.round(x / step) * step), tidy(Math.round(y / step) * step)] : [x, y];
}

/**
 * Nearest edge to a place, by the points given for each edge.
 *
 * @example nearestEdge([square(10)], [5, 1]) // { edge: 0, distance: 1 }
 */
export function nearestEdge(lines: readonly Outline[], place: Point): { edge: number; distance: number } {
  let best = { edge: 0, distance: Infinity };
  lines.forEach((points, edge) => {
    for (let i = 0; i + 1 < points.length; i++) {
      const distance = distanceToEdge(points[i]!, points[i + 1]!, place);
      if (distance < best.distance) best = { edge, distance };
    }
  });
  return best;
}

function changeEdge(edited: Edited, edge: number, change: (edge: DrawnEdge) => DrawnEdge): Edited {
  return { ...edited, edges: edited.edges.map((each, i) => (i === edge ? change(each) : each)) };
}

function replaceEdges({ edges, sources }: Edited, at: number, count: number, by: DrawnEdge[]): Edited {
  return {
    edges: [...edges.slice(0, at), ...by, ...edges.slice(at + count)],
    sources: [...sources.slice(0, at), ...by.map(() => sources[at]!), ...sources.slice(at + count)],
  };
}

function plus(a: Point, b: Point): Point {
  return [a[0] + b[0], a[1] + b[1]];
}

function between(a: Point, b: Point): Point {
  return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
}

/** A micrometre is finer than anything here is measured. */
function tidy(value: number): number {
  return Math.round(value * 1000) / 1000;
}
