import { transformed, type Outline } from '../shape';
import { layBottomLeft } from './bottom-left';
import type { Laying } from './laying';
import { largestLeftover, type Leftover } from './leftover';
import type { Positions } from './positions';

/**
 * The same pieces let down and to the left, lowest first, if that leaves a larger piece of cloth.
 *
 * @example compact(laying, laying.positions) === laying.positions // true
 */
export function compact(laying: Laying, best: Positions): Positions {
  const { orientations, table, width } = laying;
  const moved = best.clone();
  const laid = laying.order.filter((i) => moved.orientation[i]! >= 0);
  const top = (i: number) => moved.y[i]! + orientations[moved.orientation[i]!]!.box.maxY;
  laid.sort((a, b) => top(a) - top(b) || moved.x[a]! - moved.x[b]! || a - b);
  for (const i of laid) {
    if (laying.isLate()) return best;
    const before = { orientation: moved.orientation[i]!, x: moved.x[i]!, y: moved.y[i]! };
    const below = top(i);
    moved.lift(i);
    const choices = laying.choices.map((own, k) => (k === i ? Int32Array.of(before.orientation) : own));
    const still = layBottomLeft(moved, [i], { orientations, choices, table }, { width, length: below });
    if (still.length > 0) moved.lay(i, before);
  }
  const area = (positions: Positions) => {
    const { width: w, height: h } = leftoverOf(laying, positions);
    return w * h;
  };
  const longer = laying.top(moved) > laying.top(best) + 1e-6;
  return !longer && area(moved) > area(best) && laying.isClear(moved) ? moved : best;
}

/**
 * Largest rectangle within the length that is used on which nothing lies.
 *
 * @example leftoverOf(laying, laying.positions).width // 0
 */
export function leftoverOf(laying: Laying, positions: Positions): Leftover {
  const outlines: Outline[] = [];
  positions.each((orientation, x, y) => {
    outlines.push(transformed(laying.orientations[orientation]!.outline, false, 0, x, y));
  });
  return largestLeftover(outlines, laying.width, laying.top(positions));
}
