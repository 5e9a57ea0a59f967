import { noFitOutline, transformed, type Outline, type Point } from '../shape';
import type { Orientation } from './orientation';
import { NoFitRegions, type WayOut } from './no-fit-regions';

/** Making a region costs about as much as looking at this many edges per corner of the pair. */
const WORK_OF_REGION = 300;
const NOT_MADE = -1;

/**
 * How a pair of forms lies to the region that is kept for it: as it is, or mirrored along x, along y, or both, which is half
 * a turn. Regions begin at multiples of eight, so that offset and way fit into one number.
 */
const ALONG_X = 1;
const ALONG_Y = 2;
const WAYS = 3;

/**
 * No-fit regions of all pairs of forms, made when first asked for: where one form may not lie relative to another. Pairs that
 * are one another's mirror image share one region, so that as much as possible of what the innermost loops read stays near
 * the processor.
 */
export class NoFitTable {
  private readonly regions = new NoFitRegions();
  /** Region for form b round form a, at b · forms + a: its offset and the way the pair lies to it. */
  private readonly kept: Int32Array;
  /** Offsets of the regions made so far, by how the pair lies to one another before it is mirrored. */
  private readonly offsets = new Map<string, number>();
  /** Their outlines, for pairs that are turned together as well: as they are with the first one as it was drawn. */
  private readonly drawn = new Map<string, Outline[]>();
  /** Scratch of `stretchesOn`: from, to, weight of every stretch on the line. */
  readonly stretches = this.regions.stretches;

  constructor(private readonly orientations: readonly Orientation[]) {
    this.kept = new Int32Array(orientations.length * orientations.length).fill(NOT_MADE);
  }

  /** Edges looked at so far: the measure of work that does not depend on the machine. */
  get work(): number {
    return this.regions.work;
  }

  set work(work: number) {
    this.regions.work = work;
  }

  private region(a: number, b: number): number {
    const at = this.kept[b * this.orientations.length + a]!;
    return at === NOT_MADE ? this.make(a, b) : at;
  }

  private make(a: number, b: number): number {
    const { orientations, kept } = this;
    const [first, second] = orientations[b]!.piece < orientations[a]!.piece ? [b, a] : [a, b];
    const at = this.keep(orientations[first]!, orientations[second]!);
    kept[second * orientations.length + first] = at;
    // Seen from the other one, a region is turned by half.
    if (a !== b) kept[first * orientations.length + second] = at ^ WAYS;
    return kept[b * orientations.length + a]!;
  }

  /** Region for `b` round `a` and the way they lie to it. */
  private keep(a: Orientation, b: Orientation): number {
    // A flipped form, mirrored back, is turned the other way; half a turn is both mirrorings.
    const turned = degrees(a.flipped ? -a.rotation : a.rotation);
    const way = (a.flipped ? ALONG_X : 0) ^ (turned >= 180 ? WAYS : 0);
    const turn = degrees(a.flipped ? a.rotation - b.rotation : b.rotation - a.rotation);
    const pair = `${a.piece} ${b.piece} ${turn} ${a.flipped === b.flipped}`;
    const key = `${pair} ${turned % 180}`;
    // Pieces that lie still have no number of their own.
    const known = a.piece < 0 ? undefined : this.offsets.get(key);
    if (known !== undefined) return known | way;
    const paths = this.outlines(a, b, pair).map((path) => mirrored(path, way));
    const at = this.regions.add(paths);
    if (a.piece >= 0) this.offsets.set(key, at);
    return at | way;
  }

  private outlines(a: Orientation, b: Orientation, pair: string): Outline[] {
    const known = this.drawn.get(pair);
    if (known) return known.map((path) => oriented(transformed(path, a.flipped, a.rotation), a.flipped));
    this.regions.work += WORK_OF_REGION * (a.outline.length + b.outline.length);
    const paths = noFitOutline(a.outline, b.outline);
    if (a.piece < 0) return paths;
    // Turning back and flipping back is flipping first and then turning by as much: the one way or the other.
    const back = a.flipped ? a.rotation : -a.rotation;
    this.drawn.set(
      pair,
      paths.map((path) => oriented(transformed(path, a.flipped, back), a.flipped)),
    );
    return paths;
  }

  /** Heights of all corners of the region for `b` round `a`, moved by y and appended to `out`. */
  cornerLines(a: number, b: number, y: number, out: number[]): void {
    const at = this.region(a, b);
    this.regions.cornerLines(at & ~WAYS, (at & ALONG_Y) !== 0, y, out);
  }

  /** How far form `b` at (bx, by) must move at least to clear form `a` at (ax, ay), mm: 0 when they do not overlap. */
  depth(a: number, ax: number, ay: number, b: number, bx: number, by: number): number {
    const at = this.region(a, b);
    return this.regions.depth(at & ~WAYS, at & ALONG_X ? ax - bx : bx - ax, at & ALONG_Y ? ay - by : by - ay);
  }

  /** As `depth`, and writes the shortest way out of form `b` into `out`. */
  wayOut(a: number, ax: number, ay: number, b: number, bx: number, by: number, out: WayOut): void {
    const at = this.region(a, b);
    this.regions.wayOut(at & ~WAYS, at & ALONG_X ? ax - bx : bx - ax, at & ALONG_Y ? ay - by : by - ay, out);
    if (at & ALONG_X) out.dx = -out.dx;
    if (at & ALONG_Y) out.dy = -out.dy;
  }

  /**
   * Writes where form `b` would overlap form `a` on a line: along x at `line` above a's reference point (axis 0), or
   * along y (axis 1). Each stretch is three numbers in `stretches`: from, to (both moved by `offset`), `weight`.
   *
   * @param n stretches that are there already @returns stretches that are there then
   */
  stretchesOn(a: number, b: number, axis: 0 | 1, line: number, offset: number, weight: number, n: number): number {
    const at = this.region(a, b);
    const [along, across] = axis === 0 ? [ALONG_X, ALONG_Y] : [ALONG_Y, ALONG_X];
    const there = at & across ? -line : line;
    return this.regions.stretchesOn(at & ~WAYS, axis, there, (at & along) !== 0, offset, weight, n);
  }
}

/** An angle from 0 up to 360. */
function degrees(angle: number): number {
  return ((angle % 360) + 360) % 360;
}

/** A path that was flipped runs the other way round. */
function oriented(path: Outline, flipped: boolean): Outline {
  return flipped ? path.reverse() : path;
}

function mirrored(path: Outline, way: number): Outline {
  const sx = way & ALONG_X ? -1 : 1;
  const sy = way & ALONG_Y ? -1 : 1;
  return oriented(
    path.map(([x, y]): Point => [sx * x, sy * y]),
    sx !== sy,
  );
}
