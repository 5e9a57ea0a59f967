import { within } from '../core/input-error';
import { cuts, type Cut, type CutFields } from '../store/cuts';
import type { Db } from '../store/database';
import { jobs, type Job, type JobFields } from '../store/jobs';
import { pieces, type Piece, type PieceFields } from '../store/pieces';
import { projects, type Project } from '../store/projects';
import { requireCut, requireJob, requirePiece } from '../store/rules/piece';
import { recipes } from '../store/recipes';
import { seams } from '../store/seams';
import { piecesOf } from '../store/workpieces';

export type NewJob = Omit<JobFields, 'cutId'>;
export type NewCut = Omit<CutFields, 'pieceId'> & { jobs: NewJob[] };
export type NewPiece = Omit<PieceFields, 'projectId'> & { cuts: NewCut[] };

/** What was added, in three lists as the screens hold them. */
export interface AddedPieces {
  pieces: Piece[];
  cuts: Cut[];
  jobs: Job[];
}

/** After all that are there. */
function lastPosition(db: Db, table: 'piece' | 'cut' | 'job', column: string, id: string): number {
  const sql = `SELECT coalesce(max(position), 0) + 1 AS next FROM ${table} WHERE ${column} = ? AND deleted_at IS NULL`;
  return (db.prepare(sql).get(id) as { next: number }).next;
}

/** Adds pieces to a project, all of them or none. @throws {InputError} naming the piece, cut or job and its field */
export function addPieces(db: Db, projectId: string, wanted: readonly NewPiece[]): AddedPieces {
  const project = projects.get(db, projectId);
  const added: AddedPieces = { pieces: [], cuts: [], jobs: [] };
  return db
    .transaction(() => {
      wanted.forEach(({ cuts: own, ...piece }, i) => {
        const named = <T>(work: () => T) => (wanted.length > 1 ? within(`pieces[${i}]`, work) : work());
        named(() => {
          const fields = { ...piece, projectId: project.id, position: lastPosition(db, 'piece', 'project_id', project.id) };
          const kept = pieces.insert(db, requirePiece(db, fields));
          added.pieces.push(kept);
          own.forEach((cut, k) => {
            const one = within(`cuts[${k}]`, () => addCut(db, kept.id, cut));
            added.cuts.push(...one.cuts);
            added.jobs.push(...one.jobs);
          });
        });
      });
      return added;
    })
    .immediate();
}

/** Adds a cut with its jobs to a piece. @throws {InputError} naming the job and its field */
export function addCut(db: Db, pieceId: string, { jobs: own, ...cut }: NewCut): AddedPieces {
  const piece = pieces.get(db, pieceId);
  return db
    .transaction(() => {
      const position = lastPosition(db, 'cut', 'piece_id', piece.id);
      const kept = cuts.insert(db, requireCut(db, { ...cut, pieceId: piece.id, position }, piece));
      return { pieces: [], cuts: [kept], jobs: own.map((job, k) => within(`jobs[${k}]`, () => addJob(db, kept.id, job))) };
    })
    .immediate();
}

/** @throws {InputError} naming the field */
export function addJob(db: Db, cutId: string, job: NewJob): Job {
  const cut = cuts.get(db, cutId);
  const piece = { ...pieces.get(db, cut.pieceId), own: cut.own };
  const position = lastPosition(db, 'job', 'cut_id', cut.id);
  return jobs.insert(db, requireJob(db, { ...job, cutId: cut.id, position }, piece));
}

/** Pieces as they would be added anew: what was chosen comes along, what was done does not. */
export function undone(from: AddedPieces): NewPiece[] {
  return from.pieces.map((piece) => ({
    ...piece,
    cuts: from.cuts
      .filter(({ pieceId }) => pieceId === piece.id)
      .map((cut) => ({
        ...cut,
        done: false,
        jobs: from.jobs.filter(({ cutId }) => cutId === cut.id).map((job) => ({ ...job, cutDone: false })),
      })),
  }));
}

/** A project like this one with nothing done. @throws {NotFoundError} */
export function sewAgain(db: Db, projectId: string): Project {
  const project = projects.get(db, projectId);
  return db
    .transaction(() => {
      const notions = project.notions.map((notion) => ({ ...notion, there: false }));
      const again = projects.insert(db, { ...project, name: `${project.name}, again`.slice(0, 120), notions, archived: false });
      const was = piecesOf(db, [projectId]);
      const added = addPieces(db, again.id, undone(was));
      // Cuts are added piece by piece, in the order of each.
      const pieceOf = new Map(was.pieces.map(({ id }, i) => [id, added.pieces[i]!.id]));
      for (const recipe of recipes.list(db, 'project_id = ?', [projectId], 'created_at, rowid'))
        recipes.insert(db, {
          ...{ ...recipe, projectId: again.id, told: [] },
          pieces: recipe.pieces.map((id) => pieceOf.get(id ?? '') ?? null),
          source: recipe.source && { ...recipe.source, pieceId: pieceOf.get(recipe.source.pieceId) ?? recipe.source.pieceId },
        });
      const order = was.pieces.flatMap((piece) => was.cuts.filter(({ pieceId }) => pieceId === piece.id));
      const cutOf = new Map(order.map(({ id }, i) => [id, added.cuts[i]!.id]));
      for (const seam of seams.list(db, 'project_id = ?', [projectId], 'created_at, rowid')) {
        const [firstCut, secondCut] = [cutOf.get(seam.firstCut), cutOf.get(seam.secondCut)];
        if (firstCut && secondCut) seams.insert(db, { ...seam, projectId: again.id, firstCut, secondCut });
      }
      return again;
    })
    .immediate();
}
