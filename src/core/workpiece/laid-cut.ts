import { InputError } from '../input-error';
import { openPiece, type OpenPiece } from '../pieces';
import { bounds } from '../shape';
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
    const open = openPiece({ shape, line, allowances, own, fold, grain, marks });
    const { minX, minY, maxX, maxY } = bounds(open.outline);
    const [across, tall] = [maxX - minX, maxY - minY];
    const turned = tall > LONG * across;
    return { open, turned, width: turned ? tall : across, height: turned ? across : tall };
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    return undefined;
  }
}
