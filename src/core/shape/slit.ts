import { requireOutline, type Outline, type Point } from './polygon';

/** Width of the slit, mm: nothing falls through it, and no scissors notice. */
const SLIT = 0.02;

/**
 * A ring as one outline: slit open from its hole to the outside, so that others can be laid inside it.
 *
 * @param outline counter-clockwise, mm @param holes clockwise; the outline alone is given where a slit would cross something
 * @example slitOpen(square(10), []).length // 4
 */
export function slitOpen(outline: Outline, holes: readonly Outline[]): Outline {
  return holes.reduce((open, hole) => slit(open, hole) ?? open, outline);
}

function slit(outline: Outline, hole: Outline): Outline | undefined {
  let best: { i: number; j: number; d: number } | undefined;
  outline.forEach((p, i) =>
    hole.forEach((q, j) => {
      const d = Math.hypot(p[0] - q[0], p[1] - q[1]);
      if (!best || d < best.d) best = { i, j, d };
    }),
  );
  if (!best) return undefined;
  const { i, j } = best;
  const outer = [...outline.slice(i), ...outline.slice(0, i)];
  const inner = [...hole.slice(j), ...hole.slice(0, j)];
  const outerEnd = shortOf(outer.at(-1)!, outer[0]!);
  const innerEnd = shortOf(inner.at(-1)!, inner[0]!);
  const innerStart = shortOf(inner[1]!, inner[0]!);
  // Which side of the slit is which depends on where the corners lie: the one that does not cross itself is right.
  for (const way of [
    [...outer, outerEnd, ...inner, innerEnd],
    [...outer, outerEnd, innerStart, ...inner.slice(1), inner[0]!],
  ]) {
    try {
      return requireOutline(way);
    } catch {
      continue;
    }
  }
  return undefined;
}

/** The point a slit's width before b on the way from a, or less where they lie close together. */
function shortOf(a: Point, b: Point): Point {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const share = Math.min(SLIT / length, 0.4);
  return [b[0] - share * (b[0] - a[0]), b[1] - share * (b[1] - a[1])];
}
