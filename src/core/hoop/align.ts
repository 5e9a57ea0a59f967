import { bounds, type Outline, type Point } from '../shape';
import type { MotifPlace } from './placing';

/**
 * Unit vectors along an edge of a counter-clockwise outline, and from it into the outline.
 *
 * @example edgeDirections(square(10), 0).inward // [ 0, 1 ]
 */
export function edgeDirections(outline: Outline, edge: number): { along: Point; inward: Point } {
  const [a, b] = [outline[edge]!, outline[(edge + 1) % outline.length]!];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [x, y] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  // A positive nought, whichever way the edge runs.
  return { along: [x, y], inward: [0 - y, x] };
}

/**
 * Middle of a motif so far from an edge, so far along it from its beginning, upright to it.
 *
 * @example fromEdge(square(400), 0, 50, 200) // { x: 200, y: 50 }
 */
export function fromEdge(outline: Outline, edge: number, distance: number, along: number): Pick<MotifPlace, 'x' | 'y'> {
  const [a, b] = [outline[edge]!, outline[(edge + 1) % outline.length]!];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const u: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  // Inward lies to the left of a counter-clockwise edge.
  return { x: a[0] + along * u[0] - distance * u[1], y: a[1] + along * u[1] + distance * u[0] };
}

/**
 * Distance of a point from the line of an edge, and how far along the edge its foot lies, mm.
 *
 * @example edgeDistance(square(400), 0, [100, 50]) // { distance: 50, along: 100, length: 400 }
 */
export function edgeDistance(outline: Outline, edge: number, [x, y]: Point): { distance: number; along: number; length: number } {
  const [a, b] = [outline[edge]!, outline[(edge + 1) % outline.length]!];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const u: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  return { distance: (y - a[1]) * u[0] - (x - a[0]) * u[1], along: (x - a[0]) * u[0] + (y - a[1]) * u[1], length };
}

/**
 * At a corner, on the line that halves it, so far from both edges; the motif's foot points to the corner.
 *
 * @param outline counter-clockwise @param distance of the middle from both edges, mm
 * @example atCorner(square(400), 0, 50).angle // 315
 */
export function atCorner(outline: Outline, corner: number, distance: number): Pick<MotifPlace, 'x' | 'y' | 'angle'> {
  const n = outline.length;
  const [before, at, after] = [outline[(corner + n - 1) % n]!, outline[corner]!, outline[(corner + 1) % n]!];
  const unit = ([x, y]: Point): Point => [x / Math.hypot(x, y), y / Math.hypot(x, y)];
  const u = unit([before[0] - at[0], before[1] - at[1]]);
  const v = unit([after[0] - at[0], after[1] - at[1]]);
  const half = Math.acos(Math.max(-1, Math.min(1, u[0] * v[0] + u[1] * v[1]))) / 2;
  const line = unit([u[0] + v[0], u[1] + v[1]]);
  const far = distance / Math.sin(half);
  const angle = (Math.atan2(line[1], line[0]) * 180) / Math.PI - 90;
  return { x: at[0] + far * line[0], y: at[1] + far * line[1], angle: ((angle % 360) + 360) % 360 };
}

/**
 * On the upright or the level line through the middle of the cloth, or both.
 *
 * @example centred(square(400), { x: 10, y: 20 }, 'both') // { x: 200, y: 200 }
 */
export function centred(
  outline: Outline,
  { x, y }: Pick<MotifPlace, 'x' | 'y'>,
  on: 'x' | 'y' | 'both',
): Pick<MotifPlace, 'x' | 'y'> {
  const box = bounds(outline);
  return {
    x: on === 'y' ? x : (box.minX + box.maxX) / 2,
    y: on === 'x' ? y : (box.minY + box.maxY) / 2,
  };
}

/**
 * The two straight edges from which the middle of the motif is measured best: near, long, and at an angle to each other.
 *
 * @example measuringEdges(square(400), { x: 50, y: 80 }).length // 2
 */
export function measuringEdges(outline: Outline, { x, y }: Pick<MotifPlace, 'x' | 'y'>): { edge: number; distance: number }[] {
  const all = outline.map((_, edge) => ({ edge, ...edgeDistance(outline, edge, [x, y]) }));
  const long = all.filter(({ length, distance }) => length > 40 && distance > 0).sort((a, b) => a.distance - b.distance);
  const beside = ({ along, length }: (typeof long)[number]) => along >= 0 && along <= length;
  // What lies beside the point comes first; a fold runs on past the end of its edge where it has to.
  const usable = [...long.filter(beside), ...long.filter((each) => !beside(each))];
  const [first] = usable;
  if (!first) return [];
  const direction = (edge: number): Point => edgeDirections(outline, edge).along;
  const u = direction(first.edge);
  const second = usable.find(({ edge }) => {
    const v = direction(edge);
    return Math.abs(u[0] * v[1] - u[1] * v[0]) > 0.5;
  });
  return [first, ...(second ? [second] : [])].map(({ edge, distance }) => ({ edge, distance }));
}

/**
 * The same place on the mirrored piece, in its own coordinates: left and right of a pair.
 *
 * @example mirroredPlace(middle).flipped // true
 */
export function mirroredPlace({ x, y, angle, flipped }: MotifPlace): MotifPlace {
  return { x: -x, y, angle: (360 - angle) % 360, flipped: !flipped };
}
