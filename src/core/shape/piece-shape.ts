import { collar, type CollarShape } from './kinds/collar';
import { drawn, type DrawnShape } from './kinds/drawn';
import { circle, ellipse, ring, type CircleShape, type EllipseShape, type RingShape } from './kinds/ellipse';
import { halfMoon, type HalfMoonShape } from './kinds/half-moon';
import type { EdgedOutline, ShapeKind } from './kinds/kind';
import { angled, rectangle, rounded, type RectangleShape } from './kinds/rectangle';
import { sector, type SectorShape } from './kinds/sector';
import { trapezium, type TrapeziumShape } from './kinds/trapezium';
import { waistband, type WaistbandShape } from './kinds/waistband';

/** The shape of a piece: typed by its measures, drawn, or from a file. */
export type PieceShape =
  | RectangleShape
  | TrapeziumShape
  | CircleShape
  | EllipseShape
  | RingShape
  | SectorShape
  | HalfMoonShape
  | CollarShape
  | WaistbandShape
  | DrawnShape;

/** Every kind of shape, in the order in which they are offered. */
export const SHAPE_KINDS = [
  rectangle,
  rounded,
  angled,
  trapezium,
  circle,
  ellipse,
  ring,
  sector,
  halfMoon,
  collar,
  waistband,
  drawn,
] as const;
export const PIECE_KINDS = SHAPE_KINDS.map(({ kind }) => kind);

/**
 * How a kind of shape is typed and drawn.
 *
 * @example shapeKind('rectangle').kind // 'rectangle'
 */
export function shapeKind(kind: PieceShape['kind']): ShapeKind<PieceShape> {
  return SHAPE_KINDS.find((each) => each.kind === kind) as unknown as ShapeKind<PieceShape>;
}

/**
 * Outline of a shape with its edges, counter-clockwise.
 *
 * @throws {InputError} naming the measure that does not work
 * @example drawShape(rectangle).outline.length // 4
 */
export function drawShape(shape: PieceShape): EdgedOutline {
  return shapeKind(shape.kind).draw(shape);
}

/**
 * Names of a shape's edges, in the order in which allowances are given.
 *
 * @example edgeNames(rectangle) // [ 'bottom', 'right', 'top', 'left' ]
 */
export function edgeNames(shape: PieceShape): string[] {
  return shapeKind(shape.kind).edgeNames(shape);
}
