import { InputError, requireNumber } from '../input-error';
import { inset, signedArea, type Outline } from '../shape';
import type { OpenPiece } from './piece';

/**
 * A piece by its cut line alone, either winding: edge i runs from corner i to i + 1, whichever way round that is.
 *
 * @param allowances one for each edge, mm
 * @returns counter-clockwise, with the edges numbered as they were given
 * @throws {InputError} for a wrong number of allowances, or an outline that crosses itself
 * @example outlinePiece([[0, 0], [0, 10], [10, 10], [10, 0]], [1, 2, 3, 4]).allowances // [3, 2, 1, 4]
 */
export function outlinePiece(outline: Outline, allowances: readonly number[]): OpenPiece {
  const n = outline.length;
  if (allowances.length !== n) throw new InputError('allowances', `must be one for each edge (${n}), saw ${allowances.length}`);
  allowances.forEach((mm, i) => requireNumber(`allowances[${i}]`, mm, 'mm', { min: 0, max: 500 }));
  const turned = signedArea(outline) < 0;
  const edges = outline.map((_, j) => (turned ? (2 * n - 2 - j) % n : j));
  const cut = turned ? [...outline].reverse() : [...outline];
  const own = edges.map((edge) => allowances[edge]!);
  return { outline: cut, allowances: own, edges, holes: [], seam: inset(cut, own).outlines, marks: [], grain: 0 };
}
