export { blend } from './blend';
export type { Blended, PairRecord } from './blend';
