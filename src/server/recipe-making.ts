import { InputError } from '../core/input-error';
import { EDGE_RECIPES, edgeRecipeOf, recipeOf, RECIPES, type EdgeSource, type Recipe, type RecipeKind } from '../core/recipes';
import { cuts, type Cut } from '../store/cuts';
import type { Db } from '../store/database';
import { jobs } from '../store/jobs';
import { pieces, type Piece } from '../store/pieces';
import type { KeptRecipe } from '../store/recipes';

/** What pieces were made by, and of which edges of which piece where they are made from edges. */
export interface MadeBy {
  kind: string;
  measures: Record<string, number>;
  source?: { pieceId: string; edges: number[]; among?: number | undefined } | null;
}

/** @throws {InputError} naming the kind */
function kindAmong<K extends { id: string }>(kinds: readonly K[], id: string): K {
  const kind = kinds.find((each) => each.id === id);
  if (!kind) throw new InputError('kind', `must be one of ${kinds.map((each) => each.id).join(', ')}, saw ${JSON.stringify(id)}`);
  return kind;
}

/** What a recipe makes of its measures, of the piece as it is now where it is made from edges. @throws {InputError} naming the measure */
export function makeOf(db: Db, { kind, measures, source }: MadeBy): Recipe {
  if (!source) return recipeOf(kindAmong<RecipeKind>(RECIPES, kind), measures);
  const piece = pieces.get(db, source.pieceId);
  if (piece.allowances.length !== (source.among ?? piece.allowances.length))
    throw new InputError(
      'edges',
      `are others now: “${piece.name}” had ${source.among}, and has ${piece.allowances.length}; make it anew from those that are meant`,
    );
  return edgeRecipeOf(kindAmong(EDGE_RECIPES, kind), sourceOf(db, source, piece), measures);
}

/** A piece with its edges, as its cloth is cut. */
export function sourceOf(db: Db, { edges }: NonNullable<MadeBy['source']>, piece: Piece): EdgeSource {
  const { name, shape, line, allowances, fold, grain, marks } = piece;
  const { count, pairs, orientation, own } = clothCut(db, piece.id) ?? {
    count: 1,
    pairs: false,
    orientation: 'straight',
    own: null,
  };
  return { name, spec: { shape, line, allowances, own, fold, grain, marks }, edges, count, pairs, orientation };
}

export const nameOf = ({ kind }: KeptRecipe): string =>
  (RECIPES.find(({ id }) => id === kind) ?? EDGE_RECIPES.find(({ id }) => id === kind))?.name ?? kind;

export const cutsOf = (db: Db, pieceId: string) => cuts.list(db, 'piece_id = ?', [pieceId], 'position, created_at, rowid');
/** The cut of a piece from its outer cloth, or its first. */
export function clothCut(db: Db, pieceId: string): Cut | undefined {
  const own = cutsOf(db, pieceId);
  return own.find(({ duty }) => duty === 'shell') ?? own[0];
}
export const jobsOf = (db: Db, cutId: string) => jobs.list(db, 'cut_id = ?', [cutId], 'position, created_at, rowid');
