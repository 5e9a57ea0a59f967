export { compareSeam } from './compare-seam';
export type { ComparedSeam, GivingSide, SeamFit, SeamSide } from './compare-seam';
export { lengthenEdges } from './lengthen-edges';
export type { AtEnd } from './lengthen-edges';
export { quarterMarksOf } from './quarter-marks-of';
export { placeAlong, seamRuns } from './seam-run';
export type { MeetingKind, RunMark, SeamRun } from './seam-run';
export { walkSeam } from './walk-seam';
export type { Meeting, SeamWalk, Stretch } from './walk-seam';
