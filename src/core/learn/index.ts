export { blend } from './blend';
export type { Blended, PairRecord } from './blend';
export { carryFactor } from './carry-factor';
export type { CarriedResult } from './carry-factor';
export { gluingFactor, gluingOf } from './gluing-factor';
export type { GluedReading } from './gluing-factor';
export { isWork, PACE_WORDS, PACES, paceFrom, pacesFrom, USUAL_PACES } from './pace';
export type { Pace, Paces, Timing } from './pace';
