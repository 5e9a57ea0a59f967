import type { Material } from '../layers';

/** How a piece lies to the grain of its cloth. */
type PieceCut = 'straight' | 'cross' | 'bias';

/**
 * Turns, in degrees, in which a layer may be cut from its roll: a layer with a grain follows the piece's own
 * cut, one without may lie any way round.
 */
export function allowedTurns(material: Pick<Material, 'grain'>, cut: PieceCut): number[] {
  if (!material.grain) return [0, 90, 180, 270];
  if (cut === 'cross') return [90, 270];
  if (cut === 'bias') return [45, 225, 135, 315];
  return [0, 180];
}
