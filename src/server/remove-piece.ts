import { InputError } from '../core/input-error';
import type { RecipeOnSource } from '../core/recipes';
import type { Db } from '../store/database';
import { jobs } from '../store/jobs';
import { pieces, type Piece } from '../store/pieces';
import { recipes, type KeptRecipe } from '../store/recipes';
import { clothCut, makeOf } from './recipe-making';
import { putOnSource } from './recipe-follow';

/**
 * Deletes a piece. What its recipe put on the piece that it is made from goes with the last of what it made: a slash without its godet is not to be
 * cut.
 *
 * @throws {NotFoundError}
 */
export function removePiece(db: Db, id: string): void {
  db.transaction(() => {
    pieces.remove(db, id);
    for (const { recipe, on } of onOthers(db, id))
      if (!isThere(db, recipe)) putOnSource(db, recipe.source!.pieceId, on, undefined);
  }).immediate();
}

/** Takes the deletion of a piece back, with what went with it. @throws {NotFoundError} */
export function restorePiece(db: Db, id: string): Piece {
  return db
    .transaction(() => {
      const lacking = onOthers(db, id).filter(({ recipe }) => !isThere(db, recipe));
      pieces.restore(db, id);
      for (const { recipe, on } of lacking) {
        restoreJobs(db, recipe.source!.pieceId, on);
        putOnSource(db, recipe.source!.pieceId, on, on);
      }
      return pieces.get(db, id);
    })
    .immediate();
}

/** Recipes that made a piece and put something on another one that is still there. */
function onOthers(db: Db, id: string): { recipe: KeptRecipe; on: RecipeOnSource }[] {
  const made = 'source IS NOT NULL AND EXISTS (SELECT 1 FROM json_each(pieces) WHERE value = ?)';
  return recipes.list(db, made, [id], 'rowid').flatMap((recipe) => {
    if (!pieces.find(db, recipe.source!.pieceId)) return [];
    try {
      const { onSource } = makeOf(db, recipe);
      return onSource ? [{ recipe, on: onSource }] : [];
    } catch (problem) {
      // The piece is not what it was: nobody can tell any more what came from here.
      if (!(problem instanceof InputError)) throw problem;
      return [];
    }
  });
}

const isThere = (db: Db, { pieces: ids }: KeptRecipe): boolean =>
  pieces.byIds(
    db,
    ids.flatMap((id) => id ?? []),
  ).length > 0;

/** Jobs that went with the last piece, with their layers: of each name the one that was deleted last. */
function restoreJobs(db: Db, pieceId: string, on: RecipeOnSource): void {
  const cut = clothCut(db, pieceId);
  if (!cut) return;
  const last = db.prepare(
    `SELECT id FROM job WHERE cut_id = ? AND name = ? AND deleted_at IS NOT NULL
       AND NOT EXISTS (SELECT 1 FROM job there WHERE there.cut_id = job.cut_id AND there.name = job.name AND there.deleted_at IS NULL)
     ORDER BY deleted_at DESC LIMIT 1`,
  );
  for (const { name } of on.jobs) {
    const job = last.get(cut.id, name) as { id: string } | undefined;
    if (job) jobs.restore(db, job.id);
  }
}
