import { edgeRunsOf, openPiece, sewnOutline, stitched, type MarkKind, type OpenPiece, type PieceSpec } from '../pieces';
import type { Outline, Point } from '../shape';

/** What can meet what lies opposite in a seam. */
export type MeetingKind = Extract<MarkKind, 'notch' | 'centre-front' | 'centre-back' | 'side' | 'quarter'> | 'fold';
const MEETING: readonly MeetingKind[] = ['notch', 'centre-front', 'centre-back', 'side', 'quarter'];

/** A mark on a seam line. */
export interface RunMark {
  kind: MeetingKind;
  /** Along the line from where it begins, mm. */
  at: number;
}

/** One unbroken stretch of a seam line, with the piece on its left. mm. */
export interface SeamRun {
  /** Its points; a closed one ends where it begins. */
  points: Outline;
  closed: boolean;
  length: number;
  /** In order along the line; those at its very ends are left out, since ends meet anyway. */
  marks: RunMark[];
}

/** A mark this much farther from the seam line than the cut edge is still meant for it, mm. */
const BESIDE = 1.5;
/** What lies this near to an end of the line is the end, mm. */
export const AT_END = 1;

/**
 * The line that is sewn along some edges of a piece, in stretches that are not broken: two where a fold lies between them, each of which is
 * sewn by itself.
 *
 * @param edges numbers of edges of the shape that follow each other, or the one of an opening
 * @throws {InputError} `edges` that do not follow each other; as for opening the piece
 * @example seamRuns(spec, [0]).map(({ length }) => length) // [280]
 */
export function seamRuns(spec: PieceSpec, edges: readonly number[]): SeamRun[] {
  const piece = openPiece(stitched(spec));
  const hole = piece.holes.findIndex(({ edge }) => edges.includes(edge));
  if (hole >= 0 && edges.length === 1) {
    const line = piece.seam[piece.seam.length - piece.holes.length + hole]!;
    // Round an opening the piece lies on the left when it is walked clockwise, as it is kept.
    return [runOf([...line, line[0]!], true, piece, piece.holes[hole]!.allowance)];
  }
  const sewn = sewnOutline(spec);
  const n = sewn.outline.length;
  const allowance = Math.max(...edges.map((edge) => spec.own?.[edge] ?? spec.allowances[edge] ?? 0));
  return edgeRunsOf(sewn.edges, edges).map((run) => {
    const points = [...run.map((i) => sewn.outline[i]!), sewn.outline[(run.at(-1)! + 1) % n]!];
    return runOf(points, run.length === n, piece, allowance);
  });
}

function runOf(points: Outline, closed: boolean, piece: OpenPiece, allowance: number): SeamRun {
  const length = lengthTo(points, points.length - 1);
  const near = (place: Point): number | undefined => {
    const { along, distance } = nearestOnLine(points, place);
    return distance <= allowance + BESIDE ? along : undefined;
  };
  const marks = piece.marks.flatMap(({ kind, at }): RunMark[] => {
    const meeting = MEETING.find((each) => each === kind);
    const along = meeting && near(at);
    return meeting && along !== undefined ? [{ kind: meeting, at: along }] : [];
  });
  for (const end of piece.fold ?? []) {
    const along = near(end);
    if (along !== undefined) marks.push({ kind: 'fold', at: along });
  }
  const inside = closed ? marks : marks.filter(({ at }) => at > AT_END && at < length - AT_END);
  return { points, closed, length, marks: onePlaceOnce(inside) };
}

/** A fold that is marked as the centre too is one place. */
function onePlaceOnce(marks: readonly RunMark[]): RunMark[] {
  const rank = ({ kind }: RunMark) => (kind === 'fold' ? 1 : 0);
  const sorted = [...marks].sort((a, b) => a.at - b.at || rank(a) - rank(b));
  return sorted.filter((mark) => {
    const beside = sorted.filter((other) => other !== mark && Math.abs(other.at - mark.at) < AT_END);
    return mark.kind !== 'fold' || beside.length === 0;
  });
}

/** The place of a line that is nearest to a point: how far along it lies, and how far away. mm. */
function nearestOnLine(points: Outline, [x, y]: Point): { along: number; distance: number } {
  let best = { along: 0, distance: Infinity };
  let before = 0;
  for (let i = 1; i < points.length; i++) {
    const [[ax, ay], [bx, by]] = [points[i - 1]!, points[i]!];
    const length = Math.hypot(bx - ax, by - ay);
    const t = length > 0 ? Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length ** 2)) : 0;
    const distance = Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay));
    if (distance < best.distance) best = { along: before + t * length, distance };
    before += length;
  }
  return best;
}

const distanceOf = ([x, y]: Point, [u, v]: Point) => Math.hypot(u - x, v - y);

/** Length of a line up to one of its points, mm. */
function lengthTo(points: Outline, k: number): number {
  let sum = 0;
  for (let i = 1; i <= k; i++) sum += distanceOf(points[i - 1]!, points[i]!);
  return sum;
}

/**
 * The place at a length along a line of points and the direction it runs in there, as a unit vector.
 *
 * @param at mm from its beginning; held within the line
 * @example placeAlong([[0, 0], [10, 0]], 4).place // [4, 0]
 */
export function placeAlong(points: Outline, at: number): { place: Point; direction: Point } {
  let rest = Math.max(0, at);
  let i = 0;
  while (i < points.length - 2 && rest > distanceOf(points[i]!, points[i + 1]!)) {
    rest -= distanceOf(points[i]!, points[i + 1]!);
    i++;
  }
  const [a, b] = [points[i]!, points[i + 1]!];
  const length = distanceOf(a, b) || 1;
  const t = Math.min(rest, length);
  const direction: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  return { place: [a[0] + t * direction[0], a[1] + t * direction[1]], direction };
}

/**
 * Where a closed line begins when it is sewn to one with ends: at its centre back, where those ends meet; else where it is drawn from.
 *
 * @returns mm along the line
 * @example ringBegins([{ kind: 'centre-back', at: 40 }]) // 40
 */
export function ringBegins(marks: readonly RunMark[]): number {
  return marks.find(({ kind }) => kind === 'centre-back')?.at ?? 0;
}
