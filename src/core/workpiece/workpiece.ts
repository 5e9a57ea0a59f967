import type { CutGrain as Orientation, Part } from '../choose';
import type { Mark, Place } from '../pieces';
import type { PieceShape } from '../shape';
import { DUTY_WORDS, type Duty } from './duty';

/** One pattern piece: its shape and what is marked on it, nothing about cloth. mm. */
export interface PatternPiece {
  id: string;
  projectId: string;
  name: string;
  /** Its place among the pieces of its project. */
  position: number;
  shape: PieceShape;
  line: 'cut' | 'sew';
  allowances: number[];
  fold: number | null;
  grain: number;
  marks: Mark[];
}

/** A piece cut from one cloth, for one duty. */
export interface PieceCut {
  id: string;
  pieceId: string;
  duty: Duty;
  clothId: string | null;
  /** For each thing that is made, half of them mirrored when they come in pairs. */
  count: number;
  pairs: boolean;
  /** A print or nap runs one way. */
  oneWay: boolean;
  /** Seam allowance of its own at each edge, mm; null as the pattern has it. */
  own: (number | null)[] | null;
  /** How the cloth's grain runs along the pattern's arrow. */
  orientation: Orientation;
  /** The cloth is cut. */
  done: boolean;
}

/** What must be done to a cut, at a place. */
export interface CutJob<S> {
  id: string;
  cutId: string;
  /** What it is called where a cut has several jobs; empty otherwise. */
  name: string;
  place: Place;
  /** Without the grain, which the cut has. */
  wish: Omit<Part, 'cut'>;
  stack: S | null;
  /** The layer is laid glue side up for cutting. */
  glueUp: boolean;
  /** Its layers are cut. */
  cutDone: boolean;
}

type Pattern = Omit<PatternPiece, 'id' | 'name'>;

/** A piece as it is cut from one cloth: what a cutting table lays. */
export interface CutPiece extends Pattern {
  id: string;
  pieceId: string;
  /** What its pattern piece is called. */
  pieceName: string;
  name: string;
  duty: Duty;
  clothId: string | null;
  wish: { cut: Orientation };
  count: number;
  pairs: boolean;
  oneWay: boolean;
  own: (number | null)[] | null;
  done: boolean;
  stack: null;
}

/** A job with the cut and the piece it is done on: what choosing, cutting and the bench work with. */
export interface Workpiece<S> extends Pattern {
  /** The job's. */
  id: string;
  cutId: string;
  pieceId: string;
  pieceName: string;
  name: string;
  duty: Duty;
  clothId: string | null;
  /** Of its cloth, g/m²; null where none is chosen. */
  clothWeight: number | null;
  wish: Part;
  place: Place;
  /** In all, however many things are made. */
  count: number;
  pairs: boolean;
  oneWay: boolean;
  own: (number | null)[] | null;
  /** The cloth is cut. */
  done: boolean;
  stack: S | null;
  glueUp: boolean;
  /** Its layers are cut. */
  cutDone: boolean;
}

/** Name of a cut among the others of its piece. */
function cutName({ name }: Pick<PatternPiece, 'name'>, { duty }: Pick<PieceCut, 'duty'>): string {
  return duty === 'shell' ? name : `${name}, ${DUTY_WORDS[duty]}`;
}

/**
 * A piece as it is cut from one cloth.
 *
 * @param makes how many things are made
 * @example cutPieceOf(front, shell, 3).count // 6
 */
export function cutPieceOf(piece: PatternPiece, cut: PieceCut, makes: number): CutPiece {
  const { shape, line, allowances, fold, grain, marks, projectId, position } = piece;
  const { id, duty, clothId, pairs, oneWay, own, done } = cut;
  return {
    ...{
      id,
      pieceId: piece.id,
      projectId,
      pieceName: piece.name,
      position,
      name: cutName(piece, cut),
      duty,
      clothId,
      shape,
      line,
      allowances,
      own,
      fold,
      grain,
      marks,
    },
    wish: { cut: cut.orientation },
    ...{ count: cut.count * makes, pairs, oneWay, done, stack: null },
  };
}

/**
 * A job with all that it is done on.
 *
 * @param makes how many things are made @param cloths what is known of cloths: the one that it is cut from is found there
 * @example workpieceOf(front, shell, stay, 1, []).name // 'Front: armhole'
 */
export function workpieceOf<S>(
  piece: PatternPiece,
  cut: PieceCut,
  job: CutJob<S>,
  makes: number,
  cloths: readonly { id: string; arealDensity: number }[],
): Workpiece<S> {
  const { id: cutId, ...flat } = cutPieceOf(piece, cut, makes);
  const { id, name, place, wish, stack, glueUp, cutDone } = job;
  return {
    ...flat,
    ...{ id, cutId, place, stack, glueUp, cutDone },
    clothWeight: cloths.find((cloth) => cloth.id === cut.clothId)?.arealDensity ?? null,
    name: name === '' ? flat.name : `${flat.name}: ${name}`,
    wish: { ...wish, cut: cut.orientation },
  };
}
