import { transformed, type Outline } from '../shape';
import type { TracedPiece } from './trace';

/**
 * A piece turned so that its longest straight edge lies along the page or across it, whichever is nearer: pieces lie on a table as they come.
 *
 * @returns its outline; unturned where it has no straight edge
 * @example straightened({ outline: square(10), corners: [0, 1, 2, 3], unsure: [] }).length // 4
 */
export function straightened({ outline, corners }: TracedPiece): Outline {
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
  const off = angle - 90 * Math.round(angle / 90);
  return off === 0 ? outline : transformed(outline, false, -off);
}
