import type { Outline, Point } from '../shape';
import { measuringEdges } from './align';
import type { HoopPlace } from './hoop';
import type { MotifPlace } from './placing';

/** How a hoop is put on by folds, and where the design then lies in its field. */
export interface HoopFolds {
  /** Edges from which the hoop's own middle is measured, and how far it lies from each, mm: one fold runs along each of them. */
  edges: { edge: number; distance: number }[];
  /** By how much the design is moved from the middle of the field at the machine, along the hoop's own axes, mm: right and up. */
  right: number;
  up: number;
  /** Turn of the design against the hoop, degrees counter-clockwise in (−180, 180]. */
  turn: number;
}

/**
 * The card of a hooping. A person puts the marks of the hoop onto folds of the cloth, so what is folded is the place of the hoop's
 * middle, not of the motif's; what lies between the two is set at the machine.
 *
 * @param outline of the cloth, counter-clockwise, mm @param place of the motif's middle @param hoop where the hoop lies
 * @returns no edges where none is straight: then the gauge is laid on
 * @example Object.keys(hoopFolds(square(400), middle, { x: 200, y: 200, angle: 0 })).length > 0 // true
 */
export function hoopFolds(outline: Outline, place: MotifPlace, hoop: HoopPlace): HoopFolds {
  const [dx, dy] = [place.x - hoop.x, place.y - hoop.y];
  const angle = (hoop.angle * Math.PI) / 180;
  const axis: Point = [Math.cos(angle), Math.sin(angle)];
  return {
    edges: measuringEdges(outline, hoop),
    right: dx * axis[0] + dy * axis[1],
    up: dy * axis[0] - dx * axis[1],
    turn: turned(place.angle - hoop.angle),
  };
}

/** The same turn in (−180, 180], degrees. */
function turned(angle: number): number {
  const turn = (((angle % 360) + 540) % 360) - 180;
  return turn === -180 ? 180 : turn;
}

/** Less than this is no turn, degrees. */
const NO_TURN = 0.5;

/**
 * A turn as one says it at the table, such as “by 45° clockwise”; empty where there is none. A quarter is a turn like any other:
 * the hoop's mount comes to lie on another side of the cloth.
 *
 * @param angle degrees counter-clockwise
 * @example turnWords(90) // 'by 90° counter-clockwise'
 */
export function turnWords(angle: number): string {
  const turn = turned(angle);
  if (Math.abs(turn) < NO_TURN) return '';
  const degrees = Math.round(Math.abs(turn));
  return `by ${degrees}°${degrees === 180 ? '' : turn > 0 ? ' counter-clockwise' : ' clockwise'}`;
}
