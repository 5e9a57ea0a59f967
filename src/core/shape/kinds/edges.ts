import type { Outline } from '../polygon';
import type { EdgedOutline } from './kind';

/**
 * Puts an outline together from the points of its edges in order, each from its first corner to its last; the last of
 * one is the first of the next. An edge of a single point has no length and gets no segment.
 *
 * @example fromEdges([[0, 0], [10, 0]], [[10, 0], [10, 10]], [[10, 10], [0, 0]]).outline.length // 3
 */
export function fromEdges(...edges: Outline[]): EdgedOutline {
  const outline: Outline = [];
  const numbers: number[] = [];
  edges.forEach((points, edge) => {
    for (let k = 0; k + 1 < points.length; k++) {
      outline.push(points[k]!);
      numbers.push(edge);
    }
  });
  return { outline, edges: numbers, holes: [] };
}
