import type { NamedFabric } from '../measure';
import { InputError } from '../input-error';
import type { Material } from '../layers';
import { LAYER_QUESTIONS } from './layer-questions';
import { QUESTIONS, type Look } from './questions';

/** Answers that were given, by question. */
export type Given = Readonly<Record<string, string>>;

export interface Likely {
  id: string;
  name: string;
  /** 0–1; all together 1. */
  probability: number;
}

export interface NextQuestion {
  id: string;
  /** Expected information, bits. */
  gain: number;
}

export interface Identified {
  /** All of them, likeliest first. */
  likely: Likely[];
  /** Questions not yet asked, most telling first. */
  next: NextQuestion[];
  /** What is still open, bits: 0 when one is certain. */
  entropy: number;
}

/**
 * Shannon entropy of probabilities that add up to 1, bits.
 *
 * @example entropyOf([0.5, 0.5]) // 1
 */
export function entropyOf(probabilities: readonly number[]): number {
  let sum = 0;
  for (const p of probabilities) if (p > 0) sum -= p * Math.log2(p);
  return sum;
}

function normalized(weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}

/** Something that can be told apart by questions. */
interface Named {
  id: string;
  name: string;
}

/**
 * Which known things an unknown one may be, by Bayes' rule from what was seen and felt, and which question would
 * tell most next: the one whose answer is expected to lower the entropy most.
 *
 * Questions are taken as independent once the thing is known. Everything is as likely as anything else to begin with.
 *
 * @param given answers by question
 * @throws {InputError} for a question or an answer that is not known
 * @example identifyAmong(LIBRARY_LAYERS, LAYER_QUESTIONS, { look: 'loops' }).likely[0] // a tricot
 */
function identifyAmong<K, T extends K & Named>(things: readonly T[], questions: readonly Look<K>[], given: Given): Identified {
  if (things.length === 0) return { likely: [], next: [], entropy: 0 };
  const tables = new Map(
    questions.map((question) => [question.id, things.map((thing) => normalized(question.likelihood(thing)))]),
  );
  let weights = things.map(() => 1);
  for (const [id, answer] of Object.entries(given)) {
    const question = questions.find((each) => each.id === id);
    if (!question) throw new InputError(`answers.${id}`, 'is not a question that is asked here');
    const index = question.answers.findIndex((each) => each.id === answer);
    if (index < 0)
      throw new InputError(
        `answers.${id}`,
        `must be one of ${question.answers.map((each) => each.id).join(', ')}, saw ${JSON.stringify(answer)}`,
      );
    const table = tables.get(id)!;
    weights = weights.map((weight, i) => weight * table[i]![index]!);
  }
  const probabilities = normalized(weights);
  const entropy = entropyOf(probabilities);
  const next = questions
    .filter(({ id }) => given[id] === undefined)
    .map((question) => {
      const table = tables.get(question.id)!;
      let expected = 0;
      for (let a = 0; a < question.answers.length; a++) {
        const joint = probabilities.map((p, i) => p * table[i]![a]!);
        const chance = joint.reduce((sum, p) => sum + p, 0);
        if (chance > 0) expected += chance * entropyOf(joint.map((p) => p / chance));
      }
      return { id: question.id, gain: entropy - expected };
    })
    .sort((a, b) => b.gain - a.gain);
  const likely = things
    .map(({ id, name }, i) => ({ id, name, probability: probabilities[i]! }))
    .sort((a, b) => b.probability - a.probability || (a.id < b.id ? -1 : 1));
  return { likely, next, entropy };
}

/**
 * {@link identifyAmong} for cloths. @throws {InputError} for a question or an answer that is not known
 *
 * @example identify(LIBRARY_CLOTHS, {}).likely.length > 0 // true
 */
export function identify(cloths: readonly NamedFabric[], given: Given): Identified {
  return identifyAmong(cloths, QUESTIONS, given);
}

/**
 * {@link identifyAmong} for layers. @throws {InputError} for a question or an answer that is not known
 *
 * @example identifyLayer(LIBRARY_LAYERS, {}).likely.length > 0 // true
 */
export function identifyLayer(layers: readonly Material[], given: Given): Identified {
  return identifyAmong(layers, LAYER_QUESTIONS, given);
}
