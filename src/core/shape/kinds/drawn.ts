import { InputError } from '../../input-error';
import { cubicPoints } from '../cubic';
import { MOST_POINTS, requireOutline, signedArea, type Outline, type Point } from '../polygon';
import type { ShapeKind } from './kind';

/** One edge of a drawn outline: from its corner to the next one's, straight, curved, or through points. */
export interface DrawnEdge {
  from: Point;
  /** The two control points of a cubic Bézier curve. */
  curve?: [Point, Point];
  /** Points that the edge runs through in straight lines, as a file gave them. */
  via?: Point[];
}

/** An outline that was drawn or came from a file. mm, either winding. */
export interface DrawnShape {
  kind: 'drawn';
  edges: DrawnEdge[];
  /** What is cut out of the middle. */
  holes?: Outline[];
}

export const drawn: ShapeKind<DrawnShape> = {
  kind: 'drawn',
  words: 'Drawn outline',
  measures: [],
  edgeNames: ({ edges, holes = [] }) => [
    ...edges.map((_, i) => `edge ${i + 1}`),
    ...holes.map((_, i) => (holes.length > 1 ? `opening ${i + 1}` : 'opening')),
  ],
  start: {
    kind: 'drawn',
    edges: [{ from: [0, 0] }, { from: [260, 0] }, { from: [260, 180] }, { from: [0, 180] }],
  },
  draw({ edges, holes = [] }) {
    if (edges.length < 2) throw new InputError('edges', `must be at least 2, saw ${edges.length}`);
    const points: Outline = [];
    const numbers: number[] = [];
    edges.forEach((edge, i) => {
      for (const point of edgePoints(edge, edges[(i + 1) % edges.length]!.from)) {
        points.push(point);
        numbers.push(i);
      }
    });
    if (points.length > MOST_POINTS)
      throw new InputError('edges', `must have at most ${MOST_POINTS} points, saw ${points.length}`);
    requireOutline(points, 'edges');
    holes.forEach((hole, i) => requireOutline(hole, `holes[${i}]`));
    const drawnHoles = holes.map((hole, i) => ({
      outline: signedArea(hole) > 0 ? [...hole].reverse() : [...hole],
      edge: edges.length + i,
    }));
    if (signedArea(points) > 0) return { outline: points, edges: numbers, holes: drawnHoles };
    // Turned round, segment i runs from what was corner n − 1 − i to the one before it.
    const n = points.length;
    return {
      outline: [...points].reverse(),
      edges: points.map((_, i) => numbers[(2 * n - 2 - i) % n]!),
      holes: drawnHoles,
    };
  },
};

/**
 * Points of an edge from its own corner up to, not including, the next.
 *
 * @example edgePoints({ from: [0, 0] }, [10, 0]) // [ [ 0, 0 ] ]
 */
export function edgePoints({ from, curve, via = [] }: DrawnEdge, to: Point): Outline {
  if (curve) return cubicPoints(from, curve[0], curve[1], to).slice(0, -1);
  return [from, ...via];
}
