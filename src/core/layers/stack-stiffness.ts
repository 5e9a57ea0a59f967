import {
  bendingLengthOf,
  clothBendingLength,
  clothMembraneStiffness,
  clothThickness,
  flexuralRigidity,
  type Fabric,
} from '../cloth';
import { isGlued, type Glue, type Material } from './material';

/** How firmly a kind of glue couples the two sheets, between 0 (sliding) and 1 (one solid sheet). */
const COUPLING: Record<Glue, number> = { none: 0.02, dots: 0.06, film: 0.5 };

/** Scatter (standard deviation of the logarithm) of a layer's own bending length, and of the coupling. */
const LAYER_SIGMA = 0.12;
const COUPLING_SIGMA = 0.6;
/** How evenly a liquid is taken up decides its stiffening; home application scatters widely. */
const LIQUID_SIGMA = 0.45;

/** z-value of the interval that we show: four cloths out of five should read inside it. */
const Z80 = 1.2816;

/** How much more firmly than usual glues hold, by the ids of their layers. */
export type Gluing = ReadonlyMap<string, number>;
const AS_USUAL: Gluing = new Map();

/** What a stack is expected to be like. Units: mm, µN·m, g/m². */
export interface Predicted {
  bendingLength: number;
  /** Ends of the interval that four readings out of five should fall into, mm. */
  low: number;
  high: number;
  rigidity: number;
  arealDensity: number;
  thickness: number;
}

/** The parts that the predicted rigidity is made of, for *why?*. µN·m unless named. */
export interface PredictedWith extends Predicted {
  clothRigidity: number;
  layerRigidity: number;
  couplingRigidity: number;
  stiffening: number;
  sigma: number;
  clothSource: 'measured' | 'estimated';
}

/**
 * Stiffness of a cloth with layers on it.
 *
 * Sewn layers slide on each other, so rigidities add. A glued layer adds a coupling term
 * β · K₁K₂/(K₁+K₂) · ((t₁+t₂)/2)² (two membranes held at a distance). Liquids multiply the rigidity of the
 * cloth. Scatter is propagated to first order from the shares of each term. See docs/science.md.
 *
 * @param fabric the cloth
 * @param layers in order, outermost (next to the cloth) first; layers that do not stay are the caller's to leave out
 * @param gluing how much more firmly than usual a layer's glue holds, by its id, where that was learnt
 * @returns the prediction with the terms it is made of
 * @example stackStiffness(poplin, [lightWoven]).arealDensity // 160
 */
export function stackStiffness(fabric: Fabric, layers: readonly Material[], gluing: Gluing = AS_USUAL): PredictedWith {
  const cloth = clothBendingLength(fabric);
  const bare = flexuralRigidity(fabric.arealDensity, cloth.value);
  let stiffening = 1;
  for (const layer of layers) if (layer.form === 'liquid') stiffening *= layer.stiffening;
  const clothRigidity = bare * stiffening;

  let arealDensity = fabric.arealDensity;
  const clothThick = clothThickness(fabric);
  let thickness = clothThick.value;
  let membrane = clothMembraneStiffness(fabric);
  let layerRigidity = 0;
  let couplingRigidity = 0;
  let variance = (3 * cloth.sigma * clothRigidity) ** 2;
  if (stiffening > 1) variance += (LIQUID_SIGMA * (clothRigidity - bare)) ** 2;

  for (const layer of layers) {
    arealDensity += layer.arealDensity;
    if (layer.form === 'liquid') continue;
    const own = flexuralRigidity(layer.arealDensity, layer.bendingLength);
    layerRigidity += own;
    variance += (3 * LAYER_SIGMA * own) ** 2;
    if (isGlued(layer.form)) {
      const shared = (membrane * layer.membraneStiffness) / (membrane + layer.membraneStiffness);
      const distance = (thickness + layer.thickness) / 2;
      // N/m · mm² = 1e-6 N·m = µN·m
      const firm = gluing.size === 0 ? 1 : (gluing.get(layer.id) ?? 1);
      const coupling = firm * COUPLING[layer.glue] * shared * distance ** 2;
      couplingRigidity += coupling;
      // The coupling goes with the square of the distance, of which the cloth's thickness is a part.
      const fromThickness = (2 * clothThick.sigma * clothThick.value) / (thickness + layer.thickness);
      variance += (Math.hypot(COUPLING_SIGMA, fromThickness) * coupling) ** 2;
      membrane += layer.membraneStiffness;
    }
    thickness += layer.thickness;
  }

  const rigidity = clothRigidity + layerRigidity + couplingRigidity;
  // c is the cube root of rigidity over weight, so a relative error of the rigidity counts a third.
  const sigma = Math.sqrt(variance) / rigidity / 3;
  const bendingLength = bendingLengthOf(rigidity, arealDensity);
  return {
    bendingLength,
    low: bendingLength * Math.exp(-Z80 * sigma),
    high: bendingLength * Math.exp(Z80 * sigma),
    rigidity,
    arealDensity,
    thickness,
    clothRigidity,
    layerRigidity,
    couplingRigidity,
    stiffening,
    sigma,
    clothSource: cloth.source,
  };
}
