import type { Material } from '../layers';
import { CARES, type Care } from '../part';
import type { Judged, Question } from './protocol';
import type { Refused } from './candidates';
import { STOPS } from './stops';

/** What the care rules out though it is the usual answer, and the care that would let it in. */
export interface CareTurn {
  /** Name of the usual answer. */
  title: string;
  why: string;
  care: Care;
}

/** The usual answer is only spoken of when it serves this much better than what the care leaves, of 100. */
const BETTER = 5;
/** Heading of the stops that care makes. */
const CARE = 'Care';

/**
 * The usual answer that only the care rules out, so that the person can say whether the thing is really washed so.
 *
 * @param best the best stack that is left @param refused what was ruled out, with its heading
 * @example careTurn(questionFor(quilting, { ...collar, role: 'modelling' }), [], undefined) // undefined
 */
export function careTurn(question: Question, refused: readonly Refused[], best: Judged | undefined): CareTurn | undefined {
  const { profile, part } = question;
  const served = ({ family }: Material) => profile.families[family] ?? 0;
  const left = Math.max(0, ...(best?.layers ?? []).map(({ material }) => served(material)));
  const out = refused
    .filter(({ group, material }) => group === CARE && served(material) >= left + BETTER)
    .sort((a, b) => served(b.material) - served(a.material) || (a.material.id < b.material.id ? -1 : 1));
  for (const { material, why } of out) {
    const care = CARES.find(
      (each) =>
        each !== part.care &&
        !STOPS.some((stop) => stop.group === CARE && stop.when({ ...question, part: { ...part, care: each } }, material, 'main')),
    );
    if (care) return { title: material.use?.of ?? material.name, why: why(), care };
  }
  return undefined;
}
