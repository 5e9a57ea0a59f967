import { perimeter, signedArea, type Outline, type Point } from './polygon';
import { windingUnion } from './regions';

/**
 * Minkowski sum of two simple outlines: every a + b with a in one and b in the other.
 *
 * The boundary is found by convolution: an edge of one outline is carried along at every corner of the other
 * whose turn passes through the edge's direction, backwards where that corner is hollow. The closed loops that
 * result wind around a point p as often as the first outline and the mirrored second one, moved to p, have
 * common parts, so what is wound around at least once is the sum (Guibas, Ramshaw and Stolfi's kinetic frame).
 *
 * @param a @param b simple, either winding, mm
 * @returns one outline counter-clockwise, with holes as clockwise ones
 * @example minkowskiSum(square(10), square(5)).length // 1
 */
export function minkowskiSum(a: Outline, b: Outline): Outline[] {
  const p = anticlockwise(a);
  const q = anticlockwise(b);
  const loops = convolution(p, q);
  return isConvex(p) && isConvex(q) ? loops : windingUnion(loops).filter(isWide);
}

/** Narrower than this on average, a path is a crack between edges that rounding moved apart, mm. */
const CRACK = 0.01;

function isWide(path: Outline): boolean {
  return Math.abs(signedArea(path)) > CRACK * perimeter(path);
}

/**
 * Where the reference point (origin) of `moving` may not lie: it would overlap `fixed` there. On the boundary
 * the two just touch.
 *
 * @example noFitOutline(square(10), square(5)).length // 1
 */
export function noFitOutline(fixed: Outline, moving: Outline): Outline[] {
  return minkowskiSum(
    fixed,
    moving.map(([x, y]): Point => [-x, -y]),
  );
}

/**
 * Whether an outline that runs counter-clockwise has no hollow corner.
 *
 * @example isConvex(square(10)) // true
 */
export function isConvex(outline: Outline): boolean {
  const n = outline.length;
  for (let i = 0; i < n; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % n]!;
    const c = outline[(i + 2) % n]!;
    if ((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]) < 0) return false;
  }
  return true;
}

/**
 * The same outline counter-clockwise, without corners that repeat.
 *
 * @example signedArea(anticlockwise([...square(10)].reverse())) // 100
 */
export function anticlockwise(outline: Outline): Outline {
  const points = outline.filter((p, i) => {
    const next = outline[(i + 1) % outline.length]!;
    return p[0] !== next[0] || p[1] !== next[1];
  });
  return signedArea(points) < 0 ? points.reverse() : points;
}

/** Directions of the edges in (−π, π]. */
function directions(outline: Outline): Float64Array {
  const n = outline.length;
  const found = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % n]!;
    const angle = Math.atan2(b[1] - a[1], b[0] - a[0]);
    found[i] = angle <= -Math.PI ? Math.PI : angle;
  }
  return found;
}

/** Turn at each corner, from the edge before to the edge after, in (−π, π]. */
function turns(direction: Float64Array): Float64Array {
  const n = direction.length;
  const found = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const turn = direction[i]! - direction[(i + n - 1) % n]!;
    found[i] = turn > Math.PI ? turn - 2 * Math.PI : turn <= -Math.PI ? turn + 2 * Math.PI : turn;
  }
  return found;
}

/**
 * All closed loops of the convolution. A corner of the grid is the sum of corner i of p and corner j of q. Where
 * two edges run in the same direction, q's counts as a hair further round, at every corner alike, so that as
 * many segments leave each corner of the grid as reach it.
 */
function convolution(p: Outline, q: Outline): Outline[] {
  const n = p.length;
  const m = q.length;
  const dp = directions(p);
  const dq = directions(q);
  const tp = turns(dp);
  const tq = turns(dq);
  const leaving = new Map<number, number[]>();
  const add = (from: number, to: number) => {
    const list = leaving.get(from);
    if (list) list.push(to);
    else leaving.set(from, [to]);
  };
  for (let j = 0; j < m; j++) {
    const turn = tq[j]!;
    if (turn === 0) continue;
    const before = dq[(j + m - 1) % m]!;
    const after = dq[j]!;
    const low = turn > 0 ? before : after;
    const high = turn > 0 ? after : before;
    for (let i = 0; i < n; i++) {
      const d = dp[i]!;
      if (!(low < high ? d > low && d <= high : d > low || d <= high)) continue;
      const here = i * m + j;
      const there = ((i + 1) % n) * m + j;
      if (turn > 0) add(here, there);
      else add(there, here);
    }
  }
  for (let i = 0; i < n; i++) {
    const turn = tp[i]!;
    if (turn === 0) continue;
    const before = dp[(i + n - 1) % n]!;
    const after = dp[i]!;
    const low = turn > 0 ? before : after;
    const high = turn > 0 ? after : before;
    for (let j = 0; j < m; j++) {
      const d = dq[j]!;
      if (!(low < high ? d >= low && d < high : d >= low || d < high)) continue;
      const here = i * m + j;
      const there = i * m + ((j + 1) % m);
      if (turn > 0) add(here, there);
      else add(there, here);
    }
  }
  const loops: Outline[] = [];
  for (const [start, first] of leaving) {
    while (first.length > 0) {
      const loop: Outline = [];
      let at = start;
      do {
        const a = p[Math.floor(at / m)]!;
        const b = q[at % m]!;
        loop.push([a[0] + b[0], a[1] + b[1]]);
        at = leaving.get(at)!.pop()!;
      } while (at !== start);
      loops.push(loop);
    }
  }
  return loops;
}
