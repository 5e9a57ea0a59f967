import { transformed, type Outline } from '../shape';
import { layBottomLeft } from './bottom-left';
import type { Laying } from './laying';
import { largestLeftover, type Leftover } from './leftover';
import type { Spots } from './spots';

/** The same pieces let down and to the left, lowest first, if that leaves a larger piece of cloth. */
export function tidy(laying: Laying, best: Spots): Spots {
  const { forms, table, width } = laying;
  const moved = best.clone();
  const laid = laying.order.filter((i) => moved.form[i]! >= 0);
  const top = (i: number) => moved.y[i]! + forms[moved.form[i]!]!.box.maxY;
  laid.sort((a, b) => top(a) - top(b) || moved.x[a]! - moved.x[b]! || a - b);
  for (const i of laid) {
    if (laying.isLate()) return best;
    const before = { form: moved.form[i]!, x: moved.x[i]!, y: moved.y[i]! };
    const below = top(i);
    moved.lift(i);
    const choices = laying.choices.map((own, k) => (k === i ? Int32Array.of(before.form) : own));
    const still = layBottomLeft(moved, [i], { forms, choices, table }, { width, length: below });
    if (still.length > 0) moved.lay(i, before);
  }
  const area = (spots: Spots) => {
    const { width: w, height: h } = leftoverOf(laying, spots);
    return w * h;
  };
  const longer = laying.top(moved) > laying.top(best) + 1e-6;
  return !longer && area(moved) > area(best) && laying.isClear(moved) ? moved : best;
}

/** Largest rectangle within the length that is used on which nothing lies. */
export function leftoverOf(laying: Laying, spots: Spots): Leftover {
  const outlines: Outline[] = [];
  spots.each((form, x, y) => {
    outlines.push(transformed(laying.forms[form]!.outline, false, 0, x, y));
  });
  return largestLeftover(outlines, laying.width, laying.top(spots));
}
