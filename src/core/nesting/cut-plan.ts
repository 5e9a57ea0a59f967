import { InputError, requireNumber } from '../input-error';
import { bounds, polygonArea, requireOutline, transformed, type Outline } from '../shape';
import { layoutFaults, type LayoutFault } from './layout-faults';
import { largestLeftover, type Leftover } from './leftover';
import { latest, nest, workFor } from './nest';
import type { NestPiece, Placement, Unplaced } from './piece';
import { layRows } from './rows';

export interface CutPlanOptions {
  /** Usable width of the cloth, mm. */
  width: number;
  /** Longest length that may be used, mm. */
  length?: number;
  /** Room between pieces, mm; none is kept to the edge of the cloth. */
  gap: number;
  pieces: readonly NestPiece[];
  /** Time allowed, s; with 0 the first layout is answered. */
  seconds: number;
  /** The same seed gives the same layout, as long as the time allowed is not cut short by a slow machine. */
  seed?: number;
  /** Copies that stay where they are. */
  locked?: readonly Placement[];
  /** Outline of a leftover that is laid on, from its lower left corner, mm. */
  cloth?: Outline;
  /** Holes and stains in it, on which nothing is laid, mm from the same corner. */
  spots?: readonly Outline[];
  /** Hears of a layout that was found and dropped because it is not sound, so that it can be logged. */
  onFault?: (faults: readonly LayoutFault[]) => void;
  /** Asked between pieces: once it says yes, no more is laid and what is laid is kept. */
  isLate?: () => boolean;
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
const MOST_COPIES = 2000;
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
 * No layout leaves that {@link layoutFaults} finds a fault with: it is told to `onFault` and dropped, and the search goes on
 * from the last sound one.
 *
 * @throws {InputError} naming the field, nested ones as `pieces[2].outline`
 * @example [...cutPlans({ width: 500, gap: 5, pieces, seconds: 1, seed: 1 })].at(-1).length // 100
 */
export function* cutPlans(options: CutPlanOptions): Generator<CutPlan & { done: number }, void> {
  requireOptions(options);
  const { width, gap, pieces, seconds, seed = 1, locked = [], cloth, spots = [], onFault, isLate } = options;
  const length = options.length ?? ENDLESS;
  const plain = locked.length === 0 && spots.length === 0 && !cloth;
  const outlines = new Map(pieces.map(({ id, outline }) => [id, outline]));
  const held = new Set(locked.map(keyOf));
  const isSound = (placements: readonly Placement[]): boolean => {
    const stays = (index: number | undefined) => index === undefined || held.has(keyOf(placements[index]!));
    // Where locked copies lie is the person's own business; what is laid around them is ours.
    const faults = layoutFaults({ placements, outlines, gap, width, length, cloth, spots }).filter(
      ({ index, other }) => !(stays(index) && stays(other)),
    );
    if (faults.length > 0) onFault?.(faults);
    return faults.length === 0;
  };
  let best: CutPlan | undefined;
  if (plain) {
    best = withMeasures(soundRows(pieces, width, gap, length, isSound), pieces, width);
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
    spots,
    ...(cloth ? { cloth } : {}),
    seed,
    work: workFor(seconds),
    isSound,
    ...(isLate ? { isLate } : {}),
  })) {
    const plan = { ...nested, density: densityOf(nested.placements, pieces, width, nested.length) };
    if (!best || isBetter(plan, best, width)) best = plan;
    yield { ...best, done };
  }
}

/** Rows of upright rectangles; nothing is told to lie anywhere in the event that they are not sound. */
function soundRows(
  pieces: readonly NestPiece[],
  width: number,
  gap: number,
  length: number,
  isSound: (placements: readonly Placement[]) => boolean,
): ReturnType<typeof layRows> {
  const rows = layRows(pieces, width, gap, length);
  return isSound(rows.placements) ? rows : { placements: [], unplaced: [...rows.unplaced, ...rows.placements] };
}

function keyOf({ id, copy }: Unplaced): string {
  return `${id} ${copy}`;
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
 * @param now clock in ms, so that a slow machine keeps to the time as well @param since when the time began, ms by that clock: a
 * request that had to wait for its turn has less of it left
 * @throws {InputError} naming the field, nested ones as `pieces[2].outline`
 * @example cutPlan({ width: 500, gap: 5, pieces, seconds: 1, seed: 1 }, () => 0).unplaced // []
 */
export function cutPlan(options: CutPlanOptions, now: () => number, since = now()): CutPlan {
  // On a machine that is slower than the work is reckoned for, the clock ends the search.
  const end = since + 1000 * latest(options.seconds);
  const isLate = () => now() >= end;
  let best: CutPlan | undefined;
  // Without any time the first layout is due all the same, however long it takes.
  for (const { done: _done, ...plan } of cutPlans({ ...options, ...(options.seconds > 0 ? { isLate } : {}) })) {
    best = plan;
    if (options.seconds > 0 && isLate()) break;
  }
  return best!;
}

function requireOptions({ width, length, gap, seconds, pieces, locked = [], cloth, spots = [] }: CutPlanOptions): void {
  requireNumber('width', width, 'mm', { above: 0, max: 20_000 });
  if (length !== undefined) requireNumber('length', length, 'mm', { above: 0, max: ENDLESS });
  requireNumber('gap', gap, 'mm', { min: 0, max: 1000 });
  requireNumber('seconds', seconds, 's', { min: 0, max: MOST_SECONDS });
  if (cloth) requireOutline(cloth, 'cloth');
  spots.forEach((spot, i) => requireOutline(spot, `spots[${i}]`));
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
  if ((locked.length > 0 || spots.length > 0 || cloth) && isHeavy(pieces))
    throw new InputError(
      'pieces',
      `must be at most ${MOST_NESTED} copies on a leftover or around pieces that stay, saw ${copies}`,
    );
  locked.forEach(({ id }, i) => {
    if (!seen.has(id)) throw new InputError(`locked[${i}].id`, `must be one of the pieces, saw ${JSON.stringify(id)}`);
  });
}

function isHeavy(pieces: readonly NestPiece[]): boolean {
  const copies = pieces.reduce((sum, { count }) => sum + count, 0);
  const positions = pieces.reduce((sum, { rotations, flip }) => sum + rotations.length * (flip ? 2 : 1), 0);
  return copies > MOST_NESTED || positions > MOST_POSITIONS;
}

function withMeasures(
  { placements, unplaced }: Pick<CutPlan, 'placements' | 'unplaced'>,
  pieces: readonly NestPiece[],
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

function densityOf(placements: readonly Placement[], pieces: readonly NestPiece[], width: number, length: number): number {
  const areas = new Map(pieces.map(({ id, outline }) => [id, polygonArea(outline)]));
  const area = placements.reduce((sum, { id }) => sum + areas.get(id)!, 0);
  return length > 0 ? area / (width * length) : 0;
}
