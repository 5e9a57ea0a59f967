import { InputError } from '../input-error';
import { openPiece, type OpenPiece } from '../pieces';
import { bounds, type PieceShape } from '../shape';
import type { PatternPiece, PieceCut } from './workpiece';

/** A cut as it is laid down to be looked at, mm. */
export interface LaidCut {
  open: OpenPiece;
  /** A long piece lies along the table, a quarter turn to the right. */
  turned: boolean;
  /** As it lies. */
  width: number;
  height: number;
}

/** A piece so many times taller than wide is a long one. */
const LONG = 1.4;

/** Of an outline that is finer than this some points are left out: it is looked at, not cut by. */
const FINEST = 400;

/** The same shape with no more points than can be told apart in a drawing; its corners and edges stay. */
function roughly(shape: PieceShape): PieceShape {
  if (shape.kind !== 'drawn') return shape;
  const { edges, holes = [] } = shape;
  const points = edges.reduce((sum, { via = [] }) => sum + via.length, 0) + holes.reduce((sum, hole) => sum + hole.length, 0);
  const every = Math.ceil(points / FINEST);
  if (every < 2) return shape;
  const some = <T>(all: readonly T[]): T[] => all.filter((_, i) => i % every === 0);
  return {
    ...shape,
    edges: edges.map((edge) => (edge.via ? { ...edge, via: some(edge.via) } : edge)),
    ...(holes.length > 0 ? { holes: holes.map((hole) => (hole.length < 4 * every ? hole : some(hole))) } : {}),
  };
}

/**
 * A cut opened out and laid down to be looked at; undefined for a piece that cannot be opened out.
 *
 * @example laidCut({ ...spec, marks: [] }, { own: null })?.turned // false
 */
export function laidCut(
  {
    shape,
    line,
    allowances,
    fold,
    grain,
    marks,
  }: Pick<PatternPiece, 'shape' | 'line' | 'allowances' | 'fold' | 'grain' | 'marks'>,
  { own }: Pick<PieceCut, 'own'>,
): LaidCut | undefined {
  try {
    const open = openPiece({ shape: roughly(shape), line, allowances, own, fold, grain, marks });
    const { minX, minY, maxX, maxY } = bounds(open.outline);
    const [across, tall] = [maxX - minX, maxY - minY];
    const turned = tall > LONG * across;
    return { open, turned, width: turned ? tall : across, height: turned ? across : tall };
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    return undefined;
  }
}
