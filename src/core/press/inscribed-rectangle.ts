import { bounds, type Outline } from '../shape';

export interface Rectangle {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}

/** Levels that are tried for the bottom and top of the rectangle; a sole is a simple shape. */
const LEVELS = 48;

/**
 * Largest upright rectangle inside an outline, to within a forty-eighth of its height: the part of an
 * iron's sole that can be counted on.
 *
 * For each pair of levels the rectangle may reach as far as the narrowest crossing between them.
 *
 * @example inscribedRectangle(square(100)) // { minX: 0, minY: 0, maxX: 100, maxY: 100 }
 */
export function inscribedRectangle(outline: Outline): Rectangle {
  const box = bounds(outline);
  const levels = Array.from({ length: LEVELS + 1 }, (_, i) => box.minY + ((box.maxY - box.minY) * i) / LEVELS);
  const slots = levels.slice(0, -1).map((bottom, i) => widestWithin(outline, bottom, levels[i + 1]!));
  let best: Rectangle = { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  let bestArea = 0;
  for (let i = 0; i < LEVELS; i++) {
    let left = -Infinity;
    let right = Infinity;
    for (let k = i; k < LEVELS; k++) {
      left = Math.max(left, slots[k]![0]);
      right = Math.min(right, slots[k]![1]);
      if (right <= left) break;
      const area = (right - left) * (levels[k + 1]! - levels[i]!);
      if (area > bestArea) {
        bestArea = area;
        best = { minX: left, minY: levels[i]!, maxX: right, maxY: levels[k + 1]! };
      }
    }
  }
  return best;
}

/** The widest stretch that lies inside the outline all the way from bottom to top. */
function widestWithin(outline: Outline, bottom: number, top: number): [number, number] {
  const inner = crossings(outline, bottom + (top - bottom) * 0.5);
  let widest: [number, number] = [0, 0];
  for (let i = 0; i + 1 < inner.length; i += 2) {
    if (inner[i + 1]! - inner[i]! > widest[1] - widest[0]) widest = [inner[i]!, inner[i + 1]!];
  }
  const middle = (widest[0] + widest[1]) / 2;
  let [left, right] = widest;
  // Corners and crossings between the two levels narrow it.
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % outline.length]!;
    const low = Math.max(bottom, Math.min(a[1], b[1]));
    const high = Math.min(top, Math.max(a[1], b[1]));
    // An edge that only touches the slab from outside does not narrow it.
    if (!(low < high) && !(a[1] === b[1] && a[1] > bottom && a[1] < top)) continue;
    for (const y of [low, high]) {
      const xs = a[1] === b[1] ? [a[0], b[0]] : [a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])];
      for (const x of xs) {
        if (x <= middle) left = Math.max(left, x);
        else right = Math.min(right, x);
      }
    }
  }
  return left < right ? [left, right] : [0, 0];
}

function crossings(outline: Outline, y: number): number[] {
  const xs: number[] = [];
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % outline.length]!;
    if (a[1] <= y !== b[1] <= y) xs.push(a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]));
  }
  return xs.sort((p, q) => p - q);
}
