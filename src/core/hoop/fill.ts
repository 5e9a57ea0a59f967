import { InputError, requireNumber } from '../input-error';
import { COLOUR, JUMP, motifFigures, MotifBuilder, STITCH, TRIM, type Motif, type MotifBounds } from '../motif';
import { bounds, transformed, type Outline, type Point } from '../shape';
import { hoopOutlines, type Hoop } from './hoop';
import { hullOf } from './placing';

/** A copy of a motif in the field: its middle from that of the hoop, mm, and its turn, degrees counter-clockwise. */
export interface FilledPlace {
  x: number;
  y: number;
  angle: number;
}

/** Least and most room between two copies, mm: they are cut apart between. */
export const FILL_MARGINS = { min: 0, max: 60 };
/** More copies than this no hooping holds. */
const MOST = 400;
/** Rows are shifted against each other by so many shares of their step, and the whole is laid at so many places. */
const SHIFTS = 24;
const ORIGINS = 8;
const ROUNDING = 1e-6;
const SIDES = 24;
/** A unit circle from outside, with a flat side towards each axis: what keeps clear of it keeps clear of the circle. */
const ROUND = Array.from({ length: SIDES }, (_, i): Point => {
  const t = ((i + 0.5) * 2 * Math.PI) / SIDES;
  return [Math.cos(t) / Math.cos(Math.PI / SIDES), Math.sin(t) / Math.cos(Math.PI / SIDES)];
});

/**
 * As many copies of a motif as a field holds, all in one hooping. Copies lie in rows, rows shifted against each other by what packs closest
 * (the least step at which two convex outlines do not touch is read off their Minkowski difference), upright or turned by a quarter, at the best
 * of several places of the whole.
 *
 * @param motif hull of the motif round its own middle, mm @param margin between two copies, mm
 * @returns nearest to the middle first
 * @example fillHoop(square(20).map(([x, y]) => [x - 10, y - 10]), hoop, 5).length // 16
 */
export function fillHoop(motif: Outline, hoop: Hoop, margin: number): FilledPlace[] {
  const { field } = hoopOutlines(hoop);
  const box = bounds(field);
  let best: FilledPlace[] = [];
  for (const angle of [0, 90]) {
    const hull = hullOf(transformed(motif, false, angle, 0, 0));
    const room = roomIn(field, hull);
    const touching = hullOf(hull.flatMap(([ax, ay]) => hull.map(([bx, by]): Point => [ax - bx, ay - by])));
    const apart = hullOf(touching.flatMap(([x, y]) => ROUND.map(([u, v]): Point => [x + margin * u, y + margin * v])));
    for (const { step, rise, shift } of lattices(apart)) {
      for (let u = 0; u < ORIGINS; u++)
        for (let v = 0; v < ORIGINS; v++) {
          const laid = inField(room, box, { step, rise, shift }, [(u / ORIGINS) * step, (v / ORIGINS) * rise]);
          if (laid.length > best.length) best = laid.map(([x, y]) => ({ x, y, angle }));
        }
    }
  }
  return best.sort((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y)).slice(0, MOST);
}

interface Lattice {
  /** From copy to copy in a row, and from row to row. */
  step: number;
  rise: number;
  /** Of a row against the one below it. */
  shift: number;
}

/** Ways of laying rows close: unshifted, and with the least rise for each shift. */
function lattices(apart: Outline): Lattice[] {
  const { maxX } = bounds(apart);
  const step = Math.max(ROUNDING, reachAt(apart, 0, 0));
  const all = Array.from({ length: SHIFTS }, (_, i): Lattice => {
    const shift = (i / SHIFTS) * step;
    let rise = 0;
    for (let k = -Math.ceil(maxX / step) - 1; k <= Math.ceil(maxX / step) + 1; k++)
      rise = Math.max(rise, reachAt(apart, 1, shift + k * step));
    return { step, rise, shift };
  });
  const closest = [...all].sort((a, b) => a.rise - b.rise);
  return [all[0]!, ...closest.slice(0, 4), all[SHIFTS / 2]!];
}

/** How far a convex outline round the origin reaches: to the right at a height (axis 0), or upward at a place across (axis 1). */
function reachAt(outline: Outline, axis: 0 | 1, at: number): number {
  let most = 0;
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const [p, q] = [a[1 - axis]!, b[1 - axis]!];
    if ((p - at) * (q - at) > 0 || p === q) {
      if (p === at && q === at) most = Math.max(most, a[axis]!, b[axis]!);
      return;
    }
    most = Math.max(most, a[axis]! + ((at - p) / (q - p)) * (b[axis]! - a[axis]!));
  });
  return most;
}

/** Half planes in which the middle of an outline must lie for all of it to lie in a convex field: n · p ≤ c. */
function roomIn(field: Outline, hull: Outline): { nx: number; ny: number; c: number }[] {
  return field.map(([ax, ay], i) => {
    const [bx, by] = field[(i + 1) % field.length]!;
    const length = Math.hypot(bx - ax, by - ay);
    // Outward lies to the right of a counter-clockwise edge.
    const [nx, ny] = [(by - ay) / length, (ax - bx) / length];
    return { nx, ny, c: nx * ax + ny * ay - Math.max(...hull.map(([x, y]) => nx * x + ny * y)) + ROUNDING };
  });
}

/** Places of a lattice at which an outline lies wholly in the field. */
function inField(room: ReturnType<typeof roomIn>, field: MotifBounds, { step, rise, shift }: Lattice, [ox, oy]: Point): Point[] {
  const { minX, minY, maxX, maxY } = field;
  const found: Point[] = [];
  const rows = Math.ceil((maxY - minY) / rise) + 1;
  for (let r = -rows; r <= rows; r++) {
    const y = oy + r * rise;
    if (y < minY || y > maxY) continue;
    const start = ox + ((((r * shift) % step) + step) % step);
    for (let x = start - Math.ceil((start - minX) / step) * step; x <= maxX; x += step)
      if (room.every(({ nx, ny, c }) => nx * x + ny * y <= c)) found.push([x, y]);
    if (found.length > MOST) return found;
  }
  return found;
}

/**
 * Copies of a motif as one, sewn colour by colour: the first colour of all of them, then the next, so that the thread is changed as often as for
 * one. What is sewn in two colours of one thread stays two.
 *
 * @param middle of the motif, in its own place, mm
 * @example repeated(motif, [0, 0], [{ x: 0, y: 0, angle: 0 }]).command.length >= motif.command.length // true
 */
export function repeated({ name, x, y, command }: Motif, [mx, my]: Point, places: readonly FilledPlace[]): Motif {
  const builder = new MotifBuilder();
  const blocks: [from: number, to: number][] = [];
  let from = 0;
  for (let i = 0; i <= command.length; i++)
    if (i === command.length || command[i] === COLOUR) {
      blocks.push([from, i]);
      from = i + 1;
    }
  let at: Point = [0, 0];
  blocks.forEach(([begin, end], colour) => {
    if (colour > 0) builder.add(COLOUR, ...at);
    places.forEach(({ x: px, y: py, angle }, copy) => {
      const t = (angle * Math.PI) / 180;
      const put = (i: number): Point => {
        const [dx, dy] = [x[i]! - mx, y[i]! - my];
        return [px + dx * Math.cos(t) - dy * Math.sin(t), py + dx * Math.sin(t) + dy * Math.cos(t)];
      };
      const first = command.subarray(begin, end).indexOf(STITCH);
      if (first < 0) return;
      if (copy > 0 || colour > 0) builder.add(TRIM, ...at);
      builder.add(JUMP, ...put(begin + first));
      for (let i = begin; i < end; i++) {
        // Ways to the first stitch are made anew.
        if (i < begin + first) continue;
        builder.add(command[i]!, ...put(i));
        at = put(i);
      }
    });
  });
  return builder.motif(places.length === 1 ? name : `${places.length} × ${name}`);
}

/** A filled hoop: where each copy lies, and all of them as one motif. */
export interface FilledHoop {
  places: FilledPlace[];
  /** Round the middle of the hoop. */
  motif: Motif;
}

/**
 * As many copies of a motif as a field holds, as one motif.
 *
 * @param margin between two copies, mm @throws {InputError} `margin`, and `motif` where not even one has room
 * @example filledHoop(motif, hoop, 5).places.length >= 1 // true
 */
export function filledHoop(motif: Motif, hoop: Hoop, margin: number): FilledHoop {
  requireNumber('margin', margin, 'mm', FILL_MARGINS);
  const { bounds: box } = motifFigures(motif);
  if (!box) throw new InputError('motif', 'holds no stitches');
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const points: Point[] = [];
  for (let i = 0; i < motif.command.length; i++)
    if (motif.command[i] === STITCH) points.push([motif.x[i]! - middle[0], motif.y[i]! - middle[1]]);
  const places = fillHoop(hullOf(points), hoop, margin);
  if (places.length === 0) throw new InputError('motif', 'is larger than the field of this hoop');
  return { places, motif: repeated(motif, middle, places) };
}
