import type { PieceShape } from '../shape';

/**
 * A rectangle with four square corners, mm. Edges: bottom, right, top, left.
 *
 * @example plainRectangle(40, 20).width // 40
 */
export function plainRectangle(width: number, height: number): PieceShape & { kind: 'rectangle' } {
  return { kind: 'rectangle', width, height, corners: [false, false, false, false], corner: 0 };
}
