import type { Fabric } from '../cloth';
import { LINING_CRITERIA } from './criteria';
import type { LiningQuestion } from './question';
import { LINING_STOPS } from './stops';

/** A cloth as a lining: how well it serves, 0 to 100, and why. */
export interface RankedLining<C> {
  cloth: C;
  score: number;
  reasons: string[];
  cautions: string[];
}

export interface LiningAdvice<C> {
  ranked: RankedLining<C>[];
  ruledOut: { cloth: C; reason: string }[];
}

/** From here on a criterion speaks for a cloth, and below here against it. */
const GOOD = 80;
const POOR = 50;
/** What is said of one at most. */
const MOST_WORDS = 3;
/** Cloth of these shrinks at its first wash where it was not washed before. */
const SHRINKS = ['cotton', 'linen', 'viscose', 'wool'];

/**
 * Cloths as the lining of something, the best first: lighter than the outer cloth, sliding, kind to the skin, without charge, no stiffer, giving
 * where it gives, bearing its care. The score is the mean of the criteria by their weights; craft knowledge, no measurement.
 *
 * @param cloths equal scores stay in the order given
 * @example adviseLining({ outer: poplin, thing: 'jacket', skin: false, hangs: true, care: 'wash-warm' }, [poplin]).ranked.length // 1
 */
export function adviseLining<C extends Fabric>(question: LiningQuestion, cloths: readonly C[]): LiningAdvice<C> {
  const ranked: RankedLining<C>[] = [];
  const ruledOut: LiningAdvice<C>['ruledOut'] = [];
  for (const cloth of cloths) {
    const stop = LINING_STOPS.find(({ when }) => when(question, cloth));
    if (stop) ruledOut.push({ cloth, reason: stop.words });
    else ranked.push(judged(question, cloth));
  }
  return { ranked: ranked.sort((a, b) => b.score - a.score), ruledOut };
}

function judged<C extends Fabric>(question: LiningQuestion, cloth: C): RankedLining<C> {
  const marks = LINING_CRITERIA.map((criterion) => ({
    criterion,
    weight: criterion.weight(question),
    score: criterion.score(question, cloth),
  })).filter(({ weight }) => weight > 0);
  const all = marks.reduce((sum, { weight }) => sum + weight, 0);
  const score = marks.reduce((sum, each) => sum + each.weight * each.score, 0) / all;
  const heaviest = [...marks].sort((a, b) => b.weight - a.weight);
  const reasons = heaviest.flatMap((each) => (each.score >= GOOD ? (each.criterion.good(question, cloth) ?? []) : []));
  const cautions = heaviest.flatMap((each) => (each.score < POOR ? (each.criterion.poor(question, cloth) ?? []) : []));
  if (washed(question) && cloth.prewashed !== true && cloth.fibres.some(({ fibre }) => SHRINKS.includes(fibre)))
    cautions.push('Wash it before it is cut, as the thing will be washed.');
  return { cloth, score, reasons: reasons.slice(0, MOST_WORDS), cautions: cautions.slice(0, MOST_WORDS) };
}

const washed = ({ care }: LiningQuestion): boolean => care === 'wash-hot' || care === 'wash-warm' || care === 'hand-wash';

/** A lining that hangs free ends so far above the hem of its cloth, mm. */
export const LINING_SHORTER = 25;

/**
 * What the allowance of a lining's hem becomes where it hangs free, mm: the hem of both is turned up the same, and the lining ends
 * {@link LINING_SHORTER} higher; one whose hem is too narrow for that has none.
 *
 * @param allowance of the outer cloth at its hem, mm
 * @example liningHem(40) // 15
 */
export function liningHem(allowance: number): number {
  return Math.max(0, allowance - LINING_SHORTER);
}
