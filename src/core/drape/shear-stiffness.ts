import type { Fabric } from '../cloth';
import { isGlued, type Material } from '../layers';

/** Shear stiffness of bare cloth by construction, N/m: how hard its threads resist turning on each other. */
const CLOTH: Record<string, number> = { woven: 40, knit: 15, nonwoven: 250, net: 12, leather: 300, coated: 160 };
const LOOSE = 0.4;

/** A sheet that is glued on shears like the sheet it is: its membrane stiffness over 2(1 + ν), with ν = 0.3. */
const SHEAR_OF_MEMBRANE = 1 / 2.6;
/** Share of that which glue dots pass on. */
const PASSED_ON: Record<string, number> = { none: 0.1, dots: 0.5, film: 1 };

/**
 * Shear stiffness of a cloth with layers, N/m. A typical value by construction; every glued layer adds most of its
 * own, sewn layers shear by themselves and add nothing that the eye would see.
 *
 * @example shearStiffness(poplin, [lightWoven]) > shearStiffness(poplin, []) // true
 */
export function shearStiffness(fabric: Pick<Fabric, 'construction' | 'weave'>, layers: readonly Material[]): number {
  const loose = fabric.weave === 'loose' || fabric.weave === 'crepe';
  let sum = (CLOTH[fabric.construction] ?? 40) * (loose ? LOOSE : 1);
  for (const layer of layers) {
    if (isGlued(layer.form)) sum += layer.membraneStiffness * SHEAR_OF_MEMBRANE * (PASSED_ON[layer.glue] ?? 0.5);
  }
  return sum;
}
