import type { Part } from './part';

/**
 * Whether a quilt piece is stitched on: it is then a block, worked with its wadding and what holds it as one.
 *
 * @example isQuiltBlock(collar) // false
 */
export function isQuiltBlock({ role, embroidery }: Part): boolean {
  return role === 'quilt-piece' && embroidery !== undefined;
}
