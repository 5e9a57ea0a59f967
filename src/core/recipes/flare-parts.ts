import type { PieceShape, Point } from '../shape';
import { CHORD_ERROR } from '../shape';
import type { RecipeSeam } from './recipe';

/** The lines of a flare that is cut as equal sectors, mm and degrees. */
export interface FlareLines {
  innerRadius: number;
  /** In front, and by how much it is longer behind. */
  length: number;
  behind: number;
  count: number;
  /** Of one sector. */
  angle: number;
}

/** A part of a flare that is cut by one pattern. */
export interface FlarePart {
  name: string;
  /** Edges: hem, right side, waist, left side. */
  shape: PieceShape;
  count: number;
  /** Left and right of it alternate. */
  pairs: boolean;
  /** Length of its finished hem, mm. */
  hem: number;
}

/**
 * The patterns of a flare. A level one has one for all its sectors; one that is longer behind has a pair for every two sectors that mirror
 * each other, from the front to the seam behind: the hem's radius grows with (1 − cos φ)/2 of the way round.
 *
 * @example flareParts({ innerRadius: 111, length: 400, behind: 0, count: 2, angle: 180 })[0].count // 2
 */
export function flareParts(lines: FlareLines): FlarePart[] {
  const { innerRadius: inner, length, behind, count, angle } = lines;
  if (behind === 0) {
    const shape: PieceShape = { kind: 'sector', inner, outer: inner + length, angle };
    const hem = (inner + length) * (angle * Math.PI) / 180; // prettier-ignore
    return [{ name: count === 1 ? 'Flare' : 'Flare, sector', shape, count, pairs: false, hem }];
  }
  const step = (angle * Math.PI) / 180;
  const odd = count % 2;
  const patterns = (count + odd) / 2;
  return Array.from({ length: patterns }, (_, at): FlarePart => {
    const whole = odd === 1 && at === 0;
    const drawn = risingSector(lines, odd === 1 ? (at - 0.5) * step : at * step, step);
    const place = at === 0 ? 'front' : at === patterns - 1 ? 'back' : patterns > 3 ? `side ${at}` : 'side';
    const named = count === 1 ? 'Flare' : count === 2 ? 'Flare, half' : `Flare, ${place}`;
    return { name: named, ...drawn, count: whole ? 1 : 2, pairs: !whole };
  });
}

/**
 * Which sides are sewn to which, in the order of the parts: the last one's right side lies in the seam behind.
 *
 * @example flareSeams(flareParts({ innerRadius: 111, length: 400, behind: 0, count: 2, angle: 180 })) // [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }]
 */
export function flareSeams(parts: readonly FlarePart[]): RecipeSeam[] {
  const first = parts[0]!;
  // Sectors of one pattern are joined side to side; a ring closes at its slit, and a half circle at its own two sides.
  if (parts.length === 1 && !first.pairs) return [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }];
  const mirrored = (piece: number, edge: number): RecipeSeam => ({ first: { piece, edges: [edge] }, second: { piece, edges: [edge] } }); // prettier-ignore
  return [
    ...(first.pairs ? [mirrored(0, 3)] : []),
    ...parts.slice(1).map((_, at): RecipeSeam => ({ first: { piece: at, edges: [1] }, second: { piece: at + 1, edges: [3] } })),
    mirrored(parts.length - 1, 1),
  ];
}

/** A sector whose hem follows the whole flare's, from an angle round the body on; its own middle points down. */
function risingSector({ innerRadius, length, behind, count, angle }: FlareLines, from: number, step: number) {
  const all = (count * angle * Math.PI) / 180;
  const outerAt = (turn: number) => innerRadius + length + (behind * (1 - Math.cos((2 * Math.PI * turn) / all))) / 2;
  const middle = from + step / 2;
  const point = (radius: number, turn: number): Point => [radius * Math.sin(turn - middle), -radius * Math.cos(turn - middle)];
  // A line that leaves its circle curves a little more than it: half of what is allowed keeps it true.
  const parts = Math.ceil(step / (2 * Math.acos(1 - CHORD_ERROR / 2 / (innerRadius + length + behind))));
  const turns = Array.from({ length: parts + 1 }, (_, k) => from + (step * k) / parts);
  const outer = turns.map((turn) => point(outerAt(turn), turn));
  const inner = turns.map((turn) => point(innerRadius, turn)).reverse();
  const edge = ([start, ...rest]: Point[]) => ({ from: start!, via: rest.slice(0, -1) });
  const hem = outer.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - outer[i]![0], y - outer[i]![1]), 0);
  const shape: PieceShape = {
    kind: 'drawn',
    edges: [edge(outer), { from: outer.at(-1)!, via: [] }, edge(inner), { from: inner.at(-1)!, via: [] }],
  };
  return { shape, hem };
}
