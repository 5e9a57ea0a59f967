import { InputError } from '../../core/input-error';
import { openPiece, type OpenPiece, type PieceSpec } from '../../core/pieces';
import { edgeNames } from '../../core/shape';
import { cloths } from '../cloths';
import { cuts, type CutFields } from '../cuts';
import type { Db } from '../database';
import { jobs, type JobFields } from '../jobs';
import type { PieceFields } from '../pieces';
import { requireKept, requireStack } from './references';

/** What a schema cannot see: that the shape can be built as each of its cuts has it, and has the edges that its jobs lie along. @throws {InputError} */
export function requirePiece(db: Db, piece: PieceFields, id?: string): PieceFields {
  openPiece(piece);
  const edges = edgeNames(piece.shape).length;
  for (const { id: cutId, own, duty } of id === undefined ? [] : cuts.list(db, 'piece_id = ?', [id], 'id')) {
    for (const { name, place } of jobs.list(db, 'cut_id = ?', [cutId], 'id'))
      if (place.kind === 'edges' && place.edges.some((edge) => edge >= edges))
        throw new InputError(
          'shape',
          `has ${edges === 1 ? 'one edge' : `${edges} edges`}, and ${name === '' ? 'a job' : `the job “${name}”`} lies along one that would be gone; say first where it lies`,
        );
    if (!own) continue;
    // Another shape has other edges; what a cut had of its own is set anew there.
    if (own.length !== edges)
      throw new InputError(
        'shape',
        `has ${edges} edges, and the ${duty} that is cut by it has allowances of its own for ${own.length}; take these off first`,
      );
    openPiece({ ...piece, own });
  }
  return piece;
}

/** That the cloth exists and the piece can be cut so. @throws {InputError} naming the field */
export function requireCut(db: Db, cut: CutFields, piece: PieceSpec, current?: CutFields): CutFields {
  requireKept(db, [['clothId', cloths, cut.clothId]], current);
  openPiece({ ...piece, own: cut.own });
  return cut;
}

/** That the layers exist and the place lies on the piece. @throws {InputError} naming the field */
export function requireJob(db: Db, job: JobFields, piece: PieceSpec, current?: JobFields): JobFields {
  requireStack(db, job.stack, current?.stack);
  requirePlace(job, openPiece(piece));
  return job;
}

function requirePlace({ place }: Pick<JobFields, 'place'>, { edges }: OpenPiece): void {
  if (place.kind !== 'edges') return;
  place.edges.forEach((edge, i) => {
    if (!edges.includes(edge)) throw new InputError(`place.edges[${i}]`, `must be an edge of the piece, saw ${edge}`);
  });
}
