import type { Outline, Point } from '../../core/shape';
import { distance } from '../drawing/drawing';

/**
 * Open lines joined where their ends meet, each used once. Ends are kept by the square of a grid that they lie in, so that the next
 * line of a chain is found among the few whose ends are near, however many lines there are.
 *
 * @param lines of at least one point each @param within how near two ends are one, mm
 * @returns chains; a closed one ends where it begins
 */
export function joinedLines(lines: readonly Outline[], within: number): Outline[] {
  const squares = new Map<string, { line: number; end: 0 | 1 }[]>();
  const used = new Uint8Array(lines.length);
  const at = (p: Point, dx = 0, dy = 0) => `${Math.floor(p[0] / within) + dx} ${Math.floor(p[1] / within) + dy}`;
  lines.forEach((line, i) => {
    for (const end of [0, 1] as const) {
      const key = at(end === 0 ? line[0]! : line.at(-1)!);
      const there = squares.get(key);
      if (there) there.push({ line: i, end });
      else squares.set(key, [{ line: i, end }]);
    }
  });
  /** An unused line with an end near a point, and the points of it from there on. */
  const next = (p: Point): Outline | undefined => {
    for (let dx = -1; dx <= 1; dx++)
      for (let dy = -1; dy <= 1; dy++) {
        const key = at(p, dx, dy);
        const there = squares.get(key);
        if (!there) continue;
        // What is used up is dropped on the way, or a point where many lines meet would be gone through again and again.
        const still = there.filter(({ line }) => !used[line]);
        if (still.length > 0) squares.set(key, still);
        else squares.delete(key);
        for (const { line, end } of still) {
          const points = lines[line]!;
          if (distance(p, end === 0 ? points[0]! : points.at(-1)!) >= within) continue;
          used[line] = 1;
          return end === 0 ? points.slice(1) : [...points].reverse().slice(1);
        }
      }
    return undefined;
  };
  return lines.flatMap((line, i) => {
    if (used[i]) return [];
    used[i] = 1;
    const forward: Outline = [...line];
    const isClosed = () => forward.length > 2 && distance(line[0]!, forward.at(-1)!) < within;
    for (let more = isClosed() ? undefined : next(forward.at(-1)!); more; more = isClosed() ? undefined : next(forward.at(-1)!))
      for (const p of more) forward.push(p);
    if (isClosed()) return [forward];
    // The other way from where it began.
    const backward: Outline = [];
    for (let more = next(line[0]!); more; more = next(backward.at(-1) ?? line[0]!)) for (const p of more) backward.push(p);
    return [[...backward.reverse(), ...forward]];
  });
}
