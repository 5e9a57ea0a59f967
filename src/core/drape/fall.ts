import type { FlaredSheet } from './flared';
import { GRAVITY_MM } from './sheet';
import { newVelocities } from './velocity';

/** Steps in a second. Twice as many move what is read by less than nets of other fineness do (docs/science.md). */
export const FALL_STEPS_PER_SECOND = 4800;
const STEP = 1 / FALL_STEPS_PER_SECOND;
/** How often each thread is given back its length in a step. */
const PASSES = 2;
/** Share of the speed that is lost in a second, as a rate: air and friction between threads. */
const DAMPING = 4;
/** What is wider than its ring grows into its hem in this time, s: folds then begin where the cloth bends easiest. */
const GROWING = 0.6;
/** Its threads are made longer every so many steps. */
const GROWS_EVERY = 24;

/**
 * Lets a flared sheet fall about its waist by small steps of extended position-based dynamics: the waist is held as a ring, what hangs keeps
 * out of the body under it, threads down and round keep their length, bend with ½ g c³ κ² per area, and turn on each other by their shear.
 * A thread that runs round is curved in the flat sheet already; only what it bends beyond that counts.
 *
 * Changes the sheet in place.
 *
 * @param steps how many steps of 1/2400 s
 * @returns the fastest node at the end, mm/s
 * @example fall(layFlared({ bendingLength: 20, shearStiffness: 40, arealDensity: 140 }, { circles: 1, waist: 700, length: 400 }, 8, 48), 10) > 0 // true
 */
export function fall(sheet: FlaredSheet, steps: number): number {
  const { position: p, velocity: v, columns, weight } = sheet;
  const nodes = weight.length;
  const before = new Float64Array(p.length);
  const w = weight.map((mass, node) => (node < columns ? 0 : 1 / mass));
  const bends = bendsOf(sheet, w);
  let threads = threadsOf(sheet, w);
  let diagonals = diagonalsOf(sheet, w);
  const body = sheet.shape.waist / (2 * Math.PI);
  const keep = Math.exp(-DAMPING * STEP);
  let fastest = 0;
  for (let s = 0; s < steps; s++) {
    before.set(p);
    if (sheet.grown < 1 && s % GROWS_EVERY === 0) {
      sheet.grown = Math.min(1, sheet.grown + (GROWS_EVERY * STEP) / GROWING);
      threads = threadsOf(sheet, w);
      diagonals = diagonalsOf(sheet, w);
    }
    for (let node = columns; node < nodes; node++) {
      const i = 3 * node;
      v[i + 2] = v[i + 2]! - GRAVITY_MM * STEP;
      p[i] = p[i]! + v[i]! * STEP;
      p[i + 1] = p[i + 1]! + v[i + 1]! * STEP;
      p[i + 2] = p[i + 2]! + v[i + 2]! * STEP;
    }
    bendAll(p, bends);
    holdAll(p, diagonals);
    for (let pass = 0; pass < PASSES; pass++) holdAll(p, threads);
    keepOrder(sheet);
    // Nothing hangs where the body is.
    for (let node = columns; node < nodes; node++) {
      const i = 3 * node;
      const out = Math.sqrt(p[i]! * p[i]! + p[i + 1]! * p[i + 1]!);
      if (out >= body || out < 1e-9) continue;
      p[i] = (p[i]! * body) / out;
      p[i + 1] = (p[i + 1]! * body) / out;
    }
    fastest = newVelocities(sheet, before, w, STEP, keep);
  }
  return fastest;
}

/** Pairs of nodes that are held at a distance: where each begins in the list of places, the distance, and what gives way. */
interface Holds {
  a: Int32Array;
  b: Int32Array;
  length: Float64Array;
  /** Inverse weights of both, over their sum and the compliance. */
  shareA: Float64Array;
  shareB: Float64Array;
}

/** Threads that keep their length, in the order in which it is given back: row by row, round (every second first), then down. */
function threadsOf(sheet: FlaredSheet, w: Float64Array): Holds {
  const { rows, columns, rest } = sheet;
  const pairs: [number, number, number][] = [];
  for (let row = 0; row <= rows; row++) {
    for (let odd = 0; odd < 2 && row > 0; odd++)
      for (let column = odd; column < columns; column += 2) {
        const a = row * columns + column;
        pairs.push([a, row * columns + ((column + 1) % columns), rest.round[a]! * grownAt(sheet, row)]);
      }
    for (let column = 0; column < columns && row < rows; column++) {
      const a = row * columns + column;
      pairs.push([a, a + columns, rest.down[a]!]);
    }
  }
  return holdsOf(pairs, w, 0);
}

/** Diagonals of all cells, which give way as the cloth shears. A wide sheet has no true ones before it has grown. */
function diagonalsOf({ rows, columns, rest, grown, shear }: FlaredSheet, w: Float64Array): Holds {
  const pairs: [number, number, number][] = [];
  for (let row = 0; row < rows && grown === 1; row++) {
    for (let column = 0; column < columns; column++) {
      const a = row * columns + column;
      const b = row * columns + ((column + 1) % columns);
      pairs.push([a, b + columns, rest.across[a]!], [b, a + columns, rest.back[a]!]);
    }
  }
  return holdsOf(pairs, w, 1 / (shear * STEP * STEP));
}

function holdsOf(pairs: readonly [number, number, number][], w: Float64Array, compliance: number): Holds {
  const share = (node: number, [a, b]: readonly [number, number, number]) => w[node]! / (w[a]! + w[b]! + compliance);
  return {
    a: Int32Array.from(pairs, ([a]) => 3 * a),
    b: Int32Array.from(pairs, ([, b]) => 3 * b),
    length: Float64Array.from(pairs, ([, , length]) => length),
    shareA: Float64Array.from(pairs, (pair) => share(pair[0], pair)),
    shareB: Float64Array.from(pairs, (pair) => share(pair[1], pair)),
  };
}

/** How much of its length a thread that runs round has, while a wide sheet grows out of its ring. */
function grownAt(sheet: FlaredSheet, row: number): number {
  if (sheet.grown >= 1) return 1;
  const { circles, waist } = sheet.shape;
  const radius = sheet.radius[row * sheet.columns]!;
  const start = waist / (2 * Math.PI) + radius - waist / (2 * Math.PI * circles);
  const from = start / (circles * radius);
  return from + (1 - from) * sheet.grown;
}

/** Pulls pairs of nodes toward their distances. */
function holdAll(p: Float64Array, { a, b, length, shareA, shareB }: Holds): void {
  for (let each = 0; each < a.length; each++) {
    const i = a[each]!;
    const k = b[each]!;
    const dx = p[k]! - p[i]!;
    const dy = p[k + 1]! - p[i + 1]!;
    const dz = p[k + 2]! - p[i + 2]!;
    const distance = Math.sqrt(dx * dx + dy * dy + dz * dz);
    if (distance < 1e-9) continue;
    const off = 1 - length[each]! / distance;
    const pushA = off * shareA[each]!;
    const pushB = off * shareB[each]!;
    p[i] = p[i]! + pushA * dx;
    p[i + 1] = p[i + 1]! + pushA * dy;
    p[i + 2] = p[i + 2]! + pushA * dz;
    p[k] = p[k]! - pushB * dx;
    p[k + 1] = p[k + 1]! - pushB * dy;
    p[k + 2] = p[k + 2]! - pushB * dz;
  }
}

/** What a node's curvature is read from: five nodes, where each begins in the list of places, their shares, and what each gives way. */
interface Bends {
  at: Int32Array;
  /** 1/mm². */
  shares: Float64Array;
  push: Float64Array;
}

const AT = 5;

/** Curvatures of all nodes below the waist, round and down; both vanish where the sheet lies flat. */
function bendsOf(sheet: FlaredSheet, w: Float64Array): Bends {
  const { rows, columns, radius, step, rest, weight, bendingRound, bendingDown } = sheet;
  const bends: { nodes: number[]; shares: number[]; compliance: number }[] = [];
  const cos = Math.cos(step);
  for (let row = 1; row <= rows; row++) {
    for (let column = 0; column < columns; column++) {
      const m = row * columns + column;
      const a = row * columns + ((column + columns - 1) % columns);
      const b = row * columns + ((column + 1) % columns);
      const [up, down] = [m - columns, row === rows ? m : m + columns];
      const stiff = weight[m]! * STEP * STEP;
      // Round: both neighbours, and of the line down as much as takes the flat sheet's own curve away.
      const [ra, rb, rm] = [radius[a]!, radius[b]!, radius[m]!];
      const h = (rest.round[a]! + rest.round[m]!) / 2;
      const sb = (2 * ra) / (ra + rb) / (h * h);
      const sa = (2 * rb) / (ra + rb) / (h * h);
      const along = (sa * (rm - ra * cos) + sb * (rm - rb * cos)) / (radius[down]! - radius[up]!);
      const middle = [-sa - sb, sa, sb];
      if (row === rows)
        bends.push({
          nodes: [m, a, b, up, up],
          shares: [middle[0]! + along, sa, sb, -along, 0],
          compliance: 1 / (bendingRound[row]! * stiff),
        });
      else
        bends.push({
          nodes: [m, a, b, up, down],
          shares: [...middle, -along, along],
          compliance: 1 / (bendingRound[row]! * stiff),
        });
      if (row === rows) continue;
      // Down: three nodes of a straight line, unevenly far apart.
      const [above, below] = [rest.down[up]!, rest.down[m]!];
      const [su, sd] = [2 / (above * (above + below)), 2 / (below * (above + below))];
      bends.push({ nodes: [m, up, down, up, up], shares: [-su - sd, su, sd, 0, 0], compliance: 1 / (bendingDown * stiff) });
    }
  }
  const pushes = bends.flatMap(({ nodes, shares, compliance }) => {
    const sum = nodes.reduce((all, node, k) => all + w[node]! * shares[k]! ** 2, compliance);
    return nodes.map((node, k) => (w[node]! * shares[k]!) / sum);
  });
  return {
    at: Int32Array.from(bends.flatMap(({ nodes }) => nodes.map((node) => 3 * node))),
    shares: Float64Array.from(bends.flatMap(({ shares }) => shares)),
    push: Float64Array.from(pushes),
  };
}

/** Straightens every node by its bending stiffness. */
function bendAll(p: Float64Array, { at, shares, push }: Bends): void {
  for (let from = 0; from < at.length; from += AT) {
    let x = 0;
    let y = 0;
    let z = 0;
    for (let k = from; k < from + AT; k++) {
      const i = at[k]!;
      const share = shares[k]!;
      x += share * p[i]!;
      y += share * p[i + 1]!;
      z += share * p[i + 2]!;
    }
    for (let k = from; k < from + AT; k++) {
      const i = at[k]!;
      const by = push[k]!;
      p[i] = p[i]! - by * x;
      p[i + 1] = p[i + 1]! - by * y;
      p[i + 2] = p[i + 2]! - by * z;
    }
  }
}

/**
 * Folds lie beside each other, not through each other: seen from above, a thread that runs round never turns back. What had turned back is
 * moved apart round the axis.
 */
function keepOrder({ position: p, rows, columns }: FlaredSheet): void {
  for (let row = 1; row <= rows; row++) {
    for (let column = 0; column < columns; column++) {
      const i = 3 * (row * columns + column);
      const k = 3 * (row * columns + ((column + 1) % columns));
      const turned = p[i]! * p[k + 1]! - p[i + 1]! * p[k]!;
      if (turned >= 0) continue;
      // Each is turned about the axis by half of the angle between them.
      const along = p[i]! * p[k]! + p[i + 1]! * p[k + 1]!;
      const half = Math.atan2(turned, along) / 2;
      turnAbout(p, i, half);
      turnAbout(p, k, -half);
    }
  }
}

function turnAbout(p: Float64Array, i: number, angle: number): void {
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  const x = p[i]!;
  const y = p[i + 1]!;
  p[i] = x * cos - y * sin;
  p[i + 1] = x * sin + y * cos;
}
