import type { Fabric } from './fabric';

/**
 * Whether the iron would kill what is on the face: a pile is crushed, crinkles are lost, beads break or melt.
 *
 * @example ruinedByPressing({ surface: ['pile'] }) // true
 */
export function ruinedByPressing({ surface, weave }: Pick<Fabric, 'surface' | 'weave'>): boolean {
  return weave === 'pile' || surface.includes('pile') || surface.includes('crinkled') || surface.includes('beaded');
}

/**
 * Leather, film or a coating on the face: no hot iron comes to it, every hole stays, a hoop leaves its mark.
 *
 * @example isSealed({ construction: 'leather', surface: [] }) // true
 */
export function isSealed({ construction, surface }: Pick<Fabric, 'construction' | 'surface'>): boolean {
  return construction === 'leather' || construction === 'coated' || surface.includes('coated');
}
