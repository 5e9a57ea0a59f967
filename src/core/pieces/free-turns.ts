import { bounds, convexHull, transformed, type Outline } from '../shape';

/** Angles closer than this are one, degrees. */
const SAME_ANGLE = 1;

/**
 * Turns in which a piece that has no direction to keep is worth trying, degrees from 0 up to 360: as it was drawn, in its
 * narrowest upright box, and with each of its longest outer edges along the edge of the cloth, each in all four quarter
 * turns. The narrowest box around an outline has an edge of its convex hull on one side (rotating calipers).
 *
 * @param outline mm @param most turns; at least the four of the piece as it was drawn are given
 * @example freeTurns(square(10), 4).length > 0 // true
 */
export function freeTurns(outline: Outline, most: number): number[] {
  const hull = convexHull(outline);
  const edges = hull.map((a, i) => {
    const b = hull[(i + 1) % hull.length]!;
    const angle = quarter((-Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI);
    const { minX, minY, maxX, maxY } = bounds(transformed(hull, false, angle));
    return { angle, box: (maxX - minX) * (maxY - minY), length: Math.hypot(b[0] - a[0], b[1] - a[1]) };
  });
  const [narrowest] = [...edges].sort((a, b) => a.box - b.box);
  const longest = [...edges].sort((a, b) => b.length - a.length);
  const wanted = [0, ...(narrowest ? [narrowest.angle] : []), ...longest.map(({ angle }) => angle)];
  const bases: number[] = [];
  for (const angle of wanted) {
    if (bases.length > 0 && 4 * (bases.length + 1) > most) break;
    if (bases.every((other) => apart(angle, other) > SAME_ANGLE)) bases.push(angle);
  }
  return bases.flatMap((angle) => [0, 90, 180, 270].map((by) => angle + by));
}

/** An angle from 0 up to 90 that differs by quarter turns. */
function quarter(angle: number): number {
  return ((angle % 90) + 90) % 90;
}

/** How far two angles from 0 up to 90 lie apart when quarter turns do not count. */
function apart(a: number, b: number): number {
  const d = Math.abs(a - b);
  return Math.min(d, 90 - d);
}
