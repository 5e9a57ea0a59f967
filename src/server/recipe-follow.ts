import { InputError } from '../core/input-error';
import type { Mark } from '../core/pieces';
import {
  followPiece,
  followPlace,
  pairPieces,
  SOURCE,
  type Recipe,
  type RecipeCut,
  type RecipeOnSource,
  type RecipePiece,
} from '../core/recipes';
import { edgeNames } from '../core/shape';
import { DUTY_WORDS } from '../core/workpiece';
import { cuts, type Cut, type CutFields } from '../store/cuts';
import type { Db } from '../store/database';
import { jobs, type Job } from '../store/jobs';
import { pieces, type Piece, type PieceFields } from '../store/pieces';
import { recipes, type KeptRecipe } from '../store/recipes';
import { requireCut, requireJob, requirePiece } from '../store/rules/piece';
import { requireSeam } from '../store/rules/seam';
import { seams } from '../store/seams';
import { addCut, addJob, addPieces, type NewCut, type NewJob, type NewPiece } from './add-pieces';
import { clothCut, cutsOf, jobsOf, makeOf } from './recipe-making';

const NOTHING_ON_IT: RecipeOnSource = { marks: [], jobs: [] };
const placesOf = ({ kind, at, to, width }: Mark) => JSON.stringify([kind, at, to, width]);
const sameMark = (a: Mark, b: Mark): boolean => placesOf(a) === placesOf(b);

/**
 * Marks and jobs that a recipe puts on the piece whose edges it is made from, in the place of those that it put there before.
 *
 * @returns what could not stay, and what is new, in words
 */
export function putOnSource(db: Db, pieceId: string, before = NOTHING_ON_IT, now = NOTHING_ON_IT): string[] {
  const piece = pieces.get(db, pieceId);
  const marks = [...piece.marks.filter((mark) => !before.marks.some((own) => sameMark(own, mark))), ...now.marks];
  if (JSON.stringify(marks) !== JSON.stringify(piece.marks))
    withFollowers(db, pieceId, () => pieces.update(db, pieceId, requirePiece(db, { ...piece, marks }), piece.version));
  const cut = clothCut(db, pieceId);
  if (!cut) return [];
  const [was, is] = [before, now].map(({ jobs: wanted }) => ({ ...cut, jobs: wanted }));
  return followJobs(db, pieces.get(db, pieceId), cut, was, is, edgeNames(piece.shape).length);
}

/** Ids of pieces by their places in a recipe, also of the piece whose edges it is made from. */
type IdOf = (piece: number) => string | null | undefined;
export const idsOf =
  (ids: readonly (string | null)[], source: KeptRecipe['source']): IdOf =>
  (piece) =>
    piece === SOURCE ? source?.pieceId : ids[piece];

/** Seams of a recipe, between the first cut of each of its pieces; those that it takes several pieces to close are left to the eye. */
export function addSeams(db: Db, projectId: string, { seams: wanted = [] }: Recipe, idOf: IdOf): void {
  const cutOf = (piece: number) => {
    const id = idOf(piece);
    return id ? clothCut(db, id)?.id : undefined;
  };
  for (const { first, second, ease } of wanted) {
    const [firstCut, secondCut] = [cutOf(first.piece), cutOf(second.piece)];
    if (!firstCut || !secondCut || (first.times ?? 1) !== 1 || (second.times ?? 1) !== 1) continue;
    const note = ease ? `Eased in by ${Math.round(10 * ease) / 10} mm.` : '';
    const fields = { projectId, firstCut, secondCut, firstEdges: first.edges, secondEdges: second.edges, note };
    seams.insert(db, requireSeam(db, fields));
  }
}

/**
 * Ids of the pieces of a recipe in the order in which it makes them. One that made others when it was used, such as a lining of a brim, has
 * them found by name and duty; what it does not make any more is no part of it.
 */
function idsAsMade(db: Db, recipe: KeptRecipe, made: Recipe): (string | null)[] {
  if (recipe.pieces.length === made.pieces.length) return recipe.pieces;
  const left = pieces.byIds(db, recipe.pieces.flatMap((id) => id ?? [])); // prettier-ignore
  const dutyOf = ({ id }: Piece) => cutsOf(db, id)[0]?.duty;
  return made.pieces.map(({ name, cuts: [cut] }) => {
    const at = left.findIndex((piece) => piece.name === name && dutyOf(piece) === cut?.duty);
    return at < 0 ? null : left.splice(at, 1)[0]!.id;
  });
}

/** Pieces of a recipe become what it makes now, with their seams. @returns their ids in its order, and what could not stay, in words */
export function remade(db: Db, recipe: KeptRecipe, before: Recipe, now: Recipe): { ids: (string | null)[]; words: string[] } {
  const kept = idsAsMade(db, recipe, before);
  const pairs = pairPieces(before.pieces, now.pieces);
  const ids: (string | null)[] = now.pieces.map(() => null);
  const words: string[] = [];
  for (const [i, pieceId] of kept.entries()) {
    const piece = pieceId === null ? undefined : pieces.find(db, pieceId);
    if (!piece) continue;
    const to = pairs.now[i]!;
    if (to < 0) {
      pieces.remove(db, piece.id);
      words.push(`“${piece.name}” is not part of it any more; it can be taken back in Settings.`);
      continue;
    }
    ids[to] = piece.id;
    words.push(...follow(db, piece, before.pieces[i]!, now.pieces[to]!));
  }
  const added = addPieces(db, recipe.projectId, pairs.added.map((k) => likeOthers(db, now.pieces[k]!, ids))); // prettier-ignore
  pairs.added.forEach((k, i) => (ids[k] = added.pieces[i]!.id));
  words.push(...added.pieces.map(({ name }) => `“${name}” is new: say what it is cut from.`));
  if (recipe.source) words.push(...putOnSource(db, recipe.source.pieceId, before.onSource, now.onSource));
  renewSeams(db, recipe.projectId, before, now, idsOf(kept, recipe.source), idsOf(ids, recipe.source));
  return { ids, words };
}

/**
 * Saves a piece; what is made from its edges follows it, and what could not is kept with the recipe, in words. All of it or nothing.
 *
 * @throws {InputError} {StaleError}
 */
export function savePiece(db: Db, id: string, fields: PieceFields, version: number): Piece {
  return db
    .transaction(() => {
      withFollowers(db, id, () => pieces.update(db, id, fields, version));
      // Slashes along its edges follow it, as marks of its own.
      return pieces.get(db, id);
    })
    .immediate();
}

/** Saves a cut: how many there are, their halves, grain and own allowances bear on what is made from the edges of its piece. @throws {InputError} {StaleError} */
export function saveCut(db: Db, id: string, fields: CutFields, version: number): Cut {
  const { pieceId } = cuts.get(db, id);
  return db.transaction(() => withFollowers(db, pieceId, () => cuts.update(db, id, fields, version))).immediate();
}

/** A change of a piece or of its cuts, after which everything follows that is made from its edges, and what is made from that in its turn. */
function withFollowers<T>(db: Db, pieceId: string, change: () => T): T {
  const followers = recipes.list(db, "json_extract(source, '$.pieceId') = ?", [pieceId], 'rowid');
  const before = followers.map((recipe) => triedOf(db, recipe));
  const changed = change();
  followers.forEach((recipe, i) => {
    const now = triedOf(db, recipe);
    if (JSON.stringify(now) !== JSON.stringify(before[i])) followed(db, recipe, before[i]!, now);
  });
  return changed;
}

/** What a recipe makes now, or why it cannot. */
function triedOf(db: Db, recipe: KeptRecipe): { made: Recipe } | { fault: string } {
  try {
    return { made: makeOf(db, recipe) };
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    return { fault: problem.message };
  }
}
type Tried = ReturnType<typeof triedOf>;

/** Pieces of a recipe follow a change of what it is made from; what cannot be leaves them as they were, and is told. */
function followed(db: Db, recipe: KeptRecipe, before: Tried, now: Tried): void {
  const told = (words: string[], ids = recipe.pieces) =>
    recipes.update(db, recipe.id, { ...recipe, pieces: ids, told: words }, recipe.version);
  const name = pieces.find(db, recipe.source!.pieceId)?.name ?? '';
  const stays = (why: string) => told([`It could not follow “${name}”: ${why}. Its pieces are as they were.`]);
  if ('fault' in now) return void stays(now.fault);
  try {
    // Where it could not follow the last change, what it made then cannot be told apart from what was done by hand.
    const was = 'made' in before ? before.made : now.made;
    const { ids, words } = db.transaction(() => remade(db, recipe, was, now.made))();
    told(words, ids);
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    stays(problem.message);
  }
}

/** A piece follows its recipe, with its cuts and jobs. @returns what could not stay, in words */
function follow(db: Db, piece: Piece, before: RecipePiece, now: RecipePiece): string[] {
  const { lost, ...fields } = followPiece(before, now, piece);
  const words = lost.map((each) => `“${piece.name}” lost ${each}.`);
  const kept = withFollowers(db, piece.id, () => pieces.update(db, piece.id, { ...piece, ...fields }, piece.version));
  const edges = edgeNames(kept.shape).length;
  const own = cutsOf(db, piece.id);
  const moved = JSON.stringify(piece.shape) !== JSON.stringify(kept.shape);
  const dutyIn = ({ cuts: all }: RecipePiece, wanted: string) => all.find(({ duty }) => duty === wanted);
  for (const cut of own) {
    const [was, is] = [dutyIn(before, cut.duty), dutyIn(now, cut.duty)];
    if (was && !is) {
      cuts.remove(db, cut.id);
      words.push(`“${kept.name}” is not cut for ${DUTY_WORDS[cut.duty]} any more; that can be taken back in Settings.`);
      continue;
    }
    words.push(...followCut(db, kept, cut, was, is, edges));
    if (moved && cut.done) words.push(`“${kept.name}” is cut already, as it was before.`);
    words.push(...followJobs(db, kept, cut, was, is, edges));
  }
  for (const wanted of now.cuts)
    if (!dutyIn(before, wanted.duty) && !own.some(({ duty }) => duty === wanted.duty)) {
      addCut(db, piece.id, newCut(db, wanted, own));
      words.push(`“${kept.name}” is cut for ${DUTY_WORDS[wanted.duty]} too: say from which cloth.`);
    }
  return words;
}

/** How many of a cut there are, its halves and its grain follow the recipe where they are still as it made them. */
function followCut(
  db: Db,
  piece: Piece,
  cut: Cut,
  was: RecipeCut | undefined,
  is: RecipeCut | undefined,
  edges: number,
): string[] {
  const fits = cut.own === null || cut.own.length === edges;
  const next = { count: cut.count, pairs: cut.pairs, orientation: cut.orientation };
  if (was && is) {
    if (cut.count === was.count) next.count = is.count;
    if (cut.pairs === (was.pairs ?? false)) next.pairs = is.pairs ?? false;
    if (cut.orientation === was.orientation) next.orientation = is.orientation;
  }
  if (fits && next.count === cut.count && next.pairs === cut.pairs && next.orientation === cut.orientation) return [];
  const fields = requireCut(db, { ...cut, ...next, own: fits ? cut.own : null }, piece, cut);
  withFollowers(db, piece.id, () => cuts.update(db, cut.id, fields, cut.version));
  return fits ? [] : [`The ${DUTY_WORDS[cut.duty]} of “${piece.name}” lost allowances of its own: it has other edges now.`];
}

/** Jobs of a cut: those of the recipe follow, come and go with it; those that were added by hand stay. */
function followJobs(
  db: Db,
  piece: Piece,
  cut: Cut,
  was: RecipeCut | undefined,
  is: RecipeCut | undefined,
  edges: number,
): string[] {
  const words: string[] = [];
  const own = jobsOf(db, cut.id);
  const byName = (recipe: RecipeCut | undefined, wanted: string) => recipe?.jobs.find(({ name }) => name === wanted);
  for (const job of own) {
    if (byName(was, job.name) && !byName(is, job.name)) {
      jobs.remove(db, job.id);
      words.push(`The job “${job.name || piece.name}” is not part of it any more; it can be taken back in Settings.`);
      continue;
    }
    const { place, lost } = followPlace(was, is, job.place, edges);
    if (lost) words.push(`A job on “${piece.name}” lay along an edge that is gone; it lies where its role usually has it.`);
    if (place !== job.place)
      jobs.update(db, job.id, requireJob(db, { ...job, place }, { ...piece, own: null }, job), job.version);
  }
  for (const wanted of is?.jobs ?? []) {
    if (byName(was, wanted.name) || own.some(({ name }) => name === wanted.name)) continue;
    addJob(db, cut.id, newJob(wanted, own[0], own.length));
    words.push(`“${piece.name}” has a new job, “${wanted.name || wanted.role.replaceAll('-', ' ')}”: choose its layers.`);
  }
  return words;
}

/** A job that the recipe asks for, with the care of the others. */
function newJob({ name, place, role }: RecipeCut['jobs'][number], like: Job | undefined, position: number): NewJob {
  const wish = { stretch: 'any' as const, care: like?.wish.care ?? 'wash-warm', role };
  return { name, place, position, wish, stack: null, glueUp: true, cutDone: false };
}

/** A cut that the recipe asks for, from what others of its duty are cut from. */
function newCut(db: Db, { jobs: wanted, ...cut }: RecipeCut, others: readonly Cut[]): NewCut {
  const like = others.find(({ duty }) => duty === cut.duty);
  const job = like && jobsOf(db, like.id)[0];
  return {
    ...{ pairs: false, ...cut, clothId: like?.clothId ?? null, oneWay: false, own: null, done: false, position: 0 },
    // What is its own layer, such as a hat's base, is cut from that.
    jobs: wanted.map((each, i) => ({ ...newJob(each, job, i), stack: like?.clothId === null ? (job?.stack ?? null) : null })),
  };
}

/** A piece that the recipe makes besides. */
function likeOthers(db: Db, { cuts: wanted, ...piece }: RecipePiece, ids: readonly (string | null)[]): NewPiece {
  const others = ids.flatMap((id) => (id === null ? [] : cutsOf(db, id)));
  return {
    ...{ ...piece, line: 'sew', fold: null, projectId: '', position: 0 },
    cuts: wanted.map((cut) => newCut(db, cut, others)),
  };
}

/** The recipe's own seams in the place of those that it made before; what was entered by hand stays. */
function renewSeams(db: Db, projectId: string, before: Recipe, now: Recipe, beforeIdOf: IdOf, idOf: IdOf): void {
  const pieceOf = (cutId: string) => cuts.find(db, cutId)?.pieceId;
  const made = (before.seams ?? []).map(({ first, second }) =>
    JSON.stringify([beforeIdOf(first.piece), first.edges, beforeIdOf(second.piece), second.edges]),
  );
  for (const seam of seams.list(db, 'project_id = ?', [projectId], 'created_at, rowid')) {
    const own = JSON.stringify([pieceOf(seam.firstCut), seam.firstEdges, pieceOf(seam.secondCut), seam.secondEdges]);
    if (made.includes(own)) seams.remove(db, seam.id);
  }
  addSeams(db, projectId, now, idOf);
}
