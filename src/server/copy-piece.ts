import type { Db } from '../store/database';
import { pieces } from '../store/pieces';
import { recipes } from '../store/recipes';
import { piecesOf } from '../store/workpieces';
import { addPieces, undone, type AddedPieces } from './add-pieces';
import { addSeams, idsOf } from './recipe-follow';
import { makeOf } from './recipe-making';

/** Recipes that cut into the piece itself: a copy has the cuts, so it needs what is set into them. */
const SET_IN = ['edge-slashes'];

/** A piece once more with nothing done, and what is set into its slashes. @throws {NotFoundError} */
export function copyPiece(db: Db, pieceId: string): AddedPieces {
  return db
    .transaction(() => {
      const piece = pieces.get(db, pieceId);
      const all = piecesOf(db, [piece.projectId]);
      const again = (own: typeof all.pieces) =>
        addPieces(db, piece.projectId, undone({ ...all, pieces: own.map((each) => ({ ...each, name: `${each.name}, copy`.slice(0, 120) })) })); // prettier-ignore
      const added = again([piece]);
      const copy = added.pieces[0]!;
      const own = recipes.list(db, "json_extract(source, '$.pieceId') = ?", [pieceId], 'rowid');
      for (const recipe of own.filter(({ kind }) => SET_IN.includes(kind))) {
        const known = recipe.pieces.map((id) => all.pieces.find((each) => each.id === id));
        const made = again(known.flatMap((each) => each ?? []));
        added.pieces.push(...made.pieces);
        added.cuts.push(...made.cuts);
        added.jobs.push(...made.jobs);
        let next = 0;
        const ids = known.map((each) => (each ? made.pieces[next++]!.id : null));
        const kept = recipes.insert(db, { ...recipe, source: { ...recipe.source!, pieceId: copy.id }, pieces: ids, told: [] });
        addSeams(db, piece.projectId, makeOf(db, kept), idsOf(ids, kept.source));
      }
      return added;
    })
    .immediate();
}
