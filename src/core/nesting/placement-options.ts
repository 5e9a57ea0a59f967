import type { Orientation } from './orientation';
import type { Laying } from './laying';
import type { NoFitTable } from './no-fit';
import type { Pairs } from './pairs';
import type { WayOut } from './no-fit-regions';
import type { Positions } from './positions';

/** How often the direction changes when a place is followed along, across, along. */
const ALTERNATIONS = 4;
/** How far a place is followed along one line, in sizes of the piece: what lies further off only costs time. */
const FAR = 1.5;
/** Steps straight out of the deepest overlap of one piece. */
const STEPS_OUT = 10;
/** Ends of stretches on one line that are looked at. */
const MOST_ENDS = 1 << 14;

/** A place for one piece, and what its weighted overlaps sum to there. */
export interface PlacementOption {
  orientation: number;
  x: number;
  y: number;
  cost: number;
}

/** What a place costs while everything else lies still, and the way from one to a better one near by. */
export class PlacementOptions {
  private readonly out: WayOut = { depth: 0, dx: 0, dy: 0 };
  /** Scratch of `bestAlong`. */
  private readonly ends = new Float64Array(MOST_ENDS);
  private readonly orientations: readonly Orientation[];
  private readonly table: NoFitTable;
  private readonly width: number;

  /** @param length of the cloth that may be used, mm; may be changed from outside */
  constructor(
    { orientations, table, width }: Laying,
    private readonly positions: Positions,
    private readonly pairs: Pairs,
    public length: number,
  ) {
    this.orientations = orientations;
    this.table = table;
    this.width = width;
  }

  /** Weighted overlap of piece i with its form f at this place; stops counting at `bound`. */
  cost(i: number, f: number, px: number, py: number, bound: number): number {
    const { orientation, x, y, count } = this.positions;
    const { table } = this;
    const { boxes, weights } = this.pairs;
    const { reach } = this.orientations[f]!;
    const left = px + reach.minX;
    const low = py + reach.minY;
    const right = px + reach.maxX;
    const high = py + reach.maxY;
    const row = i * count;
    let sum = 0;
    table.work += 0.3 * count;
    for (let j = 0, k = 0; j < count; j++, k += 4) {
      if (boxes[k]! >= right || boxes[k + 2]! <= left || boxes[k + 1]! >= high || boxes[k + 3]! <= low || j === i) continue;
      const depth = table.depth(orientation[j]!, x[j]!, y[j]!, f, px, py);
      if (depth > 0) {
        sum += depth * weights[row + j]!;
        if (sum >= bound) return sum;
      }
    }
    return sum;
  }

  /** Goes to the best place along, then across, in turn, as long as that helps. */
  descend(i: number, from: PlacementOption): void {
    let stuck = 0;
    for (let k = 0; k < ALTERNATIONS && from.cost > 0 && stuck < 2; k++) {
      const axis = k % 2 === 0 ? 0 : 1;
      const here = axis === 0 ? from.x : from.y;
      const at = this.bestAlong(i, from.orientation, axis, here, axis === 0 ? from.y : from.x);
      const px = axis === 0 ? at : from.x;
      const py = axis === 0 ? from.y : at;
      const cost = at === here ? from.cost : this.cost(i, from.orientation, px, py, from.cost);
      if (cost < from.cost) {
        from.x = px;
        from.y = py;
        from.cost = cost;
        stuck = 0;
      } else stuck++;
    }
  }

  /**
   * Best place for a form on a line along x (axis 0) at height `at`, or along y (axis 1): where the weighted ways out
   * along that line sum to the least. Between two ends of no-fit stretches that sum is concave, so only ends are asked,
   * after the place where it lies now, `here`: what is worse than that is soon told.
   */
  private bestAlong(i: number, f: number, axis: 0 | 1, here: number, at: number): number {
    const { orientation, x, y, count } = this.positions;
    const { table, ends } = this;
    const { boxes, weights } = this.pairs;
    const { box, reach } = this.orientations[f]!;
    const size = axis === 0 ? box.maxX - box.minX : box.maxY - box.minY;
    const low = Math.max(here - FAR * size, axis === 0 ? -box.minX : -box.minY);
    const high = Math.min(here + FAR * size, axis === 0 ? this.width - box.maxX : this.length - box.maxY);
    // What is met on the way: across the line, and along it.
    const acrossFrom = at + (axis === 0 ? reach.minY : reach.minX);
    const acrossTo = at + (axis === 0 ? reach.maxY : reach.maxX);
    const alongFrom = low + (axis === 0 ? reach.minX : reach.minY);
    const alongTo = high + (axis === 0 ? reach.maxX : reach.maxY);
    const { stretches } = table;
    let n = 0;
    for (let j = 0; j < count; j++) {
      const across = 4 * j + (axis === 0 ? 1 : 0);
      const along = 4 * j + axis;
      if (boxes[across]! >= acrossTo || boxes[across + 2]! <= acrossFrom || j === i) continue;
      if (boxes[along]! >= alongTo || boxes[along + 2]! <= alongFrom) continue;
      const offset = axis === 0 ? x[j]! : y[j]!;
      const line = at - (axis === 0 ? y[j]! : x[j]!);
      n = table.stretchesOn(orientation[j]!, f, axis, line, offset, weights[i * count + j]!, n);
    }
    ends[0] = here;
    ends[1] = low;
    ends[2] = high;
    let asked = 3;
    for (let k = 0; k < 3 * n && asked < MOST_ENDS - 1; k += 3) {
      const start = stretches[k]!;
      const end = stretches[k + 1]!;
      if (start >= low && start <= high) ends[asked++] = start;
      if (end >= low && end <= high) ends[asked++] = end;
    }
    table.work += 0.3 * count + 0.15 * n * asked;
    let best = here;
    let least = Infinity;
    for (let c = 0; c < asked; c++) {
      const p = ends[c]!;
      let sum = 0;
      for (let k = 0; k < 3 * n; k += 3) {
        const before = p - stretches[k]!;
        const after = stretches[k + 1]! - p;
        const way = before < after ? before : after;
        if (way <= 0) continue;
        sum += way * stretches[k + 2]!;
        if (sum < least) continue;
        // What ruled this place out is likely to rule out the next: it is asked sooner.
        exchangeTriples(stretches, k, 3 * Math.floor(k / 6));
        break;
      }
      if (sum >= least) continue;
      least = sum;
      best = p;
      if (sum === 0) break;
    }
    return best;
  }

  /** Leaves the deepest overlap by its shortest way, again and again, as long as that helps. */
  stepOut(i: number, from: PlacementOption): void {
    const { orientation, x, y, count } = this.positions;
    const { boxes } = this.pairs;
    const { box, reach } = this.orientations[from.orientation]!;
    let px = from.x;
    let py = from.y;
    for (let k = 0; k < STEPS_OUT && from.cost > 0; k++) {
      let deepest = 0;
      let dx = 0;
      let dy = 0;
      for (let j = 0, b = 0; j < count; j++, b += 4) {
        const apart =
          boxes[b]! >= px + reach.maxX ||
          boxes[b + 2]! <= px + reach.minX ||
          boxes[b + 1]! >= py + reach.maxY ||
          boxes[b + 3]! <= py + reach.minY;
        if (apart || j === i) continue;
        this.table.wayOut(orientation[j]!, x[j]!, y[j]!, from.orientation, px, py, this.out);
        const weighted = this.out.depth * this.pairs.weights[i * count + j]!;
        if (weighted > deepest) {
          deepest = weighted;
          dx = this.out.dx;
          dy = this.out.dy;
        }
      }
      if (deepest === 0) break;
      px = clamp(px + dx, -box.minX, this.width - box.maxX);
      py = clamp(py + dy, -box.minY, this.length - box.maxY);
      const cost = this.cost(i, from.orientation, px, py, from.cost);
      if (cost < from.cost) {
        from.x = px;
        from.y = py;
        from.cost = cost;
      }
    }
  }
}

/**
 * Keeps a value within two others.
 *
 * @example clamp(12, 0, 10) // 10
 */
export function clamp(value: number, low: number, high: number): number {
  return value < low ? low : value > high ? high : value;
}

function exchangeTriples(list: Float64Array, a: number, b: number): void {
  for (let k = 0; k < 3; k++) {
    const held = list[a + k]!;
    list[a + k] = list[b + k]!;
    list[b + k] = held;
  }
}
