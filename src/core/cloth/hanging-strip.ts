/**
 * The heavy elastica: the shape of a strip that hangs over a table edge under its own weight.
 *
 * With arc length s from the edge, slope θ below the horizontal, bending stiffness per width B and
 * weight per area w, equilibrium is B θ″ = −w (L − s) cos θ, θ(0) = 0 at the clamped edge and
 * θ′(L) = 0 at the free tip. Measured in bending lengths c = (B/w)^(1/3) and counted from the tip,
 * u = (L − s)/c, it has no parameter left: θ_uu = −u cos θ. The angle from the vertical φ = π/2 − θ
 * obeys φ_uu = u sin φ and only grows from tip to edge, so every solution is named by its value at
 * the tip. We integrate v = ln φ and p = v_u, which neither overflow nor vanish for long strips:
 * p_u = u · sin φ/φ − p². The strip leaves the table where φ reaches π/2.
 */

/** Slope logarithm at the table edge, where the strip is level. */
const V_EDGE = Math.log(Math.PI / 2);

/**
 * Longest strip that is solved, in bending lengths. Beyond it the strip turns straight down within
 * a tenth of a bending length of the edge, and no cloth gives a reading there.
 */
export const LONGEST_RATIO = 200;

/**
 * Step bound: p settles near √u and errors in it decay at the rate 2p, so the classical fourth-order
 * Runge–Kutta step must stay below 2.78/(2√u) to be stable; half of that also keeps the error under 1e-7.
 */
function stepFor(u: number): number {
  return Math.min(0.05, 0.5 / Math.sqrt(Math.max(u, 1)));
}

export interface HangingStrip {
  /** Overhanging length ÷ bending length. */
  ratio: number;
  /** Horizontal reach of the tip from the edge ÷ bending length. */
  reach: number;
  /** Depth of the tip below the edge ÷ bending length. */
  depth: number;
}

interface State {
  v: number;
  p: number;
}

function sinc(angle: number): number {
  return angle < 1e-5 ? 1 : Math.sin(angle) / angle;
}

function slopeOfP(u: number, v: number, p: number): number {
  return u * sinc(Math.exp(v)) - p * p;
}

/** One Runge–Kutta step of length h from u, in place. */
function advance(state: State, u: number, h: number): void {
  const { v, p } = state;
  const k1 = slopeOfP(u, v, p);
  const p2 = p + 0.5 * h * k1;
  const k2 = slopeOfP(u + 0.5 * h, v + 0.5 * h * p, p2);
  const p3 = p + 0.5 * h * k2;
  const k3 = slopeOfP(u + 0.5 * h, v + 0.5 * h * p2, p3);
  const p4 = p + h * k3;
  const k4 = slopeOfP(u + h, v + h * p3, p4);
  state.v = v + (h / 6) * (p + 2 * p2 + 2 * p3 + p4);
  state.p = p + (h / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
}

/**
 * Follows the strip from a tip that hangs at exp(vTip) radians from the vertical to the table edge,
 * and reports u, φ and dφ/du at every step to `record`.
 * Reach and depth by Simpson's rule on each step, with a half step for the middle value.
 *
 * @example hangFromTip(0.5).ratio > 0 // true
 */
export function hangFromTip(vTip: number, record?: (u: number, phi: number, slope: number) => void): HangingStrip {
  const state: State = { v: vTip, p: 0 };
  let u = 0;
  let reach = 0;
  let depth = 0;
  let phi = Math.exp(vTip);
  record?.(u, phi, 0);
  while (u < LONGEST_RATIO * 1.05) {
    let h = stepFor(u);
    const start: State = { v: state.v, p: state.p };
    advance(state, u, h);
    const last = state.v >= V_EDGE;
    if (last) {
      // Land on the edge: shorten the step until v meets V_EDGE (secant; v is smooth and rising).
      for (let i = 0; i < 8; i++) {
        const miss = state.v - V_EDGE;
        if (Math.abs(miss) < 1e-13) break;
        h = Math.max(h - miss / state.p, h * 1e-6);
        state.v = start.v;
        state.p = start.p;
        advance(state, u, h);
      }
    }
    const half: State = { v: start.v, p: start.p };
    advance(half, u, h / 2);
    const phiHalf = Math.exp(half.v);
    const phiEnd = last ? Math.PI / 2 : Math.exp(state.v);
    reach += (h / 6) * (Math.sin(phi) + 4 * Math.sin(phiHalf) + Math.sin(phiEnd));
    depth += (h / 6) * (Math.cos(phi) + 4 * Math.cos(phiHalf) + Math.cos(phiEnd));
    u += h;
    phi = phiEnd;
    record?.(u, phi, phi * state.p);
    if (last) break;
  }
  return { ratio: u, reach, depth };
}

/** Lowest tip logarithm that can be needed: φ falls off as exp(−⅔ u^1.5) along a long strip. */
function lowestTip(): number {
  return -(2 / 3) * LONGEST_RATIO ** 1.5 - 10;
}

/**
 * Finds the tip value for which `measure(strip)` equals `target`; `measure` must rise as the strip
 * gets longer in bending lengths. Regula falsi with the Illinois correction inside a bracket.
 *
 * @example hangFromTip(findTip(({ ratio }) => ratio, 2)).ratio // 2
 */
export function findTip(measure: (strip: HangingStrip) => number, target: number): number {
  let high = V_EDGE - 1e-12;
  // Walk the bracket down from the stiff end: ordinary strips are found within a few steps, and the
  // long integrations of nearly vertical strips are only run when they are needed.
  let width = 0.02;
  let low = high - width;
  const floor = lowestTip();
  while (measure(hangFromTip(low)) < target && low > floor) {
    high = low;
    width *= 2;
    low = Math.max(low - width, floor);
  }
  let fLow = measure(hangFromTip(low)) - target;
  let fHigh = measure(hangFromTip(high)) - target;
  let side = 0;
  let tip = low;
  for (let i = 0; i < 100; i++) {
    tip = (low * fHigh - high * fLow) / (fHigh - fLow);
    if (!(tip > low && tip < high)) tip = (low + high) / 2;
    const f = measure(hangFromTip(tip)) - target;
    if (Math.abs(f) <= 1e-10 * Math.max(1, Math.abs(target)) || high - low < 1e-13) break;
    if (f > 0) {
      low = tip;
      fLow = f;
      if (side === 1) fHigh /= 2;
      side = 1;
    } else {
      high = tip;
      fHigh = f;
      if (side === -1) fLow /= 2;
      side = -1;
    }
  }
  return tip;
}
