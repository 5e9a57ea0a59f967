import { bounds, type Outline } from '../shape';
import { inscribedRectangle } from './inscribed-rectangle';

/** What lies between pieces under one sole, mm. */
const APART = 5;

/**
 * How many copies of a piece lie free under a sole at once, side by side in rows, none over another.
 *
 * @example underOneSole(square(100), square(40)) // 4
 */
export function underOneSole(sole: Outline, outline: Outline): number {
  const room = inscribedRectangle(sole);
  const box = bounds(outline);
  const [w, h] = [box.maxX - box.minX, box.maxY - box.minY];
  const along = (space: number, each: number) => Math.floor((space + APART) / (each + APART) + 1e-9);
  const [width, length] = [room.maxX - room.minX, room.maxY - room.minY];
  return Math.max(along(width, w) * along(length, h), along(width, h) * along(length, w));
}
