import { perimeter, type Outline } from '../shape';
import { layBottomLeft, type Layable } from './bottom-left';
import type { Orientation } from './orientation';
import type { Positions } from './positions';

/** Overlaps this deep are let pass while laying and pushed apart afterwards, mm: rounding in the figures of a file. */
const ROUNDING = 1e-3;
/** Edges this close and this nearly parallel touch: mm, sine of the angle. */
const CLOSE = 0.05;
const PARALLEL = 2e-3;
/** Two edges of the same length that run against each other were most likely one cut: they count this many times. */
const ONE_CUT = 1.5;
/** How far chance may lift or lower what a place is worth. */
const CHANCE = 0.15;
/** What the height of a place counts beside the share of the outline that touches: from the one to the other. */
const LEAST_STEEP = 0.1;
const MOST_STEEP = 3;
/** Largest share of the pieces that is taken up and laid anew in one go. */
const RUINED = 0.5;

/** Comparing two edges costs about as much as looking at this many edges of a no-fit region, a figure in a list a fifth. */
const WORK_OF_TOUCHING = 0.06;

/** A place where a form touches what lies there. */
interface PlacementOption {
  orientation: number;
  x: number;
  y: number;
  /** Length of the outline that touches, mm. */
  touch: number;
}

/**
 * Lays pieces edge to edge: always the one, in the place, where the largest share of its outline touches what lies there
 * or the edge of the cloth; then takes some up and lays them anew. Finds how pieces fit that were cut from one another
 * or share straight edges; where none do it is no better than any other order.
 *
 * Layouts may overlap by rounding ({@link ROUNDING}).
 */
export class EdgeToEdge {
  private readonly lengths: number[];
  /** Edges of every form. */
  private readonly edges: Float64Array[];
  /** Moves of one form along another, made when first asked for. */
  private readonly moves: (Float64Array | undefined)[] = [];
  private readonly total: number;

  constructor(
    private readonly positions: Positions,
    private readonly order: readonly number[],
    private readonly layable: Layable,
    private readonly width: number,
    private readonly random: () => number,
  ) {
    this.lengths = layable.orientations.map(({ outline }) => perimeter(outline));
    this.edges = layable.orientations.map(({ outline }) => edgesOf(outline));
    this.total = order.reduce((sum, i) => sum + this.lengths[layable.choices[i]![0]!]!, 0);
  }

  /** Share of all outlines that touches something, edges of one cut counted more. */
  worth(): number {
    const { positions, width } = this;
    const { orientations } = this.layable;
    const { orientation, x, y, count } = positions;
    let sum = 0;
    for (let i = 0; i < count; i++) {
      if (orientation[i]! < 0) continue;
      sum += touchesCloth(orientations[orientation[i]!]!, x[i]!, y[i]!, width);
      for (let j = 0; j < i; j++)
        if (orientation[j]! >= 0) sum += 2 * this.touching(orientation[i]!, x[i]!, y[i]!, orientation[j]!, x[j]!, y[j]!);
    }
    return sum / this.total;
  }

  /** Takes up a piece and those nearest to it. */
  ruin(): void {
    const { positions, order, random } = this;
    const { orientations } = this.layable;
    const many = 1 + Math.floor(random() * random() * RUINED * order.length);
    const middle = (i: number): [number, number] => {
      const { box } = orientations[positions.orientation[i]!]!;
      return [positions.x[i]! + (box.minX + box.maxX) / 2, positions.y[i]! + (box.minY + box.maxY) / 2];
    };
    const [cx, cy] = middle(order[Math.floor(random() * order.length)]!);
    const near = order
      .map((i) => ({ i, far: Math.hypot(middle(i)[0] - cx, middle(i)[1] - cy) * (0.7 + 0.6 * random()) }))
      .sort((a, b) => a.far - b.far);
    for (const { i } of near.slice(0, many)) positions.lift(i);
  }

  /** Lays all pieces that do not lie yet. */
  lay(): void {
    const { positions, order, layable, width, random, lengths } = this;
    const { orientations, choices, table } = layable;
    const steep = LEAST_STEEP * (MOST_STEEP / LEAST_STEEP) ** random();
    const chance = CHANCE * random();
    /** Copies that wait, by piece. */
    const waiting = new Map<number, number[]>();
    for (const i of order) {
      if (positions.orientation[i]! >= 0) continue;
      const { piece } = orientations[choices[i]![0]!]!;
      const copies = waiting.get(piece);
      if (copies) copies.push(i);
      else waiting.set(piece, [i]);
    }
    let places: PlacementOption[] = [];
    let highest = 1;
    const offer = (orientation: number, x: number, y: number) => {
      const touch = this.touchAt(orientation, x, y);
      if (touch !== undefined) places.push({ orientation, x, y, touch });
    };
    const offerAt = (other: number, ox: number, oy: number) => {
      const fixed = orientations[other]!;
      highest = Math.max(highest, oy + fixed.box.maxY);
      for (const [, copies] of waiting) {
        for (const orientation of choices[copies[0]!]!) {
          const moves = this.alongEdges(other, orientation);
          for (let k = 0; k < moves.length; k += 2) offer(orientation, ox + moves[k]!, oy + moves[k + 1]!);
        }
      }
    };
    for (const [, copies] of waiting) {
      for (const orientation of choices[copies[0]!]!) {
        const { box } = orientations[orientation]!;
        offer(orientation, -box.minX, -box.minY);
        offer(orientation, width - box.maxX, -box.minY);
      }
    }
    positions.each(offerAt);
    while (waiting.size > 0) {
      let best: PlacementOption | undefined;
      let most = -Infinity;
      for (const place of places) {
        const top = place.y + orientations[place.orientation]!.box.maxY;
        const worth =
          (place.touch / lengths[place.orientation]!) * (1 + chance * (2 * random() - 1)) -
          (steep * Math.max(0, top - highest)) / highest;
        if (worth > most) {
          most = worth;
          best = place;
        }
      }
      if (!best) {
        const next = order.find((i) => positions.orientation[i]! < 0)!;
        layBottomLeft(positions, [next], layable, { width, length: Infinity });
        best = { orientation: positions.orientation[next]!, x: positions.x[next]!, y: positions.y[next]!, touch: 0 };
        positions.lift(next);
      }
      const { orientation, x, y } = best;
      const { piece } = orientations[orientation]!;
      const copies = waiting.get(piece)!;
      positions.lay(copies.pop()!, best);
      if (copies.length === 0) waiting.delete(piece);
      places = places.filter((place) => {
        if (!waiting.has(orientations[place.orientation]!.piece)) return false;
        if (table.depth(orientation, x, y, place.orientation, place.x, place.y) > ROUNDING) return false;
        place.touch += this.touching(orientation, x, y, place.orientation, place.x, place.y);
        return true;
      });
      offerAt(orientation, x, y);
    }
  }

  /** Length that would touch there, mm; undefined where the form overlaps something or leaves the cloth. */
  private touchAt(orientation: number, x: number, y: number): number | undefined {
    const { positions, width } = this;
    const { orientations, table } = this.layable;
    const b = orientations[orientation]!;
    const { box } = b;
    if (x < -box.minX - ROUNDING || x > width - box.maxX + ROUNDING || y < -box.minY - ROUNDING) return undefined;
    table.work += positions.count;
    // Most places overlap something: that is asked first, of all, before anything is measured.
    const near: number[] = [];
    for (let i = 0; i < positions.count; i++) {
      const other = positions.orientation[i]!;
      if (other < 0 || apart(orientations[other]!, positions.x[i]!, positions.y[i]!, b, x, y)) continue;
      if (table.depth(other, positions.x[i]!, positions.y[i]!, orientation, x, y) > ROUNDING) return undefined;
      near.push(i);
    }
    return near.reduce(
      (touch, i) => touch + this.touching(positions.orientation[i]!, positions.x[i]!, positions.y[i]!, orientation, x, y),
      touchesCloth(b, x, y, width),
    );
  }

  /** Moves of form b that lay one of its edges along one of a's, corner on corner: two for each pair that runs against each other. */
  private alongEdges(a: number, b: number): Float64Array {
    const at = a * this.edges.length + b;
    return (this.moves[at] ??= movesAlong(this.edges[a]!, this.edges[b]!));
  }

  /** Length along which the edges of two forms run against each other, mm. */
  private touching(a: number, ax: number, ay: number, b: number, bx: number, by: number): number {
    const { orientations, table } = this.layable;
    if (apart(orientations[a]!, ax, ay, orientations[b]!, bx, by)) return 0;
    const fixed = this.edges[a]!;
    const moving = this.edges[b]!;
    const { reach } = orientations[b]!;
    // Box of b as a sees it: only edges that come near it can touch.
    const [minX, maxX] = [reach.minX + bx - ax - CLOSE, reach.maxX + bx - ax + CLOSE];
    const [minY, maxY] = [reach.minY + by - ay - CLOSE, reach.maxY + by - ay + CLOSE];
    let sum = 0;
    for (let i = 0; i < fixed.length; i += EDGE) {
      const px = fixed[i]!;
      const py = fixed[i + 1]!;
      const dx = fixed[i + 2]!;
      const dy = fixed[i + 3]!;
      const length = fixed[i + 4]!;
      const qx = px + length * dx;
      const qy = py + length * dy;
      if ((px < minX && qx < minX) || (px > maxX && qx > maxX) || (py < minY && qy < minY) || (py > maxY && qy > maxY)) continue;
      table.work += WORK_OF_TOUCHING * moving.length;
      for (let j = 0; j < moving.length; j += EDGE) {
        // Directions of one cut run against each other.
        const along = moving[j + 2]! * dx + moving[j + 3]! * dy;
        if (along >= 0 || Math.abs(moving[j + 2]! * dy - moving[j + 3]! * dx) > -PARALLEL * along) continue;
        const fx = moving[j]! + bx - px - ax;
        const fy = moving[j + 1]! + by - py - ay;
        if (Math.abs(fx * dy - fy * dx) > CLOSE) continue;
        const back = -along * moving[j + 4]!;
        const end = fx * dx + fy * dy;
        const shared = Math.min(length, end) - Math.max(0, end - back);
        if (shared > 0) sum += shared + CLOSE > length && shared + CLOSE > back ? ONE_CUT * shared : shared;
      }
    }
    return sum;
  }
}

/** One edge in a list: its start, its direction, its length, mm. */
const EDGE = 5;

function edgesOf(outline: Outline): Float64Array {
  const edges = new Float64Array(EDGE * outline.length);
  outline.forEach(([px, py], i) => {
    const [qx, qy] = outline[(i + 1) % outline.length]!;
    const length = Math.hypot(qx - px, qy - py);
    edges.set([px, py, (qx - px) / length, (qy - py) / length, length], EDGE * i);
  });
  return edges;
}

/** Whether the boxes of two forms lie too far from each other to touch. */
function apart(a: Orientation, ax: number, ay: number, b: Orientation, bx: number, by: number): boolean {
  return (
    ax + a.reach.maxX < bx + b.reach.minX - CLOSE ||
    bx + b.reach.maxX < ax + a.reach.minX - CLOSE ||
    ay + a.reach.maxY < by + b.reach.minY - CLOSE ||
    by + b.reach.maxY < ay + a.reach.minY - CLOSE
  );
}

/** Length along which a form lies at the edges of the cloth, mm. */
function touchesCloth({ outline }: Orientation, x: number, y: number, width: number): number {
  let sum = 0;
  outline.forEach(([px, py], i) => {
    const [qx, qy] = outline[(i + 1) % outline.length]!;
    const onLeft = Math.abs(px + x) < CLOSE && Math.abs(qx + x) < CLOSE;
    const onRight = Math.abs(px + x - width) < CLOSE && Math.abs(qx + x - width) < CLOSE;
    if (onLeft || onRight) sum += Math.abs(qy - py);
    else if (Math.abs(py + y) < CLOSE && Math.abs(qy + y) < CLOSE) sum += Math.abs(qx - px);
  });
  return sum;
}

function movesAlong(fixed: Float64Array, moving: Float64Array): Float64Array {
  const moves: number[] = [];
  for (let i = 0; i < fixed.length; i += EDGE) {
    const [px, py, dx, dy, length] = fixed.subarray(i, i + EDGE) as unknown as [number, number, number, number, number];
    for (let j = 0; j < moving.length; j += EDGE) {
      const [ux, uy, ex, ey, other] = moving.subarray(j, j + EDGE) as unknown as [number, number, number, number, number];
      const along = ex * dx + ey * dy;
      if (along >= 0 || Math.abs(ex * dy - ey * dx) > -PARALLEL * along) continue;
      // The end of the one on the start of the other; and, where they are not as long, the other way round.
      moves.push(px + length * dx - ux, py + length * dy - uy);
      if (Math.abs(length + along * other) > CLOSE) moves.push(px - ux - other * ex, py - uy - other * ey);
    }
  }
  return Float64Array.from(moves);
}
