export { adviseLining, liningHem, LINING_SHORTER } from './advise-lining';
export { LINING_PLEAT, liningOwn } from './lining-cut';
export type { LiningAdvice, RankedLining } from './advise-lining';
export { LINED_THINGS } from './question';
export type { LinedThing, LiningQuestion } from './question';
