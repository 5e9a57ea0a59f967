import type { Outline, Point } from '../../src/core/shape';

/** Geometry for checking the application's own, by sampling and counting, and sharing no code with it. */

/** Distance of a point from the nearest edge of an outline. */
export function distanceTo(outline: Outline, [x, y]: Point): number {
  return Math.min(
    ...outline.map(([ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length]!;
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      return Math.hypot(x - ax - t * dx, y - ay - t * dy);
    }),
  );
}

/** Whether a point lies in an outline or on it, by counting crossings. */
export function isInside([x, y]: Point, outline: Outline, slack = 1e-6): boolean {
  let within = false;
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) within = !within;
  });
  return within || distanceTo(outline, [x, y]) < slack + 0.01;
}

/**
 * Distance from a point to a segment, and whether it counts: it lies on the inner side and its foot falls inside the
 * edge (a square step stands exactly on the end). A neighbour across a gap is not inside the seam.
 */
function toSegment([px, py]: Point, a: Point, b: Point, side: number): { distance: number; inside: boolean } {
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  const t = ((px - a[0]) * dx + (py - a[1]) * dy) / (dx * dx + dy * dy);
  const clamped = Math.max(0, Math.min(1, t));
  return {
    distance: Math.hypot(px - a[0] - clamped * dx, py - a[1] - clamped * dy),
    inside: Math.min(t, 1 - t) * Math.hypot(dx, dy) > 0.02 && side * (dx * (py - a[1]) - dy * (px - a[0])) > 0,
  };
}

/** Checks an inset by sampling its outline: no point lies nearer to an edge than that edge's allowance. */
export function nearestFault(outline: Outline, allowances: number[], result: Outline[]): number {
  let worst = 0;
  const side = Math.sign(
    outline.reduce(
      (sum, [x, y], i) => sum + x * outline[(i + 1) % outline.length]![1] - y * outline[(i + 1) % outline.length]![0],
      0,
    ),
  );
  for (const path of result) {
    path.forEach((a, i) => {
      const b = path[(i + 1) % path.length]!;
      for (let k = 0; k < 4; k++) {
        const p: Point = [a[0] + ((b[0] - a[0]) * k) / 4, a[1] + ((b[1] - a[1]) * k) / 4];
        outline.forEach((c, e) => {
          const { distance, inside } = toSegment(p, c, outline[(e + 1) % outline.length]!, side);
          if (inside) worst = Math.max(worst, allowances[e]! - distance);
        });
      }
    });
  }
  return worst;
}
