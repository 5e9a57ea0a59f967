import { InputError, requireNumber } from '../input-error';
import type { MotifBounds } from './figures';
import { STITCH, type Motif } from './motif';

/** Stitches, or thread, per cm² over a motif: rows from below, each from the left. */
export interface DensityMap {
  /** Side of a cell, mm. */
  cell: number;
  columns: number;
  rows: number;
  /** Lower left corner, mm. */
  minX: number;
  minY: number;
  values: number[];
}

/** Widest and finest cells, mm. */
export const CELLS = { min: 1, max: 5, usual: 2 } as const;
/** Smoothing never falls below this, mm: rows of a fill have their holes up to 4 mm apart. */
const LEAST_SIGMA = 2;
/** A map of more cells than this says no more to anyone and takes megabytes to send. */
const MOST_CELLS = 60_000;
/** Counts are gathered this finely, mm, and in at most so many cells a side. */
const FINE = 1;
const MOST_FINE = 1000;

/**
 * Stitches per cm², smoothed with a bell curve (a Gaussian, σ at least 2 mm) whose volume is one: inside an even fill the
 * figure is that of the fill, at its edge half of it. The map reaches past the stitches as far as the bell curve does, so that
 * its values times the area of a cell add up to the stitches.
 *
 * @param asked side of a cell, mm, 1–5; 2, or what a very large motif allows, when it is not said @param weigh what a stitch counts: one, or the thread it sews in, mm
 * @throws {InputError} when the cell is out of range
 * @example densityMap(motif, box).columns > 0 // true
 */
export function densityMap(
  { x, y, command }: Motif,
  bounds: MotifBounds,
  asked?: number,
  weigh: 'stitches' | 'thread' = 'stitches',
): DensityMap {
  const width = bounds.maxX - bounds.minX;
  const height = bounds.maxY - bounds.minY;
  const least = Math.sqrt((width * height) / MOST_CELLS);
  const cell = asked ?? Math.max(CELLS.usual, Math.ceil(least));
  if (asked !== undefined) {
    requireNumber('cell', asked, 'mm', { min: CELLS.min, max: CELLS.max });
    if (asked < least)
      throw new InputError(
        'cell',
        `must be at least ${Math.ceil(least)} for a motif of ${Math.round(width)} × ${Math.round(height)} mm, saw ${asked}`,
      );
  }
  const sigma = Math.max(LEAST_SIGMA, cell * 0.6);
  const fine = Math.max(FINE, width / MOST_FINE, height / MOST_FINE);
  const pad = Math.ceil((3 * sigma) / fine);
  const across = Math.ceil(width / fine) + 1 + 2 * pad;
  const up = Math.ceil(height / fine) + 1 + 2 * pad;
  const grid = new Float64Array(across * up);
  for (let i = 0; i < command.length; i++) {
    if (command[i] !== STITCH) continue;
    let amount = 1;
    if (weigh === 'thread') amount = i === 0 ? Math.hypot(x[0]!, y[0]!) : Math.hypot(x[i]! - x[i - 1]!, y[i]! - y[i - 1]!);
    // Shared among the four cells around it, or the place of a hole within its cell would show.
    const [fx, fy] = [(x[i]! - bounds.minX) / fine + pad, (y[i]! - bounds.minY) / fine + pad];
    const [cx, cy] = [Math.floor(fx), Math.floor(fy)];
    const [rx, ry] = [fx - cx, fy - cy];
    const at = cy * across + cx;
    grid[at]! += amount * (1 - rx) * (1 - ry);
    grid[at + 1]! += amount * rx * (1 - ry);
    if (ry === 0) continue;
    grid[at + across]! += amount * (1 - rx) * ry;
    grid[at + across + 1]! += amount * rx * ry;
  }
  const smooth = smoothed(grid, across, up, sigma / fine);
  // As far out as the smoothing reaches: what lies at the rim belongs to the motif too.
  const rim = Math.ceil((3 * sigma) / cell);
  const columns = Math.max(1, Math.ceil(width / cell - 1e-9)) + 2 * rim;
  const rows = Math.max(1, Math.ceil(height / cell - 1e-9)) + 2 * rim;
  const perSquare = 100 / (fine * fine);
  const at = (cx: number, cy: number) => (cx < 0 || cy < 0 || cx >= across || cy >= up ? 0 : smooth[cy * across + cx]!);
  const values = Array.from({ length: columns * rows }, (_, k) => {
    const gx = (((k % columns) - rim + 0.5) * cell) / fine + pad;
    const gy = ((Math.floor(k / columns) - rim + 0.5) * cell) / fine + pad;
    const [cx, cy] = [Math.floor(gx), Math.floor(gy)];
    const [rx, ry] = [gx - cx, gy - cy];
    const low = at(cx, cy) * (1 - rx) + at(cx + 1, cy) * rx;
    const high = at(cx, cy + 1) * (1 - rx) + at(cx + 1, cy + 1) * rx;
    return (low * (1 - ry) + high * ry) * perSquare;
  });
  return { cell, columns, rows, minX: bounds.minX - rim * cell, minY: bounds.minY - rim * cell, values };
}

/**
 * Largest value of a map, and the middle of its cell, mm.
 *
 * @example peakOf(densityMap(motif, box)).value > 0 // true
 */
export function peakOf({ values, columns, cell, minX, minY }: DensityMap): { value: number; x: number; y: number } {
  let best = 0;
  for (let k = 1; k < values.length; k++) if (values[k]! > values[best]!) best = k;
  return {
    value: values[best] ?? 0,
    x: minX + ((best % columns) + 0.5) * cell,
    y: minY + (Math.floor(best / columns) + 0.5) * cell,
  };
}

/** A grid smoothed by a Gaussian along rows, then along columns. */
function smoothed(grid: Float64Array, across: number, up: number, sigma: number): Float64Array {
  const reach = Math.ceil(3 * sigma);
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, k) => Math.exp(-((k - reach) ** 2) / (2 * sigma * sigma)));
  const sum = kernel.reduce((a, b) => a + b, 0);
  const weights = Float64Array.from(kernel, (value) => value / sum);
  const rows = new Float64Array(grid.length);
  // Most of the cloth is empty: what is there is handed out, not gathered.
  for (let at = 0; at < grid.length; at++) {
    const value = grid[at]!;
    if (value === 0) continue;
    const column = at % across;
    const from = Math.max(-reach, -column);
    const to = Math.min(reach, across - 1 - column);
    for (let k = from; k <= to; k++) rows[at + k]! += value * weights[k + reach]!;
  }
  // Whole rows at a time: memory is read in order.
  const both = new Float64Array(grid.length);
  for (let row = 0; row < up; row++) {
    const from = Math.max(-reach, -row);
    const to = Math.min(reach, up - 1 - row);
    for (let k = from; k <= to; k++) {
      const weight = weights[k + reach]!;
      const source = row * across;
      const target = (row + k) * across;
      for (let c = 0; c < across; c++) both[target + c]! += rows[source + c]! * weight;
    }
  }
  return both;
}
