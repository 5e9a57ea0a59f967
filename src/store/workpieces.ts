import { cutPieceOf, workpieceOf, type CutPiece, type Workpiece as WorkpieceOf } from '../core/workpiece';
import { cloths } from './cloths';
import { cuts } from './cuts';
import type { Db } from './database';
import { NotFoundError } from './errors';
import { jobs, type KeptStack } from './jobs';
import { pieces } from './pieces';
import { projects } from './projects';

/** A job with the cut and piece it is done on. */
export type Workpiece = WorkpieceOf<KeptStack>;
/** The same as far as its layers are concerned, which it may have or only might get. */
export type LayeredWork = WorkpieceOf<Pick<KeptStack, 'layers' | 'schools'>>;

const ORDER = 'position, created_at, rowid';

/** What the pieces of some projects are: pieces, their cuts, and the jobs on these, in order. */
export function piecesOf(db: Db, projectIds: readonly string[]) {
  const within = (column: string, ids: readonly string[]): [string, string[]] => [
    `${column} IN (SELECT value FROM json_each(?))`,
    [JSON.stringify(ids)],
  ];
  const own = pieces.list(db, ...within('project_id', projectIds), ORDER);
  const cut = cuts.list(
    db,
    ...within(
      'piece_id',
      own.map(({ id }) => id),
    ),
    ORDER,
  );
  const done = jobs.list(
    db,
    ...within(
      'cut_id',
      cut.map(({ id }) => id),
    ),
    ORDER,
  );
  return { pieces: own, cuts: cut, jobs: done };
}

function joinedUp(db: Db, { pieces: own, cuts: cut, jobs: done }: ReturnType<typeof piecesOf>) {
  const pieceOf = new Map(own.map((piece, i) => [piece.id, { piece, i }]));
  const makesOf = new Map(
    projects.byIds(db, [...new Set(own.map(({ projectId }) => projectId))]).map((each) => [each.id, each.makes]),
  );
  const cutOf = new Map(cut.map((each) => [each.id, each]));
  const known = cloths.byIds(db, [...new Set(cut.flatMap(({ clothId }) => clothId ?? []))]);
  const inOrder = <T extends { pieceId: string }>(list: T[]): T[] =>
    list.sort((a, b) => pieceOf.get(a.pieceId)!.i - pieceOf.get(b.pieceId)!.i);
  return {
    workpieces: inOrder(
      done.flatMap((job) => {
        const on = cutOf.get(job.cutId);
        const of = on && pieceOf.get(on.pieceId);
        return on && of ? [workpieceOf(of.piece, on, job, makesOf.get(of.piece.projectId) ?? 1, known)] : [];
      }),
    ),
    cutPieces: inOrder(
      cut.flatMap((on) => {
        const of = pieceOf.get(on.pieceId);
        return of ? [cutPieceOf(of.piece, on, makesOf.get(of.piece.projectId) ?? 1)] : [];
      }),
    ),
  };
}

/** Every job and every cut of some projects, each with all that it is made of, in the order of the pieces. */
export function workOf(db: Db, projectIds: readonly string[]): { workpieces: Workpiece[]; cutPieces: CutPiece[] } {
  return joinedUp(db, piecesOf(db, projectIds));
}

/** Jobs by id, with what they are done on; those that are gone are left out. */
export function workpiecesByIds(db: Db, ids: readonly string[]): Workpiece[] {
  const done = jobs.byIds(db, ids);
  const cut = cuts.byIds(db, [...new Set(done.map(({ cutId }) => cutId))]);
  const own = pieces.byIds(db, [...new Set(cut.map(({ pieceId }) => pieceId))]);
  const found = joinedUp(db, { pieces: own, cuts: cut, jobs: done }).workpieces;
  return ids.flatMap((id) => found.find((each) => each.id === id) ?? []);
}

/** Cuts by id, with their piece; those that are gone are left out. */
export function cutPiecesByIds(db: Db, ids: readonly string[]): CutPiece[] {
  const cut = cuts.byIds(db, ids);
  const own = pieces.byIds(db, [...new Set(cut.map(({ pieceId }) => pieceId))]);
  const found = joinedUp(db, { pieces: own, cuts: cut, jobs: [] }).cutPieces;
  return ids.flatMap((id) => found.find((each) => each.id === id) ?? []);
}

export function findWorkpiece(db: Db, jobId: string): Workpiece | undefined {
  return workpiecesByIds(db, [jobId])[0];
}

/** @throws {NotFoundError} */
export function getWorkpiece(db: Db, jobId: string): Workpiece {
  const found = findWorkpiece(db, jobId);
  if (!found) throw new NotFoundError('job');
  return found;
}
