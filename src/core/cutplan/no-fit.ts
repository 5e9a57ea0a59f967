import { isConvex, noFitOutline, windingUnion, type Outline } from '../shape';
import type { Form } from './form';

/** How deep a point lies in a no-fit region, and which way out is shortest. */
export interface WayOut {
  depth: number;
  dx: number;
  dy: number;
}

/**
 * A region in `data`, from its offset: a head, then one record an edge. Head and record are both a cache line long: what
 * the innermost loops wait for is memory, so everything about an edge lies together.
 */
const HEAD = 8;
const [MIN_X, MIN_Y, MAX_X, MAX_Y, EDGES, CONVEX] = [0, 1, 2, 3, 4, 5] as const;
/** Start and end, outward normal, its distance from the origin (nx·x + ny·y on the edge), length. */
const RECORD = 8;
const [X, Y, , END_Y, NX, NY, DISTANCE, LENGTH] = [0, 1, 2, 3, 4, 5, 6, 7] as const;

/** Crossings of one line with one region, and stretches on one line, that are looked at. */
const MOST_CROSSINGS = 4096;
const MOST_STRETCHES = 4096;
/** A line this close to the lowest or highest point of a region only touches it, mm. */
const TOUCH = 1e-7;
/** Making a region costs about as much as looking at this many edges per corner of the pair. */
const WORK_OF_REGION = 300;
const NOT_MADE = -1;

/**
 * No-fit regions of all pairs of forms, made when first asked for: where one form may not lie relative to another. Both
 * orders of a pair are kept, so that the innermost loops need not mirror anything.
 */
export class NoFitTable {
  /** Edges looked at so far: the measure of work that does not depend on the machine. */
  work = 0;
  /** Offset of the region for form b round form a, at b · forms + a. */
  private readonly offsets: Int32Array;
  private data = new Float64Array(1 << 16);
  private used = 0;
  /** Scratch of `stretchesOn`: from, to, weight of every stretch on the line. */
  readonly stretches = new Float64Array(3 * MOST_STRETCHES);
  private readonly crossed = new Float64Array(MOST_CROSSINGS);

  constructor(private readonly forms: readonly Form[]) {
    this.offsets = new Int32Array(forms.length * forms.length).fill(NOT_MADE);
  }

  private offset(a: number, b: number): number {
    const at = this.offsets[b * this.forms.length + a]!;
    return at === NOT_MADE ? this.make(a, b) : at;
  }

  private make(a: number, b: number): number {
    const { forms, offsets } = this;
    const pairs = forms[a]!.outlines.flatMap((fixed) => forms[b]!.outlines.map((moving) => ({ fixed, moving })));
    for (const { fixed, moving } of pairs) this.work += WORK_OF_REGION * (fixed.length + moving.length);
    const all = pairs.flatMap(({ fixed, moving }) => noFitOutline(fixed, moving));
    const paths = pairs.length > 1 ? windingUnion(all) : all;
    const at = this.store(paths);
    offsets[b * forms.length + a] = at;
    // Half a turn about the origin mirrors the pair and keeps the winding.
    if (a !== b)
      offsets[a * forms.length + b] = this.store(paths.map((path) => path.map(([x, y]): [number, number] => [-x, -y])));
    return at;
  }

  private store(paths: readonly Outline[]): number {
    const count = paths.reduce((sum, path) => sum + path.length, 0);
    const at = this.used;
    this.used += HEAD + RECORD * count;
    if (this.used > this.data.length) {
      const larger = new Float64Array(2 * Math.max(this.used, this.data.length));
      larger.set(this.data);
      this.data = larger;
    }
    const { data } = this;
    const box = [Infinity, Infinity, -Infinity, -Infinity];
    let k = at + HEAD;
    for (const path of paths) {
      path.forEach(([x, y], i) => {
        const [endX, endY] = path[(i + 1) % path.length]!;
        const length = Math.hypot(endX - x, endY - y);
        if (length === 0) return;
        const nx = (endY - y) / length;
        const ny = (x - endX) / length;
        data.set([x, y, endX, endY, nx, ny, nx * x + ny * y, length], k);
        k += RECORD;
        box[MIN_X] = Math.min(box[MIN_X]!, x);
        box[MIN_Y] = Math.min(box[MIN_Y]!, y);
        box[MAX_X] = Math.max(box[MAX_X]!, x);
        box[MAX_Y] = Math.max(box[MAX_Y]!, y);
      });
    }
    data.set(box, at);
    data[at + EDGES] = (k - at - HEAD) / RECORD;
    data[at + CONVEX] = paths.length === 1 && isConvex(paths[0]!) ? 1 : 0;
    return at;
  }

  /** How many corners the region for `b` round `a` has. */
  corners(a: number, b: number): number {
    return this.data[this.offset(a, b) + EDGES]!;
  }

  /** Corner k of the region for `b` round `a`: there the two touch, often at two corners. */
  corner(a: number, b: number, k: number, out: WayOut): void {
    const at = this.offset(a, b) + HEAD + RECORD * k;
    out.dx = this.data[at + X]!;
    out.dy = this.data[at + Y]!;
  }

  /** Heights of all corners of the region for `b` round `a`, moved by y and appended to `out`. */
  cornerLines(a: number, b: number, y: number, out: number[]): void {
    const at = this.offset(a, b);
    const end = at + HEAD + RECORD * this.data[at + EDGES]!;
    for (let k = at + HEAD; k < end; k += RECORD) out.push(y + this.data[k + Y]!);
  }

  /**
   * How far form `b` at (bx, by) must move at least to clear form `a` at (ax, ay), mm: 0 when they do not overlap.
   */
  depth(a: number, ax: number, ay: number, b: number, bx: number, by: number): number {
    const at = this.offset(a, b);
    const { data } = this;
    const x = bx - ax;
    const y = by - ay;
    if (x <= data[at + MIN_X]! || x >= data[at + MAX_X]! || y <= data[at + MIN_Y]! || y >= data[at + MAX_Y]!) return 0;
    const edges = data[at + EDGES]!;
    const end = at + HEAD + RECORD * edges;
    this.work += edges;
    let least = Infinity;
    if (data[at + CONVEX] === 1) {
      for (let k = at + HEAD; k < end; k += RECORD) {
        const depth = data[k + DISTANCE]! - data[k + NX]! * x - data[k + NY]! * y;
        if (depth <= 0) return 0;
        if (depth < least) least = depth;
      }
      return least;
    }
    if (!windsRound(data, at, x, y)) return 0;
    for (let k = at + HEAD; k < end; k += RECORD) {
      const px = x - data[k + X]!;
      const py = y - data[k + Y]!;
      const nx = data[k + NX]!;
      const ny = data[k + NY]!;
      const out = px * nx + py * ny;
      const along = py * nx - px * ny;
      const length = data[k + LENGTH]!;
      const past = along < 0 ? along : along > length ? along - length : 0;
      const d = out * out + past * past;
      if (d < least) least = d;
    }
    return Math.sqrt(least);
  }

  /** As `depth`, and writes the shortest way out of form `b` into `out`. */
  wayOut(a: number, ax: number, ay: number, b: number, bx: number, by: number, out: WayOut): void {
    out.depth = 0;
    const at = this.offset(a, b);
    const { data } = this;
    const x = bx - ax;
    const y = by - ay;
    if (x <= data[at + MIN_X]! || x >= data[at + MAX_X]! || y <= data[at + MIN_Y]! || y >= data[at + MAX_Y]!) return;
    const edges = data[at + EDGES]!;
    const end = at + HEAD + RECORD * edges;
    this.work += edges;
    const convex = data[at + CONVEX] === 1;
    if (!convex && !windsRound(data, at, x, y)) return;
    let least = Infinity;
    let dx = 0;
    let dy = 0;
    for (let k = at + HEAD; k < end; k += RECORD) {
      const nx = data[k + NX]!;
      const ny = data[k + NY]!;
      const depth = data[k + DISTANCE]! - nx * x - ny * y;
      if (convex) {
        if (depth <= 0) return;
        if (depth >= least) continue;
        least = depth;
        dx = depth * nx;
        dy = depth * ny;
        continue;
      }
      const along = (y - data[k + Y]!) * nx - (x - data[k + X]!) * ny;
      const length = data[k + LENGTH]!;
      const past = along < 0 ? along : along > length ? along - length : 0;
      const d = depth * depth + past * past;
      if (d >= least) continue;
      least = d;
      // Out along the normal, and along the edge back to its nearer end.
      dx = depth * nx + past * ny;
      dy = depth * ny - past * nx;
    }
    out.depth = convex ? least : Math.sqrt(least);
    out.dx = dx;
    out.dy = dy;
  }

  /**
   * Writes where form `b` would overlap form `a` on a line: along x at `line` above a's reference point (axis 0), or
   * along y (axis 1). Each stretch is three numbers in `stretches`: from, to (both moved by `offset`), `weight`.
   *
   * @param n stretches that are there already @returns stretches that are there then
   */
  stretchesOn(a: number, b: number, axis: number, line: number, offset: number, weight: number, n: number): number {
    const at = this.offset(a, b);
    const { data, crossed, stretches } = this;
    const across = 1 - axis;
    if (line <= data[at + across]! + TOUCH || line >= data[at + 2 + across]! - TOUCH) return n;
    const edges = data[at + EDGES]!;
    const end = at + HEAD + RECORD * edges;
    this.work += 0.6 * edges;
    let found = 0;
    for (let k = at + HEAD; k < end; k += RECORD) {
      const from = data[k + across]!;
      const to = data[k + 2 + across]!;
      if (from <= line === to <= line) continue;
      const start = data[k + axis]!;
      const c = start + ((line - from) / (to - from)) * (data[k + 2 + axis]! - start);
      let slot = found++;
      while (slot > 0 && crossed[slot - 1]! > c) {
        crossed[slot] = crossed[slot - 1]!;
        slot--;
      }
      crossed[slot] = c;
    }
    for (let k = 0; k + 1 < found && n < MOST_STRETCHES; k += 2) {
      stretches[3 * n] = offset + crossed[k]!;
      stretches[3 * n + 1] = offset + crossed[k + 1]!;
      stretches[3 * n + 2] = weight;
      n++;
    }
    return n;
  }
}

/**
 * Whether a region winds round a point. An upward edge with the point on its left winds once, a downward one with it on
 * the right back. Most points that are asked for lie outside, so this comes before any distance.
 */
function windsRound(data: Float64Array, at: number, x: number, y: number): boolean {
  const end = at + HEAD + RECORD * data[at + EDGES]!;
  let winding = 0;
  for (let k = at + HEAD; k < end; k += RECORD) {
    const below = data[k + Y]! <= y;
    if (below === data[k + END_Y]! <= y) continue;
    // Positive on the inner, left side of the edge.
    const side = data[k + DISTANCE]! - data[k + NX]! * x - data[k + NY]! * y;
    if (below) {
      if (side > 0) winding++;
    } else if (side < 0) winding--;
  }
  return winding !== 0;
}
