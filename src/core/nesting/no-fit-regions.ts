import type { Outline } from '../shape';

/** How deep a point lies in a region, and which way out is shortest. */
export interface WayOut {
  depth: number;
  dx: number;
  dy: number;
}

/**
 * A region in `data`, from its offset: a head, then one record an edge. A head begins with all that a question about a point
 * needs.
 */
const HEAD = 16;
const [MIN_X, MIN_Y, MAX_X, MAX_Y] = [0, 1, 2, 3] as const;
/** Cells per mm across and along, cells across, where they begin in `cells`. */
const [PER_X, PER_Y, COLUMNS, CELLS] = [4, 5, 6, 7] as const;
/** How many edges; how many strips along either axis, where those along x and y begin in `strips`, how many a mm. */
const [EDGES, STRIPS, STRIPS_X, , STRIP_PER_X] = [8, 9, 10, 11, 12] as const;
/** Start and end of an edge, its outward normal, its length. */
const RECORD = 7;
const [X, Y, END_X, END_Y, NX, NY, LENGTH] = [0, 1, 2, 3, 4, 5, 6] as const;
/** An edge in the list of a cell: start, outward normal, length. */
const NEAR_RECORD = 5;
/** An edge in a strip: where it begins and ends across the line, where it begins along it, and how steeply it runs on. */
const STRIP_RECORD = 4;

/** Cells of a region with many edges, about; with few edges one cell is enough. */
const AIM_CELLS = 100;
const FEW_EDGES = 10;
/** Strips of a region with many edges along either axis. */
const MANY_STRIPS = 32;
const ALMOST = 1 - 1e-12;
/** Figures that the lists of all cells may hold: 128 MB. */
const MOST_LISTED = 1 << 24;
/** Marks of a cell: nobody asked for it yet; the region has no part in it. */
const UNKNOWN = 0;
const OUTSIDE = -1;
/** Squared distances that differ by less than this share are those of one corner, from either of its edges. */
const SAME = 1e-9;

/** Crossings of one line with one region, and stretches on one line, that are looked at. */
const MOST_CROSSINGS = 4096;
const MOST_STRETCHES = 4096;
/** A line this close to the lowest or highest point of a region only touches it, mm. */
const TOUCH = 1e-7;

/**
 * Regions of the plane, and what a search asks of them again and again: how deep a point lies in one, and where a line
 * runs through it.
 *
 * A region is divided into cells. The first question about a cell finds out which edges can be the nearest of any point
 * in it; later questions look at those alone, seldom more than a handful, and the answers are as exact as if all had been
 * looked at. On which side of its nearest edge a point lies tells whether it is inside. Strips along both axes hold the
 * edges that a line may cross. What the innermost loops wait for is memory, so every list holds its edges itself, one
 * after the other.
 */
export class NoFitRegions {
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
  /** Lists of edges: how many, then their records. */
  private lists = new Float64Array(1 << 16);
  private listsUsed = 1;
  /** Of every axis of a region: where each strip begins and the last one ends in `stripEdges`. */
  private strips = new Int32Array(1 << 16);
  private stripsUsed = 0;
  private stripEdges = new Float64Array(1 << 16);
  private stripEdgesUsed = 0;

  /** @param mostListed figures that the lists of all cells may hold before all are forgotten */
  constructor(private readonly mostListed = MOST_LISTED) {}

  /** Takes up a region that lies on the left of these paths; returns its offset. */
  add(paths: readonly Outline[]): number {
    const count = paths.reduce((sum, path) => sum + path.length, 0);
    const at = this.used;
    // Offsets of regions are multiples of eight.
    this.used += 8 * Math.ceil((HEAD + RECORD * count) / 8);
    this.data = withRoom(this.data, this.used);
    const { data } = this;
    const box = [Infinity, Infinity, -Infinity, -Infinity];
    let k = at + HEAD;
    for (const path of paths) {
      path.forEach(([x, y], i) => {
        const [endX, endY] = path[(i + 1) % path.length]!;
        const length = Math.hypot(endX - x, endY - y);
        if (length === 0) return;
        data.set([x, y, endX, endY, (endY - y) / length, (x - endX) / length, length], k);
        k += RECORD;
        box[MIN_X] = Math.min(box[MIN_X]!, x);
        box[MIN_Y] = Math.min(box[MIN_Y]!, y);
        box[MAX_X] = Math.max(box[MAX_X]!, x);
        box[MAX_Y] = Math.max(box[MAX_Y]!, y);
      });
    }
    data.set(box, at);
    data[at + EDGES] = (k - at - HEAD) / RECORD;
    this.divide(at);
    return at;
  }

  private divide(at: number): void {
    const { data } = this;
    const many = data[at + EDGES]! > FEW_EDGES;
    const width = data[at + MAX_X]! - data[at + MIN_X]!;
    const height = data[at + MAX_Y]! - data[at + MIN_Y]!;
    const size = Math.sqrt((width * height) / AIM_CELLS);
    const columns = many ? Math.max(1, Math.min(AIM_CELLS, Math.round(width / size))) : 1;
    const rows = many ? Math.max(1, Math.min(AIM_CELLS, Math.round(height / size))) : 1;
    // A hair less, so that no point within the box falls past the last cell.
    data[at + PER_X] = (columns / width) * ALMOST;
    data[at + PER_Y] = (rows / height) * ALMOST;
    data[at + COLUMNS] = columns;
    data[at + CELLS] = this.cellsUsed;
    this.cellsUsed += columns * rows;
    this.cells = withRoom(this.cells, this.cellsUsed);
    data[at + STRIPS] = many ? MANY_STRIPS : 1;
    data[at + STRIP_PER_X] = data[at + STRIPS]! / width;
    data[at + STRIP_PER_X + 1] = data[at + STRIPS]! / height;
    for (const axis of [0, 1] as const) data[at + STRIPS_X + axis] = this.cutIntoStrips(at, axis);
  }

  /** Strips that follow one another along an axis, each with the edges that reach into it and can be crossed there. */
  private cutIntoStrips(at: number, axis: 0 | 1): number {
    const { data } = this;
    const end = at + HEAD + RECORD * data[at + EDGES]!;
    const along = 1 - axis;
    const members: number[][] = Array.from({ length: data[at + STRIPS]! }, () => []);
    for (let k = at + HEAD; k < end; k += RECORD) {
      if (data[k + axis] === data[k + END_X + axis]) continue;
      const a = this.strip(at, axis, data[k + axis]!);
      const b = this.strip(at, axis, data[k + END_X + axis]!);
      for (let s = Math.min(a, b); s <= Math.max(a, b); s++) members[s]!.push(k);
    }
    const begin = this.stripsUsed;
    this.stripsUsed += members.length + 1;
    this.strips = withRoom(this.strips, this.stripsUsed);
    const edges = members.reduce((sum, { length }) => sum + length, 0);
    this.stripEdges = withRoom(this.stripEdges, this.stripEdgesUsed + STRIP_RECORD * edges);
    members.forEach((list, s) => {
      this.strips[begin + s] = this.stripEdgesUsed;
      for (const k of list) {
        const from = data[k + axis]!;
        const to = data[k + END_X + axis]!;
        const start = data[k + along]!;
        this.stripEdges.set([from, to, start, (data[k + END_X + along]! - start) / (to - from)], this.stripEdgesUsed);
        this.stripEdgesUsed += STRIP_RECORD;
      }
    });
    this.strips[begin + members.length] = this.stripEdgesUsed;
    return begin;
  }

  private strip(at: number, axis: 0 | 1, value: number): number {
    const { data } = this;
    const s = Math.floor((value - data[at + axis]!) * data[at + STRIP_PER_X + axis]!);
    const last = data[at + STRIPS]! - 1;
    return s < 0 ? 0 : s > last ? last : s;
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
    const list = this.cell(at, x, y);
    if (list === OUTSIDE) return 0;
    // Not sooner: a cell that is asked for the first time can make the lists longer.
    const { lists } = this;
    const count = lists[list]!;
    this.work += count;
    const end = list + 1 + NEAR_RECORD * count;
    let least = Infinity;
    let side = 0;
    for (let k = list + 1; k < end; k += NEAR_RECORD) {
      const px = x - lists[k]!;
      const py = y - lists[k + 1]!;
      const nx = lists[k + 2]!;
      const ny = lists[k + 3]!;
      const length = lists[k + 4]!;
      const out = px * nx + py * ny;
      const along = py * nx - px * ny;
      const past = along < 0 ? along : along > length ? along - length : 0;
      const d = out * out + past * past;
      // Of the two edges of a corner the one that looks at the point more squarely tells its side.
      if (d < least * (1 - SAME) || (d <= least * (1 + SAME) && Math.abs(out) > Math.abs(side))) side = out;
      if (d < least) least = d;
    }
    return side < 0 ? Math.sqrt(least) : 0;
  }

  /**
   * As `depth`, and writes the shortest way out of the region into `way`. The loop is written out in both: asked a hundred
   * million times, `depth` must not keep track of what it does not answer.
   */
  wayOut(at: number, x: number, y: number, way: WayOut): void {
    way.depth = 0;
    const { data } = this;
    if (x <= data[at + MIN_X]! || x >= data[at + MAX_X]! || y <= data[at + MIN_Y]! || y >= data[at + MAX_Y]!) return;
    const list = this.cell(at, x, y);
    if (list === OUTSIDE) return;
    const { lists } = this;
    const count = lists[list]!;
    this.work += count;
    const end = list + 1 + NEAR_RECORD * count;
    let least = Infinity;
    let side = 0;
    let straight = 0;
    let beyond = 0;
    let nearest = 0;
    for (let k = list + 1; k < end; k += NEAR_RECORD) {
      const px = x - lists[k]!;
      const py = y - lists[k + 1]!;
      const nx = lists[k + 2]!;
      const ny = lists[k + 3]!;
      const length = lists[k + 4]!;
      const out = px * nx + py * ny;
      const along = py * nx - px * ny;
      const past = along < 0 ? along : along > length ? along - length : 0;
      const d = out * out + past * past;
      if (d < least * (1 - SAME) || (d <= least * (1 + SAME) && Math.abs(out) > Math.abs(side))) side = out;
      if (d >= least) continue;
      least = d;
      straight = out;
      beyond = past;
      nearest = k;
    }
    if (!(side < 0)) return;
    const nx = lists[nearest + 2]!;
    const ny = lists[nearest + 3]!;
    way.depth = Math.sqrt(least);
    // Out along the normal, and along the edge back to its nearer end.
    way.dx = -straight * nx + beyond * ny;
    way.dy = -straight * ny - beyond * nx;
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
    if (nearest > reach && !this.windsRound(at, x, y)) return OUTSIDE;
    // No point of the cell is further from its nearest edge than this; that edge no further from the middle than so much.
    const within = (nearest + 2 * reach) ** 2;
    if (this.listsUsed > this.mostListed) {
      this.cells.fill(UNKNOWN, 0, this.cellsUsed);
      this.listsUsed = 1;
    }
    this.lists = withRoom(this.lists, this.listsUsed + 1 + NEAR_RECORD * edges);
    const { lists } = this;
    const list = this.listsUsed;
    let next = list + 1;
    for (let i = 0, k = at + HEAD; i < edges; i++, k += RECORD) {
      if (distances[i]! > within) continue;
      lists[next] = data[k + X]!;
      lists[next + 1] = data[k + Y]!;
      lists[next + 2] = data[k + NX]!;
      lists[next + 3] = data[k + NY]!;
      lists[next + 4] = data[k + LENGTH]!;
      next += NEAR_RECORD;
    }
    lists[list] = (next - list - 1) / NEAR_RECORD;
    this.listsUsed = next;
    return list;
  }

  /**
   * Whether a region winds round a point. An upward edge with the point on its left winds once, a downward one with it
   * on the right back.
   */
  private windsRound(at: number, x: number, y: number): boolean {
    const { data } = this;
    const end = at + HEAD + RECORD * data[at + EDGES]!;
    let winding = 0;
    for (let k = at + HEAD; k < end; k += RECORD) {
      const below = data[k + Y]! <= y;
      if (below === data[k + END_Y]! <= y) continue;
      const side = (x - data[k + X]!) * data[k + NX]! + (y - data[k + Y]!) * data[k + NY]!;
      if (below) {
        if (side < 0) winding++;
      } else if (side > 0) winding--;
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
    const { data, strips, stripEdges, crossed, stretches } = this;
    const across = axis === 0 ? 1 : 0;
    if (line <= data[at + across]! + TOUCH || line >= data[at + 2 + across]! - TOUCH) return n;
    const begin = data[at + STRIPS_X + across]! + this.strip(at, across, line);
    const last = strips[begin + 1]!;
    let found = 0;
    let k = strips[begin]!;
    this.work += (0.6 / STRIP_RECORD) * (last - k);
    for (; k < last; k += STRIP_RECORD) {
      const from = stripEdges[k]!;
      if (from <= line === stripEdges[k + 1]! <= line) continue;
      const c = stripEdges[k + 2]! + (line - from) * stripEdges[k + 3]!;
      let slot = found++;
      while (slot > 0 && crossed[slot - 1]! > c) {
        crossed[slot] = crossed[slot - 1]!;
        slot--;
      }
      crossed[slot] = c;
    }
    const whole = found & ~1;
    for (let i = 0; i < whole && n < MOST_STRETCHES; i += 2) {
      // Stretches follow one another along the line.
      stretches[3 * n] = mirrored ? offset - crossed[whole - 1 - i]! : offset + crossed[i]!;
      stretches[3 * n + 1] = mirrored ? offset - crossed[whole - 2 - i]! : offset + crossed[i + 1]!;
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
