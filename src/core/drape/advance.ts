import { GRAVITY_MM, type DrapeSheet } from './sheet';
import { newVelocities } from './velocity';

/** Steps in a second. Four times as many move the drape by less than one part in a hundred (docs/science.md). */
export const STEPS_PER_SECOND = 4800;
const STEP = 1 / STEPS_PER_SECOND;
/** How often each thread is given back its length in a step: twice keeps all within half a per cent. */
const PASSES = 2;
/** Share of the speed that is lost in a second, as a rate: air and friction between threads. */
const DAMPING = 4;

/**
 * Lets a sheet move on under its own weight by small steps of extended position-based dynamics: each step moves
 * the nodes freely, then gives back the length of every warp and weft thread exactly, and bends and shears them by
 * their stiffness. The rest state is that of least energy: bending along warp and weft, shear, and height.
 *
 * Changes the sheet in place.
 *
 * @param steps how many steps of 1/4800 s
 * @returns the fastest node at the end, mm/s
 * @example advance(layFlat({ bendingLength: 20, shearStiffness: 10, arealDensity: 140 }, 'round', 400, 12), 10) > 0 // true
 */
export function advance(sheet: DrapeSheet, steps: number): number {
  const { position: p, velocity: v, free, cells } = sheet;
  const side = cells + 1;
  const spacing = sheet.size / cells;
  const before = new Float64Array(p.length);
  // A node weighs as much as one cell; 1 ÷ weight, with the areal density taken out of every term.
  const w = 1 / (spacing * spacing);
  const bendCompliance = (spacing * spacing) / sheet.bending / (STEP * STEP);
  const shearCompliance = 1 / sheet.shear / (STEP * STEP);
  const diagonal = spacing * Math.SQRT2;
  const keep = Math.exp(-DAMPING * STEP);
  let fastest = 0;
  for (let s = 0; s < steps; s++) {
    before.set(p);
    for (let node = 0; node < free.length; node++) {
      if (free[node] === 0) continue;
      const i = 3 * node;
      v[i + 2] = v[i + 2]! - GRAVITY_MM * STEP;
      p[i] = p[i]! + v[i]! * STEP;
      p[i + 1] = p[i + 1]! + v[i + 1]! * STEP;
      p[i + 2] = p[i + 2]! + v[i + 2]! * STEP;
    }
    for (let row = 0; row < side; row++) {
      for (let column = 1; column < cells; column++) bend(p, free, row * side + column, 1, bendCompliance, w);
    }
    for (let row = 1; row < cells; row++) {
      for (let column = 0; column < side; column++) bend(p, free, row * side + column, side, bendCompliance, w);
    }
    for (let row = 0; row < cells; row++) {
      for (let column = 0; column < cells; column++) {
        const node = row * side + column;
        hold(p, free, node, node + side + 1, diagonal, shearCompliance, w);
        hold(p, free, node + 1, node + side, diagonal, shearCompliance, w);
      }
    }
    // Every second thread first, then the others, so that a correction does not run along a whole thread.
    for (let pass = 0; pass < 2 * PASSES; pass++) {
      const odd = pass % 2;
      for (let row = 0; row < side; row++) {
        for (let column = odd; column < cells; column += 2) {
          hold(p, free, row * side + column, row * side + column + 1, spacing, 0, w);
        }
      }
      for (let row = odd; row < cells; row += 2) {
        for (let column = 0; column < side; column++) {
          hold(p, free, row * side + column, (row + 1) * side + column, spacing, 0, w);
        }
      }
    }
    if (sheet.support === 'corner') keepOutOfTable(p, free);
    evenOut(sheet);
    fastest = newVelocities(sheet, before, free, STEP, keep);
  }
  return fastest;
}

/** Pulls two nodes toward the given distance; compliance 0 gives it exactly. */
function hold(p: Float64Array, free: Uint8Array, a: number, b: number, length: number, compliance: number, w: number): void {
  const wa = free[a] === 1 ? w : 0;
  const wb = free[b] === 1 ? w : 0;
  const sum = wa + wb;
  if (sum === 0) return;
  const i = 3 * a;
  const k = 3 * b;
  const dx = p[k]! - p[i]!;
  const dy = p[k + 1]! - p[i + 1]!;
  const dz = p[k + 2]! - p[i + 2]!;
  const distance = Math.sqrt(dx * dx + dy * dy + dz * dz);
  if (distance < 1e-9) return;
  const push = (distance - length) / ((sum + compliance) * distance);
  p[i] = p[i]! + wa * push * dx;
  p[i + 1] = p[i + 1]! + wa * push * dy;
  p[i + 2] = p[i + 2]! + wa * push * dz;
  p[k] = p[k]! - wb * push * dx;
  p[k + 1] = p[k + 1]! - wb * push * dy;
  p[k + 2] = p[k + 2]! - wb * push * dz;
}

/** Straightens three nodes of one thread by its bending stiffness; `stride` is the step from node to node. */
function bend(p: Float64Array, free: Uint8Array, middle: number, stride: number, compliance: number, w: number): void {
  const wa = free[middle - stride] === 1 ? w : 0;
  const wm = free[middle] === 1 ? w : 0;
  const wb = free[middle + stride] === 1 ? w : 0;
  const sum = wa + 4 * wm + wb;
  if (sum === 0) return;
  const a = 3 * (middle - stride);
  const m = 3 * middle;
  const b = 3 * (middle + stride);
  // The gradient of |d| with d = a − 2m + b; its length cancels, so no direction is needed.
  const share = -1 / (sum + compliance);
  const x = (p[a]! - 2 * p[m]! + p[b]!) * share;
  const y = (p[a + 1]! - 2 * p[m + 1]! + p[b + 1]!) * share;
  const z = (p[a + 2]! - 2 * p[m + 2]! + p[b + 2]!) * share;
  p[a] = p[a]! + wa * x;
  p[a + 1] = p[a + 1]! + wa * y;
  p[a + 2] = p[a + 2]! + wa * z;
  p[m] = p[m]! - 2 * wm * x;
  p[m + 1] = p[m + 1]! - 2 * wm * y;
  p[m + 2] = p[m + 2]! - 2 * wm * z;
  p[b] = p[b]! + wb * x;
  p[b + 1] = p[b + 1]! + wb * y;
  p[b + 2] = p[b + 2]! + wb * z;
}

/** The table fills x < 0, y < 0, z < 0: a node inside is pushed out through the nearest face. */
function keepOutOfTable(p: Float64Array, free: Uint8Array): void {
  for (let node = 0; node < free.length; node++) {
    if (free[node] === 0) continue;
    const i = 3 * node;
    const x = p[i]!;
    const y = p[i + 1]!;
    const z = p[i + 2]!;
    if (x >= 0 || y >= 0 || z >= 0) continue;
    if (z >= x && z >= y) p[i + 2] = 0;
    else if (x >= y) p[i] = 0;
    else p[i + 1] = 0;
  }
}

/**
 * Averages the net with its mirror images. The order in which threads are given back their length would otherwise
 * grow into a lean that the cloth does not have. The corner has one mirror, the round stand eight.
 */
function evenOut({ position: p, cells, support }: DrapeSheet): void {
  const side = cells + 1;
  for (let row = 0; row < side; row++) {
    for (let column = 0; column < row; column++) {
      const a = 3 * (row * side + column);
      const b = 3 * (column * side + row);
      const x = (p[a]! + p[b + 1]!) / 2;
      const y = (p[a + 1]! + p[b]!) / 2;
      const z = (p[a + 2]! + p[b + 2]!) / 2;
      p[a] = x;
      p[a + 1] = y;
      p[a + 2] = z;
      p[b] = y;
      p[b + 1] = x;
      p[b + 2] = z;
    }
    const onAxis = 3 * (row * side + row);
    const mean = (p[onAxis]! + p[onAxis + 1]!) / 2;
    p[onAxis] = mean;
    p[onAxis + 1] = mean;
  }
  if (support === 'corner') return;
  for (let row = 0; row < side; row++) {
    for (let column = 0; column < side / 2; column++) {
      const a = 3 * (row * side + column);
      const b = 3 * (row * side + cells - column);
      const x = (p[a]! - p[b]!) / 2;
      const y = (p[a + 1]! + p[b + 1]!) / 2;
      const z = (p[a + 2]! + p[b + 2]!) / 2;
      p[a] = x;
      p[b] = -x;
      p[a + 1] = y;
      p[b + 1] = y;
      p[a + 2] = z;
      p[b + 2] = z;
    }
  }
  for (let row = 0; row < side / 2; row++) {
    for (let column = 0; column < side; column++) {
      const a = 3 * (row * side + column);
      const b = 3 * ((cells - row) * side + column);
      const x = (p[a]! + p[b]!) / 2;
      const y = (p[a + 1]! - p[b + 1]!) / 2;
      const z = (p[a + 2]! + p[b + 2]!) / 2;
      p[a] = x;
      p[b] = x;
      p[a + 1] = y;
      p[b + 1] = -y;
      p[a + 2] = z;
      p[b + 2] = z;
    }
  }
}
