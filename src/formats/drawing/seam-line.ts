import Flatbush from 'flatbush';
import { distanceToEdge, polygonArea, signedArea, turnAt, type DrawnEdge, type Outline, type Point } from '../../core/shape';

/** Widest allowance that makes an inner line a seam line, mm, and the share of the piece that it has to enclose. */
const WIDEST = 60;
const SHARE = 0.4;
/** Two lines closer than this are one, mm. */
const SAME = 0.02;
/** Allowances that differ by more than this are two, mm; a stretch that is shorter is none of its own. */
const STEP = 0.25;
const STRETCH = 8;

/** The line along which a piece is sewn, asked for many places how far it is: its segments stand in a tree of boxes. */
export class SeamLine {
  private readonly boxes: Flatbush;

  constructor(private readonly line: Outline) {
    this.boxes = new Flatbush(line.length);
    line.forEach(([ax, ay], i) => {
      const [bx, by] = this.end(i);
      this.boxes.add(Math.min(ax, bx), Math.min(ay, by), Math.max(ax, bx), Math.max(ay, by));
    });
    this.boxes.finish();
  }

  /** Whether it runs along the whole outline of a piece, never far from it. */
  followsAllRound(outline: Outline): boolean {
    if (polygonArea(this.line) < SHARE * polygonArea(outline)) return false;
    return outline.every((place) => this.distance(place) < WIDEST);
  }

  /** Distance from an edge, at the middle of its longest segment, to a tenth of a millimetre. */
  allowanceOf(points: Outline): number {
    let longest = 0;
    for (let i = 1; i < points.length - 1; i++)
      if (lengthOf(points.slice(i, i + 2)) > lengthOf(points.slice(longest, longest + 2))) longest = i;
    const distance = this.distance(midpoint(points[longest]!, points[longest + 1]!));
    return Math.min(WIDEST, Math.round(distance * 10) / 10);
  }

  /**
   * Edges through many points, divided where the allowance steps: two edges that meet at a blunt corner come in as one, and their
   * allowances tell them apart again. Between two stretches of different allowance the corner is where the line turns most.
   */
  divided(edges: readonly DrawnEdge[], outline: Outline): DrawnEdge[] {
    const side = Math.sign(signedArea(outline));
    return edges.flatMap((edge, i): DrawnEdge[] => {
      const { from, via } = edge;
      if (!via) return [edge];
      const points = [from, ...via, edges[(i + 1) % edges.length]!.from];
      const stretches = this.stretches(points, side);
      // Where two steps stand close together both may find the same corner: it divides once.
      const corners = stretches
        .slice(1)
        .map(({ first }, k) => sharpest(points, stretches[k]!.last + 1, first))
        .filter((corner, k, all) => corner < points.length - 1 && all.slice(0, k).every((before) => before < corner));
      return [0, ...corners].map((start, k) => through(points.slice(start, corners[k] ?? points.length - 1)));
    });
  }

  /** Stretches of one allowance each, neighbours of different ones, by their first and last segment. */
  private stretches(points: Outline, side: number): { first: number; last: number; allowance: number }[] {
    const found: { first: number; last: number; allowance: number }[] = [];
    const across = points.slice(1).map((b, k) => this.across(points[k]!, b, side));
    for (let first = 0, k = 1; k <= across.length; k++) {
      if (k < across.length && Math.abs(across[k]! - across[first]!) < STEP) continue;
      const [last, allowance] = [k - 1, across[first]!];
      const before = found.at(-1);
      if (lengthOf(points.slice(first, k + 1)) >= STRETCH) {
        if (before && Math.abs(before.allowance - allowance) < STEP) before.last = last;
        else found.push({ first, last, allowance });
      }
      first = k;
    }
    return found;
  }

  /** Distance straight across from the middle of a segment, mm: steps of the seam stand square on the edge. */
  private across(a: Point, b: Point, side: number): number {
    const at = midpoint(a, b);
    const distance = this.distance(at);
    if (distance < SAME) return 0;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const inward: Point = [(-side * (b[1] - a[1])) / length, (side * (b[0] - a[0])) / length];
    let least = Infinity;
    for (const i of this.near(at)) {
      const [p, q] = [this.line[i]!, this.end(i)];
      const [ex, ey] = [q[0] - p[0], q[1] - p[1]];
      const cross = inward[0] * ey - inward[1] * ex;
      if (Math.abs(cross) < 1e-12) continue;
      const far = ((p[0] - at[0]) * ey - (p[1] - at[1]) * ex) / cross;
      const along = ((p[0] - at[0]) * inward[1] - (p[1] - at[1]) * inward[0]) / cross;
      if (far > 0 && along >= 0 && along <= 1) least = Math.min(least, far);
    }
    return least <= WIDEST ? least : distance;
  }

  /** Distance of a place from the line, mm; no more than the widest allowance is told. */
  distance(place: Point): number {
    return this.near(place).reduce((least, i) => Math.min(least, distanceToEdge(this.line[i]!, this.end(i), place)), WIDEST);
  }

  /** Segments that may be nearer than the widest allowance. */
  private near([x, y]: Point): number[] {
    return this.boxes.search(x - WIDEST, y - WIDEST, x + WIDEST, y + WIDEST);
  }

  private end(segment: number): Point {
    return this.line[(segment + 1) % this.line.length]!;
  }
}

/** The corner where a run turns most, between two of its corners or a short way beyond them. */
function sharpest(points: Outline, from: number, to: number): number {
  let [low, high] = [from, to];
  while (low > 1 && lengthOf(points.slice(low - 1, from + 1)) < STRETCH) low--;
  while (high < points.length - 2 && lengthOf(points.slice(to, high + 2)) < STRETCH) high++;
  let best = low;
  for (let i = low + 1; i <= high; i++) if (turnAt(points, i) > turnAt(points, best)) best = i;
  return best;
}

function through([from, ...via]: Outline): DrawnEdge {
  return via.length > 0 ? { from: from!, via } : { from: from! };
}

function lengthOf(points: Outline): number {
  return points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);
}

export function midpoint(a: Point, b: Point): Point {
  return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
}
