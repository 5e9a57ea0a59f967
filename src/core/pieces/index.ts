export { openPiece, SIDE_WORDS } from './piece';
export type { OpenPiece, PieceSpec, Side } from './piece';
export { DEFAULT_LAYER_OUTLINE, isTape, layerOutline } from './layer-outline';
export type { LayerOutline, LayerOutlineOptions } from './layer-outline';
export { allowedTurns } from './turns';
