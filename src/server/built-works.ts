import { InputError } from '../core/input-error';
import { builtUp, workedWith } from '../core/workpiece';
import type { Db } from '../store/database';
import { getWorkpiece, workOf, workpiecesByIds, type Workpiece } from '../store/workpieces';

/**
 * Jobs of some projects as they are worked, in the order of the pieces: a hat's base with what softens it and its cloth. What is worked
 * with another job is left out, and so is a base that has no cloth yet.
 */
export function builtWorks(db: Db, projectIds: readonly string[]): Workpiece[] {
  const { workpieces, cutPieces } = workOf(db, projectIds);
  return workpieces.flatMap((work) => builtUp(work, workpieces, cutPieces) ?? []);
}

/** Jobs by id as they are worked; one that cannot be worked comes as it is kept. */
export function builtByIds(db: Db, ids: readonly string[]): Workpiece[] {
  const kept = workpiecesByIds(db, ids);
  const alone = kept.every(({ clothId }) => clothId !== null);
  if (alone) return kept;
  const built = builtWorks(db, [...new Set(kept.map(({ projectId }) => projectId))]);
  return kept.map((work) => built.find(({ id }) => id === work.id) ?? work);
}

/** A job as it is worked. @throws {NotFoundError} @throws {InputError} for one that is worked together with another */
export function builtWork(db: Db, jobId: string): Workpiece {
  const work = getWorkpiece(db, jobId);
  const { workpieces } = workOf(db, [work.projectId]);
  const base = workedWith(work, workpieces);
  if (base) throw new InputError('job', `is worked together with “${base.name}”; begin that one`);
  return builtByIds(db, [jobId])[0]!;
}
