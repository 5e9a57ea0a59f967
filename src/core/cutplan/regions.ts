import type { Outline } from '../shape';

/** How deep a point lies in a region, and which way out is shortest. */
export interface WayOut {
  depth: number;
  dx: number;
  dy: number;
}

/**
 * A region in `data`, from its offset: a head, then one record an edge. Heads and records fill whole cache lines: what
 * the innermost loops wait for is memory, so everything about an edge lies together.
 */
const HEAD = 16;
const [MIN_X, MIN_Y, MAX_X, MAX_Y] = [0, 1, 2, 3] as const;
/** Cells per mm across and along, cells across, where they begin in `cells`; no cells across when it has few edges. */
const [PER_X, PER_Y, COLUMNS, CELLS] = [4, 5, 6, 7] as const;
/** How many edges; where the strips of either axis begin in `strips`, and how many there are per mm. */
const [EDGES, STRIPS_X, STRIPS_Y, STRIP_PER_X, STRIP_PER_Y] = [8, 9, 10, 11, 12] as const;
/** Start and end, outward normal, its distance from the origin (nx·x + ny·y on the edge), length. */
const RECORD = 8;
const [X, Y, , END_Y, NX, NY, DISTANCE, LENGTH] = [0, 1, 2, 3, 4, 5, 6, 7] as const;

/** Regions with more edges than this are divided into cells and strips. */
const FEW_EDGES = 10;
/** Cells of one region, about. */
const AIM_CELLS = 400;
/** Strips of one region along either axis. */
const STRIPS = 32;
const ALMOST = 1 - 1e-12;
/** Marks of a cell: nobody asked for it yet; the region has no part in it. */
const UNKNOWN = 0;
const OUTSIDE = -1;

/** Crossings of one line with one region, and stretches on one line, that are looked at. */
const MOST_CROSSINGS = 4096;
const MOST_STRETCHES = 4096;
/** A line this close to the lowest or highest point of a region only touches it, mm. */
const TOUCH = 1e-7;

/**
 * Regions of the plane, and what a search asks of them again and again: how deep a point lies in one, and where a line
 * runs through it.
 *
 * A region with many edges is divided into cells. The first question about a cell finds out which edges can be the
 * nearest of any point in it; later questions look at those alone, seldom more than a handful, and the answers are as
 * exact as if all had been looked at. Strips along both axes hold the edges that a line may cross.
 */
export class Regions {
  /** Edges looked at so far: the measure of work that does not depend on the machine. */
  work = 0;
  /** Scratch of `stretchesOn`: from, to, weight of every stretch on the line. */
  readonly stretches = new Float64Array(3 * MOST_STRETCHES);
  private distances = new Float64Array(1 << 8);
  private readonly crossed = new Float64Array(MOST_CROSSINGS);
  private data = new Float64Array(1 << 16);
  private used = 0;
  /** Of every cell: a mark, or where its list begins. */
  private cells = new Int32Array(1 << 16);
  private cellsUsed = 0;
  /** Lists of edges: how many times two, one more when the border runs through the cell; then their offsets. */
  private lists = new Int32Array(1 << 16);
  private listsUsed = 1;
  /** Of every axis of a region: where each strip begins and the last one ends, then the offsets of edges. */
  private strips = new Int32Array(1 << 16);
  private stripsUsed = 0;

  /** Takes up a region that lies on the left of these paths; returns its offset. */
  add(paths: readonly Outline[]): number {
    const count = paths.reduce((sum, path) => sum + path.length, 0);
    const at = this.used;
    this.used += HEAD + RECORD * count;
    this.data = withRoom(this.data, this.used);
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
    data[at + COLUMNS] = 0;
    data[at + EDGES] = (k - at - HEAD) / RECORD;
    if (data[at + EDGES]! > FEW_EDGES) this.divide(at);
    return at;
  }

  private divide(at: number): void {
    const { data } = this;
    const width = data[at + MAX_X]! - data[at + MIN_X]!;
    const height = data[at + MAX_Y]! - data[at + MIN_Y]!;
    const size = Math.sqrt((width * height) / AIM_CELLS);
    const columns = Math.max(1, Math.min(AIM_CELLS, Math.round(width / size)));
    const rows = Math.max(1, Math.min(AIM_CELLS, Math.round(height / size)));
    // A hair less, so that no point within the box falls past the last cell.
    data[at + PER_X] = (columns / width) * ALMOST;
    data[at + PER_Y] = (rows / height) * ALMOST;
    data[at + COLUMNS] = columns;
    data[at + CELLS] = this.cellsUsed;
    this.cellsUsed += columns * rows;
    this.cells = withRoom(this.cells, this.cellsUsed);
    data[at + STRIP_PER_X] = STRIPS / width;
    data[at + STRIP_PER_Y] = STRIPS / height;
    for (const axis of [0, 1] as const) data[at + STRIPS_X + axis] = this.cutIntoStrips(at, axis);
  }

  /** Strips that follow one another along an axis: each with the edges that reach into it. */
  private cutIntoStrips(at: number, axis: 0 | 1): number {
    const { data } = this;
    const end = at + HEAD + RECORD * data[at + EDGES]!;
    const members: number[][] = Array.from({ length: STRIPS }, () => []);
    for (let k = at + HEAD; k < end; k += RECORD) {
      const a = this.strip(at, axis, data[k + axis]!);
      const b = this.strip(at, axis, data[k + 2 + axis]!);
      for (let s = Math.min(a, b); s <= Math.max(a, b); s++) members[s]!.push(k);
    }
    const begin = this.stripsUsed;
    this.stripsUsed += STRIPS + 1 + members.reduce((sum, { length }) => sum + length, 0);
    this.strips = withRoom(this.strips, this.stripsUsed);
    let next = begin + STRIPS + 1;
    members.forEach((edges, s) => {
      this.strips[begin + s] = next;
      this.strips.set(edges, next);
      next += edges.length;
    });
    this.strips[begin + STRIPS] = next;
    return begin;
  }

  private strip(at: number, axis: 0 | 1, value: number): number {
    const { data } = this;
    const s = Math.floor((value - data[at + axis]!) * data[at + STRIP_PER_X + axis]!);
    return s < 0 ? 0 : s >= STRIPS ? STRIPS - 1 : s;
  }

  /** Heights of all corners of a region or of its mirror image, moved by y and appended to `out`. */
  cornerLines(at: number, mirrored: boolean, y: number, out: number[]): void {
    const end = at + HEAD + RECORD * this.data[at + EDGES]!;
    for (let k = at + HEAD; k < end; k += RECORD) out.push(mirrored ? y - this.data[k + Y]! : y + this.data[k + Y]!);
  }

  /** How far a point lies inside a region from its border, mm; 0 outside. */
  depth(at: number, x: number, y: number): number {
    const { data } = this;
    if (x <= data[at + MIN_X]! || x >= data[at + MAX_X]! || y <= data[at + MIN_Y]! || y >= data[at + MAX_Y]!) return 0;
    let least = Infinity;
    if (data[at + COLUMNS] === 0) {
      if (!this.windsRound(at, x, y)) return 0;
      const end = at + HEAD + RECORD * data[at + EDGES]!;
      this.work += data[at + EDGES]!;
      for (let k = at + HEAD; k < end; k += RECORD) {
        const d = squaredDistance(data, k, x, y);
        if (d < least) least = d;
      }
      return Math.sqrt(least);
    }
    const list = this.cell(at, x, y);
    if (list === OUTSIDE) return 0;
    const { lists } = this;
    const head = lists[list]!;
    if ((head & 1) === 1 && !this.windsRound(at, x, y)) return 0;
    const end = list + (head >> 1);
    this.work += head >> 1;
    for (let k = list + 1; k <= end; k++) {
      const d = squaredDistance(data, lists[k]!, x, y);
      if (d < least) least = d;
    }
    return Math.sqrt(least);
  }

  /** As `depth`, and writes the shortest way out of the region into `out`. */
  wayOut(at: number, x: number, y: number, out: WayOut): void {
    out.depth = 0;
    const { data } = this;
    if (x <= data[at + MIN_X]! || x >= data[at + MAX_X]! || y <= data[at + MIN_Y]! || y >= data[at + MAX_Y]!) return;
    const few = data[at + COLUMNS] === 0;
    const list = few ? UNKNOWN : this.cell(at, x, y);
    if (list === OUTSIDE) return;
    const { lists } = this;
    const head = few ? 1 : lists[list]!;
    if ((head & 1) === 1 && !this.windsRound(at, x, y)) return;
    const count = few ? data[at + EDGES]! : head >> 1;
    this.work += count;
    let least = Infinity;
    let nearest = at + HEAD;
    for (let i = 0; i < count; i++) {
      const k = few ? at + HEAD + RECORD * i : lists[list + 1 + i]!;
      const d = squaredDistance(data, k, x, y);
      if (d >= least) continue;
      least = d;
      nearest = k;
    }
    const nx = data[nearest + NX]!;
    const ny = data[nearest + NY]!;
    const depth = data[nearest + DISTANCE]! - nx * x - ny * y;
    const along = (y - data[nearest + Y]!) * nx - (x - data[nearest + X]!) * ny;
    const length = data[nearest + LENGTH]!;
    const past = along < 0 ? along : along > length ? along - length : 0;
    out.depth = Math.sqrt(least);
    // Out along the normal, and along the edge back to its nearer end.
    out.dx = depth * nx + past * ny;
    out.dy = depth * ny - past * nx;
  }

  /** List of the cell that a point within the box lies in, or {@link OUTSIDE}. */
  private cell(at: number, x: number, y: number): number {
    const { data } = this;
    const i = Math.floor((x - data[at + MIN_X]!) * data[at + PER_X]!);
    const j = Math.floor((y - data[at + MIN_Y]!) * data[at + PER_Y]!);
    const index = data[at + CELLS]! + j * data[at + COLUMNS]! + i;
    const known = this.cells[index]!;
    return known === UNKNOWN ? (this.cells[index] = this.makeCell(at, i, j)) : known;
  }

  private makeCell(at: number, column: number, row: number): number {
    const { data } = this;
    const width = 1 / data[at + PER_X]!;
    const height = 1 / data[at + PER_Y]!;
    const x = data[at + MIN_X]! + (column + 0.5) * width;
    const y = data[at + MIN_Y]! + (row + 0.5) * height;
    // A little more than half the diagonal, so that rounding at the rim of a cell loses no edge.
    const reach = 0.501 * Math.hypot(width, height);
    const edges = data[at + EDGES]!;
    const end = at + HEAD + RECORD * edges;
    this.work += edges;
    this.distances = withRoom(this.distances, edges);
    const { distances } = this;
    let least = Infinity;
    for (let k = at + HEAD, i = 0; k < end; k += RECORD, i++) {
      const d = squaredDistance(data, k, x, y);
      distances[i] = d;
      if (d < least) least = d;
    }
    const nearest = Math.sqrt(least);
    const bordered = nearest <= reach;
    if (!bordered && !this.windsRound(at, x, y)) return OUTSIDE;
    // No point of the cell is further from its nearest edge than this; that edge no further from the middle than so much.
    const within = (nearest + 2 * reach) ** 2;
    this.lists = withRoom(this.lists, this.listsUsed + 1 + edges);
    const list = this.listsUsed;
    let next = list + 1;
    for (let i = 0; i < edges; i++) if (distances[i]! <= within) this.lists[next++] = at + HEAD + RECORD * i;
    this.lists[list] = 2 * (next - list - 1) + (bordered ? 1 : 0);
    this.listsUsed = next;
    return list;
  }

  /**
   * Whether a region winds round a point. An upward edge with the point on its left winds once, a downward one with it
   * on the right back.
   */
  private windsRound(at: number, x: number, y: number): boolean {
    const { data, strips } = this;
    const few = data[at + COLUMNS] === 0;
    const begin = few ? 0 : data[at + STRIPS_Y]! + this.strip(at, 1, y);
    const from = few ? 0 : strips[begin]!;
    const to = few ? data[at + EDGES]! : strips[begin + 1]!;
    this.work += 0.5 * (to - from);
    let winding = 0;
    for (let i = from; i < to; i++) {
      const k = few ? at + HEAD + RECORD * i : strips[i]!;
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

  /**
   * Writes where a line runs through a region: along x at height `line` (axis 0), or along y (axis 1). Each stretch is
   * three numbers in `stretches`: from, to (both moved by `offset`), `weight`.
   *
   * @param mirrored whether the region is mirrored along the line @param n stretches that are there already
   * @returns stretches that are there then
   */
  stretchesOn(at: number, axis: 0 | 1, line: number, mirrored: boolean, offset: number, weight: number, n: number): number {
    const { data, strips, crossed, stretches } = this;
    const across = axis === 0 ? 1 : 0;
    if (line <= data[at + across]! + TOUCH || line >= data[at + 2 + across]! - TOUCH) return n;
    const few = data[at + COLUMNS] === 0;
    const begin = few ? 0 : data[at + STRIPS_X + across]! + this.strip(at, across, line);
    const first = few ? 0 : strips[begin]!;
    const last = few ? data[at + EDGES]! : strips[begin + 1]!;
    this.work += 0.6 * (last - first);
    let found = 0;
    for (let i = first; i < last; i++) {
      const k = few ? at + HEAD + RECORD * i : strips[i]!;
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
    const whole = found & ~1;
    for (let k = 0; k < whole && n < MOST_STRETCHES; k += 2) {
      // Stretches follow one another along the line.
      stretches[3 * n] = mirrored ? offset - crossed[whole - 1 - k]! : offset + crossed[k]!;
      stretches[3 * n + 1] = mirrored ? offset - crossed[whole - 2 - k]! : offset + crossed[k + 1]!;
      stretches[3 * n + 2] = weight;
      n++;
    }
    return n;
  }
}

/** Squared distance of a point from the edge whose record begins at k, mm². */
function squaredDistance(data: Float64Array, k: number, x: number, y: number): number {
  const px = x - data[k + X]!;
  const py = y - data[k + Y]!;
  const nx = data[k + NX]!;
  const ny = data[k + NY]!;
  const out = px * nx + py * ny;
  const along = py * nx - px * ny;
  const length = data[k + LENGTH]!;
  const past = along < 0 ? along : along > length ? along - length : 0;
  return out * out + past * past;
}

/** The array itself, or a longer one with the same numbers when it is too short. */
function withRoom<T extends Float64Array | Int32Array>(array: T, length: number): T {
  if (length <= array.length) return array;
  const longer = new (array.constructor as new (n: number) => T)(2 * Math.max(length, array.length));
  longer.set(array);
  return longer;
}
