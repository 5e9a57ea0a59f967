import { flexuralRigidity } from '../cloth';
import type { PredictedWith } from '../layers';
import type { CarriedResult } from './carry-factor';

/** What was filed about one pair of cloth and stack. */
export interface PairRecord {
  /** Bending lengths that were measured on finished pieces, mm. */
  readings: number[];
  good: number;
  fair: number;
  poor: number;
  /** What went wrong by how it was done that time, and says nothing of the stack. */
  mishaps?: number;
  /** What was found to be wrong, as `trouble/cause`. */
  causes?: string[];
  /** Motifs that were sewn on it. */
  carried?: CarriedResult[];
  /** How much pieces shrank each way when they were fused or treated so, %. */
  shrank?: { along: number | null; across: number | null }[];
}

export interface Blended extends PredictedWith {
  /** Share of the figure that comes from readings, 0–1. */
  memoryShare: number;
  /** What the model alone would say, mm. */
  modelBendingLength: number;
}

/**
 * Scatter of one home reading about the stack's true bending length (standard deviation of the logarithm): ruler,
 * hand and the spread from piece to piece.
 */
const READING_SIGMA = 0.1;

/** z-value of the interval that four readings out of five fall into. */
const Z80 = 1.2816;

/**
 * Lets a pair's own readings correct the model: a normal prior on the logarithm of the bending length (the model
 * with its scatter) meets n readings, each weighted by its precision. The more readings, the less the model counts.
 *
 * @param model prediction of the stack @param readings measured bending lengths, mm; none leaves the model as it is
 * @example blend(stackStiffness(poplin, [lightWoven]), []).memoryShare // 0
 */
export function blend(model: PredictedWith, readings: readonly number[]): Blended {
  const known = readings.length === 0 ? readings : readings.filter((c) => c > 0 && Number.isFinite(c));
  if (known.length === 0) return unchanged(model);
  const modelPrecision = 1 / model.sigma ** 2;
  const memoryPrecision = known.length / READING_SIGMA ** 2;
  const memoryShare = memoryPrecision / (modelPrecision + memoryPrecision);
  const memoryMean = known.reduce((sum, c) => sum + Math.log(c), 0) / known.length;
  const bendingLength = Math.exp((1 - memoryShare) * Math.log(model.bendingLength) + memoryShare * memoryMean);
  const sigma = Math.sqrt(1 / (modelPrecision + memoryPrecision));
  return {
    ...model,
    bendingLength,
    sigma,
    low: bendingLength * Math.exp(-Z80 * sigma),
    high: bendingLength * Math.exp(Z80 * sigma),
    rigidity: flexuralRigidity(model.arealDensity, bendingLength),
    memoryShare,
    modelBendingLength: model.bendingLength,
  };
}

/** The model alone. Written out, because this runs for every candidate and a spread is slow. */
function unchanged(model: PredictedWith): Blended {
  return {
    bendingLength: model.bendingLength,
    low: model.low,
    high: model.high,
    rigidity: model.rigidity,
    arealDensity: model.arealDensity,
    thickness: model.thickness,
    clothRigidity: model.clothRigidity,
    layerRigidity: model.layerRigidity,
    couplingRigidity: model.couplingRigidity,
    stiffening: model.stiffening,
    sigma: model.sigma,
    clothSource: model.clothSource,
    memoryShare: 0,
    modelBendingLength: model.bendingLength,
  };
}
