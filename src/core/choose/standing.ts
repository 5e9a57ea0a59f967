import type { Fabric } from '../cloth';
import type { Material } from '../layers';
import type { Asking } from './protocol';
import { judge, scoreOf } from './judge';
import { questionFor } from './question-for';
import type { Judged } from './protocol';
import type { Part } from '../part';
import { candidatesFor, type Refused } from './candidates';

/** Every stack with its score, best first, and what was refused: an answer without its words. */
export interface Standing {
  ranked: { stack: Judged; score: number }[];
  refused: Refused[];
}

/**
 * Judges every stack for a question, and puts none of it into words.
 *
 * @example standingOf(poplin, collar, library, {}).ranked.length // 2
 */
export function standingOf(fabric: Fabric, part: Part, library: readonly Material[], asking: Asking): Standing {
  const question = questionFor(fabric, part, asking);
  const { candidates, refused } = candidatesFor(question, library);
  const ranked = candidates.map((candidate) => {
    const stack = judge(question, candidate);
    return { stack, score: scoreOf(stack) };
  });
  ranked.sort((a, b) => b.score - a.score || (a.stack.id < b.stack.id ? -1 : 1));
  return { ranked, refused };
}

/** A library of more layers than this is thinned before the same question is asked many times over. */
const MANY = 1200;
/** How many of the best stacks keep their layers, and how many of each kind are kept besides, spread over its weights. */
const BEST_KEPT = 120;
const EACH_KIND = 6;

/**
 * The layers that can matter when a question is varied a little: those of its best stacks, and of every kind a few spread over its
 * weights, so that another kind can still come first. A library of usual size is left whole.
 *
 * @example thinned(library, standing).length // 2
 */
export function thinned(library: readonly Material[], { ranked }: Standing): readonly Material[] {
  if (library.length <= MANY) return library;
  const kept = new Set(ranked.slice(0, BEST_KEPT).flatMap(({ stack }) => stack.layers.map(({ material }) => material.id)));
  const kinds = new Map<string, Material[]>();
  for (const material of library) {
    const kind = `${material.family}/${material.form}`;
    const own = kinds.get(kind);
    if (own) own.push(material);
    else kinds.set(kind, [material]);
  }
  for (const own of kinds.values()) {
    own.sort((a, b) => a.arealDensity - b.arealDensity || (a.id < b.id ? -1 : 1));
    for (let k = 0; k < EACH_KIND; k++) kept.add(own[Math.round((k * (own.length - 1)) / (EACH_KIND - 1))]!.id);
  }
  return library.filter(({ id }) => kept.has(id));
}
