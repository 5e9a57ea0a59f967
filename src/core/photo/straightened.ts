import { transformed, type Outline } from '../shape';
import type { TracedPiece } from './trace';

/**
 * How a piece is turned so that its longest straight edge lies along the page or across it, whichever is nearer: pieces lie on a table as they come.
 *
 * @returns degrees counter-clockwise, −45 to 45; 0 where it has no straight edge
 * @example straightTurn({ outline: square(10), corners: [0, 1, 2, 3] }) // 0
 */
export function straightTurn({ outline, corners }: Pick<TracedPiece, 'outline' | 'corners'>): number {
  let [longest, angle] = [0, 0];
  corners.forEach((from, i) => {
    const to = corners[(i + 1) % corners.length]!;
    // What lies between two corners makes the edge a curve.
    if (to !== (from + 1) % outline.length) return;
    const [dx, dy] = [outline[to]![0] - outline[from]![0], outline[to]![1] - outline[from]![1]];
    if (Math.hypot(dx, dy) <= longest) return;
    longest = Math.hypot(dx, dy);
    angle = (Math.atan2(dy, dx) * 180) / Math.PI;
  });
  return 90 * Math.round(angle / 90) - angle || 0;
}

/**
 * A piece turned by {@link straightTurn}.
 *
 * @returns its outline; unturned where it has no straight edge
 * @example straightened({ outline: square(10), corners: [0, 1, 2, 3] }).length // 4
 */
export function straightened(piece: Pick<TracedPiece, 'outline' | 'corners'>): Outline {
  const turn = straightTurn(piece);
  return turn === 0 ? piece.outline : transformed(piece.outline, false, turn);
}
