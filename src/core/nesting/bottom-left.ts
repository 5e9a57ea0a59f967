import type { Orientation } from './orientation';
import type { NoFitTable } from './no-fit';
import type { Position, Positions } from './positions';

/** No more lines than this are tried for one form; with more corners about, every second or third is. */
const MOST_LINES = 400;

/** Room for rounding where a piece fits exactly, mm. */
const EXACT = 1e-7;
/** Lines closer than this are one, mm. */
const SAME_LINE = 1e-6;

/** What there is to lay: every form, the forms each copy may take, and where they may not lie. */
export interface Layable {
  orientations: readonly Orientation[];
  choices: readonly Int32Array[];
  table: NoFitTable;
}

/** Narrower gaps within one no-fit region come from rounding, mm. */
const CRACK = 1e-3;

/** The strip that is laid on, and how long may be worked on it. */
export interface Room {
  width: number;
  /** Largest y that may be used, mm; Infinity on a roll. */
  length: number;
  /** Work of the table at which the rest is left lying; none by default. */
  work?: number;
  /** Asked before each piece: once it says yes, the rest is left lying. */
  isLate?: () => boolean;
  /** Of the lowest places the one furthest right is taken, not left. */
  fromRight?: boolean;
}

/**
 * Lays pieces one after the other, each as far down the length as it goes, then as far left, in whichever of
 * its forms ends lowest. Hollows that are open to a line across the cloth are filled.
 *
 * @param order indices of the pieces to lay; those laid already stay
 * @returns indices that found no place
 * @example layBottomLeft(laying.positions.clone(), [], laying, { width: 500, length: 500 }) // []
 */
export function layBottomLeft(
  positions: Positions,
  order: readonly number[],
  { orientations, choices, table }: Layable,
  room: Room,
): number[] {
  const left: number[] = [];
  const work = room.work ?? Infinity;
  let late = false;
  for (const index of order) {
    late ||= room.isLate?.() ?? false;
    if (late || table.work >= work) {
      left.push(index);
      continue;
    }
    let best: Position | undefined;
    let bestTop = room.length;
    for (const orientation of choices[index]!) {
      const position = lowestSpot(positions, orientation, orientations[orientation]!, table, room, bestTop);
      if (!position) continue;
      bestTop = position.y + orientations[orientation]!.box.maxY;
      best = position;
    }
    if (best) positions.lay(index, best);
    else left.push(index);
  }
  return left;
}

/** Lowest, then leftmost place of a form among what lies there, or undefined when none ends below `below`. */
function lowestSpot(
  positions: Positions,
  orientation: number,
  { box }: Orientation,
  table: NoFitTable,
  { width, fromRight = false }: Room,
  below: number,
): Position | undefined {
  const minX = -box.minX;
  const maxX = width - box.maxX;
  const minY = -box.minY;
  const maxY = below - box.maxY;
  if (maxX < minX - EXACT || maxY < minY - EXACT) return undefined;
  for (const y of lines(positions, orientation, table, minY, maxY)) {
    const x = firstGap(positions, orientation, table, y, minX, Math.max(minX, maxX), fromRight);
    if (x !== undefined) return { orientation, x, y };
  }
  return undefined;
}

/** Lines on which a lowest place can begin: the edge of the cloth and the corners of all no-fit regions. */
function lines(positions: Positions, orientation: number, table: NoFitTable, minY: number, maxY: number): number[] {
  const found: number[] = [];
  positions.each((other, _x, y) => table.cornerLines(other, orientation, y, found));
  const within = found.filter((line) => line > minY && line <= maxY + EXACT).sort((a, b) => a - b);
  const distinct = [minY, ...within.filter((line, i) => line - (within[i - 1] ?? minY) > SAME_LINE)];
  if (distinct.length <= MOST_LINES) return distinct;
  const stride = Math.ceil(distinct.length / MOST_LINES);
  return distinct.filter((_, i) => i % stride === 0 || i === distinct.length - 1);
}

/** First x from the left, or from the right, on the line at y where the form overlaps nothing. */
function firstGap(
  positions: Positions,
  orientation: number,
  table: NoFitTable,
  y: number,
  minX: number,
  maxX: number,
  fromRight: boolean,
): number | undefined {
  const { stretches } = table;
  let n = 0;
  positions.each((other, ox, oy) => {
    const before = n;
    n = table.stretchesOn(other, orientation, 0, y - oy, ox, 1, n);
    // A crack that rounding left within one region is no place to lie.
    for (let k = before; k + 1 < n; k++) {
      if (stretches[3 * k + 3]! - stretches[3 * k + 1]! < CRACK) stretches[3 * k + 3] = stretches[3 * k]!;
    }
  });
  const taken = Array.from({ length: n }, (_, k) => [stretches[3 * k]!, stretches[3 * k + 1]!] as const);
  if (fromRight) return lastFree(taken, minX, maxX);
  taken.sort((a, b) => a[0] - b[0]);
  let x = minX;
  for (const [from, to] of taken) {
    if (to <= x + EXACT) continue;
    if (from >= x - EXACT) break;
    x = to;
    if (x > maxX + EXACT) return undefined;
  }
  return Math.min(x, maxX);
}

/** The furthest right of the places between which nothing is taken. */
function lastFree(taken: (readonly [number, number])[], minX: number, maxX: number): number | undefined {
  taken.sort((a, b) => b[1] - a[1]);
  let x = maxX;
  for (const [from, to] of taken) {
    if (from >= x - EXACT) continue;
    if (to <= x + EXACT) break;
    x = from;
    if (x < minX - EXACT) return undefined;
  }
  return Math.max(x, minX);
}
