import { openPiece, sewnOutline, type PieceSpec } from './piece';
import type { Outline } from '../shape';
import { edgeLength } from './strip-edges';

/**
 * Length of the line that is sewn along some edges, mm; of a piece on the fold both halves are counted.
 *
 * @param edges numbers of edges of the shape
 * @throws {InputError} for a piece that cannot be drawn
 * @example seamLength(spec, [0]) // 280
 */
export function seamLength(spec: PieceSpec, edges: readonly number[]): number {
  const { holes, seam } = openPiece(spec);
  // The seam lines of openings stand after those of the piece itself.
  const round = holes.map(({ edge }, k) => (edges.includes(edge) ? perimeter(seam[seam.length - holes.length + k]!) : 0));
  return edgeLength(sewnOutline(spec), edges) + round.reduce((sum, each) => sum + each, 0);
}

function perimeter(outline: Outline): number {
  return outline.reduce((sum, [x, y], i) => {
    const [u, v] = outline[(i + 1) % outline.length]!;
    return sum + Math.hypot(u - x, v - y);
  }, 0);
}
