import { sewnOutline, type PieceSpec } from './piece';
import { edgeLength } from './strip-edges';

/**
 * Length of the line that is sewn along some edges, mm; of a piece on the fold both halves are counted.
 *
 * @param edges numbers of edges of the shape
 * @throws {InputError} for a piece that cannot be drawn
 * @example seamLength(spec, [0]) // 280
 */
export function seamLength(spec: PieceSpec, edges: readonly number[]): number {
  return edgeLength(sewnOutline(spec), edges);
}
