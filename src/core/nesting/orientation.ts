import {
  anticlockwise,
  bounds,
  minkowskiSum,
  polygonArea,
  simplifyOutward,
  slitOpen,
  transformed,
  type Box,
  type Outline,
} from '../shape';
import type { NestPiece } from './piece';

/** A piece in one of the positions it may be cut in: turned, and face down or not. */
export interface Orientation {
  /** Index of the piece. */
  piece: number;
  rotation: number;
  flipped: boolean;
  /**
   * What no other piece's laying outline may overlap, mm: the true outline grown by half the gap, with fewer corners.
   */
  outline: Outline;
  /** Box of the true outline, which is what has to lie on the cloth. */
  box: Box;
  /** Box of the laying outline. */
  reach: Box;
}

/**
 * How closely outlines are followed: how far the outline that is laid may lie outside the true one, as a share of the
 * square root of its area and at most so many mm, and how many corners it may have before the tolerance is doubled.
 * Costs about half a percent of cloth on curved pieces and none on straight ones.
 */
const SHARE = 0.0015;
const MOST = 0.5;
const CORNERS = 64;

/** Two positions are the same when no corner lies further apart than this, mm. */
const SAME = 1e-6;

/**
 * All different positions of a piece: half a turn of a rectangle is no second one.
 *
 * @example orientationsOf(pieces[0], 0, 5).length // 1
 */
export function orientationsOf(piece: NestPiece, index: number, gap: number): Orientation[] {
  const grown = layingOutline(piece.outline, gap);
  const different: Outline[] = [];
  const orientations: Orientation[] = [];
  for (const flipped of piece.flip ? [false, true] : [false]) {
    for (const rotation of piece.rotations) {
      const turned = anticlockwise(transformed(piece.outline, flipped, rotation));
      if (different.some((other) => samePlace(other, turned))) continue;
      different.push(turned);
      const box = bounds(turned);
      const outline = anticlockwise(transformed(grown, flipped, rotation));
      orientations.push({ piece: index, rotation, flipped, outline, box, reach: bounds(outline) });
    }
  }
  return orientations;
}

/**
 * The outline that a piece is laid with: grown by half the gap, simplified outward.
 *
 * @example layingOutline(square(100), 0).length // 4
 */
export function layingOutline(outline: Outline, gap: number): Outline {
  // Half of the tolerance goes before growing, half after: growing rounds the corners off again.
  let tolerance = Math.min(MOST, SHARE * Math.sqrt(polygonArea(outline))) / (gap > 0 ? 2 : 1);
  for (let i = 0; ; i++) {
    const simple = simplifyOutward(outline, tolerance);
    const laid = gap > 0 ? simplifyOutward(grown(simple, gap / 2), tolerance) : simple;
    if (laid.length <= CORNERS || i === MOST_DOUBLINGS) return laid;
    tolerance *= 2;
  }
}

const MOST_DOUBLINGS = 6;

/** Grown by a distance; hollows that close up over it stay open by a slit, so that pieces can still lie in them. */
function grown(outline: Outline, by: number): Outline {
  const paths = minkowskiSum(outline, octagon(by));
  const outer = paths.reduce((largest, path) => (polygonArea(path) > polygonArea(largest) ? path : largest));
  return slitOpen(
    outer,
    paths.filter((path) => path !== outer),
  );
}

/** Octagon around a circle of this radius, with sides along the axes so that straight sides grow exactly. */
function octagon(radius: number): Outline {
  const corner = radius / Math.cos(Math.PI / 8);
  return Array.from({ length: 8 }, (_, i) => {
    const angle = (Math.PI / 8) * (2 * i + 1);
    return [corner * Math.cos(angle), corner * Math.sin(angle)];
  });
}

/**
 * Whether two outlines of as many corners are the same, moved: corners are compared from their lower left ones.
 *
 * @example samePlace(square(10), square(10)) // true
 */
export function samePlace(a: Outline, b: Outline): boolean {
  if (a.length !== b.length) return false;
  const n = a.length;
  const p = lowest(a);
  const q = lowest(b);
  for (let k = 0; k < n; k++) {
    const u = a[(p + k) % n]!;
    const v = b[(q + k) % n]!;
    if (Math.abs(u[0] - a[p]![0] - (v[0] - b[q]![0])) > SAME || Math.abs(u[1] - a[p]![1] - (v[1] - b[q]![1])) > SAME)
      return false;
  }
  return true;
}

/** Index of the lowest corner, the leftmost of several. */
function lowest(outline: Outline): number {
  let best = 0;
  outline.forEach(([x, y], i) => {
    const [bx, by] = outline[best]!;
    if (y < by - SAME || (y < by + SAME && x < bx - SAME)) best = i;
  });
  return best;
}
