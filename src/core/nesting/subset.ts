import { seeded } from '../random';
import { layBottomLeft } from './bottom-left';
import type { Laying } from './laying';
import type { Positions } from './positions';

/** How far chance may bring a smaller piece forward: up to this many times its area. */
const CHANCE = 6;

/**
 * Fills a room that does not take everything: layouts on which more area lies than on the one before; undefined in
 * between. Pieces are laid in ever other orders, the larger ones mostly first.
 *
 * @param spots what was laid so far, used as working room @param length of the room, mm @param work at which to stop
 * @example [...packSubset(laying, laying.positions, 400, 1, 100)].length >= 0 // true
 */
export function* packSubset(
  laying: Laying,
  positions: Positions,
  length: number,
  seed: number,
  work: number,
): Generator<Positions | undefined, void> {
  const { order, table, width } = laying;
  const random = seeded(seed);
  const laidArea = () => order.reduce((sum, i) => sum + (positions.orientation[i]! >= 0 ? laying.areas[i]! : 0), 0);
  let most = laidArea();
  while (table.work < work && !laying.isLate()) {
    for (const i of order) positions.lift(i);
    const keyed = order.map((i) => ({ i, key: laying.areas[i]! * CHANCE ** random() }));
    const next = keyed.sort((a, b) => b.key - a.key).map(({ i }) => i);
    const left = layBottomLeft(positions, next, laying, { width, length });
    const area = laidArea();
    // Counted besides what the table counts, so that a room in which nothing fits comes to an end too.
    table.work += order.length * WORK_OF_A_PIECE;
    if (area > most && laying.isClear(positions)) {
      most = area;
      yield positions;
      if (left.length === 0) return;
    } else yield undefined;
  }
}

/** Work of looking for a place for one piece, on top of the edges that are looked at. */
const WORK_OF_A_PIECE = 2000;
