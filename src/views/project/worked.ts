import { OF_LAYERS, workpieceOf, type Workpiece as WorkpieceOf } from '../../core/workpiece';
import type { Cloth } from '../../store/cloths';
import type { Cut } from '../../store/cuts';
import type { Job, KeptStack } from '../../store/jobs';
import type { Piece } from '../../store/pieces';

export type Workpiece = WorkpieceOf<KeptStack>;

/** A job with the three records that it is made of. */
export interface Worked extends Workpiece {
  piece: Piece;
  cut: Cut;
  job: Job;
}

/** A base, or what softens it, is cut from its layer itself: there is no cloth that it is put on. */
export function isOfLayer({ cut, stack }: { cut: Pick<Cut, 'clothId' | 'duty'>; stack: KeptStack | null }): boolean {
  return cut.clothId === null && OF_LAYERS.includes(cut.duty) && stack !== null;
}

/** A change of whatever a job is made of, each field kept where it belongs. */
export type WorkChange = Partial<Omit<Piece, 'id' | 'version' | 'projectId'>> &
  Partial<Omit<Cut, 'id' | 'version' | 'pieceId' | 'position'>> &
  Partial<Omit<Job, 'id' | 'version' | 'cutId' | 'name' | 'position'>> & {
    /** What the job is called among the others of its cut. */
    jobName?: string;
  };

/** Pieces, cuts and jobs of a project, as its screen holds them. */
export interface Rows {
  pieces: Piece[];
  cuts: Cut[];
  jobs: Job[];
}

const byPosition = (a: { position: number }, b: { position: number }) => a.position - b.position;

/** Pieces in order, each with its cuts, each of these with its jobs. */
export function tree({ pieces, cuts, jobs }: Rows) {
  return [...pieces].sort(byPosition).map((piece) => ({
    piece,
    cuts: cuts
      .filter(({ pieceId }) => pieceId === piece.id)
      .sort(byPosition)
      .map((cut) => ({ cut, jobs: jobs.filter(({ cutId }) => cutId === cut.id).sort(byPosition) })),
  }));
}

/** Every job with all that it is done on, in the order of the pieces. */
export function workedOf(rows: Rows, makes: number, cloths: readonly Cloth[]): Worked[] {
  return tree(rows).flatMap(({ piece, cuts }) =>
    cuts.flatMap(({ cut, jobs }) => jobs.map((job) => ({ ...workpieceOf(piece, cut, job, makes, cloths), piece, cut, job }))),
  );
}
