import { sewnOutline, type Mark, type Place } from '../pieces';
import { distanceToBorder, edgeNames, isInside, type PieceShape } from '../shape';
import type { RecipeCut, RecipePiece } from './recipe';

/** A piece as it is kept, made by a recipe once and perhaps worked over by hand since. */
export interface KeptRecipePiece {
  name: string;
  shape: PieceShape;
  allowances: readonly number[];
  grain: number;
  marks: readonly Mark[];
}

/** The same after a change of the measures. */
export interface FollowedPiece {
  name: string;
  shape: PieceShape;
  allowances: number[];
  grain: number;
  marks: Mark[];
  /** What was done by hand and could not stay, in words. */
  lost: string[];
}

/** A notch lies on the line itself, mm. */
const ON_LINE = 1;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * What becomes of a piece when the measures of its recipe change: its shape follows. What was done by hand (its name, allowances, grain,
 * marks) stays where it still fits; what does not is told.
 *
 * @param before what the recipe made of the measures until now @param now what it makes of the new ones
 * @example followPiece(recipePiece, recipePiece, recipePiece).lost // []
 */
export function followPiece(before: RecipePiece, now: RecipePiece, kept: KeptRecipePiece): FollowedPiece {
  const lost: string[] = [];
  const edges = edgeNames(now.shape).length;
  const byEdge = kept.allowances.length === edges && before.allowances.length === edges;
  if (!byEdge && !same(kept.allowances, before.allowances)) lost.push('its own seam allowances: it has other edges now');
  const byHand = kept.marks.filter((mark) => !before.marks.some((own) => same(own, mark)));
  const { outline } = sewnOutline({ ...now, line: 'sew', fold: null });
  const stay = byHand.filter(({ at }) => isInside(at, outline) || distanceToBorder(outline, at) < ON_LINE);
  if (stay.length < byHand.length)
    lost.push(
      `${byHand.length - stay.length === 1 ? 'a mark' : `${byHand.length - stay.length} marks`} that would lie outside of it now`,
    );
  // Marks of the recipe that were taken away by hand stay away.
  const gone = before.marks.filter((mark) => !kept.marks.some((own) => same(own, mark))).length > 0;
  const fresh =
    gone && same(before.marks.map(({ kind }) => kind), now.marks.map(({ kind }) => kind)) // prettier-ignore
      ? now.marks.filter((_, i) => kept.marks.some((own) => same(own, before.marks[i])))
      : now.marks;
  return {
    name: kept.name === before.name ? now.name : kept.name,
    shape: now.shape,
    // Edge by edge: one that was set by hand stays as it was set.
    allowances: now.allowances.map((mm, i) => (byEdge && kept.allowances[i] !== before.allowances[i] ? kept.allowances[i]! : mm)),
    grain: kept.grain === before.grain ? now.grain : kept.grain,
    marks: [...fresh, ...stay],
    lost,
  };
}

/**
 * Where a job lies after a change of the measures: where the recipe puts it, if it lay where the recipe had put it; else where it was, if
 * the piece still has that place, or where its role usually has it.
 *
 * @param edges how many edges the piece has now
 * @example followPlace(recipePiece.cuts[0], recipePiece.cuts[0], { kind: 'edges', edges: [9], width: 20 }, 4) // { place: { kind: 'usual' }, lost: true }
 */
export function followPlace(
  before: RecipeCut | undefined,
  now: RecipeCut | undefined,
  place: Place,
  edges: number,
): { place: Place; lost: boolean } {
  const at = before?.jobs.findIndex((job) => same(job.place, place)) ?? -1;
  const own = at < 0 ? undefined : now?.jobs.find(({ name }) => name === before!.jobs[at]!.name);
  if (own) return { place: own.place, lost: false };
  const fits = place.kind !== 'edges' || place.edges.every((edge) => edge < edges);
  return fits ? { place, lost: false } : { place: { kind: 'usual' }, lost: true };
}

/** Pieces of two makings of a recipe that are each other's, by their places in the lists; −1 where there is none. */
export interface PairedPieces {
  /** For each piece of before the one of now. */
  now: number[];
  /** Pieces of now that were not there before. */
  added: number[];
}

/**
 * Which piece of a making becomes which of another: by name and duty, and those that are left over in their order, duty by duty.
 *
 * @example pairPieces([recipePiece], [{ ...recipePiece, name: 'Another' }]) // { now: [0], added: [] }
 */
export function pairPieces(before: readonly RecipePiece[], now: readonly RecipePiece[]): PairedPieces {
  const taken = new Set<number>();
  const dutyOf = ({ cuts }: RecipePiece) => cuts[0]?.duty ?? 'shell';
  const take = (found: number) => {
    if (found >= 0) taken.add(found);
    return found;
  };
  const free = (fits: (piece: RecipePiece) => boolean) => take(now.findIndex((piece, k) => !taken.has(k) && fits(piece)));
  const named = before.map((piece) => free((each) => each.name === piece.name && dutyOf(each) === dutyOf(piece)));
  const paired = named.map((found, i) => (found >= 0 ? found : free((each) => dutyOf(each) === dutyOf(before[i]!))));
  return { now: paired, added: now.flatMap((_, k) => (taken.has(k) ? [] : [k])) };
}
