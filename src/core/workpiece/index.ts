export { builtUp, workedWith } from './built-up';
export { DUTIES, DUTY_WORDS, isMirrored, OF_LAYERS } from './duty';
export type { Duty } from './duty';
export { jobRegion } from './job-region';
export { layerCutOf, layersTogether } from './lying-together';
export type { LayeredJob, LayersTogether, LyingTogether } from './lying-together';
export { cutPieceOf, workpieceOf } from './workpiece';
export type { CutJob, CutPiece, PatternPiece, PieceCut, Workpiece } from './workpiece';
