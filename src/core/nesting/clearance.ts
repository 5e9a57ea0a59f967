import type { Outline, Point } from '../shape';

/**
 * Whether two outlines that do not overlap come closer to each other than a distance. Only corners and edges within that
 * distance of the other's box are measured.
 *
 * @param a @param b simple outlines in mm @param least mm, above 0 @returns their distance, mm, or undefined when it is `least` or more
 * @example closerThan(10, square(10), [[14, 0], [24, 0], [24, 10]]) // 4
 */
export function closerThan(least: number, a: Outline, b: Outline): number | undefined {
  const nearA = edgesNear(a, b, least);
  const nearB = edgesNear(b, a, least);
  let nearest = least;
  for (const [p, q] of nearA) {
    for (const [r, s] of nearB) {
      if (Math.min(p[0], q[0]) - Math.max(r[0], s[0]) >= nearest || Math.min(r[0], s[0]) - Math.max(p[0], q[0]) >= nearest)
        continue;
      if (Math.min(p[1], q[1]) - Math.max(r[1], s[1]) >= nearest || Math.min(r[1], s[1]) - Math.max(p[1], q[1]) >= nearest)
        continue;
      nearest = Math.min(nearest, toEdge(p, r, s), toEdge(q, r, s), toEdge(r, p, q), toEdge(s, p, q));
    }
  }
  return nearest < least ? nearest : undefined;
}

function edgesNear(outline: Outline, other: Outline, within: number): [Point, Point][] {
  const box = [Infinity, Infinity, -Infinity, -Infinity] as [number, number, number, number];
  for (const [x, y] of other) {
    box[0] = Math.min(box[0], x - within);
    box[1] = Math.min(box[1], y - within);
    box[2] = Math.max(box[2], x + within);
    box[3] = Math.max(box[3], y + within);
  }
  return outline
    .map((p, i): [Point, Point] => [p, outline[(i + 1) % outline.length]!])
    .filter(
      ([p, q]) =>
        Math.min(p[0], q[0]) < box[2] &&
        Math.max(p[0], q[0]) > box[0] &&
        Math.min(p[1], q[1]) < box[3] &&
        Math.max(p[1], q[1]) > box[1],
    );
}

function toEdge([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const long = dx * dx + dy * dy;
  const t = long === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / long));
  return Math.hypot(x - ax - t * dx, y - ay - t * dy);
}
