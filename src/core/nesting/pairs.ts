import type { Orientation } from './orientation';
import type { Laying } from './laying';
import type { NoFitTable } from './no-fit';
import type { Positions } from './positions';

/** Overlaps less deep than this count as touching, mm: far below what a checker or scissors can tell. */
export const TOUCHING = 1e-5;

/** Pairs that still overlap grow dearer by this factor a round, the deepest by the larger one, the others cheaper. */
const DEARER = 1.2;
const DEEPEST_DEARER = 1.6;
const CHEAPER = 0.9;

/** How deep every pair of pieces overlaps where they lie now, and how dear each overlap has become. */
export class Pairs {
  /** Sum of all depths when they were last measured, mm. */
  total = Infinity;
  /** Of the pair i, j at i · count + j; the same at j · count + i. */
  readonly weights: Float64Array;
  readonly depths: Float64Array;
  /** Box of every laying outline where it lies: minX, minY, maxX, maxY; most pairs are told apart by it alone. */
  readonly boxes: Float64Array;
  /** What has moved since depths were measured. */
  private readonly moved: Uint8Array;
  private readonly orientations: readonly Orientation[];
  private readonly table: NoFitTable;
  private readonly movable: number;

  constructor(
    { orientations, table, movable }: Laying,
    private readonly positions: Positions,
  ) {
    this.orientations = orientations;
    this.table = table;
    this.movable = movable;
    this.weights = new Float64Array(positions.count * positions.count).fill(1);
    this.depths = new Float64Array(positions.count * positions.count);
    this.boxes = new Float64Array(4 * positions.count);
    this.moved = new Uint8Array(positions.count);
  }

  /** Takes note that something lies elsewhere now. */
  update(i: number): void {
    const { orientation, x, y } = this.positions;
    const at = 4 * i;
    this.moved[i] = 1;
    if (orientation[i]! < 0) {
      this.boxes.fill(Infinity, at, at + 4);
      return;
    }
    const { reach } = this.orientations[orientation[i]!]!;
    this.boxes[at] = reach.minX + x[i]!;
    this.boxes[at + 1] = reach.minY + y[i]!;
    this.boxes[at + 2] = reach.maxX + x[i]!;
    this.boxes[at + 3] = reach.maxY + y[i]!;
  }

  /** Depth of every pair, and their sum. To be called when spots were changed from outside. */
  measure(): void {
    for (let i = 0; i < this.positions.count; i++) this.update(i);
    this.measureMoved();
  }

  /** As `measure`, where only what has moved since is looked at. */
  measureMoved(): void {
    const { orientation, x, y, count } = this.positions;
    const { depths, moved, table } = this;
    let total = 0;
    for (let i = 0; i < Math.min(count, this.movable); i++) {
      for (let j = i + 1; j < count; j++) {
        if (moved[i] === 1 || moved[j] === 1) {
          const depth = this.areApart(i, j) ? 0 : table.depth(orientation[i]!, x[i]!, y[i]!, orientation[j]!, x[j]!, y[j]!);
          depths[i * count + j] = depth;
          depths[j * count + i] = depth;
        }
        total += depths[i * count + j]!;
      }
    }
    moved.fill(0);
    table.work += count * count * 0.2;
    this.total = total;
  }

  /** Whether two things lie apart by their boxes alone. */
  areApart(i: number, j: number): boolean {
    const { boxes } = this;
    const a = 4 * i;
    const b = 4 * j;
    return (
      boxes[a]! >= boxes[b + 2]! || boxes[b]! >= boxes[a + 2]! || boxes[a + 1]! >= boxes[b + 3]! || boxes[b + 1]! >= boxes[a + 3]!
    );
  }

  /** Whether something overlapped anything when depths were last measured. */
  overlaps(i: number): boolean {
    const { count } = this.positions;
    for (let j = 0; j < count; j++) if (this.depths[i * count + j]! > TOUCHING) return true;
    return false;
  }

  /** Forgets what was learnt about pairs. */
  forget(): void {
    this.weights.fill(1);
  }

  /** Pairs that overlap grow dearer, the others cheaper again. */
  reweigh(): void {
    let most = 0;
    for (const depth of this.depths) if (depth > most) most = depth;
    for (let k = 0; k < this.weights.length; k++) {
      const depth = this.depths[k]!;
      this.weights[k] =
        depth > TOUCHING
          ? this.weights[k]! * (DEARER + (DEEPEST_DEARER - DEARER) * (depth / most))
          : Math.max(1, this.weights[k]! * CHEAPER);
    }
  }
}
