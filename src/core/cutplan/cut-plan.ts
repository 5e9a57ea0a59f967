import { InputError, requireNumber } from '../input-error';
import { bounds, polygonArea, requireOutline, transformed, type Outline } from '../shape';
import { largestLeftover, type Leftover } from './leftover';
import { latest, nest, workFor } from './nest';
import type { CutPiece, Placement, Unplaced } from './piece';
import { layRows } from './rows';

export interface CutPlanOptions {
  /** Usable width of the cloth, mm. */
  width: number;
  /** Longest length that may be used, mm. */
  length?: number;
  /** Room between pieces, mm; none is kept to the edge of the cloth. */
  gap: number;
  pieces: readonly CutPiece[];
  /** Time allowed, s; with 0 the first layout is answered. */
  seconds: number;
  /** The same seed gives the same layout, as long as the time allowed is not cut short by a slow machine. */
  seed?: number;
  /** Copies that stay where they are. */
  locked?: readonly Placement[];
  /** Outline of a leftover that is laid on, from its lower left corner, mm. */
  cloth?: Outline;
}

export interface CutPlan {
  /** Largest y that is used, mm. */
  length: number;
  /** Placed piece area ÷ (width × length), 0–1. */
  density: number;
  placements: Placement[];
  unplaced: Unplaced[];
  /** Largest rectangle within the length that nothing lies on, mm. */
  leftover: Leftover;
}

/** More copies than this in one plan are refused. */
export const MOST_COPIES = 2000;
/** A length that nobody reaches, mm. */
const ENDLESS = 200_000;
const MOST_SECONDS = 60;

/** With more copies or positions than this, pieces are laid in rows: fitting them into hollows would take too long. */
const MOST_NESTED = 400;
const MOST_POSITIONS = 2000;

/**
 * Lays pieces on a length of cloth, each layout that is yielded better than the one before or the same.
 * x runs across the width from 0, y along the length from 0. The caller stops when it is good enough.
 *
 * @throws {InputError} naming the field, nested ones as `pieces[2].outline`
 */
export function* cutPlans(options: CutPlanOptions): Generator<CutPlan & { done: number }, void> {
  requireOptions(options);
  const { width, gap, pieces, seconds, seed = 1, locked = [], cloth } = options;
  const length = options.length ?? ENDLESS;
  const plain = locked.length === 0 && !cloth;
  let best: CutPlan | undefined;
  if (plain) {
    best = withMeasures(layRows(pieces, width, gap, length), pieces, width);
    if (isHeavy(pieces)) {
      yield { ...best, done: 1 };
      return;
    }
  }
  for (const { done, ...nested } of nest({
    width,
    length,
    gap,
    pieces,
    locked,
    ...(cloth ? { cloth } : {}),
    seed,
    work: workFor(seconds),
  })) {
    const plan = { ...nested, density: densityOf(nested.placements, pieces, width, nested.length) };
    if (!best || isBetter(plan, best, width)) best = plan;
    yield { ...best, done };
  }
}

/** More is laid, or as much on less length; of equals the later one, which leaves more in one piece. */
function isBetter(plan: CutPlan, than: CutPlan, width: number): boolean {
  const more = (plan.density * plan.length - than.density * than.length) * width;
  return Math.abs(more) > SAME_AREA ? more > 0 : plan.length <= than.length;
}
/** Areas this close are the same pieces, mm². */
const SAME_AREA = 1e-3;

/**
 * The best layout within the time allowed.
 *
 * @param now clock in ms, so that a slow machine keeps to the time as well
 * @throws {InputError} naming the field, nested ones as `pieces[2].outline`
 */
export function cutPlan(options: CutPlanOptions, now: () => number): CutPlan {
  // On a machine that is slower than the work is reckoned for, the clock ends the search.
  const end = now() + 1000 * latest(options.seconds);
  let best: CutPlan | undefined;
  for (const { done: _done, ...plan } of cutPlans(options)) {
    best = plan;
    if (now() >= end) break;
  }
  return best!;
}

function requireOptions({ width, length, gap, seconds, pieces, locked = [], cloth }: CutPlanOptions): void {
  requireNumber('width', width, 'mm', { above: 0, max: 20_000 });
  if (length !== undefined) requireNumber('length', length, 'mm', { above: 0, max: ENDLESS });
  requireNumber('gap', gap, 'mm', { min: 0, max: 1000 });
  requireNumber('seconds', seconds, 's', { min: 0, max: MOST_SECONDS });
  if (cloth) requireOutline(cloth, 'cloth');
  const seen = new Set<string>();
  let copies = 0;
  pieces.forEach((piece, i) => {
    if (seen.has(piece.id))
      throw new InputError(`pieces[${i}].id`, `must be different for every piece, saw ${JSON.stringify(piece.id)} twice`);
    seen.add(piece.id);
    requireOutline(piece.outline, `pieces[${i}].outline`);
    requireNumber(`pieces[${i}].count`, piece.count, 'copies', { min: 1, max: MOST_COPIES });
    if (piece.rotations.length === 0) throw new InputError(`pieces[${i}].rotations`, 'must hold at least one angle');
    piece.rotations.forEach((r, k) => requireNumber(`pieces[${i}].rotations[${k}]`, r, 'degrees', { min: -360, max: 360 }));
    copies += piece.count;
  });
  if (copies > MOST_COPIES) throw new InputError('pieces', `must be at most ${MOST_COPIES} copies in all, saw ${copies}`);
  if ((locked.length > 0 || cloth) && isHeavy(pieces))
    throw new InputError(
      'pieces',
      `must be at most ${MOST_NESTED} copies on a leftover or around pieces that stay, saw ${copies}`,
    );
  locked.forEach(({ id }, i) => {
    if (!seen.has(id)) throw new InputError(`locked[${i}].id`, `must be one of the pieces, saw ${JSON.stringify(id)}`);
  });
}

function isHeavy(pieces: readonly CutPiece[]): boolean {
  const copies = pieces.reduce((sum, { count }) => sum + count, 0);
  const positions = pieces.reduce((sum, { rotations, flip }) => sum + rotations.length * (flip ? 2 : 1), 0);
  return copies > MOST_NESTED || positions > MOST_POSITIONS;
}

function withMeasures(
  { placements, unplaced }: Pick<CutPlan, 'placements' | 'unplaced'>,
  pieces: readonly CutPiece[],
  width: number,
): CutPlan {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const outlines = placements.map(({ id, flipped, rotation, x, y }) =>
    transformed(byId.get(id)!.outline, flipped, rotation, x, y),
  );
  const length = Math.max(0, ...outlines.map((outline) => bounds(outline).maxY));
  return {
    placements,
    unplaced,
    length,
    density: densityOf(placements, pieces, width, length),
    leftover: largestLeftover(outlines, width, length),
  };
}

function densityOf(placements: readonly Placement[], pieces: readonly CutPiece[], width: number, length: number): number {
  const areas = new Map(pieces.map(({ id, outline }) => [id, polygonArea(outline)]));
  const area = placements.reduce((sum, { id }) => sum + areas.get(id)!, 0);
  return length > 0 ? area / (width * length) : 0;
}
