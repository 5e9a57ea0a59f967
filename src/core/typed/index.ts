export { guessedRole } from './guessed-role';
export { readTypedNames } from './typed-names';
export { foldEdge, readTypedPieces } from './typed-pieces';
export type { NamedCloth, TypedLine, TypedPiece } from './typed-pieces';
export type { TypedName } from './typed-names';
