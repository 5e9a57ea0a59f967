import { InputError } from '../input-error';
import type { Outline } from '../shape';
import type { OpenPiece } from './piece';

/** A stretch of a piece's border that belongs to one edge, mm; a closed one ends where it begins. */
export interface EdgeRun {
  edge: number;
  points: Outline;
  closed: boolean;
}

/**
 * The border of a piece in stretches that belong to one edge each, and each opening. Of a piece on the fold an edge may have two.
 *
 * @example edgeRuns(piece).length // 4
 */
export function edgeRuns(piece: Pick<OpenPiece, 'outline' | 'edges' | 'holes'>): EdgeRun[] {
  const { outline, edges } = piece;
  const n = outline.length;
  const first = edges.findIndex((edge, i) => edge !== edges[(i + n - 1) % n]);
  const holes = piece.holes.map(({ outline: points, edge }) => ({ edge, points, closed: true }));
  if (first < 0) return [{ edge: edges[0]!, points: outline, closed: true }, ...holes];
  const runs: EdgeRun[] = [];
  for (let k = 0; k < n; k++) {
    const i = (first + k) % n;
    const last = runs.at(-1);
    const next = outline[(i + 1) % n]!;
    if (last && last.edge === edges[i]) last.points.push(next);
    else runs.push({ edge: edges[i]!, points: [outline[i]!, next], closed: false });
  }
  return [...runs, ...holes];
}

/**
 * Segments of some edges, in runs that follow each other: two where the fold of an opened piece lies between them.
 *
 * @param owners the edge that each segment belongs to
 * @throws {InputError} `edges` when they do not follow each other
 * @example edgeRunsOf([0, 1, 2, 2], [2]) // [[2, 3]]
 */
export function edgeRunsOf(owners: readonly number[], edges: readonly number[]): number[][] {
  const runs = runsOf(owners, edges);
  const covered = new Set((runs[0] ?? []).map((i) => owners[i]!));
  if (edges.some((edge) => !covered.has(edge)))
    throw new InputError('edges', 'must follow each other; make something for each of them by itself');
  return runs;
}

function runsOf(owners: readonly number[], edges: readonly number[]): number[][] {
  const n = owners.length;
  const meant = owners.map((edge) => edges.includes(edge));
  if (meant.every(Boolean)) return [owners.map((_, i) => i)];
  const runs: number[][] = [];
  for (let i = 0; i < n; i++) {
    if (!meant[i] || meant[(i + n - 1) % n]) continue;
    const run: number[] = [];
    for (let k = i; meant[k % n]; k++) run.push(k % n);
    runs.push(run);
  }
  return runs;
}
