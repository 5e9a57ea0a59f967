import { noFitOutline, transformed, type Outline } from '../shape';
import type { Form } from './form';
import { Regions, type WayOut } from './regions';

/** Making a region costs about as much as looking at this many edges per corner of the pair. */
const WORK_OF_REGION = 300;
const NOT_MADE = -1;

/**
 * No-fit regions of all pairs of forms, made when first asked for: where one form may not lie relative to another. Both
 * orders of a pair are kept, so that the innermost loops need not mirror anything.
 */
export class NoFitTable {
  private readonly regions = new Regions();
  /** Offset of the region for form b round form a, at b · forms + a. */
  private readonly offsets: Int32Array;
  /** Regions made so far, for pairs of pieces that lie to one another in some way, the first one as it was drawn. */
  private readonly made = new Map<string, Outline[]>();
  /** Scratch of `stretchesOn`: from, to, weight of every stretch on the line. */
  readonly stretches = this.regions.stretches;

  constructor(private readonly forms: readonly Form[]) {
    this.offsets = new Int32Array(forms.length * forms.length).fill(NOT_MADE);
  }

  /** Edges looked at so far: the measure of work that does not depend on the machine. */
  get work(): number {
    return this.regions.work;
  }

  set work(work: number) {
    this.regions.work = work;
  }

  private region(a: number, b: number): number {
    const at = this.offsets[b * this.forms.length + a]!;
    return at === NOT_MADE ? this.make(a, b) : at;
  }

  private make(a: number, b: number): number {
    const { forms, offsets, regions } = this;
    const paths = this.outlines(forms[a]!, forms[b]!);
    const at = regions.add(paths);
    offsets[b * forms.length + a] = at;
    // Half a turn about the origin mirrors the pair and keeps the winding.
    if (a !== b)
      offsets[a * forms.length + b] = regions.add(paths.map((path) => path.map(([x, y]): [number, number] => [-x, -y])));
    return at;
  }

  /** Outlines of a region. Two pieces that are turned and flipped together take it with them, so it is made only once. */
  private outlines(a: Form, b: Form): Outline[] {
    const turn = a.flipped ? a.rotation - b.rotation : b.rotation - a.rotation;
    const key = `${a.piece} ${b.piece} ${((turn % 360) + 360) % 360} ${a.flipped === b.flipped}`;
    const known = this.made.get(key);
    if (known) return known.map((path) => oriented(transformed(path, a.flipped, a.rotation), a.flipped));
    this.regions.work += WORK_OF_REGION * (a.outline.length + b.outline.length);
    const paths = noFitOutline(a.outline, b.outline);
    if (a.piece < 0 || b.piece < 0) return paths;
    // Turning back and flipping back is flipping first and then turning by as much: the one way or the other.
    const back = a.flipped ? a.rotation : -a.rotation;
    this.made.set(
      key,
      paths.map((path) => oriented(transformed(path, a.flipped, back), a.flipped)),
    );
    return paths;
  }

  /** Heights of all corners of the region for `b` round `a`, moved by y and appended to `out`. */
  cornerLines(a: number, b: number, y: number, out: number[]): void {
    this.regions.cornerLines(this.region(a, b), y, out);
  }

  /** How far form `b` at (bx, by) must move at least to clear form `a` at (ax, ay), mm: 0 when they do not overlap. */
  depth(a: number, ax: number, ay: number, b: number, bx: number, by: number): number {
    return this.regions.depth(this.region(a, b), bx - ax, by - ay);
  }

  /** As `depth`, and writes the shortest way out of form `b` into `out`. */
  wayOut(a: number, ax: number, ay: number, b: number, bx: number, by: number, out: WayOut): void {
    this.regions.wayOut(this.region(a, b), bx - ax, by - ay, out);
  }

  /**
   * Writes where form `b` would overlap form `a` on a line: along x at `line` above a's reference point (axis 0), or
   * along y (axis 1). Each stretch is three numbers in `stretches`: from, to (both moved by `offset`), `weight`.
   *
   * @param n stretches that are there already @returns stretches that are there then
   */
  stretchesOn(a: number, b: number, axis: 0 | 1, line: number, offset: number, weight: number, n: number): number {
    return this.regions.stretchesOn(this.region(a, b), axis, line, offset, weight, n);
  }
}

/** A path that was flipped runs the other way round. */
function oriented(path: Outline, flipped: boolean): Outline {
  return flipped ? path.reverse() : path;
}
