import { InputError, requireNumber } from '../input-error';
import { bounds, transformed, type Outline, type Point } from '../shape';
import { COLOUR, MotifBuilder, JUMP, STITCH, TRIM, type Motif } from './motif';

/** How an outline is filled with stitches, mm and degrees. */
export type Stitching =
  | { kind: 'fill'; spacing: number; stitchLength: number; angle: number }
  | { kind: 'satin'; spacing: number; width: number }
  | { kind: 'running'; stitchLength: number };

/** Outlines that are sewn in one colour; holes lie inside, either winding. */
export interface StitchedArea {
  outlines: Outline[];
  stitching: Stitching;
  /** Begins with a change of colour. */
  newColour?: boolean;
}

/** Travels longer than this cut the thread, mm. */
const TRIM_TRAVEL = 6;
/** A jump moves the hoop this far at most, mm. */
const JUMP_STEP = 12;
/** The needle holes of neighbouring rows of a fill are shifted by these shares of a stitch, so that none line up. */
const STAGGER = [0, 0.4, 0.8, 0.2, 0.6];

/**
 * Stitches for outlines: rows of a fill, a zigzag along the line, or running stitches. Good enough to reckon with, to
 * sew a sample, and to stand in for a stitch file that is not there yet; no substitute for a digitiser's hand.
 *
 * @throws {InputError} when a spacing or length is out of range, naming `areas[i].stitching.…`
 * @example stitchedMotif('Empty', []).command.length // 0
 */
export function stitchedMotif(name: string, areas: readonly StitchedArea[]): Motif {
  const sewing = new Sewing();
  areas.forEach(({ outlines, stitching, newColour }, i) => {
    const field = `areas[${i}].stitching`;
    if (outlines.length === 0) throw new InputError(`areas[${i}].outlines`, 'must hold at least one outline');
    if (stitching.kind !== 'running') requireNumber(`${field}.spacing`, stitching.spacing, 'mm', { min: 0.2, max: 5 });
    if (stitching.kind !== 'satin') requireNumber(`${field}.stitchLength`, stitching.stitchLength, 'mm', { min: 0.5, max: 12 });
    if (newColour) sewing.changeColour();
    if (stitching.kind === 'fill') {
      requireNumber(`${field}.angle`, stitching.angle, '°', { min: -360, max: 360 });
      sewFill(sewing, outlines, stitching);
    } else if (stitching.kind === 'satin') {
      requireNumber(`${field}.width`, stitching.width, 'mm', { min: 0.5, max: 12 });
      for (const outline of outlines) sewSatin(sewing, outline, stitching);
    } else for (const outline of outlines) sewRunning(sewing, outline, stitching.stitchLength);
  });
  return sewing.records.motif(name);
}

/** The needle, where it is, and what it has sewn. */
class Sewing {
  readonly records = new MotifBuilder();
  private at: Point = [0, 0];
  private sewnBefore = false;

  stitch([x, y]: Point): void {
    this.records.add(STITCH, x, y);
    this.at = [x, y];
    this.sewnBefore = true;
  }

  /** Goes there without sewing, and puts the needle in. */
  travel(to: Point): void {
    const far = Math.hypot(to[0] - this.at[0], to[1] - this.at[1]);
    if (far > TRIM_TRAVEL && this.sewnBefore) this.records.add(TRIM, this.at[0], this.at[1]);
    const steps = Math.ceil(far / JUMP_STEP);
    for (let k = 1; k <= steps; k++)
      this.records.add(JUMP, this.at[0] + ((to[0] - this.at[0]) * k) / steps, this.at[1] + ((to[1] - this.at[1]) * k) / steps);
    this.stitch(to);
  }

  /** Sews there if it is near, travels otherwise. */
  reach(to: Point, near: number): void {
    if (this.sewnBefore && Math.hypot(to[0] - this.at[0], to[1] - this.at[1]) <= near) this.stitch(to);
    else this.travel(to);
  }

  changeColour(): void {
    if (this.sewnBefore) this.records.add(COLOUR, this.at[0], this.at[1]);
    this.sewnBefore = false;
  }
}

/** Rows of stitches at an angle, there and back, each stretch of a row inside the outlines sewn by itself. */
function sewFill(
  sewing: Sewing,
  outlines: readonly Outline[],
  { spacing, stitchLength, angle }: { spacing: number; stitchLength: number; angle: number },
): void {
  const level = outlines.map((outline) => transformed(outline, false, -angle));
  const back = ([x, y]: Point): Point => transformed([[x, y]], false, angle)[0]!;
  const boxes = level.map(bounds);
  const minY = Math.min(...boxes.map((box) => box.minY));
  const maxY = Math.max(...boxes.map((box) => box.maxY));
  const rows = Math.max(1, Math.floor((maxY - minY) / spacing));
  const first = minY + (maxY - minY - (rows - 1) * spacing) / 2;
  const stretches = Array.from({ length: rows }, (_, k) => ({
    k,
    y: first + k * spacing,
    spans: crossings(level, first + k * spacing),
  }));
  // One column of spans after the other, so that an outline with an opening is not travelled over at every row.
  const left = stretches.flatMap(({ k, y, spans }) => spans.map((span) => ({ k, y, span })));
  let forward = true;
  while (left.length > 0) {
    let here = left.shift()!;
    for (;;) {
      const [a, b] = forward ? here.span : [here.span[1], here.span[0]];
      sewing.reach(back([a, here.y]), 2 * spacing + 0.5);
      sewRow(sewing, a, b, here.y, stitchLength, STAGGER[here.k % STAGGER.length]!, back);
      forward = !forward;
      const next = left.findIndex(({ k, span }) => k === here.k + 1 && span[0] < here.span[1] && span[1] > here.span[0]);
      if (next < 0) break;
      here = left.splice(next, 1)[0]!;
    }
  }
}

/** One stretch of a row, from a to b, its needle holes on a ladder that is the same in both directions. */
function sewRow(
  sewing: Sewing,
  a: number,
  b: number,
  y: number,
  stitchLength: number,
  shift: number,
  back: (point: Point) => Point,
): void {
  const step = b > a ? 1 : -1;
  const ladder = (k: number) => (k + shift) * stitchLength;
  let k = step > 0 ? Math.ceil(a / stitchLength - shift) : Math.floor(a / stitchLength - shift);
  for (; step > 0 ? ladder(k) < b - 0.3 : ladder(k) > b + 0.3; k += step)
    if (Math.abs(ladder(k) - a) > 0.3) sewing.stitch(back([ladder(k), y]));
  sewing.stitch(back([b, y]));
}

/** Where a level line is inside the outlines, from the left (even–odd). */
function crossings(outlines: readonly Outline[], y: number): [number, number][] {
  const at: number[] = [];
  for (const outline of outlines)
    outline.forEach(([ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length]!;
      if (ay > y !== by > y) at.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
    });
  at.sort((p, q) => p - q);
  const spans: [number, number][] = [];
  for (let i = 0; i + 1 < at.length; i += 2) if (at[i + 1]! - at[i]! > 0.3) spans.push([at[i]!, at[i + 1]!]);
  return spans;
}

/** A zigzag along the outline, half its width to either side. */
function sewSatin(sewing: Sewing, outline: Outline, { spacing, width }: { spacing: number; width: number }): void {
  let side = 1;
  alongOutline(outline, spacing / 2, ([x, y], [dx, dy]) => {
    const to: Point = [x - (side * dy * width) / 2, y + (side * dx * width) / 2];
    sewing.reach(to, width + 4);
    side = -side;
  });
}

function sewRunning(sewing: Sewing, outline: Outline, stitchLength: number): void {
  alongOutline(outline, stitchLength, (at) => sewing.reach(at, stitchLength + 1));
}

/** Visits the closed line of an outline at even steps, with its direction. */
function alongOutline(outline: Outline, step: number, visit: (at: Point, direction: Point) => void): void {
  let total = 0;
  const edges = outline.map((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    total += length;
    return { a, b, length };
  });
  const count = Math.max(2, Math.round(total / step));
  let edge = 0;
  let passed = 0;
  for (let k = 0; k <= count; k++) {
    const s = (total * k) / count;
    while (edge < edges.length - 1 && passed + edges[edge]!.length < s) passed += edges[edge++]!.length;
    const { a, b, length } = edges[edge]!;
    if (length === 0) continue;
    const t = Math.min(1, (s - passed) / length);
    const direction: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
    visit([a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])], direction);
  }
}
