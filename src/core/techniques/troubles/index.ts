export { SEEN_TROUBLES } from './all';
export { causeId, causeOf, speaksOfStack } from './found-cause';
export { rankCauses } from './rank-causes';
export type { RankedCause } from './rank-causes';
export type { Cause, Evidence, Trouble, TroubleId } from './trouble';
