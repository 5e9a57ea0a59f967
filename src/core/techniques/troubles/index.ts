export { SEEN_TROUBLES } from './all';
export { rankCauses } from './rank-causes';
export type { RankedCause } from './rank-causes';
export { TROUBLE_IDS } from './trouble';
export type { Cause, Evidence, Trouble, TroubleId } from './trouble';
