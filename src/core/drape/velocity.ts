/** Fastest that a node may move, mm/s: keeps a sudden change of cloth from throwing the net about. */
const TOP_SPEED = 4000;

/**
 * Velocities of a net from where its nodes were and are, less what air and friction take; in place.
 *
 * @param before places before the step, mm @param free 0 for a node that is held @param step s @param keep share of the speed that stays
 * @returns the fastest node, mm/s
 * @example newVelocities({ position: new Float64Array([1, 0, 0]), velocity: new Float64Array(3) }, new Float64Array(3), [1], 0.5, 1) // 2
 */
export function newVelocities(
  { position: p, velocity: v }: { position: Float64Array; velocity: Float64Array },
  before: Float64Array,
  free: ArrayLike<number>,
  step: number,
  keep: number,
): number {
  let fastest = 0;
  for (let node = 0; node < free.length; node++) {
    if (free[node] === 0) continue;
    const i = 3 * node;
    let vx = ((p[i]! - before[i]!) / step) * keep;
    let vy = ((p[i + 1]! - before[i + 1]!) / step) * keep;
    let vz = ((p[i + 2]! - before[i + 2]!) / step) * keep;
    const speed = Math.sqrt(vx * vx + vy * vy + vz * vz);
    if (speed > TOP_SPEED) {
      const slower = TOP_SPEED / speed;
      vx *= slower;
      vy *= slower;
      vz *= slower;
    }
    if (speed > fastest) fastest = speed;
    v[i] = vx;
    v[i + 1] = vy;
    v[i + 2] = vz;
  }
  return fastest;
}
