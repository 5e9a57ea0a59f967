export { innermost } from './innermost';
export { bounds, FARTHEST, perimeter, polygonArea, requireOutline, selfCrossing, signedArea, transformed } from './polygon';
export type { Box, Outline, Point } from './polygon';
export { distanceToBorder, distanceToEdge, isInside, nearestOnBorder } from './distance';
export { convexHull } from './hull';
export { arcPoints, CHORD_ERROR } from './arc';
export { cubicPoints } from './cubic';
export { anticlockwise, minkowskiSum, noFitOutline } from './minkowski';
export { simplifyOutward } from './simplify';
export { difference, grownBy, intersection, regionArea, unionOf } from './regions';
export { inset } from './inset';
export type { Inset } from './inset';
export { outset, sourcesOf } from './outset';
export type { Outset } from './outset';
export { drawShape, edgeNames, PIECE_KINDS, SHAPE_KINDS, shapeKind } from './piece-shape';
export type { PieceShape } from './piece-shape';
export type { EdgedOutline, Measure, ShapeKind } from './kinds/kind';
export { edgePoints } from './kinds/drawn';
export type { DrawnEdge, DrawnShape } from './kinds/drawn';
export { asDrawn, drawnThrough, turnAt } from './as-drawn';
export { slitOpen } from './slit';
export { boxOutline } from './rectangle';
export {
  bend,
  edgeMeasures,
  endOf,
  mirrorAtEdge,
  moveControl,
  moveCorner,
  nearestEdge,
  removeCorner,
  setEdge,
  snapped,
  splitEdge,
  straighten,
} from './edit-outline';
export type { Edited } from './edit-outline';
