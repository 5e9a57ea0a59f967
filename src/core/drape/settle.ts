import { advance, STEPS_PER_SECOND } from './advance';
import type { DrapeSheet } from './sheet';

/** Steps between two looks at the speed: a twentieth of a second. */
const BURST = STEPS_PER_SECOND / 20;
/** Slower than this a sheet hangs still, mm/s. */
export const STILL = 4;

/**
 * Lets a sheet move until it hangs still.
 *
 * @param seconds longest time that is simulated
 * @returns whether it came to rest in that time
 * @example settle(layFlat({ bendingLength: 20, shearStiffness: 10, arealDensity: 140 }, 'round', 400, 8), 20) // true
 */
export function settle(sheet: DrapeSheet, seconds = 12): boolean {
  const bursts = Math.ceil((seconds * STEPS_PER_SECOND) / BURST);
  for (let i = 0; i < bursts; i++) if (advance(sheet, BURST) < STILL && i > 4) return true;
  return false;
}

/** What can be read off a draped sheet. */
export interface DrapeReading {
  /** Shadow of the sheet seen from above ÷ its flat area, 0–1: 1 is a board, little is fluid. */
  shadow: number;
  /** Depth of the lowest point below the support, mm. */
  depth: number;
  /** Largest error of a thread's length against its true one, as a share. */
  stretch: number;
}

/**
 * Reads shadow and depth off a sheet, and checks how well its threads have kept their length.
 *
 * @example readDrape(layFlat({ bendingLength: 20, shearStiffness: 10, arealDensity: 140 }, 'round', 400, 12)).depth // 0
 */
export function readDrape({ position: p, cells, size }: DrapeSheet): DrapeReading {
  const side = cells + 1;
  const edge: [number, number][] = [];
  const at = (row: number, column: number): [number, number] => {
    const i = 3 * (row * side + column);
    return [p[i]!, p[i + 1]!];
  };
  for (let k = 0; k < cells; k++) edge.push(at(0, k));
  for (let k = 0; k < cells; k++) edge.push(at(k, cells));
  for (let k = cells; k > 0; k--) edge.push(at(cells, k));
  for (let k = cells; k > 0; k--) edge.push(at(k, 0));
  let twice = 0;
  for (let i = 0; i < edge.length; i++) {
    const [x1, y1] = edge[i]!;
    const [x2, y2] = edge[(i + 1) % edge.length]!;
    twice += x1 * y2 - x2 * y1;
  }
  let depth = 0;
  for (let i = 2; i < p.length; i += 3) depth = Math.max(depth, -p[i]!);
  const spacing = size / cells;
  let stretch = 0;
  const compare = (a: number, b: number) => {
    const length = Math.hypot(p[3 * a]! - p[3 * b]!, p[3 * a + 1]! - p[3 * b + 1]!, p[3 * a + 2]! - p[3 * b + 2]!);
    stretch = Math.max(stretch, Math.abs(length / spacing - 1));
  };
  for (let row = 0; row < side; row++) {
    for (let column = 0; column < cells; column++) {
      compare(row * side + column, row * side + column + 1);
      compare(column * side + row, (column + 1) * side + row);
    }
  }
  return { shadow: Math.abs(twice) / 2 / (size * size), depth, stretch };
}
