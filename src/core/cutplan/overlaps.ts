import { bounds, difference, intersection, regionArea, transformed, type Outline } from '../shape';
import type { Placement } from './piece';

/** Sharing less than this is touching, mm². */
const TOUCHING = 0.5;

/** What stands in the way of a piece that lies somewhere. */
export interface Trouble {
  /** Numbers of the placements that it overlaps. */
  overlaps: number[];
  /** Part of it lies beside the cloth. */
  outside: boolean;
}

/**
 * What stands in the way of one placement among the others.
 *
 * @param cloth outline of what is laid on, mm @param outlines of the pieces by id
 */
export function overlapsAt(
  index: number,
  placements: readonly Placement[],
  outlines: ReadonlyMap<string, Outline>,
  cloth: Outline,
): Trouble {
  const placed = (p: Placement): Outline => transformed(outlines.get(p.id)!, p.flipped, p.rotation, p.x, p.y);
  const own = placed(placements[index]!);
  const box = bounds(own);
  const overlaps: number[] = [];
  placements.forEach((other, i) => {
    if (i === index) return;
    const outline = placed(other);
    const b = bounds(outline);
    if (box.minX >= b.maxX || b.minX >= box.maxX || box.minY >= b.maxY || b.minY >= box.maxY) return;
    if (regionArea(intersection([own], [outline])) > TOUCHING) overlaps.push(i);
  });
  return { overlaps, outside: regionArea(difference(own, [cloth])) > TOUCHING };
}
