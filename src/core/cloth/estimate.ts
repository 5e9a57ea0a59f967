import { bendingLengthFromOverhang } from './overhang';
import { fibreShare, type Fabric } from './fabric';

/** A figure with its scatter: `sigma` is the standard deviation of its natural logarithm. */
export interface Estimate {
  value: number;
  sigma: number;
  source: 'measured' | 'estimated';
}

/**
 * Bending length of a plain-woven cotton by weight: c = 16 mm · (m / 70 g/m²)^0.55. Fitted by us to the
 * typical ranges listed in docs/science.md (lawn, poplin, quilting cotton, linen, denim, canvas).
 */
const REFERENCE = { arealDensity: 70, bendingLength: 16, exponent: 0.55 };

/** How much limper or stiffer than that each weave or knit hangs at the same weight. */
const WEAVE_FACTOR: Record<string, number> = {
  plain: 1,
  twill: 0.87,
  satin: 0.82,
  loose: 0.8,
  crepe: 0.72,
  jersey: 0.5,
  rib: 0.48,
  sweater: 0.48,
  fleece: 0.58,
  terry: 0.62,
  pile: 0.72,
  eyelet: 0.92,
  other: 0.9,
};

const CONSTRUCTION_FACTOR: Record<string, number> = {
  woven: 1,
  knit: 0.85,
  nonwoven: 1.3,
  net: 1.15,
  leather: 0.85,
  coated: 1.15,
};

/** Filament and soft fibres hang limper than cotton; linen stands a little. */
function fibreFactor(fabric: Fabric): number {
  return (
    1 +
    0.12 * fibreShare(fabric, 'linen') -
    0.2 * fibreShare(fabric, 'wool') -
    0.14 * fibreShare(fabric, 'silk', 'polyester', 'nylon', 'acetate') -
    0.28 * fibreShare(fabric, 'viscose') -
    0.15 * fibreShare(fabric, 'acrylic')
  );
}

/**
 * Scatter of the bending length. Measured: two people, one ruler, both faces and ends. Estimated: the
 * spread of cloths that share a description. Knits roll at the edge and scatter most.
 */
const SIGMA = { measuredWoven: 0.08, measuredKnit: 0.14, estimatedWoven: 0.22, estimatedKnit: 0.32 };

/**
 * Bending length of a cloth in mm: from its overhang when there is one, else from its description.
 *
 * @example clothBendingLength({ ...poplin, overhang: 40 }).value // 20
 */
export function clothBendingLength(fabric: Fabric): Estimate {
  const knit = fabric.construction === 'knit';
  if (fabric.overhang !== undefined) {
    return {
      value: bendingLengthFromOverhang(fabric.overhang),
      sigma: knit ? SIGMA.measuredKnit : SIGMA.measuredWoven,
      source: 'measured',
    };
  }
  const byWeight = REFERENCE.bendingLength * (fabric.arealDensity / REFERENCE.arealDensity) ** REFERENCE.exponent;
  const weave = WEAVE_FACTOR[fabric.weave ?? (knit ? 'jersey' : 'plain')] ?? 1;
  const value = byWeight * weave * (CONSTRUCTION_FACTOR[fabric.construction] ?? 1) * fibreFactor(fabric);
  return { value, sigma: knit ? SIGMA.estimatedKnit : SIGMA.estimatedWoven, source: 'estimated' };
}

/** Bulk density of the cloth under a coin, kg/m³: how much air it holds. */
const BULK_DENSITY: Record<string, number> = {
  plain: 430,
  twill: 420,
  satin: 460,
  loose: 300,
  crepe: 330,
  jersey: 330,
  rib: 270,
  sweater: 170,
  fleece: 130,
  terry: 170,
  pile: 220,
  eyelet: 380,
  other: 350,
};
const CONSTRUCTION_BULK: Record<string, number> = { nonwoven: 180, net: 250, leather: 620, coated: 600 };

/**
 * Thickness in mm: measured when known, else weight ÷ the usual bulk density of its construction.
 *
 * @example clothThickness(poplin).value // 0.25
 */
export function clothThickness(fabric: Fabric): Estimate {
  if (fabric.thickness !== undefined) return { value: fabric.thickness, sigma: 0.08, source: 'measured' };
  const bulk = CONSTRUCTION_BULK[fabric.construction] ?? BULK_DENSITY[fabric.weave ?? 'plain'] ?? 350;
  return { value: fabric.arealDensity / bulk, sigma: 0.2, source: 'estimated' };
}

/** Membrane stiffness per g/m² at the first per cent of stretch, N/m; it falls with how far the cloth gives. */
const MEMBRANE_PER_GSM = 30;

/**
 * In-plane stiffness K of the cloth in N/m. Always an estimate: nobody measures this at home.
 *
 * @example clothMembraneStiffness(poplin) > clothMembraneStiffness(jersey) // true
 */
export function clothMembraneStiffness(fabric: Fabric): number {
  const stretch = Math.max(fabric.stretchLength, fabric.stretchCross);
  return (MEMBRANE_PER_GSM * fabric.arealDensity) / (1 + stretch / 4);
}
