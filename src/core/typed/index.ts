export { foldEdge, readTypedPieces } from './typed-pieces';
export type { NamedCloth, TypedLine, TypedPiece } from './typed-pieces';
