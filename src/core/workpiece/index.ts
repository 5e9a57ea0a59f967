export { DUTIES, DUTY_WORDS } from './duty';
export type { Duty } from './duty';
export { cutPieceOf, workpieceOf } from './workpiece';
export type { CutJob, CutPiece, PatternPiece, PieceCut, Workpiece } from './workpiece';
