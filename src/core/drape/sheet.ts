import { InputError, requireNumber } from '../input-error';

export const SUPPORTS = ['corner', 'round'] as const;
/** What the square lies on: the corner of a table, or a round stand under its middle. */
export type Support = (typeof SUPPORTS)[number];

/** A square of cloth as a net of warp and weft, and where it has got to. Lengths mm, times s, z upward. */
export interface DrapeSheet {
  /** Cells along a side; even, so that a thread runs over the table's edge. */
  readonly cells: number;
  /** Side, mm. */
  readonly size: number;
  readonly support: Support;
  /** Radius of the round stand, mm. */
  readonly radius: number;
  /** x, y, z of each node, row by row along y. */
  readonly position: Float64Array;
  readonly velocity: Float64Array;
  /** 1 for nodes that hang free, 0 for those that lie on the support. */
  readonly free: Uint8Array;
  /** Bending stiffness ÷ areal density, mm⁴/s²: gravity times the cube of the bending length. */
  bending: number;
  /** Shear stiffness ÷ areal density, mm²/s². */
  shear: number;
}

/** What decides how a sheet drapes. */
export interface SheetCloth {
  /** mm. */
  bendingLength: number;
  /** N/m. */
  shearStiffness: number;
  /** g/m². */
  arealDensity: number;
}

/** Gravity, mm/s². */
export const GRAVITY_MM = 9810;

/** Coarsest and finest nets that are solved. */
const CELLS = { min: 8, max: 64 };
/**
 * Nodes are held up to half a cell beyond the round stand. A thread bends at its last held node, which on average
 * lies half a cell inside; so the cloth leaves the stand at its true radius, however fine the net.
 */
const HOLD_BEYOND = 0.5;

/**
 * Lays a square flat on its support. The part that lies on the support is held there, as by a second plate or a
 * few weights.
 *
 * @param size side of the square, mm, 100–1000 @param cells even, 8–64 @param radius of the round stand, mm
 * @throws {InputError} naming the value
 * @example layFlat({ bendingLength: 20, shearStiffness: 10, arealDensity: 140 }, 'round', 400, 12).cells // 12
 */
export function layFlat(cloth: SheetCloth, support: Support, size: number, cells: number, radius = size * 0.225): DrapeSheet {
  requireNumber('size', size, 'mm', { min: 100, max: 1000 });
  requireNumber('cells', cells, '', { min: CELLS.min, max: CELLS.max });
  if (!Number.isInteger(cells) || cells % 2 === 1) throw new InputError('cells', `must be an even whole number, saw ${cells}`);
  requireNumber('radius', radius, 'mm', { above: 0, max: size / 2 });
  const side = cells + 1;
  const step = size / cells;
  const position = new Float64Array(side * side * 3);
  const free = new Uint8Array(side * side);
  for (let row = 0; row < side; row++) {
    for (let column = 0; column < side; column++) {
      const x = column * step - size / 2;
      const y = row * step - size / 2;
      const node = row * side + column;
      position[3 * node] = x;
      position[3 * node + 1] = y;
      const held = support === 'round' ? Math.hypot(x, y) <= radius + HOLD_BEYOND * step : x <= 1e-9 && y <= 1e-9;
      free[node] = held ? 0 : 1;
    }
  }
  const sheet: DrapeSheet = {
    cells,
    size,
    support,
    radius,
    position,
    velocity: new Float64Array(position.length),
    free,
    bending: 0,
    shear: 0,
  };
  setCloth(sheet, cloth);
  return sheet;
}

/**
 * Changes what the sheet is made of; it goes on draping from where it is.
 *
 * @example setCloth(layFlat({ bendingLength: 20, shearStiffness: 10, arealDensity: 140 }, 'round', 400, 12), { bendingLength: 30, shearStiffness: 10, arealDensity: 140 }) // undefined
 */
export function setCloth(sheet: DrapeSheet, { bendingLength, shearStiffness, arealDensity }: SheetCloth): void {
  requireNumber('bendingLength', bendingLength, 'mm', { above: 0, max: 1000 });
  requireNumber('shearStiffness', shearStiffness, 'N/m', { above: 0, max: 1e6 });
  requireNumber('arealDensity', arealDensity, 'g/m²', { above: 0, max: 5000 });
  sheet.bending = GRAVITY_MM * bendingLength ** 3;
  // N/m ÷ kg/m² = m²/s², in mm²/s².
  sheet.shear = (shearStiffness / (arealDensity / 1000)) * 1e6;
}
