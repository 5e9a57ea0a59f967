import { InputError, requireNumber } from '../input-error';
import { distanceToEdge } from './distance';
import { polygonArea, requireOutline, signedArea, type Outline, type Point } from './polygon';
import { difference, withoutSlivers } from './regions';

export interface Inset {
  /** Mitred outlines that are left: none, one or several. */
  outlines: Outline[];
  /** Their area together, mm². */
  area: number;
  /** What was taken off the original, mm². */
  removedArea: number;
}

/** A mitre may reach this many allowances from its corner before it is cut off square. */
const MITRE_LIMIT = 4;

/** Neighbours that turn by less than this, degrees, step square where their allowances differ. */
const NEARLY_STRAIGHT = 25;

/** Pieces smaller than this are rounding dust, mm². */
const DUST = 0.01;

/**
 * Moves an outline inward by its own allowance on every edge: the net shape of a piece, the exact outline
 * of a trimmed layer.
 *
 * Each edge takes away the strip that lies within its allowance; at each corner the strips are closed by a
 * mitre. A mitre that would run far out is cut off square, and where two nearly straight neighbours have
 * different allowances the line steps square instead.
 *
 * @param outline corners in mm, either winding, not closed
 * @param allowance mm, at least 0: one for all, or one per edge (edge i runs from corner i to i + 1)
 * @returns what is left; `outlines: []` and area 0 when nothing is
 * @throws {InputError} for a malformed outline or a wrong number of allowances
 * @example inset([[0, 0], [100, 0], [100, 60], [0, 60]], 10).area // 3200
 */
export function inset(outline: Outline, allowance: number | readonly number[]): Inset {
  const allowances = requireAllowances(outline, allowance);
  const { points, edges } = counterClockwise(outline, allowances);
  const cutters = bands(points, edges);
  const original = polygonArea(outline);
  if (cutters.length === 0) return { outlines: [outline.map(([x, y]): Point => [x, y])], area: original, removedArea: 0 };
  const outlines = withoutSlivers(difference(points, cutters).map(withoutHairs), DUST);
  const area = outlines.reduce((sum, path) => sum + polygonArea(path), 0);
  return { outlines, area, removedArea: Math.max(0, original - area) };
}

/** A tip that is thinner than this is no cloth, mm. */
const HAIR = 0.02;

/** An outline without tips that go out and back on nearly the same line, as are left where a curve and a mitre touch. */
function withoutHairs(outline: Outline): Outline {
  const points = [...outline];
  for (let i = 0; i < points.length && points.length > 3;) {
    const n = points.length;
    const [a, p, b] = [points[(i + n - 1) % n]!, points[i]!, points[(i + 1) % n]!];
    const turnsBack = (p[0] - a[0]) * (b[0] - p[0]) + (p[1] - a[1]) * (b[1] - p[1]) < 0;
    if (turnsBack && Math.min(distanceToEdge(p, b, a), distanceToEdge(a, p, b)) < HAIR) {
      points.splice(i, 1);
      i = Math.max(0, i - 1);
    } else i++;
  }
  return points;
}

/**
 * Checks outline and allowances, and gives one allowance for each edge.
 *
 * @throws {InputError} for a malformed outline or a wrong number of allowances
 * @example requireAllowances(square(10), 3) // [ 3, 3, 3, 3 ]
 */
export function requireAllowances(outline: Outline, allowance: number | readonly number[]): number[] {
  requireOutline(outline);
  const allowances = typeof allowance === 'number' ? outline.map(() => allowance) : [...allowance];
  if (allowances.length !== outline.length) {
    throw new InputError('allowance', `must be one number or one per edge (${outline.length}), saw ${allowances.length}`);
  }
  allowances.forEach((a, i) =>
    requireNumber(typeof allowance === 'number' ? 'allowance' : `allowance[${i}]`, a, 'mm', { min: 0, max: 10_000 }),
  );
  return allowances;
}

/**
 * Everything within the allowances on the left of a closed line: a strip along each edge, closed at the corners.
 *
 * @example bands(square(100), [10, 0, 0, 0]).length // 1
 */
export function bands(points: Outline, allowances: readonly number[]): Outline[] {
  const found: Outline[] = [];
  const n = points.length;
  for (let i = 0; i < n; i++) {
    const before = (i + n - 1) % n;
    const after = points[(i + 1) % n]!;
    const strip = edgeStrip(points[i]!, after, allowances[i]!);
    if (strip) found.push(strip);
    const corner = cornerPatch(points[before]!, points[i]!, after, allowances[before]!, allowances[i]!);
    if (corner) found.push(corner);
  }
  return found;
}

/**
 * Same shape counter-clockwise with its allowances, without corners that repeat.
 *
 * @example counterClockwise([...square(10)].reverse(), [1, 1, 1, 1]).points.length // 4
 */
export function counterClockwise(outline: Outline, allowances: readonly number[]): { points: Outline; edges: number[] } {
  const points: Outline = [];
  const edges: number[] = [];
  const n = outline.length;
  const forward = signedArea(outline) > 0;
  for (let k = 0; k < n; k++) {
    const i = forward ? k : n - 1 - k;
    const next = forward ? (i + 1) % n : (i + n - 1) % n;
    const a = outline[i]!;
    const b = outline[next]!;
    if (a[0] === b[0] && a[1] === b[1]) continue;
    points.push(a);
    edges.push(allowances[forward ? i : next]!);
  }
  return { points, edges };
}

/** The strip within an edge's allowance, on the inner (left) side. */
function edgeStrip(a: Point, b: Point, allowance: number): Outline | undefined {
  if (allowance === 0) return undefined;
  const [nx, ny] = innerNormal(a, b);
  return [a, b, [b[0] + allowance * nx, b[1] + allowance * ny], [a[0] + allowance * nx, a[1] + allowance * ny]];
}

function innerNormal(a: Point, b: Point): Point {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  return [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
}

/**
 * What the two strips leave open at the corner between them: the kite to the mitre, or a square end.
 * Returns undefined where the strips already meet.
 */
function cornerPatch(before: Point, corner: Point, after: Point, in0: number, in1: number): Outline | undefined {
  if (in0 === 0 && in1 === 0) return undefined;
  const n0 = innerNormal(before, corner);
  const n1 = innerNormal(corner, after);
  // Directions of the edges, from the normals turned back by a quarter.
  const d0: Point = [n0[1], -n0[0]];
  const d1: Point = [n1[1], -n1[0]];
  const turn = Math.atan2(d0[0] * d1[1] - d0[1] * d1[0], d0[0] * d1[0] + d0[1] * d1[1]);
  const e0: Point = [corner[0] + in0 * n0[0], corner[1] + in0 * n0[1]];
  const e1: Point = [corner[0] + in1 * n1[0], corner[1] + in1 * n1[1]];
  const nearlyStraight = Math.abs(turn) < (NEARLY_STRAIGHT * Math.PI) / 180;

  if (in0 !== in1 && nearlyStraight) {
    if (turn >= 0) return undefined; // The square ends of the strips already overlap.
    return squareStep(corner, n0, n1, in0, in1);
  }
  if (Math.abs(turn) < 1e-9) return undefined;
  const mitre = meet(e0, d0, e1, d1);
  const reach = Math.hypot(mitre[0] - corner[0], mitre[1] - corner[1]);
  const near = reach <= MITRE_LIMIT * Math.max(in0, in1);
  // How far the mitre lies beyond the end of each strip. All patches must be simple and wound one way: where
  // windings differ, overlapping cutters would cancel instead of adding up.
  const beyond0 = (mitre[0] - e0[0]) * d0[0] + (mitre[1] - e0[1]) * d0[1];
  const beyond1 = (e1[0] - mitre[0]) * d1[0] + (e1[1] - mitre[1]) * d1[1];
  if (turn > 0) {
    if (!near) return undefined;
    if (beyond0 > 0) return [corner, e0, mitre, [mitre[0] - in1 * n1[0], mitre[1] - in1 * n1[1]]];
    if (beyond1 > 0) return [corner, [mitre[0] - in0 * n0[0], mitre[1] - in0 * n0[1]], mitre, e1];
    return undefined;
  }
  if (beyond0 < 0 || beyond1 < 0) return squareStep(corner, n0, n1, in0, in1);
  return near ? [corner, e0, mitre, e1] : squareEnd(corner, n0, n1, d0, d1, in0, in1, -turn);
}

/** Where the line from p along d meets the line from q along e. */
function meet(p: Point, d: Point, q: Point, e: Point): Point {
  const t = ((q[0] - p[0]) * e[1] - (q[1] - p[1]) * e[0]) / (d[0] * e[1] - d[1] * e[0]);
  return [p[0] + t * d[0], p[1] + t * d[1]];
}

/**
 * Fills the wedge at a slightly hollow corner to the larger allowance, so that the step stands square. The ends of both strips
 * are corners of it: lines that only nearly lie on each other would leave a hair between them.
 */
function squareStep(corner: Point, n0: Point, n1: Point, in0: number, in1: number): Outline {
  const far = Math.max(in0, in1);
  const f0 = beside(corner, n0, far);
  const f1 = beside(corner, n1, far);
  const middle = meet(f0, [n0[1], -n0[0]], f1, [n1[1], -n1[0]]);
  return [
    corner,
    ...(in0 < far ? [beside(corner, n0, in0)] : []),
    f0,
    middle,
    f1,
    ...(in1 < far ? [beside(corner, n1, in1)] : []),
  ];
}

/** Cuts a sharp hollow corner off square at its allowance, touching the circle around the corner; strips join as above. */
function squareEnd(corner: Point, n0: Point, n1: Point, d0: Point, d1: Point, in0: number, in1: number, turn: number): Outline {
  const far = Math.max(in0, in1);
  const along = far * Math.tan(turn / 4);
  const f0 = beside(corner, n0, far);
  const f1 = beside(corner, n1, far);
  return [
    corner,
    ...(in0 < far ? [beside(corner, n0, in0)] : []),
    f0,
    beside(f0, d0, along),
    beside(f1, d1, -along),
    f1,
    ...(in1 < far ? [beside(corner, n1, in1)] : []),
  ];
}

/** The point so far from another along a unit vector. */
function beside([x, y]: Point, [ux, uy]: Point, far: number): Point {
  return [x + far * ux, y + far * uy];
}
