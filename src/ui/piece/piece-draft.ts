import type { CutGrain } from '../../core/choose';
import { InputError } from '../../core/input-error';
import { openPiece, usualGrain, type OpenPiece } from '../../core/pieces';
import type { PatternPiece } from '../../core/workpiece';
import { edgeNames, shapeKind, type PieceShape } from '../../core/shape';

/** What a person says about a piece. */
export interface PieceDraft extends Omit<PatternPiece, 'id' | 'projectId' | 'position'> {
  count: number;
  pairs: boolean;
  oneWay: boolean;
  cut: CutGrain;
}

/** The usual allowance, mm. */
const USUAL = 10;

export const NEW_PIECE: PieceDraft = {
  name: '',
  shape: { kind: 'rectangle', width: 300, height: 120, corners: [false, false, true, true], corner: 30 },
  line: 'cut',
  allowances: [USUAL, USUAL, USUAL, USUAL],
  fold: null,
  grain: 0,
  marks: [],
  count: 1,
  pairs: false,
  oneWay: false,
  cut: 'straight',
};

/** A rectangle of a given size; a band lies along the grain. */
export function sizedPiece(width: number, height: number): PieceDraft {
  const shape = { ...NEW_PIECE.shape, width, height } as PieceShape;
  return { ...NEW_PIECE, shape, grain: usualGrain(width, height) };
}

/** Opens the piece out, or says what stands in the way. */
export function tryOpen(draft: PieceDraft): { piece?: OpenPiece; field?: string; message?: string } {
  try {
    return { piece: openPiece(draft) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { field: error.field, message: error.message.replace(`${error.field}: `, '') };
  }
}

/**
 * The draft with another shape: allowances go over to the edges that are still there, new edges get the usual one.
 *
 * @param sources for each new edge the number of the edge whose allowance it takes over
 */
export function withShape(draft: PieceDraft, shape: PieceShape, sources?: readonly number[]): PieceDraft {
  const names = edgeNames(shape);
  const usual = draft.allowances[0] ?? USUAL;
  const allowances = names.map((_, i) => draft.allowances[sources ? sources[i]! : i] ?? usual);
  const fold = draft.fold === null ? -1 : sources ? sources.indexOf(draft.fold) : draft.fold;
  return { ...draft, shape, allowances, fold: fold >= 0 && fold < names.length ? fold : null };
}

/** Another kind of shape, of about the same size where that can be said. */
export function withKind(draft: PieceDraft, kind: PieceShape['kind']): PieceDraft {
  const was = draft.shape;
  const plain = (shape: PieceShape) => 'corners' in shape;
  const start = shapeKind(kind).start;
  // Rectangles share their measures, whatever their corners.
  if (plain(was) && plain(start)) return withShape(draft, { ...was, kind } as PieceShape);
  return { ...withShape(draft, start), marks: [] };
}
