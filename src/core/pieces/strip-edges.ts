import { inset, signedArea, sourcesOf, type Outline } from '../shape';
import type { OpenPiece } from './piece';

/**
 * Where a strip runs when nobody said so: along the longest edge (a shoulder, a zip), from the hem's fold along the longest one, along the
 * hollow one (a neckline, an armhole), beside the fold (a waistband), or along the top.
 */
export const EDGE_RULES = ['longest', 'hem', 'hollow', 'fold', 'top'] as const;
export type EdgeRule = (typeof EDGE_RULES)[number];

/** Share of an edge that has to look up for it to be the top. */
const MOSTLY = 0.5;

/**
 * Edges of the shape that a strip runs along by a rule; outer ones only, and at least one.
 *
 * @returns numbers of edges as {@link OpenPiece.edges} has them
 * @example edgesByRule(piece, 'longest').length // 1
 */
export function edgesByRule(piece: OpenPiece, rule: EdgeRule): number[] {
  const lengths = byEdge(piece, (outline, i) => segmentLength(outline, i));
  const longest = largest(lengths);
  if (rule === 'longest' || rule === 'hem') return [longest];
  if (rule === 'hollow') {
    const turns = byEdge(piece, hollowTurn);
    const most = largest(turns);
    if (turns.get(most)! > LEAST_HOLLOW) return [most];
  }
  const top = byEdge(piece, (outline, i) => (looksUp(outline, i) ? segmentLength(outline, i) : 0));
  const found = [...top.keys()].filter((edge) => top.get(edge)! >= MOSTLY * lengths.get(edge)!);
  return found.length > 0 ? found : [longest];
}

/** An edge is hollow when it turns inward by this much in all, radians. */
const LEAST_HOLLOW = 0.2;

/**
 * Length of the cut line along some edges, mm.
 *
 * @example edgeLength(piece, [0]) // 300
 */
export function edgeLength({ outline, edges }: Pick<OpenPiece, 'outline' | 'edges'>, chosen: readonly number[]): number {
  return edges.reduce((sum, edge, i) => (chosen.includes(edge) ? sum + segmentLength(outline, i) : sum), 0);
}

/**
 * Length of the line that is sewn along some edges of a piece, mm: what a stay, a strip or a braid along them measures.
 *
 * @example sewnLength(piece, [0]) // 280
 */
export function sewnLength({ outline, edges, allowances }: OpenPiece, chosen: readonly number[]): number {
  const [sewn, ...more] = inset(outline, allowances).outlines;
  // Where the allowances leave no one line the cut edge is what there is to go by.
  if (!sewn || more.length > 0) return edgeLength({ outline, edges }, chosen);
  const sources = sourcesOf(
    sewn,
    outline,
    allowances.map((mm) => -mm),
  );
  return edgeLength({ outline: sewn, edges: sources.map((i) => edges[i]!) }, chosen);
}

function byEdge({ outline, edges }: OpenPiece, value: (outline: Outline, i: number) => number): Map<number, number> {
  const sums = new Map<number, number>();
  edges.forEach((edge, i) => sums.set(edge, (sums.get(edge) ?? 0) + value(outline, i)));
  return sums;
}

function largest(values: ReadonlyMap<number, number>): number {
  return [...values].reduce((best, each) => (each[1] > best[1] ? each : best))[0];
}

function segmentLength(outline: Outline, i: number): number {
  const a = outline[i]!;
  const b = outline[(i + 1) % outline.length]!;
  return Math.hypot(b[0] - a[0], b[1] - a[1]);
}

/** Segments whose inner side looks down, within 45° of level. The outline runs counter-clockwise. */
function looksUp(outline: Outline, i: number): boolean {
  const a = outline[i]!;
  const b = outline[(i + 1) % outline.length]!;
  const dx = b[0] - a[0];
  return dx < 0 && -dx >= Math.abs(b[1] - a[1]);
}

/** How far the outline turns inward at the start of a segment, radians; 0 where it turns outward or has a corner. */
function hollowTurn(outline: Outline, i: number): number {
  const n = outline.length;
  const [a, p, b] = [outline[(i + n - 1) % n]!, outline[i]!, outline[(i + 1) % n]!];
  const [ux, uy, vx, vy] = [p[0] - a[0], p[1] - a[1], b[0] - p[0], b[1] - p[1]];
  const turn = Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy) * (signedArea(outline) < 0 ? -1 : 1);
  return turn < 0 && turn > -CORNER ? -turn : 0;
}

/** A turn of more than this between two segments is a corner, no curve, radians. */
const CORNER = 0.6;
