import { motifFigures, widerBox, type Motif } from '../motif';
import { driftOf, strainsOf, type ElasticSheet } from './elastic-sheet';
import { pullOf } from './pull';
import type { InPlane } from './tension';

/** What the sheet does under the motif. */
export interface DriftMap {
  /** Left and lower edge of the window that the hoop holds, and size of a cell, mm. */
  minX: number;
  minY: number;
  dx: number;
  dy: number;
  columns: number;
  rows: number;
  /** How far each node moves, mm: x and y, (columns + 1) × (rows + 1) nodes row by row from below. */
  moves: Float64Array;
  /** Largest move, and where it begins, mm. */
  most: { drift: number; x: number; y: number };
  /** Shortening that the sheet cannot take up flat, in each cell, as a share. */
  pucker: Float64Array;
  /** Area on which it is more than a hundredth, mm². */
  puckered: number;
  /** Largest of it, as a share. */
  worst: number;
}

export interface DriftOptions {
  motif: Motif;
  /** Inside of the hoop, mm, in the motif's place. */
  window: { minX: number; minY: number; maxX: number; maxY: number };
  inPlane: InPlane;
  /** Flexural rigidity of what is held, µN·m. */
  rigidity: number;
  /** It is drawn drum-tight; floated cloth is not. */
  taut: boolean;
  /** Cells along the longer side. */
  cells?: number;
  /** Records that are sewn so far. */
  upTo?: number;
}

const USUAL_CELLS = 48;
/** Drum-tight cloth is stretched by about this much, and so much shortening only slackens it. */
const TAUT = 0.01;
/** Puckers are about this wide, mm. */
const PUCKER_WIDTH = 8;
const SEEN = 0.01;

/**
 * How far a motif draws its ground together, and where that cannot stay flat.
 *
 * Each stitch pulls on an elastic sheet held at the hoop ({@link driftOf}); where the sheet is shortened by more than its tautness
 * and its own stiffness against buckling (a strip of rigidity G buckles in waves of width λ at the force 4π²G/λ²) take up, it puckers.
 *
 * @returns figures that are good for comparing stacks; their size is right within a factor of two
 * @example driftMap({ motif, window: { minX: -40, minY: -40, maxX: 60, maxY: 60 }, inPlane: clothInPlane(poplin), rigidity: 10, taut: true, cells: 16 }).most.drift > 0 // true
 */
export function driftMap({ motif, window, inPlane, rigidity, taut, cells = USUAL_CELLS, upTo }: DriftOptions): DriftMap {
  const [width, height] = [window.maxX - window.minX, window.maxY - window.minY];
  const side = Math.max(width, height) / cells;
  const columns = Math.max(4, Math.round(width / side));
  const rows = Math.max(4, Math.round(height / side));
  const sheet: ElasticSheet = { columns, rows, dx: width / columns, dy: height / rows, inPlane };
  const { moves } = driftOf(sheet, pullOf(motif, sheet, window.minX, window.minY, upTo));
  const most = { drift: 0, x: 0, y: 0 };
  for (let node = 0; node < moves.length / 2; node++) {
    const drift = Math.hypot(moves[2 * node]!, moves[2 * node + 1]!);
    if (drift <= most.drift) continue;
    most.drift = drift;
    most.x = window.minX + (node % (columns + 1)) * sheet.dx;
    most.y = window.minY + Math.floor(node / (columns + 1)) * sheet.dy;
  }
  const strains = strainsOf(sheet, moves);
  const pucker = new Float64Array(columns * rows);
  // µN·m = 10⁻³ N·mm.
  const buckling = (4 * Math.PI ** 2 * rigidity * 1e-3) / PUCKER_WIDTH ** 2;
  const allowed = (taut ? TAUT : 0) + buckling / Math.sqrt(inPlane.xx * inPlane.yy);
  let [worst, puckered] = [0, 0];
  for (let k = 0; k < pucker.length; k++) {
    const [xx, yy, xy] = [strains[3 * k]!, strains[3 * k + 1]!, strains[3 * k + 2]!];
    // The smaller principal strain: how much the cell is shortened in the direction in which it is shortened most.
    const shortened = -((xx + yy) / 2 - Math.hypot((xx - yy) / 2, xy));
    const over = Math.max(0, shortened - allowed);
    pucker[k] = over;
    if (over > worst) worst = over;
    if (over > SEEN) puckered += sheet.dx * sheet.dy;
  }
  return {
    ...{ minX: window.minX, minY: window.minY, dx: sheet.dx, dy: sheet.dy, columns, rows },
    ...{ moves, most, pucker, puckered, worst },
  };
}

/** Window of a hoop when none is chosen: the motif and this much round it, mm. */
const ROOM = 25;
/**
 * The window in which a motif's ground is looked at: its box and some room, mm; undefined for a motif that sews nothing.
 *
 * @example windowAround(motif) !== undefined // true
 */
export function windowAround(motif: Motif): DriftOptions['window'] | undefined {
  const { bounds } = motifFigures(motif);
  return bounds && widerBox(bounds, ROOM);
}
