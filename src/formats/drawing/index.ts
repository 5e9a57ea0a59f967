export { readOutlines } from './read-outlines';
export type { FoundPiece, FoundPieces } from './pieces';
export type { DrawingWarning } from './drawing';
