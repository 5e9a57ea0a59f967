export { openPiece, SIDE_WORDS } from './piece';
export type { OpenPiece, PieceSpec, Side } from './piece';
export { DEFAULT_LAYER_OUTLINE, isTape, layerOutline } from './layer-outline';
export type { LayerOutline, LayerOutlineOptions } from './layer-outline';
export { allowedTurns } from './turns';
export { seamBulkOf } from './seam-bulk';
export type { SeamBulk } from './seam-bulk';
export { layerLayout, oneSided, tapeLength } from './layer-layout';
export type { LayerLayout } from './layer-layout';
