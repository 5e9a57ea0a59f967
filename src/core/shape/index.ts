export { bounds, MOST_POINTS, perimeter, polygonArea, requireOutline, selfCrossing, signedArea, transformed } from './polygon';
export type { Box, Outline, Point } from './polygon';
export { difference, intersection, regionArea, unionOf } from './regions';
export { inset } from './inset';
export type { Inset } from './inset';
export { pieceOutline, PIECE_KINDS } from './piece-outline';
export type { PieceShape } from './piece-outline';
