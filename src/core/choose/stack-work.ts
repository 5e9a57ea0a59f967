import type { Fabric } from '../cloth';
import { InputError, within } from '../input-error';
import type { ChosenLayer } from '../layers';
import type { Part } from '../part';
import { openPiece, outlinePiece, plainPiece, type OpenPiece, type Place } from '../pieces';
import type { Schools } from '../schools';
import type { Outline } from '../shape';
import { workOf, type Work } from '../techniques';
import { jobFor } from './steps-for';
import { allowanceOf, typicalPiece } from './piece-size';
import { questionFor } from './question-for';
import { sizeOfPiece } from './size-of-piece';

/** A piece as it is told: its cut line, one allowance for all edges or one for each, and where on it the job is done. */
export interface ToldPiece {
  outline: Outline;
  /** mm. */
  allowances?: number | readonly number[] | undefined;
  place?: Place | undefined;
}

export interface WorkAsked {
  fabric: Fabric;
  part: Part;
  /** Outermost first. */
  layers: readonly ChosenLayer[];
  piece?: ToldPiece | undefined;
  /** Pieces in all; one of a piece that is told, as many as the part usually has otherwise. */
  count?: number | undefined;
  schools: Schools;
}

/** A piece of the usual size of its part, as a rectangle. */
function usualPiece(part: Part): OpenPiece {
  const size = typicalPiece(part.role);
  const { width, height } = size;
  const corners: [boolean, boolean, boolean, boolean] = [false, false, false, false];
  return openPiece(plainPiece({ kind: 'rectangle', width, height, corners, corner: 0 }, allowanceOf(size)));
}

function checkPlace({ edges }: OpenPiece, place: Place | undefined): void {
  if (place?.kind !== 'edges') return;
  place.edges.forEach((edge, i) => {
    if (!edges.includes(edge)) throw new InputError(`place.edges[${i}]`, `must be one of the ${edges.length} edges, saw ${edge}`);
  });
}

function toldPiece({ outline, allowances = 10, place }: ToldPiece): OpenPiece {
  const piece = outlinePiece(outline, typeof allowances === 'number' ? outline.map(() => allowances) : allowances);
  checkPlace(piece, place);
  return piece;
}

/**
 * The work of some layers on a part: techniques, amounts of all copies, steps, minutes.
 *
 * @throws {InputError} naming the part of the piece that cannot be
 * @example stackWork({ fabric: poplin, part: collar, layers: stack, schools: DEFAULT_SCHOOLS }).techniques[0].words // 'fused all over'
 */
export function stackWork({ fabric, part, layers, piece: told, count, schools }: WorkAsked): Work {
  const place = told?.place;
  const piece = told ? within('piece', () => toldPiece(told)) : usualPiece(part);
  const pieces = count ?? (told ? 1 : typicalPiece(part.role).count);
  const question = questionFor(fabric, part, { schools, piece: sizeOfPiece(piece, part.role, pieces, undefined, place) });
  return workOf(jobFor(question, layers, { piece, place }));
}
