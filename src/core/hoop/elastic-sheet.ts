import type { InPlane } from './tension';

/**
 * A rectangular sheet that is held all round, cut into equal cells. Nodes are counted row by row from below, cells too.
 */
export interface ElasticSheet {
  /** Cells across and up. */
  columns: number;
  rows: number;
  /** Size of a cell, mm. */
  dx: number;
  dy: number;
  inPlane: InPlane;
}

/** Pull that stitches exert on each cell, N/mm: xx, yy and xy of a symmetric tensor, cell by cell. */
export type PullField = Float64Array;

/** How far each node moves, mm: x and y, node by node. */
export interface Drift {
  moves: Float64Array;
  /** Rounds that solving took. */
  rounds: number;
}

/** Solved when the rest of the forces has fallen by this factor. */
const PRECISE = 1e-7;
const GAUSS = 1 / Math.sqrt(3);

/**
 * How far a held elastic sheet moves under the pull of stitches: linear plane stress, bilinear finite elements, conjugate
 * gradients with a diagonal preconditioner. Linear: twice the pull moves it twice as far.
 *
 * @param pull as an initial stress, N/mm
 * @returns nothing moves at the hoop
 * @example driftOf(sheet, pullOf(motif, sheet, 0, 0)).moves.length // 578
 */
export function driftOf(sheet: ElasticSheet, pull: PullField): Drift {
  const { columns, rows, dx, dy } = sheet;
  const across = columns + 1;
  const nodes = across * (rows + 1);
  const stiffness = elementStiffness(sheet);
  const force = new Float64Array(2 * nodes);
  // Forces of an initial stress: −∫ Bᵀ σ dA; for a bilinear element each node gets half a side on each axis.
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const k = 3 * (r * columns + c);
      const [xx, yy, xy] = [pull[k]!, pull[k + 1]!, pull[k + 2]!];
      if (xx === 0 && yy === 0 && xy === 0) continue;
      corners(r, c, across).forEach((node, i) => {
        const [sx, sy] = [SIGNS_X[i]!, SIGNS_Y[i]!];
        force[2 * node]! -= (sx * xx * dy) / 2 + (sy * xy * dx) / 2;
        force[2 * node + 1]! -= (sy * yy * dx) / 2 + (sx * xy * dy) / 2;
      });
    }
  const held = new Uint8Array(nodes);
  for (let r = 0; r <= rows; r++)
    for (let c = 0; c <= columns; c++) if (r === 0 || c === 0 || r === rows || c === columns) held[r * across + c] = 1;
  const clear = (values: Float64Array) => {
    for (let node = 0; node < nodes; node++) if (held[node] === 1) values[2 * node] = values[2 * node + 1] = 0;
  };
  clear(force);

  const moves = new Float64Array(2 * nodes);
  const rest = force.slice();
  const scale = diagonal(stiffness, columns, rows);
  const eased = rest.map((value, i) => value / scale[i]!);
  let search = eased.slice();
  const next = new Float64Array(2 * nodes);
  let size = dot(rest, eased);
  const goal = size * PRECISE * PRECISE;
  let rounds = 0;
  while (size > goal && size > 0 && rounds < 4 * (columns + rows) + 400) {
    apply(stiffness, columns, rows, search, next);
    clear(next);
    const step = size / dot(search, next);
    for (let i = 0; i < moves.length; i++) {
      moves[i]! += step * search[i]!;
      rest[i]! -= step * next[i]!;
      eased[i] = rest[i]! / scale[i]!;
    }
    const now = dot(rest, eased);
    const turn = now / size;
    const following = new Float64Array(search.length);
    for (let i = 0; i < search.length; i++) following[i] = eased[i]! + turn * search[i]!;
    search = following;
    size = now;
    rounds++;
  }
  return { moves, rounds };
}

/**
 * Strain in the middle of each cell: xx, yy, xy (half the shear), cell by cell.
 *
 * @example strainsOf(sheet, new Float64Array(2 * 17 * 17)).every((strain) => strain === 0) // true
 */
export function strainsOf({ columns, rows, dx, dy }: ElasticSheet, moves: Float64Array): Float64Array {
  const across = columns + 1;
  const strains = new Float64Array(3 * columns * rows);
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      let [xx, yy, xy] = [0, 0, 0];
      corners(r, c, across).forEach((node, i) => {
        const [gx, gy] = [SIGNS_X[i]! / (2 * dx), SIGNS_Y[i]! / (2 * dy)];
        xx += gx * moves[2 * node]!;
        yy += gy * moves[2 * node + 1]!;
        xy += (gy * moves[2 * node]! + gx * moves[2 * node + 1]!) / 2;
      });
      strains.set([xx, yy, xy], 3 * (r * columns + c));
    }
  return strains;
}

/** Corners of a cell, counter-clockwise from lower left, and on which side of its middle they lie. */
const SIGNS_X = [-1, 1, 1, -1];
const SIGNS_Y = [-1, -1, 1, 1];
function corners(r: number, c: number, across: number): [number, number, number, number] {
  const low = r * across + c;
  return [low, low + 1, low + across + 1, low + across];
}

/** Stiffness of one cell, 8 × 8, by 2 × 2 Gauss points. All cells are the same. */
function elementStiffness({ dx, dy, inPlane: c }: ElasticSheet): Float64Array {
  const k = new Float64Array(64);
  for (const gx of [-GAUSS, GAUSS])
    for (const gy of [-GAUSS, GAUSS]) {
      const slopes = SIGNS_X.map((sx, i) => [
        (sx * (1 + SIGNS_Y[i]! * gy)) / 4 / (dx / 2),
        (SIGNS_Y[i]! * (1 + sx * gx)) / 4 / (dy / 2),
      ]);
      const weight = (dx * dy) / 4;
      for (let i = 0; i < 4; i++)
        for (let j = 0; j < 4; j++) {
          const [ix, iy] = slopes[i] as [number, number];
          const [jx, jy] = slopes[j] as [number, number];
          k[2 * i * 8 + 2 * j]! += weight * (ix * c.xx * jx + iy * c.shear * jy);
          k[2 * i * 8 + 2 * j + 1]! += weight * (ix * c.xy * jy + iy * c.shear * jx);
          k[(2 * i + 1) * 8 + 2 * j]! += weight * (iy * c.xy * jx + ix * c.shear * jy);
          k[(2 * i + 1) * 8 + 2 * j + 1]! += weight * (iy * c.yy * jy + ix * c.shear * jx);
        }
    }
  return k;
}

function apply(k: Float64Array, columns: number, rows: number, u: Float64Array, out: Float64Array): void {
  const across = columns + 1;
  out.fill(0);
  const local = new Float64Array(8);
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const low = 2 * (r * across + c);
      const high = low + 2 * across;
      local[0] = u[low]!;
      local[1] = u[low + 1]!;
      local[2] = u[low + 2]!;
      local[3] = u[low + 3]!;
      local[4] = u[high + 2]!;
      local[5] = u[high + 3]!;
      local[6] = u[high]!;
      local[7] = u[high + 1]!;
      for (let i = 0; i < 8; i++) {
        let sum = 0;
        const row = 8 * i;
        for (let j = 0; j < 8; j++) sum += k[row + j]! * local[j]!;
        out[i < 4 ? low + i : i < 6 ? high + i - 2 : high + i - 6]! += sum;
      }
    }
}

function diagonal(k: Float64Array, columns: number, rows: number): Float64Array {
  const across = columns + 1;
  const sum = new Float64Array(2 * across * (rows + 1));
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++)
      corners(r, c, across).forEach((node, i) => {
        sum[2 * node]! += k[2 * i * 8 + 2 * i]!;
        sum[2 * node + 1]! += k[(2 * i + 1) * 8 + 2 * i + 1]!;
      });
  return sum;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}
