import type { Outline } from '../shape';

/** An edge that is not level, from its lower end up, mm. */
interface Edge {
  x: number;
  y: number;
  top: number;
  /** Run of x for each mm of y. */
  slope: number;
}

/**
 * Area that two simple outlines have in common, by plain arithmetic: both are cut at the height of every corner and of every
 * place where their edges cross. Between two such heights the sides are straight and do not cross, so what is common there is
 * trapezia, whose area is their width half way up times their height.
 *
 * Shares no code with the search for layouts or with the polygon library: it is what their answers are checked by.
 *
 * @param a @param b simple outlines in mm, either winding @returns mm²; touching is 0 but for rounding
 * @example overlapArea([[0, 0], [10, 0], [10, 10], [0, 10]], [[5, 5], [15, 5], [15, 15], [5, 15]]) // 25
 */
export function overlapArea(a: Outline, b: Outline): number {
  const low = Math.max(lowest(a), lowest(b));
  const high = Math.min(highest(a), highest(b));
  if (!(low < high)) return 0;
  const edgesA = edgesBetween(a, low, high);
  const edgesB = edgesBetween(b, low, high);
  const cuts = [low, high, ...heights(edgesA, low, high), ...heights(edgesB, low, high), ...crossings(edgesA, edgesB)];
  cuts.sort((p, q) => p - q);

  let sum = 0;
  const activeA = new Active(edgesA);
  const activeB = new Active(edgesB);
  for (let i = 0; i + 1 < cuts.length; i++) {
    const height = cuts[i + 1]! - cuts[i]!;
    if (!(height > 0)) continue;
    const middle = cuts[i]! + height / 2;
    sum += height * commonLength(activeA.crossedAt(middle), activeB.crossedAt(middle));
  }
  return sum;
}

function lowest(outline: Outline): number {
  return outline.reduce((least, [, y]) => Math.min(least, y), Infinity);
}

function highest(outline: Outline): number {
  return outline.reduce((most, [, y]) => Math.max(most, y), -Infinity);
}

/** Edges that reach between two heights, lowest first. */
function edgesBetween(outline: Outline, low: number, high: number): Edge[] {
  const edges: Edge[] = [];
  for (let i = 0; i < outline.length; i++) {
    const p = outline[i]!;
    const q = outline[(i + 1) % outline.length]!;
    if (p[1] === q[1]) continue;
    const [from, to] = p[1] < q[1] ? [p, q] : [q, p];
    if (to[1] > low && from[1] < high)
      edges.push({ x: from[0], y: from[1], top: to[1], slope: (to[0] - from[0]) / (to[1] - from[1]) });
  }
  return edges.sort((e, f) => e.y - f.y);
}

function heights(edges: readonly Edge[], low: number, high: number): number[] {
  return edges.flatMap(({ y, top }) => [y, top]).filter((y) => y > low && y < high);
}

/** Heights at which edges of one outline cross edges of the other. */
function crossings(a: readonly Edge[], b: readonly Edge[]): number[] {
  const found: number[] = [];
  let [openA, openB]: [Edge[], Edge[]] = [[], []];
  const meet = (e: Edge, others: readonly Edge[]) => {
    for (const f of others) {
      const y = crossingHeight(e, f);
      if (y !== undefined) found.push(y);
    }
  };
  // From below upwards: each edge meets those of the other outline that have begun and not ended.
  for (let i = 0, j = 0; i < a.length || j < b.length;) {
    if (j >= b.length || (i < a.length && a[i]!.y <= b[j]!.y)) {
      const e = a[i++]!;
      openB = openB.filter(({ top }) => top > e.y);
      meet(e, openB);
      openA.push(e);
    } else {
      const e = b[j++]!;
      openA = openA.filter(({ top }) => top > e.y);
      meet(e, openA);
      openB.push(e);
    }
  }
  return found;
}

function crossingHeight(e: Edge, f: Edge): number | undefined {
  const low = Math.max(e.y, f.y);
  const high = Math.min(e.top, f.top);
  if (!(low < high)) return undefined;
  const below = at(e, low) - at(f, low);
  const above = at(e, high) - at(f, high);
  if (below === 0 || above === 0 || below > 0 === above > 0) return undefined;
  return low + (high - low) * (below / (below - above));
}

function at(edge: Edge, y: number): number {
  return edge.x + (y - edge.y) * edge.slope;
}

/** Which edges a line crosses that only ever moves up. */
class Active {
  private edges: Edge[] = [];
  private next = 0;

  constructor(private readonly sorted: readonly Edge[]) {}

  /** Places where the line at this height goes in and out, from the left. */
  crossedAt(y: number): number[] {
    while (this.next < this.sorted.length && this.sorted[this.next]!.y <= y) this.edges.push(this.sorted[this.next++]!);
    this.edges = this.edges.filter(({ top }) => top > y);
    return this.edges.map((edge) => at(edge, y)).sort((p, q) => p - q);
  }
}

/** Length that two rows of stretches, each given by its ends one after the other, have in common. */
function commonLength(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  let i = 0;
  let j = 0;
  while (i + 1 < a.length && j + 1 < b.length) {
    const length = Math.min(a[i + 1]!, b[j + 1]!) - Math.max(a[i]!, b[j]!);
    if (length > 0) sum += length;
    if (a[i + 1]! < b[j + 1]!) i += 2;
    else j += 2;
  }
  return sum;
}
