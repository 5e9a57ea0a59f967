import { layBottomLeft } from './bottom-left';
import { packSubset } from './subset';
import { singleLaying, type LayingOptions } from './laying';
import type { Leftover } from './leftover';
import type { Placement, Unplaced } from './piece';
import { search } from './search';
import { searchAgain } from './search-again';
import { searchEdges } from './search-edges';
import type { Positions } from './positions';
import { leftoverOf, compact } from './compaction';
import { otherStarts } from './other-starts';

export interface NestOptions extends LayingOptions {
  /** The same seed gives the same layout. */
  seed: number;
  /** Work after which to stop, in edges looked at; see {@link workFor}. With 0 the first layout is answered. */
  work: number;
  /** Asked of every layout before it is reported or gone on from: one that is not sound is left. */
  isSound?: (placements: readonly Placement[]) => boolean;
  /** Asked between pieces of the first layout and of the last touches: once it says yes, the rest is left lying. */
  isLate?: () => boolean;
}

/**
 * Work that is done per second of the time allowed, so little that a plain computer with other things to do still ends by
 * it and not by the clock: then the same seed gives the same layout again.
 */
const WORK_PER_SECOND = 9e6;
/** Time that starting takes, until everything runs at full speed: so many s, and no more than this share of all. */
const STARTING = 0.8;
const STARTING_SHARE = 0.6;

/**
 * Work for a search that may take so many s.
 *
 * @example workFor(2) > workFor(1) // true
 */
export function workFor(seconds: number): number {
  return WORK_PER_SECOND * (seconds - Math.min(STARTING, STARTING_SHARE * seconds));
}

/** How far the clock may run over before a search is cut short: a share of the time, and no more than so many s. */
const LATE_SHARE = 0.4;
const LATE = 1;

/**
 * When a search that may take so many s is cut short although its work is not done, s.
 *
 * @example latest(1) > 1 // true
 */
export function latest(seconds: number): number {
  return seconds + Math.min(LATE, LATE_SHARE * seconds);
}

/** Work that the first layout may take whatever the time allowed: about half a second. */
const FIRST_WORK = 5e6;

/** A layout on the way to a better one. */
export interface Nested {
  placements: Placement[];
  unplaced: Unplaced[];
  /** Largest y that is used, mm. */
  length: number;
  /** Largest rectangle within that length that nothing lies on. */
  leftover: Leftover;
  /** Share of the allowed work that is done, 0–1. */
  done: number;
}

/** With this many copies, moving each against each takes longer than anyone waits: they stay as first laid. */
const MOST_SEARCHED = 400;
/** Share of the work for looking edge to edge. */
const EDGES_SHARE = 0.2;
/** Share of the work for getting a layout that is too long into the length. */
const SQUEEZE_SHARE = 0.5;

/**
 * Lays pieces on cloth so that little length is used, each report at least as good as the one before.
 *
 * First every piece is laid as low as it goes, also from the right and all in one turn. What does not fit into the length is tried to be squeezed in, or in other
 * orders; what does is searched for a shorter layout: first edge to edge, as pieces lie that were cut from one another,
 * then by moving pieces until none overlap in less and less length. At the end pieces are let down and to the left, so
 * that what is left over lies in one place.
 *
 * The caller decides when it is good enough by asking for no more. Input is taken as checked.
 *
 * @example [...nest({ width: 500, length: 1000, gap: 5, pieces, seconds: 1, seed: 1 })].length > 0 // true
 */
export function* nest(options: NestOptions): Generator<Nested, void> {
  const { seed, work, length, isSound = () => true, isLate = () => false } = options;
  const { laying, placements } = singleLaying(options);
  const { positions, order, width, table } = laying;
  laying.isLate = isLate;
  let best = positions.clone();
  layBottomLeft(best, order, laying, { width, length, work: Math.max(FIRST_WORK, work), isLate });
  // What is kept is told once more whether it is sound; a first layout that is not has only what stays, and what is laid next.
  laying.mend(best, length);
  if (!isSound(placements(best).placements)) best = positions.clone();
  const remaining = (of: Positions) => order.filter((i) => of.orientation[i]! < 0);
  let left = remaining(best);
  let found = report();
  yield found;
  if (isLate()) return;
  if (order.length <= MOST_SEARCHED)
    for (const other of otherStarts(laying, positions, { width, length, work: table.work + FIRST_WORK, isLate })) {
      const fewer = left.length - remaining(other).length;
      if (!(fewer > 0 || (fewer === 0 && laying.top(other) < laying.top(best))) || !take(other)) continue;
      left = remaining(best);
      yield found;
    }
  if (isLate()) return;

  const searched = order.length > 0 && order.length <= MOST_SEARCHED;
  if (left.length > 0 && searched) {
    if (!options.cloth) {
      const long = positions.clone();
      layBottomLeft(long, order, laying, { width, length: Infinity, work, isLate });
      const whole = order.every((i) => long.orientation[i]! >= 0);
      for (const shorter of whole ? search(laying, long, seed, SQUEEZE_SHARE * work) : []) {
        if (shorter && laying.top(shorter) <= length) {
          if (!take(shorter)) continue;
          left = [];
          break;
        }
        yield progress();
      }
    }
    if (left.length > 0) {
      for (const fuller of packSubset(laying, best.clone(), length, seed, work)) {
        if (fuller) take(fuller);
        yield progress();
      }
      left = remaining(best);
    }
  }
  if (left.length === 0 && searched) {
    const plain = !options.cloth && positions.count === laying.movable;
    if (plain) {
      for (const better of searchEdges(laying, seed, table.work + EDGES_SHARE * work)) {
        if (better && laying.top(better) < laying.top(best)) take(better);
        yield progress();
      }
    }
    for (const better of searchAgain(laying, best, seed, work, options.cloth ? length : Infinity, sound)) {
      if (better) take(better);
      yield progress();
    }
  }
  if (!isLate()) take(compact(laying, best));
  found = report();
  yield { ...report(), done: 1 };

  function report(): Nested {
    return { ...placements(best), length: laying.top(best), leftover: leftoverOf(laying, best), done: 0 };
  }
  function sound(positions: Positions): boolean {
    return isSound(placements(positions).placements);
  }
  function take(better: Positions): boolean {
    if (!sound(better)) return false;
    best.copyFrom(better);
    found = report();
    return true;
  }
  function progress(): Nested {
    return { ...found, done: Math.min(1, table.work / work) };
  }
}
