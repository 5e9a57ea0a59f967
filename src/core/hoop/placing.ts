import {
  bounds,
  difference,
  distanceToBorder,
  intersection,
  isInside,
  polygonArea,
  transformed,
  type Outline,
  type Point,
} from '../shape';
import { hoopOutlines, type Hoop, type HoopPlace } from './hoop';

/** Cloth that is hooped, as it is cut, mm. */
export interface Ground {
  outline: Outline;
  /** Seams, buttons, zips: what must not come under the clamp. */
  obstacles: Outline[];
  /** Waste cloth that is basted to its edges, for the clamp alone: the motif and every measure keep to the cloth itself. */
  strips?: Outline[];
  /** A hoop would mark it for good. */
  marks: boolean;
}

/** Where the middle of the motif lies on the cloth, mm; its turn counter-clockwise, degrees; mirrored left to right first. */
export interface MotifPlace {
  x: number;
  y: number;
  angle: number;
  flipped: boolean;
}

export const TROUBLES = [
  'motif-past-cloth',
  'motif-past-field',
  'obstacle-under-needle',
  'clamp-past-cloth',
  'obstacle-under-clamp',
] as const;
export interface PlacingTrouble {
  kind: (typeof TROUBLES)[number];
  /** Where it is, to be drawn, mm. */
  where: Outline[];
  /** How far the motif or the clamp reaches past, mm; 0 for obstacles. */
  by: number;
}

/** What still counts where only the sheet is in the ring and the cloth lies on it. */
const FLOATED: readonly PlacingTrouble['kind'][] = ['motif-past-cloth', 'motif-past-field', 'obstacle-under-needle'];

/** Less area than this is rounding, mm². */
const NOTHING = 0.5;

/**
 * Smallest convex outline round points (Andrew's monotone chain), counter-clockwise.
 *
 * @example hullOf([[0, 0], [10, 0], [5, 2], [5, 10]]).length // 3
 */
export function hullOf(points: readonly Point[]): Outline {
  const sorted = [...points].sort(([ax, ay], [bx, by]) => ax - bx || ay - by);
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const point of list) {
      while (chain.length >= 2 && cross(chain.at(-2)!, chain.at(-1)!, point) <= 0) chain.pop();
      chain.push(point);
    }
    chain.pop();
    return chain;
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

function cross([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number {
  return (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
}

/**
 * Outline of a motif where it lies. @param motif its hull round its own middle
 *
 * @example placedMotif(square(20), { ...middle, x: 10, y: 10 }).length // 4
 */
export function placedMotif(motif: Outline, { x, y, angle, flipped }: MotifPlace): Outline {
  return transformed(motif, flipped, angle, x, y);
}

/**
 * What is wrong with a motif and a hoop where they lie; nothing when the motif lies within the field and on clear cloth, and the whole clamp
 * too. A needle that meets a button or a zip breaks, whether the cloth is hooped or floats.
 *
 * @param motif hull of the motif round its own middle, mm
 * @example troublesAt(square(20), hoop, ground, middle, { x: 200, y: 200, angle: 0 }) // []
 */
export function troublesAt(motif: Outline, hoop: Hoop, ground: Ground, place: MotifPlace, at: HoopPlace): PlacingTrouble[] {
  const found: PlacingTrouble[] = [];
  const there = placedMotif(motif, place);
  const { field, inner, outer } = hoopOutlines(hoop, at);
  const add = (kind: PlacingTrouble['kind'], where: Outline[], by: number) => {
    if (where.reduce((sum, outline) => sum + polygonArea(outline), 0) > NOTHING) found.push({ kind, where, by });
  };
  const beside = difference(there, [ground.outline]);
  add('motif-past-cloth', beside, reachOf(beside, ground.outline));
  const unreached = difference(there, [field]);
  add('motif-past-field', unreached, reachOf(unreached, field));
  const sewnOver = ground.obstacles.length === 0 ? [] : intersection([there], ground.obstacles);
  add('obstacle-under-needle', sewnOver, 0);
  const hanging = difference(outer, [ground.outline, ...(ground.strips ?? [])]).flatMap((part) => difference(part, [inner]));
  add('clamp-past-cloth', hanging, reachOf(hanging, ground.outline));
  const pressed =
    ground.obstacles.length === 0 ? [] : intersection([outer], ground.obstacles).flatMap((part) => difference(part, [inner]));
  add('obstacle-under-clamp', pressed, 0);
  return found;
}

/** How far parts reach past an outline, mm. */
function reachOf(parts: readonly Outline[], outline: Outline): number {
  return parts.flat().reduce((most, point) => Math.max(most, distanceToBorder(outline, point)), 0);
}

/** Shifts of the motif within the field that are looked at on each axis, and turns of the hoop against the motif. */
const SHIFTS = [0, -0.5, 0.5, -1, 1];
/** Ring and field are the same turned right round. */
const TURNS = [0, 90];

export interface Hooped {
  at: HoopPlace;
  troubles: PlacingTrouble[];
}

/** A hoop over a motif, and how much is in its way, judged by points alone: 0 when no vertex is. */
interface Try {
  at: HoopPlace;
  cost: number;
}

/** Every shift and turn of a hoop over a motif; quick enough to ask of thousands of places. */
function* triesOver(motif: Outline, hoop: Hoop, ground: Ground, place: MotifPlace): Generator<Try, void> {
  const there = placedMotif(motif, place);
  const corners = ground.obstacles.flat();
  const held = [ground.outline, ...(ground.strips ?? [])];
  const beside =
    there.filter((point) => !isInside(point, ground.outline)).length +
    corners.filter((point) => isInside(point, there)).length +
    ground.obstacles.reduce((sum, obstacle) => sum + there.filter((point) => isInside(point, obstacle)).length, 0);
  for (const turn of TURNS) {
    const angle = place.angle + turn;
    // The motif as it lies in the hoop's own directions.
    const level = bounds(transformed(there, false, -angle));
    const middle: Point = [(level.minX + level.maxX) / 2, (level.minY + level.maxY) / 2];
    const slackX = (hoop.fieldWidth - (level.maxX - level.minX)) / 2 - 0.01;
    const slackY = (hoop.fieldHeight - (level.maxY - level.minY)) / 2 - 0.01;
    const past = Math.max(0, -slackX) + Math.max(0, -slackY);
    for (const sx of SHIFTS)
      for (const sy of SHIFTS) {
        const shift: Point = [middle[0] + sx * Math.max(0, slackX), middle[1] + sy * Math.max(0, slackY)];
        const [[x, y]] = transformed([shift], false, angle) as [Point];
        const at = { x, y, angle: ((angle % 360) + 360) % 360 };
        const { inner, outer } = hoopOutlines(hoop, at);
        const hanging = outer.filter((point) => !held.some((outline) => isInside(point, outline))).length;
        const pressed =
          corners.filter((point) => isInside(point, outer) && !isInside(point, inner)).length +
          ground.obstacles.reduce((sum, obstacle) => sum + outer.filter((point) => isInside(point, obstacle)).length, 0);
        // A motif past the field cannot be sewn at all; the rest can be helped.
        const cost = 100 * past + 10 * beside + hanging + 2 * pressed;
        yield { at, cost };
      }
  }
}

/**
 * Lays a hoop over a motif: in the middle of its field when that works, else shifted and turned by quarters so that there is
 * least in its way. The motif stays where it is.
 *
 * @example hoopOver(square(20), hoop, ground, middle).at !== undefined // true
 */
export function hoopOver(motif: Outline, hoop: Hoop, ground: Ground, place: MotifPlace): Hooped {
  let best: Try | undefined;
  for (const each of triesOver(motif, hoop, ground, place)) {
    if (each.cost === 0) {
      // Points may miss what only crosses between them.
      const troubles = troublesAt(motif, hoop, ground, place, each.at);
      if (troubles.length === 0) return { at: each.at, troubles };
    }
    if (!best || each.cost < best.cost) best = each;
  }
  return { at: best!.at, troubles: troublesAt(motif, hoop, ground, place, best!.at) };
}

/**
 * Lays a hoop for cloth that floats: its middle where the middle of the motif is, so that the marks of the hoop and the cross of the motif are
 * one; turned by a quarter where only that has room.
 *
 * @example floatOver(square(20), hoop, ground, { ...middle, x: 60, y: 60 }).at // { x: 60, y: 60, angle: 0 }
 */
export function floatOver(motif: Outline, hoop: Hoop, ground: Ground, place: MotifPlace): Hooped {
  const tries = TURNS.map((turn): Hooped => {
    const at = { x: place.x, y: place.y, angle: (((place.angle + turn) % 360) + 360) % 360 };
    return { at, troubles: floatedTroubles(troublesAt(motif, hoop, ground, place, at)) };
  });
  return tries.find(({ troubles }) => troubles.every(({ kind }) => kind !== 'motif-past-field')) ?? tries[0]!;
}

/**
 * What of the troubles counts where the cloth floats: no ring lies on it.
 *
 * @example floatedTroubles([{ kind: 'clamp-past-cloth', where: [], by: 3 }]) // []
 */
export function floatedTroubles(troubles: readonly PlacingTrouble[]): PlacingTrouble[] {
  return troubles.filter(({ kind }) => FLOATED.includes(kind));
}

/**
 * Whether no vertex is in the way of a hoop somewhere over the motif; {@link troublesAt} finds what crosses between them.
 *
 * @example mayHold(square(20), hoop, ground, middle) // true
 */
export function mayHold(motif: Outline, hoop: Hoop, ground: Ground, place: MotifPlace): boolean {
  for (const { cost } of triesOver(motif, hoop, ground, place)) if (cost === 0) return true;
  return false;
}
