import { seeded } from '../random';
import type { Laying } from './laying';
import { TOUCHING } from './pairs';
import { Separation } from './separation';
import type { Positions } from './positions';

/** First and largest share of the length that is taken away at once; the least. */
const BOLD = 0.03;
const TIMID = 0.001;
/** When not even this much can be taken away, the search has stalled. */
const STALLED = 0.0025;
/** After this many starts without success a smaller step is tried. */
const STARTS = 12;
/** A start is given up when the overlaps have not fallen by this share in so many rounds. */
const PROGRESS = 0.98;
const IDLE_ROUNDS = 40;
/** Success within this many rounds asks for a bolder step. */
const EASY_ROUNDS = 40;
/** Nothing is gained by coming closer to the bound than this share. */
export const AT_BOUND = 1.0005;
/** How often another piece is drawn when it was the same as the first: all may be. */
const PICKS = 20;
/** Rounds after which the caller may look at the clock. */
const REPORT_ROUNDS = 4;
/**
 * A try whose overlaps are less deep than this share of the length that was taken away gets some of it back: so much, and
 * so many rounds to settle in.
 */
const NEAR_MISS = 0.8;
const GIVEN_BACK = [0.25, 0.5, 0.8];
const ROUNDS_GIVEN = 10;
/** When the depths of all overlaps sum to less than this share of the width, they are settled together. */
const NEARLY = 0.002;

/**
 * Shorter and shorter layouts, the first no longer than `spots`; undefined in between, so that the caller can look at the
 * clock.
 *
 * The length is cut down a little, what no longer fits is pushed together, and {@link Separation} moves pieces until none
 * overlap. What only just does not succeed gets some of the length back. Otherwise two pieces change places and it starts
 * again; after several starts a smaller step is tried.
 *
 * @param spots where everything lies, without overlap; used as working room @param work of the table at which to stop
 * @param untilStalled stop as well when nothing more is gained
 * @example [...search(laying, laying.positions, 1, 100)].length >= 0 // true
 */
// The moves of one search share its state; taken apart, each would be handed all of it.
// eslint-disable-next-line max-lines-per-function
export function* search(
  laying: Laying,
  positions: Positions,
  seed: number,
  work: number,
  untilStalled = false,
): Generator<Positions | undefined, void> {
  const { table, width, bound, order, movable } = laying;
  const random = seeded(seed);
  const best = positions.clone();
  let bestLength = laying.top(best);
  const separation = new Separation(laying, positions, bestLength, random);
  const held = positions.clone();
  const lowest = positions.clone();
  let tries: { positions: Positions; total: number }[] = [];
  let step = BOLD;
  let fresh = true;
  let target = bestLength;
  while (table.work < work && bestLength > bound * AT_BOUND && !laying.isLate()) {
    if (fresh) {
      positions.copyFrom(best);
      target = Math.max(bound, bestLength * (1 - step));
      separation.length = target;
      // What lies beyond a random line moves down by what is taken away.
      const line = random() * bestLength;
      for (let i = 0; i < movable; i++) if (positions.y[i]! > line) positions.y[i]! -= bestLength - target;
      tries = [];
    }
    separation.start();
    let least = separation.total;
    let idle = 0;
    let rounds = 0;
    lowest.copyFrom(positions);
    while (separation.total > TOUCHING && idle <= IDLE_ROUNDS && table.work < work && !laying.isLate()) {
      round();
      rounds++;
      if (separation.total < PROGRESS * least) {
        least = separation.total;
        lowest.copyFrom(positions);
        idle = 0;
      } else idle++;
      if (rounds % REPORT_ROUNDS === 0) yield undefined;
    }
    const room = bestLength - target;
    const missed = separation.total > TOUCHING;
    if (missed && least < NEAR_MISS * room) giveBack(room);
    if (separation.total <= TOUCHING && laying.isClear(positions)) {
      best.copyFrom(positions);
      bestLength = laying.top(best);
      fresh = true;
      if (!missed && rounds < EASY_ROUNDS) step = Math.min(BOLD, step * 1.6);
      yield best;
      continue;
    }
    separation.length = target;
    tries.push({ positions: lowest.clone(), total: least });
    fresh = tries.length >= STARTS;
    if (fresh) {
      if (untilStalled && step <= STALLED) return;
      step = Math.max(TIMID, step / 2);
      continue;
    }
    // Go on from one of the better tries, with two pieces changed.
    tries.sort((a, b) => a.total - b.total);
    positions.copyFrom(tries[Math.floor(random() * random() * tries.length)]!.positions);
    swapTwo(positions, order, laying, random);
  }

  /** Moves one piece after the other; overlaps that are nearly gone are pushed apart together. */
  function round(): void {
    separation.round();
    if (separation.total <= TOUCHING || separation.total >= NEARLY * width) return;
    held.copyFrom(positions);
    separation.settle();
    if (separation.total <= TOUCHING) return;
    positions.copyFrom(held);
    separation.measure();
  }

  /** Spreads the try with the least overlaps over more and more of the length that was taken away, until it fits. */
  function giveBack(room: number): void {
    for (const share of GIVEN_BACK) {
      if (laying.isLate()) return;
      positions.copyFrom(lowest);
      separation.length = target + share * room;
      for (let i = 0; i < movable; i++) positions.y[i]! *= separation.length / target;
      separation.start();
      separation.settle();
      for (let k = 0; k < ROUNDS_GIVEN && separation.total > TOUCHING && table.work < work && !laying.isLate(); k++) round();
      if (separation.total <= TOUCHING) return;
    }
  }
}

/** Two different ones of the larger half of the pieces change places, lower left corner for lower left corner. */
function swapTwo(positions: Positions, order: readonly number[], { orientations }: Laying, random: () => number): void {
  const larger = Math.max(2, Math.ceil(order.length / 2));
  const pick = () => order[Math.floor(random() * Math.min(larger, order.length))]!;
  const pieceOf = (i: number) => orientations[positions.orientation[i]!]!.piece;
  const a = pick();
  let b = pick();
  for (let k = 0; k < PICKS && pieceOf(a) === pieceOf(b); k++) b = pick();
  const corner = (i: number) => {
    const { box } = orientations[positions.orientation[i]!]!;
    return [positions.x[i]! + box.minX, positions.y[i]! + box.minY] as const;
  };
  const [ax, ay] = corner(a);
  const [bx, by] = corner(b);
  positions.x[a]! += bx - ax;
  positions.y[a]! += by - ay;
  positions.x[b]! += ax - bx;
  positions.y[b]! += ay - by;
}
