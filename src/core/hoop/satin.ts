import { STITCH, type Motif } from '../motif';

/** A zigzag: every stitch turns back more than this against the one before, degrees, and is longer than this, mm. */
const TURNS_BACK = Math.cos((140 * Math.PI) / 180);
const SHORTEST = 1;
/** So many stitches to and fro make a satin. */
const FEWEST = 4;

/**
 * Stretches of a motif that hold together: satins as a whole, every other stitch by itself. Each goes from one record to another, both included;
 * jumps, trims and changes of colour belong to none.
 *
 * @returns pairs from–to, in the order in which they are sewn
 * @example stretchesOf(motif).length > 0 // true
 */
export function stretchesOf({ x, y, command }: Motif): { from: number; to: number; satin: boolean }[] {
  const turnsBack = (i: number): boolean => {
    if (command[i] !== STITCH || command[i - 1] !== STITCH || i < 2) return false;
    const [ax, ay] = [x[i - 1]! - x[i - 2]!, y[i - 1]! - y[i - 2]!];
    const [bx, by] = [x[i]! - x[i - 1]!, y[i]! - y[i - 1]!];
    const [a, b] = [Math.hypot(ax, ay), Math.hypot(bx, by)];
    return a > SHORTEST && b > SHORTEST && (ax * bx + ay * by) / (a * b) < TURNS_BACK;
  };
  const found: { from: number; to: number; satin: boolean }[] = [];
  for (let i = 0; i < command.length; i++) {
    if (command[i] !== STITCH) continue;
    let to = i;
    while (to + 1 < command.length && turnsBack(to + 1)) to++;
    if (to - i >= FEWEST) {
      found.push({ from: i, to, satin: true });
      i = to;
    } else found.push({ from: i, to: i, satin: false });
  }
  return found;
}
