import { bounds, signedArea, type Outline, type Point } from '../shape';
import { edgeDirections, edgeDistance, mirroredPlace } from './align';
import { hoopFolds } from './folds';
import type { HoopPlace } from './hoop';
import { placedMotif, type Ground, type MotifPlace } from './placing';

/** How far a sewn design lies from where it was wanted, along the hoop's own axes, mm. */
export interface Landed {
  right: number;
  up: number;
}

/** A hooping as its cards are drawn from: how the first copy is hooped, and what is known of the others. */
export interface HoopedSet {
  /** As the pattern has it, either winding, mm. */
  outline: Outline;
  place: MotifPlace;
  hoop: HoopPlace;
  /** Every second copy is the mirror image. */
  pairs: boolean;
  /** Copies that are larger or smaller than the pattern: the size of the box round them, mm. */
  sizes?: readonly { copy: number; width: number; height: number }[];
  /** By how much the design came to lie off its place when it was read, along the hoop's own axes, mm. */
  landed?: Landed | null | undefined;
}

/** The card of one copy: how its hoop is put on by folds, and what is set at the machine. mm, degrees counter-clockwise. */
export interface HoopCard {
  copy: number;
  /** It is the mirror image of the first. */
  mirrored: boolean;
  /** Outline of this copy, counter-clockwise. */
  ground: Outline;
  /**
   * Folds parallel to edges of the ground, so far inside; two of them cross at the hoop's middle. `half`: as far from the opposite edge, so that
   * it is folded hem to hem.
   */
  edges: { edge: number; distance: number; half: boolean }[];
  /** Turn of the hoop on the cloth. */
  tilt: number;
  /** The design from the middle of the field, along the hoop's own axes. */
  right: number;
  up: number;
  /** The design is mirrored first, left to right. */
  mirror: boolean;
  /** Then it is turned in the hoop. */
  turn: number;
  /** Where hoop and motif lie on this copy. */
  hoop: HoopPlace;
  place: MotifPlace;
}

/** A fold that lies half-way within this is made hem to hem, mm. */
const HALF = 0.25;
/** Nearer to the middle than this a motif is meant to be in the middle, mm. */
const MIDDLE = 1;

/**
 * The card of a copy. Of a set in pairs every second copy is the mirror image of the first: its ground, the side on which the hoop is put, the
 * design itself. A copy of another size keeps the distance from the edge that is nearer; what lies in the middle stays in the middle, half of
 * the difference on either side. What was read of the first copy is taken into account for all of them.
 *
 * @param copy from 0
 * @example hoopCard({ outline: square(400), place: middle, hoop: { x: 200, y: 200, angle: 0 }, pairs: true }, 1).mirrored // true
 */
export function hoopCard({ outline, place, hoop, pairs, sizes = [], landed }: HoopedSet, copy: number): HoopCard {
  const size = sizes.find((each) => each.copy === copy);
  const pattern = signedArea(outline) < 0 ? [...outline].reverse() : outline;
  const moved = size ? resized(pattern, place, size) : { outline: pattern, by: [0, 0] as Point };
  const [dx, dy] = moved.by;
  const at: HoopPlace = { ...hoop, x: hoop.x + dx, y: hoop.y + dy };
  const asSet: MotifPlace = { ...place, x: place.x + dx, y: place.y + dy };
  const mirrored = pairs && copy % 2 === 1;
  const ground = mirrored ? mirroredOutline(moved.outline) : moved.outline;
  const hoopThere = mirrored ? { x: -at.x, y: at.y, angle: -at.angle } : at;
  const motifThere = mirrored ? mirroredPlace(asSet) : asSet;
  const { edges, right, up, turn } = hoopFolds(ground, motifThere, hoopThere);
  return {
    ...{ copy, mirrored, ground, turn },
    // What lies off comes from hoop and machine, the same way every time: it is taken back where the design is moved.
    right: right - (landed?.right ?? 0),
    up: up - (landed?.up ?? 0),
    edges: edges.map((each) => ({ ...each, half: isHalf(ground, each) })),
    tilt: turnOf(hoopThere.angle),
    mirror: motifThere.flipped,
    ...{ hoop: hoopThere, place: motifThere },
  };
}

/**
 * Ground of a copy: what lies in the way is mirrored with it.
 *
 * @example groundOfCopy(ground, hoopCard({ outline: square(400), place: middle, hoop: { x: 200, y: 200, angle: 0 }, pairs: true }, 1)).obstacles.length // 0
 */
export function groundOfCopy(ground: Ground, card: HoopCard): Ground {
  if (!card.mirrored) return { ...ground, outline: card.ground };
  return {
    ...ground,
    outline: card.ground,
    obstacles: ground.obstacles.map(mirroredOutline),
    ...(ground.strips ? { strips: ground.strips.map(mirroredOutline) } : {}),
  };
}

/**
 * What the stitching nearest to each of the card's edges should read on a ruler, mm: the distance from the edge to the motif.
 *
 * @param motif hull of the motif round its own middle
 * @example nearestStitches(square(20), hoopCard({ outline: square(400), place: { ...middle, x: 100, y: 80 }, hoop: { x: 100, y: 80, angle: 0 }, pairs: false }, 0))[0].distance // 80
 */
export function nearestStitches(motif: Outline, { ground, edges, place }: HoopCard): { edge: number; distance: number }[] {
  const there = placedMotif(motif, place);
  return edges.map(({ edge }) => ({ edge, distance: Math.min(...there.map((at) => edgeDistance(ground, edge, at).distance)) }));
}

/**
 * How far a design came to lie off its place, from what a ruler reads between two edges and the stitches nearest to them.
 *
 * @param readings one for each of the card's edges, mm
 * @returns along the hoop's own axes; null with fewer than two edges
 * @example landedBy(square(20), hoopCard({ outline: square(400), place: { ...middle, x: 100, y: 80 }, hoop: { x: 100, y: 80, angle: 0 }, pairs: false }, 0), [82, 99]).up // 2
 */
export function landedBy(motif: Outline, card: HoopCard, readings: readonly number[]): Landed | null {
  const [first, second] = nearestStitches(motif, card).map(({ edge, distance }, i) => ({
    inward: edgeDirections(card.ground, edge).inward,
    off: readings[i]! - distance,
  }));
  if (!first || !second || !Number.isFinite(first.off + second.off)) return null;
  const [[ax, ay], [bx, by]] = [first.inward, second.inward];
  const det = ax * by - ay * bx;
  const [x, y] = [(first.off * by - second.off * ay) / det, (ax * second.off - bx * first.off) / det];
  const tilt = (card.tilt * Math.PI) / 180;
  return { right: x * Math.cos(tilt) + y * Math.sin(tilt), up: y * Math.cos(tilt) - x * Math.sin(tilt) };
}

function mirroredOutline(outline: Outline): Outline {
  return outline.map(([x, y]): Point => [-x, y]).reverse();
}

/** The same angle in (−180, 180], degrees. */
function turnOf(angle: number): number {
  const turn = (((angle % 360) + 540) % 360) - 180;
  return turn === -180 ? 180 : turn;
}

/** A copy stretched to its own size, and by how much what lies on it is moved. */
function resized(
  outline: Outline,
  { x, y }: MotifPlace,
  { width, height }: { width: number; height: number },
): { outline: Outline; by: Point } {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const [sx, sy] = [width / (maxX - minX), height / (maxY - minY)];
  const kept = (at: number, from: number, to: number, grown: number) => {
    const middle = (from + to) / 2;
    if (Math.abs(at - middle) < MIDDLE) return grown / 2;
    return at < middle ? 0 : grown;
  };
  return {
    outline: outline.map(([px, py]): Point => [minX + (px - minX) * sx, minY + (py - minY) * sy]),
    by: [kept(x, minX, maxX, width - (maxX - minX)), kept(y, minY, maxY, height - (maxY - minY))],
  };
}

/** Whether a fold lies half-way to the far side. */
function isHalf(outline: Outline, { edge, distance }: { edge: number; distance: number }): boolean {
  const farthest = Math.max(...outline.map((at) => edgeDistance(outline, edge, at).distance));
  return Math.abs(farthest / 2 - distance) < HALF;
}
