/** A motif that was sewn on a pair of cloth and stack. */
export interface CarriedResult {
  /** Its pull ÷ what the model says the pair carries. */
  share: number;
  /** It lies flat, its outline on its fill. */
  held: boolean;
}

/** Scatter of what a pair truly carries about the model (standard deviation of the logarithm), and of one result. */
const PRIOR_SIGMA = 0.35;
const RESULT_SIGMA = 0.2;
const STEPS = 121;
const REACH = 3.5;

/**
 * How much more or less a pair carries than the model says, from what was sewn on it: 1 without results.
 *
 * A log-normal prior; each result says only whether the true limit lies above or below its load, with some scatter (a
 * probit likelihood). The mean of the logarithm, summed on a grid.
 *
 * @example carryFactor([]) // 1
 */
export function carryFactor(results: readonly CarriedResult[]): number {
  const known = results.filter(({ share }) => share > 0 && Number.isFinite(share));
  if (known.length === 0) return 1;
  let [sum, weighted] = [0, 0];
  for (let i = 0; i < STEPS; i++) {
    const z = -REACH + (2 * REACH * i) / (STEPS - 1);
    const log = z * PRIOR_SIGMA;
    let weight = Math.exp(-(z * z) / 2);
    for (const { share, held } of known) {
      const above = normal((log - Math.log(share)) / RESULT_SIGMA);
      weight *= held ? above : 1 - above;
    }
    sum += weight;
    weighted += weight * log;
  }
  return sum > 0 ? Math.exp(weighted / sum) : 1;
}

/** Cumulative normal distribution by a logistic curve, within 0.01 of the true one. */
function normal(z: number): number {
  return 1 / (1 + Math.exp(-1.702 * z));
}
