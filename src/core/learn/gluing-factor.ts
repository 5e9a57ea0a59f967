import { flexuralRigidity } from '../cloth';
import type { PredictedWith } from '../layers';

/** What was read on a cloth with one glued layer. */
export interface GluedReading {
  /** What the model says of that stack, its glue as usual. */
  model: PredictedWith;
  /** Bending length that was read, mm. */
  measured: number;
}

/** Scatter of the coupling between glues of one kind, as the model has it (standard deviation of the logarithm). */
const USUAL_SIGMA = 0.6;
/** A reading of the rigidity is so rough, as a share: three times that of the bending length, which is its cube root. */
const READING = 0.3;
/** So rough is what cloth and layer have without glue, as a share: of a cloth whose overhang was read, and of one that is estimated. */
const WITHOUT = { measured: 0.25, estimated: 0.6 };
/** Where the glue makes up less of the stiffness than this, a reading says nothing of it. */
const LEAST_SHARE = 0.15;
/** No glue is so many times more or less firm than usual, and the factor is found so finely, as steps between. */
const MOST = 8;
const STEPS = 400;

/**
 * How much more firmly a layer's glue couples it to cloth than glue of its kind usually does: from readings on any cloths. The factor with which
 * the rigidities that were read are met best, each weighted by how well it is known, with the usual as a normal prior on its logarithm
 * (maximum a posteriori; the glue's term is linear in the factor, so that errors to both sides cancel).
 *
 * @returns the factor, 1 where nothing is known, and how many readings said something
 * @example gluingFactor([]).factor // 1
 */
export function gluingFactor(readings: readonly GluedReading[]): { factor: number; times: number } {
  const told = readings.filter((reading) => gluingOf(reading) !== undefined).map(partsOf);
  if (told.length === 0) return { factor: 1, times: 0 };
  const misfit = (log: number) =>
    told.reduce((sum, { glue, rest, off }) => sum + ((rest - Math.exp(log) * glue) / off) ** 2, (log / USUAL_SIGMA) ** 2);
  let [best, least] = [0, misfit(0)];
  for (let i = 0; i <= STEPS; i++) {
    const log = Math.log(MOST) * ((2 * i) / STEPS - 1);
    const now = misfit(log);
    if (now < least) [best, least] = [log, now];
  }
  return { factor: Math.exp(best), times: told.length };
}

/**
 * How many times as firm as usual one reading tells a glue to be; nothing where the glue hardly counts.
 *
 * @example gluingOf({ model: stackStiffness(poplin, [lightWoven]), measured: 30 }) // undefined
 */
export function gluingOf(reading: GluedReading): number | undefined {
  const { couplingRigidity, rigidity } = reading.model;
  if (!(couplingRigidity >= LEAST_SHARE * rigidity) || !(reading.measured > 0)) return undefined;
  const { glue, rest } = partsOf(reading);
  return Math.max(1 / MOST, Math.min(MOST, rest / glue));
}

/** Rigidities: what the usual glue gives, what was read beyond cloth and layer, and how rough that is. */
function partsOf({ model, measured }: GluedReading): { glue: number; rest: number; off: number } {
  const without = model.clothRigidity + model.layerRigidity;
  const rest = flexuralRigidity(model.arealDensity, measured) - without;
  return { glue: model.couplingRigidity, rest, off: Math.hypot(READING * model.rigidity, WITHOUT[model.clothSource] * without) };
}
