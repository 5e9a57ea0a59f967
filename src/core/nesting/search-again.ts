import { seeded } from '../random';
import { layBottomLeft } from './bottom-left';
import type { Laying } from './laying';
import { AT_BOUND, search } from './search';
import type { Positions } from './positions';

/** How far chance may bring a smaller piece forward in a new start: up to this many times its area. */
const CHANCE = 3;
/** So many starts in a row that lay not everything, and it is given up. */
const MOST_FAILED = 20;
/** Seeds of the starts lie so far apart that none share their numbers. */
const NEXT_SEED = 7919;

/**
 * Searches for shorter layouts, from another start whenever nothing more is gained: how short a layout becomes hangs much on
 * where it began. The first start is the layout that there is, the others are laid in orders that chance has shuffled.
 *
 * @param best where everything lies, without overlap @param work of the table at which to stop @param length of the cloth, mm
 * @param isSound has the last word on what is yielded
 * @returns layouts shorter than the one before; undefined in between, so that the caller can look at the clock
 * @example [...searchAgain(laying, laying.positions, 1, 100, 400)].length >= 0 // true
 */
export function* searchAgain(
  laying: Laying,
  best: Positions,
  seed: number,
  work: number,
  length: number,
  isSound: (positions: Positions) => boolean = () => true,
): Generator<Positions | undefined, void> {
  const { table, bound, order, width } = laying;
  const random = seeded(seed + NEXT_SEED);
  let shortest = laying.top(best);
  let start: Positions | undefined = best.clone();
  let failed = 0;
  for (let turn = 0; table.work < work && shortest > bound * AT_BOUND && failed < MOST_FAILED && !laying.isLate(); turn++) {
    if (start)
      for (const better of search(laying, start, seed + turn * NEXT_SEED, work, true)) {
        if (better && laying.top(better) < shortest && isSound(better)) {
          shortest = laying.top(better);
          yield better;
        } else yield undefined;
      }
    start = anotherStart();
    failed = start ? 0 : failed + 1;
  }

  function anotherStart(): Positions | undefined {
    const positions = best.clone();
    for (const i of order) positions.lift(i);
    const keyed = order.map((i) => ({ i, key: laying.areas[i]! * CHANCE ** random() }));
    const next = keyed.sort((a, b) => b.key - a.key).map(({ i }) => i);
    const left = layBottomLeft(positions, next, laying, { width, length });
    return left.length === 0 && laying.isClear(positions) ? positions : undefined;
  }
}
