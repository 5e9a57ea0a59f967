import type { MarkKind } from '../../core/pieces';
import { arcPoints, type DrawnEdge, type Outline, type Point } from '../../core/shape';

/** What was found in a drawing, before anybody said which of it are pieces. Millimetres, y up. */
export interface Drawing {
  loops: Loop[];
  /** What marks a place: notches, holes to drill, named points. */
  points: DrawnPoint[];
  /** Straight lines that are no outline: grain lines, folds. */
  lines: DrawnLine[];
  unit: { /** mm a unit of the file. */ scale: number; /** The file says so itself. */ said: boolean; words: string };
  warnings: DrawingWarning[];
}

/** A closed line. */
export interface Loop {
  edges: DrawnEdge[];
  name: string;
  /** What the file says that it is. */
  role: LoopRole;
  /** Loops of one group belong together. */
  group: string;
}
export type LoopRole = 'cut' | 'sew' | 'opening' | 'unknown';

export interface DrawnPoint {
  at: Point;
  role: MarkKind;
  /** Where a mark that runs on ends, and how wide it is, mm. */
  to?: Point;
  width?: number;
  group: string;
}

export interface DrawnLine {
  from: Point;
  to: Point;
  role: 'grain' | 'fold';
  group: string;
}

/** Something that was left out or guessed, with how often. */
export interface DrawingWarning {
  code: string;
  message: string;
  count: number;
}

/** What a drawing may hold at most. */
export const MOST_LOOPS = 2000;
export const MOST_DRAWING_POINTS = 200_000;

/** Collects warnings, each kind once with its count. */
export class Warnings {
  private readonly found = new Map<string, DrawingWarning>();

  add(code: string, message: string): void {
    const known = this.found.get(code);
    if (known) known.count++;
    else this.found.set(code, { code, message, count: 1 });
  }

  list(): DrawingWarning[] {
    return [...this.found.values()];
  }
}

/** A piece of a path: a straight line or a cubic curve to a point. */
export type Segment = { to: Point; curve?: [Point, Point] };

/** A corner that turns by more than this starts an edge of its own, radians. */
const SHARP = (25 * Math.PI) / 180;
/** Points closer than this are one, mm. */
const SAME = 1e-6;

/**
 * Edges of a closed path. Straight segments that run on smoothly are one edge through points, as files draw curves; each
 * curve stays an edge.
 */
export function loopEdges(start: Point, segments: readonly Segment[]): DrawnEdge[] {
  const runs: { from: Point; to: Point; curve?: [Point, Point] }[] = [];
  let at = start;
  for (const { to, curve } of segments) {
    if (!curve && distance(at, to) <= SAME) continue;
    runs.push({ from: at, to, ...(curve ? { curve } : {}) });
    at = to;
  }
  if (distance(at, start) > SAME) runs.push({ from: at, to: start });
  else if (runs.length > 0) runs[runs.length - 1]!.to = start;
  if (runs.length === 0) return [];
  const smooth = (before: (typeof runs)[number], after: (typeof runs)[number]) =>
    !before.curve && !after.curve && turn(before.from, after.from, after.to) < SHARP;
  // Begins at a corner, or anywhere on a round one, which is then cut in two.
  const n = runs.length;
  const corner = runs.findIndex((run, i) => !smooth(runs[(i + n - 1) % n]!, run));
  const first = Math.max(0, corner);
  const edges: DrawnEdge[] = [];
  for (let k = 0; k < n; k++) {
    const run = runs[(first + k) % n]!;
    const before = runs[(first + k + n - 1) % n]!;
    const halfway = corner < 0 && k === Math.floor(n / 2);
    const last = edges[edges.length - 1];
    if (last && !last.curve && !run.curve && !halfway && smooth(before, run)) (last.via ??= []).push(run.from);
    else edges.push({ from: run.from, ...(run.curve ? { curve: run.curve } : {}) });
  }
  return edges;
}

function turn(a: Point, p: Point, b: Point): number {
  const [ux, uy, vx, vy] = [p[0] - a[0], p[1] - a[1], b[0] - p[0], b[1] - p[1]];
  return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
}

export function distance(a: Point, b: Point): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1]);
}

/** Points of an arc as segments, from after its start. */
export function arcSegments(centre: Point, radius: number, from: number, to: number): Segment[] {
  return arcPoints(centre, radius, from, to)
    .slice(1)
    .map((point) => ({ to: point }));
}

export function polygonEdges(points: Outline): DrawnEdge[] {
  return points.length < 2
    ? []
    : loopEdges(
        points[0]!,
        points.slice(1).map((to) => ({ to })),
      );
}
