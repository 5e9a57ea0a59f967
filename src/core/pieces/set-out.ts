import type { Point } from '../shape';

/** Boxes as they lie beside and below each other. mm, y up, the first row at the top. */
export interface SetOut {
  /** Upper left corner of each box. */
  at: Point[];
  width: number;
  height: number;
}

/** So many widths are tried. */
const TRIES = 32;

/**
 * Sets boxes out in rows, in their order, so that all of them are seen as large as possible on a board of given sides.
 *
 * @param boxes sizes, mm @param ratio width of the board against its height @param gap between boxes, mm
 * @example setOut([{ width: 20, height: 10 }, { width: 20, height: 10 }], 4, 5).at // [[0, 0], [25, 0]]
 */
export function setOut(boxes: readonly { width: number; height: number }[], ratio: number, gap: number): SetOut {
  const least = Math.max(0, ...boxes.map(({ width }) => width));
  const most = boxes.reduce((sum, { width }) => sum + width + gap, -gap);
  let best: SetOut = { at: [], width: 0, height: 0 };
  let smallest = Infinity;
  for (let i = 0; i <= TRIES; i++) {
    const tried = inRows(boxes, least + ((Math.max(least, most) - least) * i) / TRIES, gap);
    const size = Math.max(tried.width / ratio, tried.height);
    if (size < smallest) [best, smallest] = [tried, size];
  }
  return best;
}

/** Less than this is rounding, mm. */
const ROUNDING = 1e-6;

function inRows(boxes: readonly { width: number; height: number }[], across: number, gap: number): SetOut {
  const at: Point[] = [];
  let [x, y, row, width] = [0, 0, 0, 0];
  for (const box of boxes) {
    if (x > 0 && x + box.width > across + ROUNDING) [x, y, row] = [0, y - row - gap, 0];
    at.push([x, y]);
    x += box.width + gap;
    row = Math.max(row, box.height);
    width = Math.max(width, x - gap);
  }
  return { at, width, height: row - y };
}
