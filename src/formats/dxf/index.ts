export { grainWords, writeDxf, writtenPiece } from './write-dxf';
export type { WrittenPiece } from './write-dxf';
