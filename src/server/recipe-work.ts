import { InputError, within } from '../core/input-error';
import type { EdgeSource, Recipe } from '../core/recipes';
import type { Db } from '../store/database';
import { StaleError } from '../store/errors';
import { pieces } from '../store/pieces';
import { recipes, type KeptRecipe } from '../store/recipes';
import { piecesOf } from '../store/workpieces';
import { addPieces, type AddedPieces, type NewPiece } from './add-pieces';
import { followNotions } from './recipe-notions';
import { addSeams, idsOf, putOnSource, remade } from './recipe-follow';
import { makeOf, nameOf, sourceOf, type MadeBy } from './recipe-making';

/** Adds pieces that a recipe made, with the recipe itself and its seams, all of it or nothing. @throws {InputError} */
export function addMade(db: Db, projectId: string, wanted: readonly NewPiece[], by: MadeBy): AddedPieces {
  const of = by.source ? pieces.find(db, by.source.pieceId) : undefined;
  if (by.source && of?.projectId !== projectId)
    throw new InputError('recipe.source.pieceId', `must be a piece of the project, saw ${JSON.stringify(by.source.pieceId)}`);
  const source = by.source && of ? { ...by.source, among: of.allowances.length } : null;
  const made = within('recipe', () => makeOf(db, { ...by, source }));
  if (made.pieces.length !== wanted.length)
    throw new InputError('recipe', `makes ${made.pieces.length} pieces of these measures, saw ${wanted.length}`);
  return db
    .transaction(() => {
      const added = addPieces(db, projectId, wanted);
      if (source) putOnSource(db, source.pieceId, undefined, made.onSource);
      const ids = added.pieces.map(({ id }) => id);
      recipes.insert(db, { ...by, source, projectId, pieces: ids, told: [] });
      followNotions(db, projectId, [], made.notions ?? []);
      addSeams(db, projectId, made, idsOf(ids, source));
      return added;
    })
    .immediate();
}

/** A recipe of a project as its screen shows it. */
export interface ShownRecipe extends KeptRecipe, Pick<Recipe, 'facts' | 'notes'> {
  name: string;
  /** The piece whose edges it is made from, as it is now; its measures can be tried on it. */
  of: EdgeSource | null;
}

/** Recipes by which pieces of a project were made, that still have one of their pieces. */
export function recipesOf(db: Db, projectId: string): ShownRecipe[] {
  return recipes.list(db, 'project_id = ?', [projectId], 'created_at, rowid').flatMap((recipe): ShownRecipe[] => {
    if (pieces.byIds(db, recipe.pieces.flatMap((id) => id ?? [])).length === 0) return []; // prettier-ignore
    const { source } = recipe;
    const piece = source && pieces.find(db, source.pieceId);
    // What it was made from is gone: the pieces stay, and there is nothing left to follow.
    if (source && !piece) return [];
    const shown = { ...recipe, name: nameOf(recipe), of: source && piece ? sourceOf(db, source, piece) : null };
    try {
      const { facts, notes } = makeOf(db, recipe);
      return [{ ...shown, facts, notes }];
    } catch (problem) {
      // The piece is not what it was: the measures say so when they are opened.
      if (!(problem instanceof InputError)) throw problem;
      return [{ ...shown, facts: [], notes: [] }];
    }
  });
}

/** What came of a change of measures. */
export interface ChangedRecipe {
  recipe: KeptRecipe;
  /** All of the project. */
  rows: AddedPieces;
  /** What was done by hand and could not stay, what came and what went, in words. */
  words: string[];
}

/**
 * Changes the measures of a recipe: its pieces follow, with seams, marks and places of jobs; what was done by hand stays where it still fits.
 *
 * @throws {InputError} naming the measure {StaleError}
 */
export function changeRecipe(db: Db, id: string, measures: Record<string, number>, version: number): ChangedRecipe {
  return db
    .transaction(() => {
      const recipe = recipes.get(db, id);
      if (recipe.version !== version) throw new StaleError(recipe);
      const now = within('measures', () => makeOf(db, { ...recipe, measures }));
      const before = makeOf(db, recipe);
      const { ids, words } = remade(db, recipe, before, now);
      followNotions(db, recipe.projectId, before.notions ?? [], now.notions ?? []);
      const kept = recipes.update(db, id, { ...recipe, measures, pieces: ids, told: [] }, version);
      return { recipe: kept, rows: piecesOf(db, [recipe.projectId]), words };
    })
    .immediate();
}
