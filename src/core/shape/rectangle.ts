import type { Box, Outline } from './polygon';

/**
 * Corners of a box, counter-clockwise from its lower left. mm.
 *
 * @example boxOutline({ minX: 0, minY: 0, maxX: 2, maxY: 1 }) // [[0, 0], [2, 0], [2, 1], [0, 1]]
 */
export function boxOutline({ minX, minY, maxX, maxY }: Box): Outline {
  return [
    [minX, minY],
    [maxX, minY],
    [maxX, maxY],
    [minX, maxY],
  ];
}
