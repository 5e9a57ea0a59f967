import { layBottomLeft, type Room } from './bottom-left';
import type { Laying } from './laying';
import type { Positions } from './positions';

/**
 * Layouts that begin otherwise: from the right, as a piece that leans may leave room beside it on one side only; and with every piece in the
 * same one of its turns, as far as it has as many: what a hand lays first. Laying each piece as
 * low as it goes cannot find two wide pieces set upright beside each other, as the first of them would end higher.
 *
 * @param start what lies already, and stays
 * @example [...otherStarts(laying, laying.positions, { width: 500, length: 500, isLate: () => true })].length // 1
 */
export function* otherStarts(laying: Laying, start: Positions, room: Room): Generator<Positions, void> {
  const { choices, order, orientations, table } = laying;
  const mirrored = start.clone();
  layBottomLeft(mirrored, order, laying, { ...room, fromRight: true });
  yield mirrored;
  const most = Math.max(0, ...order.map((i) => choices[i]!.length));
  for (let turn = 0; most > 1 && turn < most; turn++) {
    if (room.isLate?.()) return;
    const positions = start.clone();
    const same = choices.map((all) => all.subarray(turn % all.length, (turn % all.length) + 1));
    layBottomLeft(positions, order, { orientations, choices: same, table }, room);
    yield positions;
  }
}
