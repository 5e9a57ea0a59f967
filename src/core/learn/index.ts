export { blend } from './blend';
export type { Blended, PairRecord } from './blend';
export { carryFactor } from './carry-factor';
export type { CarriedResult } from './carry-factor';
