import polylabel from 'polylabel';
import type { Outline, Point } from './polygon';

/** How exactly the point is found, mm. */
const PRECISION = 0.5;

/**
 * The point of a piece that lies furthest from every edge, and how far that is, mm: the pole of inaccessibility.
 *
 * @param outline corners in mm @param holes openings in it
 * @example innermost(square(10)).distance // 5
 */
export function innermost(outline: Outline, holes: readonly Outline[] = []): { at: Point; distance: number } {
  const pole = polylabel([outline, ...holes], PRECISION);
  return { at: [pole[0], pole[1]], distance: pole.distance };
}
