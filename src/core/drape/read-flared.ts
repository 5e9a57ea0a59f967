import type { FlaredSheet } from './flared';

/** What can be read off a flared sheet that hangs. */
export interface FlaredReading {
  /** From the waist's ring outward, as seen from above, to the outer quarter of the hem on average: its outline from afar, mm. */
  standsOut: number;
  /** Depth of the hem below the waist: least, greatest, mean, mm. */
  depth: { least: number; greatest: number; mean: number };
  /** How often the hem swings out and in again. */
  folds: number;
  /** Largest error of a thread's length against its true one, as a share. */
  stretch: number;
}

/** Share of a hem that is seen as its outline: the folds that stand out. */
const OUTER = 0.25;
/** A swing that is less than this share of the hem's whole way out and in is no fold. */
const SWING = 0.15;
/** Nor is one that is less than this, mm. */
const LEAST_SWING = 4;

/**
 * Reads off how far a flared sheet stands out, how deep it hangs and in how many folds, and checks how well its threads have kept their length.
 *
 * @example readFlared(layFlared({ bendingLength: 20, shearStiffness: 40, arealDensity: 140 }, { circles: 1, waist: 700, length: 400 }, 8, 48)).folds // 0
 */
export function readFlared(sheet: FlaredSheet): FlaredReading {
  const { position: p, rows, columns, rest, shape } = sheet;
  const out: number[] = [];
  let [least, greatest, sum] = [Infinity, -Infinity, 0];
  for (let node = rows * columns; node < (rows + 1) * columns; node++) {
    out.push(Math.hypot(p[3 * node]!, p[3 * node + 1]!));
    const depth = -p[3 * node + 2]!;
    least = Math.min(least, depth);
    greatest = Math.max(greatest, depth);
    sum += depth;
  }
  const far = (a: number, b: number) =>
    Math.hypot(p[3 * a]! - p[3 * b]!, p[3 * a + 1]! - p[3 * b + 1]!, p[3 * a + 2]! - p[3 * b + 2]!);
  let stretch = 0;
  for (let row = 0; row <= rows; row++)
    for (let column = 0; column < columns; column++) {
      const a = row * columns + column;
      if (row > 0) stretch = Math.max(stretch, Math.abs(far(a, row * columns + ((column + 1) % columns)) / rest.round[a]! - 1));
      if (row < rows) stretch = Math.max(stretch, Math.abs(far(a, a + columns) / rest.down[a]! - 1));
    }
  const outer = [...out].sort((a, b) => b - a).slice(0, Math.ceil(OUTER * columns));
  return {
    standsOut: outer.reduce((all, each) => all + each, 0) / outer.length - shape.waist / (2 * Math.PI),
    depth: { least, greatest, mean: sum / columns },
    folds: foldsOf(out),
    stretch,
  };
}

/** How often a closed row of figures goes up and down again, by more than a small swing. */
function foldsOf(row: readonly number[]): number {
  const swing = Math.max(LEAST_SWING, SWING * (Math.max(...row) - Math.min(...row)));
  const start = row.indexOf(Math.min(...row));
  let [folds, low, high, rising] = [0, row[start]!, row[start]!, true];
  for (let k = 1; k <= row.length; k++) {
    const value = row[(start + k) % row.length]!;
    if (rising) {
      high = Math.max(high, value);
      if (value < high - swing) [folds, rising, low] = [folds + 1, false, value];
    } else {
      low = Math.min(low, value);
      if (value > low + swing) [rising, high] = [true, value];
    }
  }
  return folds;
}
