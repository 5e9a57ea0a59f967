export { adviseLining, liningHem, LINING_SHORTER } from './advise-lining';
export type { LiningAdvice, RankedLining } from './advise-lining';
export { LINED_THINGS } from './question';
export type { LinedThing, LiningQuestion } from './question';
