import { bounds, type Outline } from '../shape';

/** A rectangle of cloth along the edges of the table, mm. */
export interface Leftover {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The strip is looked at in bands and columns of at least this size, mm, and at most this many. */
const FINEST = 2;
const MOST_CELLS = 300;

/**
 * Largest upright rectangle of the strip that no outline touches, to the nearest band and column (never too large).
 *
 * Each band is marked where an outline crosses it anywhere, then the largest rectangle of unmarked cells is found by
 * the stack method for histograms, one row after the other.
 *
 * @param outlines what lies on the strip, mm @param width of the strip, mm @param length of the strip, mm
 * @example largestLeftover([square(100)], 500, 100).width // 400
 */
export function largestLeftover(outlines: readonly Outline[], width: number, length: number): Leftover {
  if (!(width > 0) || !(length > 0)) return { x: 0, y: 0, width: 0, height: 0 };
  const cell = Math.max(FINEST, width / MOST_CELLS, length / MOST_CELLS);
  const columns = Math.max(1, Math.floor(width / cell));
  const rows = Math.max(1, Math.floor(length / cell));
  const taken = new Uint8Array(columns * rows);
  for (const outline of outlines) mark(outline, cell, columns, rows, taken);

  const best = { x: 0, y: 0, width: 0, height: 0 };
  const heights = new Int32Array(columns + 1);
  const stack: number[] = [];
  for (let row = 0; row < rows; row++) {
    for (let c = 0; c < columns; c++) heights[c] = taken[row * columns + c] ? 0 : heights[c]! + 1;
    stack.length = 0;
    for (let c = 0; c <= columns; c++) {
      while (stack.length > 0 && heights[stack[stack.length - 1]!]! >= heights[c]!) {
        const height = heights[stack.pop()!]!;
        const from = stack.length > 0 ? stack[stack.length - 1]! + 1 : 0;
        if ((c - from) * height * cell * cell > best.width * best.height) {
          best.x = from * cell;
          best.y = (row + 1 - height) * cell;
          best.width = (c - from) * cell;
          best.height = height * cell;
        }
      }
      stack.push(c);
    }
  }
  return best;
}

/** Marks every cell that the outline touches. */
function mark(outline: Outline, cell: number, columns: number, rows: number, taken: Uint8Array): void {
  const box = bounds(outline);
  const first = Math.max(0, Math.floor(box.minY / cell));
  const last = Math.min(rows - 1, Math.floor(box.maxY / cell));
  const n = outline.length;
  const fill = (row: number, from: number, to: number) => {
    const a = Math.max(0, Math.floor(from / cell + 1e-9));
    const b = Math.min(columns - 1, Math.ceil(to / cell - 1e-9) - 1);
    if (a <= b) taken.fill(1, row * columns + a, row * columns + b + 1);
  };
  for (let row = first; row <= last; row++) {
    const low = row * cell;
    const high = low + cell;
    const crossings: number[] = [];
    for (let i = 0; i < n; i++) {
      const a = outline[i]!;
      const b = outline[(i + 1) % n]!;
      if (Math.max(a[1], b[1]) > low && Math.min(a[1], b[1]) < high && a[1] !== b[1]) {
        // The part of the edge within the band.
        const at = (y: number) =>
          a[0] + ((Math.min(Math.max(y, Math.min(a[1], b[1])), Math.max(a[1], b[1])) - a[1]) / (b[1] - a[1])) * (b[0] - a[0]);
        const p = at(low);
        const q = at(high);
        fill(row, Math.min(p, q), Math.max(p, q));
      }
      // A level edge inside the band is crossed by no line of it, and bounds cloth all the same.
      if (a[1] === b[1] && a[1] > low && a[1] < high) fill(row, Math.min(a[0], b[0]), Math.max(a[0], b[0]));
      const middle = low + cell / 2;
      if (a[1] <= middle !== b[1] <= middle) crossings.push(a[0] + ((middle - a[1]) / (b[1] - a[1])) * (b[0] - a[0]));
    }
    crossings.sort((p, q) => p - q);
    for (let k = 0; k + 1 < crossings.length; k += 2) fill(row, crossings[k]!, crossings[k + 1]!);
  }
}
