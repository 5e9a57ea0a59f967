import { requireNumber } from '../input-error';
import type { Material } from './material';

/** How a layer's own bending length and thickness grow with its weight within a family, as exponents. */
const BENDING_GROWTH = 0.5;
const THICKNESS_GROWTH = 1;

/**
 * The same kind of layer in another weight: membrane stiffness and thickness grow with the weight, bending length
 * with its square root, as the families of the library do. A liquid stiffens as its solids grow.
 *
 * @param factor new weight ÷ weight, 0.05–5
 * @example scaleMaterial(lightWoven, 2).arealDensity // 90
 */
export function scaleMaterial(material: Material, factor: number): Material {
  requireNumber('factor', factor, '', { min: 0.05, max: 5 });
  return {
    ...material,
    arealDensity: material.arealDensity * factor,
    thickness: material.thickness * factor ** THICKNESS_GROWTH,
    bendingLength: material.bendingLength * factor ** BENDING_GROWTH,
    membraneStiffness: material.membraneStiffness * factor,
    stiffening: 1 + (material.stiffening - 1) * factor,
  };
}
