import { InputError, requireNumber } from '../input-error';
import { seeded } from '../random';
import { GRAVITY_MM, type SheetCloth } from './sheet';

/** What a flared sheet is cut as: so many circles onto a waist. Lengths mm. */
export interface FlaredShape {
  circles: number;
  /** Length of the seam that it hangs from. */
  waist: number;
  /** From that seam to the hem. */
  length: number;
  /** How much longer it is behind than in front. */
  behind?: number;
}

/** A braid in the hem. */
export interface HemBraid {
  /** mm. */
  width: number;
  /** g/m². */
  arealDensity: number;
  /** µN·m, of a strip a metre wide it is µN·m²: what each metre of its width resists bending with. */
  rigidity: number;
}

/** A flared sheet as a net of threads that run down and round, and where it has got to. Lengths mm, times s, z upward, front along −y. */
export interface FlaredSheet {
  readonly shape: Required<FlaredShape>;
  /** Cells from waist to hem, and round. */
  readonly rows: number;
  readonly columns: number;
  /** Radius of each node in the flat sheet, row by row from the waist; column 0 lies in front. */
  readonly radius: Float64Array;
  /** Part of the circle between two columns, radians in the flat sheet. */
  readonly step: number;
  /** From each node to the next round, to the one below, and from there across to the next column and to the one before, in the flat sheet. */
  readonly rest: { round: Float64Array; down: Float64Array; across: Float64Array; back: Float64Array };
  /** x, y, z of each node, row by row from the waist. */
  readonly position: Float64Array;
  readonly velocity: Float64Array;
  /** Mass of each node over the cloth's areal density, mm². */
  readonly weight: Float64Array;
  /** Bending stiffness of the threads that run round, over areal density, of each row; and of those that run down. mm⁴/s². */
  readonly bendingRound: Float64Array;
  bendingDown: number;
  /** Shear stiffness over areal density, mm²/s². */
  shear: number;
  /** How much of its hem has grown out of the ring that it started as, 0–1. */
  grown: number;
}

/** Coarsest and finest nets that are solved, cells. */
const ROWS = { min: 4, max: 40 };
const COLUMNS = { min: 24, max: 400 };
/** Least height of the last row, which is as high as a narrow braid, mm. */
const LEAST_ROW = 6;
/** A waist is never a perfect ring: by so much a node starts out of its place, as a share of a cell. */
const UNEVEN = 0.02;

/** A fold takes so much of the hem that cells of this width still see it, mm; and no net is finer or coarser than these. */
const CELL = 48;
const NET = { rows: { min: 6, max: 10 }, columns: { min: 48, max: 144 } };

/**
 * The net for a flared sheet: fine enough for the folds of its hem, coarse enough to be watched.
 *
 * @example flaredNet({ circles: 1, waist: 700, length: 400 }) // { rows: 8, columns: 68 }
 */
export function flaredNet({ circles, waist, length, behind = 0 }: FlaredShape): { rows: number; columns: number } {
  const hem = waist + 2 * Math.PI * circles * (length + behind / 2);
  const between = (value: number, { min, max }: { min: number; max: number }) => Math.min(max, Math.max(min, value));
  return {
    rows: between(Math.round(length / 50), NET.rows),
    columns: between(4 * Math.round(hem / CELL / 4), NET.columns),
  };
}

/**
 * Lays a flared sheet out around the ring that it will hang from: flat for a circle and more, as its cone for less. Its last row is as high
 * as the braid in its hem.
 *
 * @param rows 4–40 @param columns 24–400, a multiple of 4 @param seed of the unevenness from which folds grow
 * @throws {InputError} naming the measure
 * @example layFlared({ bendingLength: 20, shearStiffness: 40, arealDensity: 140 }, { circles: 1, waist: 700, length: 400 }, 8, 48).radius.length // 432
 */
export function layFlared(
  cloth: SheetCloth,
  { circles, waist, length, behind = 0 }: FlaredShape,
  rows: number,
  columns: number,
  braid: HemBraid | null = null,
  seed = 1,
): FlaredSheet {
  requireNumber('circles', circles, '', { min: 0.1, max: 12 });
  requireNumber('waist', waist, 'mm', { min: 20, max: 10_000 });
  requireNumber('length', length, 'mm', { min: 10, max: 5000 });
  requireNumber('behind', behind, 'mm', { min: 0, max: 5000 });
  requireWhole('rows', rows, ROWS);
  requireWhole('columns', columns, COLUMNS);
  const inner = waist / (2 * Math.PI * circles);
  const last = braid ? Math.min(Math.max(braid.width, LEAST_ROW), length / rows) : length / rows;
  const step = (2 * Math.PI * circles) / columns;
  const nodes = (rows + 1) * columns;
  const radius = new Float64Array(nodes);
  const position = new Float64Array(3 * nodes);
  const chance = seeded(seed);
  const slope = Math.asin(Math.min(1, circles));
  for (let row = 0; row <= rows; row++) {
    for (let column = 0; column < columns; column++) {
      const turn = (2 * Math.PI * column) / columns;
      const whole = length + (behind * (1 - Math.cos(turn))) / 2;
      const along = row === rows ? whole : (row * (whole - last)) / (rows - 1);
      const node = row * columns + column;
      radius[node] = inner + along;
      const out = waist / (2 * Math.PI) + along * Math.sin(slope);
      const uneven = row === 0 ? 0 : UNEVEN * (length / rows) * (chance() - 0.5);
      position[3 * node] = out * Math.sin(turn);
      position[3 * node + 1] = -out * Math.cos(turn);
      position[3 * node + 2] = -along * Math.cos(slope) + uneven;
    }
  }
  const sheet: FlaredSheet = {
    ...{ shape: { circles, waist, length, behind }, rows, columns, radius, step, position },
    rest: restOf(radius, rows, columns, step),
    velocity: new Float64Array(3 * nodes),
    weight: new Float64Array(nodes),
    bendingRound: new Float64Array(rows + 1),
    ...{ bendingDown: 0, shear: 0, grown: circles > 1 ? 0 : 1 },
  };
  setFlaredCloth(sheet, cloth, braid);
  return sheet;
}

/** What a flared sheet and its hem are made of. @throws {InputError} naming the figure */
function setFlaredCloth(
  sheet: FlaredSheet,
  { bendingLength, shearStiffness, arealDensity }: SheetCloth,
  braid: HemBraid | null = null,
): void {
  requireNumber('bendingLength', bendingLength, 'mm', { above: 0, max: 1000 });
  requireNumber('shearStiffness', shearStiffness, 'N/m', { above: 0, max: 1e6 });
  requireNumber('arealDensity', arealDensity, 'g/m²', { above: 0, max: 5000 });
  const { rows, columns, radius, step, weight, bendingRound } = sheet;
  sheet.bendingDown = GRAVITY_MM * bendingLength ** 3;
  sheet.shear = (shearStiffness / (arealDensity / 1000)) * 1e6;
  weight.fill(0);
  const covered = coveredBy(sheet, braid?.width ?? 0);
  const more = braid ? braid.arealDensity / arealDensity : 0;
  for (let row = 0; row < rows; row++) {
    // A cell's mass is shared by its upper and its lower edge.
    const denser = 1 + more * covered[row]!;
    for (let column = 0; column < columns; column++) {
      const [up, down] = [row * columns + column, (row + 1) * columns + column];
      const area = denser * (radius[down]! - radius[up]!) * step * ((radius[up]! + radius[down]!) / 2);
      weight[up]! += area / 2;
      weight[down]! += area / 2;
    }
  }
  // 1 µN·m is 10⁻⁶ kg m²/s², 1 g/m² is 10⁻³ kg/m²: their ratio is 10⁻³ m⁴/s², 10⁹ mm⁴/s².
  const stiffer = braid ? (braid.rigidity / arealDensity) * 1e9 : 0;
  for (let row = 0; row <= rows; row++) {
    // A thread stands for half of the cells above it and half of those below.
    const [above, below] = [row > 0 ? heightOf(sheet, row - 1) : 0, row < rows ? heightOf(sheet, row) : 0];
    const share = ((covered[row - 1] ?? 0) * above + (covered[row] ?? 0) * below) / (above + below);
    bendingRound[row] = sheet.bendingDown + stiffer * share;
  }
}

/** Height of a row of cells in front, mm. */
const heightOf = ({ columns, radius }: FlaredSheet, row: number) => radius[(row + 1) * columns]! - radius[row * columns]!;

/** Share of each row of cells that lies under a strip along the hem. */
function coveredBy(sheet: FlaredSheet, width: number): number[] {
  const { rows, columns, radius } = sheet;
  const hem = radius[rows * columns]!;
  return Array.from({ length: rows }, (_, row) => {
    const below = hem - radius[(row + 1) * columns]!;
    return Math.min(1, Math.max(0, (width - below) / heightOf(sheet, row)));
  });
}

function restOf(radius: Float64Array, rows: number, columns: number, step: number): FlaredSheet['rest'] {
  const cos = Math.cos(step);
  const far = (a: number, b: number) => Math.sqrt(a * a + b * b - 2 * a * b * cos);
  const nodes = radius.length;
  const rest = { round: new Float64Array(nodes), down: new Float64Array(nodes), across: new Float64Array(nodes), back: new Float64Array(nodes) }; // prettier-ignore
  for (let row = 0; row <= rows; row++) {
    for (let column = 0; column < columns; column++) {
      const node = row * columns + column;
      const next = row * columns + ((column + 1) % columns);
      rest.round[node] = far(radius[node]!, radius[next]!);
      if (row === rows) continue;
      rest.down[node] = radius[node + columns]! - radius[node]!;
      rest.across[node] = far(radius[node]!, radius[next + columns]!);
      rest.back[node] = far(radius[next]!, radius[node + columns]!);
    }
  }
  return rest;
}

function requireWhole(field: string, value: number, { min, max }: { min: number; max: number }): void {
  requireNumber(field, value, '', { min, max });
  if (!Number.isInteger(value)) throw new InputError(field, `must be a whole number, saw ${value}`);
}
