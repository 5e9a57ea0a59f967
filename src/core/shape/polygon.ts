import { InputError, shown } from '../input-error';

/** A corner [x, y] in mm. */
export type Point = [x: number, y: number];

/** Corners in order; the first is not repeated at the end; either winding. */
export type Outline = Point[];

/** An outline with more corners than this is refused; cloth pieces from a file have a few hundred. */
export const MOST_POINTS = 10_000;

/** Nothing on a cutting table lies further out than this, mm. */
export const FARTHEST = 100_000;

/**
 * Signed area by the shoelace formula, mm²: positive when the corners run counter-clockwise (y up).
 *
 * @example signedArea(square(10)) // 100
 */
export function signedArea(outline: Outline): number {
  let twice = 0;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    twice += outline[j]![0] * outline[i]![1] - outline[i]![0] * outline[j]![1];
  }
  return twice / 2;
}

/**
 * Area in mm², whichever the winding.
 *
 * @example polygonArea([...square(10)].reverse()) // 100
 */
export function polygonArea(outline: Outline): number {
  return Math.abs(signedArea(outline));
}

/**
 * Length of the closed outline, mm.
 *
 * @example perimeter(square(10)) // 40
 */
export function perimeter(outline: Outline): number {
  let sum = 0;
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % outline.length]!;
    sum += Math.hypot(b[0] - a[0], b[1] - a[1]);
  }
  return sum;
}

export interface Box {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}

/**
 * Smallest upright rectangle around the corners.
 *
 * @example bounds(square(10)) // { minX: 0, minY: 0, maxX: 10, maxY: 10 }
 */
export function bounds(outline: Outline): Box {
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };
  for (const [x, y] of outline) {
    if (x < box.minX) box.minX = x;
    if (x > box.maxX) box.maxX = x;
    if (y < box.minY) box.minY = y;
    if (y > box.maxY) box.maxY = y;
  }
  return box;
}

/**
 * Flip (x → −x), then turn counter-clockwise by `rotation` degrees about the origin, then move.
 *
 * @example transformed(square(10), false, 90)[1].map(Math.round) // [ 0, 10 ]
 */
export function transformed(outline: Outline, flipped: boolean, rotation: number, x = 0, y = 0): Outline {
  // Right angles are exact, so that a quarter turn does not smear edges by a rounding error.
  const quarter = ((rotation % 360) + 360) % 360;
  const [c, s] =
    quarter === 0
      ? [1, 0]
      : quarter === 90
        ? [0, 1]
        : quarter === 180
          ? [-1, 0]
          : quarter === 270
            ? [0, -1]
            : [Math.cos((rotation * Math.PI) / 180), Math.sin((rotation * Math.PI) / 180)];
  return outline.map(([px, py]) => {
    const fx = flipped ? -px : px;
    return [c * fx - s * py + x, s * fx + c * py + y];
  });
}

/** Whether segments ab and cd meet, touching included. */
function segmentsMeet(a: Point, b: Point, c: Point, d: Point): boolean {
  const d1 = cross(c, d, a);
  const d2 = cross(c, d, b);
  const d3 = cross(a, b, c);
  const d4 = cross(a, b, d);
  if (((d1 > 0 && d2 < 0) || (d1 < 0 && d2 > 0)) && ((d3 > 0 && d4 < 0) || (d3 < 0 && d4 > 0))) return true;
  return (
    (d1 === 0 && within(c, d, a)) ||
    (d2 === 0 && within(c, d, b)) ||
    (d3 === 0 && within(a, b, c)) ||
    (d4 === 0 && within(a, b, d))
  );
}

function cross(o: Point, a: Point, b: Point): number {
  return (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
}

function within(a: Point, b: Point, p: Point): boolean {
  return (
    Math.min(a[0], b[0]) <= p[0] && p[0] <= Math.max(a[0], b[0]) && Math.min(a[1], b[1]) <= p[1] && p[1] <= Math.max(a[1], b[1])
  );
}

/**
 * First pair of edges that cross or touch although they are not neighbours, or undefined.
 * Sorted by x so that only edges that overlap in x are compared: near linear on cloth pieces.
 *
 * @example selfCrossing([[0, 0], [10, 10], [10, 0], [0, 10]]) !== undefined // true
 */
export function selfCrossing(outline: Outline): [number, number] | undefined {
  const n = outline.length;
  const edges = outline
    .map((a, i) => ({ i, a, b: outline[(i + 1) % n]! }))
    .filter(({ a, b }) => a[0] !== b[0] || a[1] !== b[1])
    .map((e) => ({ ...e, left: Math.min(e.a[0], e.b[0]), right: Math.max(e.a[0], e.b[0]) }));
  // Neighbours are counted among the edges that are left, so that a doubled corner is not a crossing.
  const m = edges.length;
  const ranked = edges.map((e, rank) => ({ ...e, rank })).sort((p, q) => p.left - q.left);
  for (let k = 0; k < m; k++) {
    const p = ranked[k]!;
    for (let l = k + 1; l < m; l++) {
      const q = ranked[l]!;
      if (q.left > p.right) break;
      const apart = Math.abs(p.rank - q.rank);
      if (apart === 1 || apart === m - 1) {
        // Neighbours share a corner; they only go wrong when one folds back along the other.
        const [e, f] = (p.rank + 1) % m === q.rank ? [p, q] : [q, p];
        if (cross(e.a, e.b, f.b) === 0 && (e.a[0] - e.b[0]) * (f.b[0] - f.a[0]) + (e.a[1] - e.b[1]) * (f.b[1] - f.a[1]) > 0)
          return [e.i, f.i];
        continue;
      }
      if (segmentsMeet(p.a, p.b, q.a, q.b)) return p.i < q.i ? [p.i, q.i] : [q.i, p.i];
    }
  }
  return undefined;
}

/**
 * Checks an outline that came from outside and returns it.
 *
 * @throws {InputError} naming the corner: fewer than three, not finite, too far out, no area, or crossing itself
 * @example requireOutline(square(10)).length // 4
 */
export function requireOutline(outline: Outline, field = 'outline'): Outline {
  if (outline.length < 3) throw new InputError(field, `must have at least 3 corners, saw ${outline.length}`);
  if (outline.length > MOST_POINTS)
    throw new InputError(field, `must have at most ${MOST_POINTS} corners, saw ${outline.length}`);
  outline.forEach((point, i) => {
    for (const value of point) {
      if (!(Math.abs(value) <= FARTHEST))
        throw new InputError(`${field}[${i}]`, `must be [x, y] in mm within ±${FARTHEST}, saw [${shown(point)}]`);
    }
  });
  const crossing = selfCrossing(outline);
  if (crossing) throw new InputError(field, `must not cross or touch itself, but edges ${crossing[0]} and ${crossing[1]} do`);
  if (!(polygonArea(outline) > 1e-6)) throw new InputError(field, 'must enclose an area, saw none');
  return outline;
}
