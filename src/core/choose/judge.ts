import { stackStiffness, type Material } from '../layers';
import { blend, carryFactor } from '../learn';
import { CRITERIA } from './criteria';
import { embroideryLoad } from './embroidery-load';
import { needsOf } from './needs';
import type { Role } from '../part';
import type { Candidate, Criterion, Judged, Question } from './protocol';
import { ROLE_PROFILES } from './roles';

/**
 * Layers that are still there when the thing is finished, or whose working state is what is wanted.
 *
 * @example lastingLayers('embroidery', [layer('medium-cut-away-62-g'), layer('medium-tear-away-42-g')]).length // 1
 */
export function lastingLayers(role: Role, materials: readonly Material[]): Material[] {
  const { kind } = ROLE_PROFILES[role];
  const working = kind === 'treat' || kind === 'quilt' || role === 'bias-piece';
  return materials.filter(({ ends }) => working || (ends !== 'torn' && ends !== 'rinsed' && ends !== 'melted'));
}

/**
 * Works out what criteria and remarks are written against.
 *
 * @example judge(question, candidate).addedWeight // 45
 */
export function judge(question: Question, candidate: Candidate): Judged {
  const stays = lastingLayers(
    question.part.role,
    candidate.layers.map(({ material }) => material),
  );
  const record = question.memory.get(candidate.id);
  const predicted = blend(stackStiffness(question.fabric, stays, question.gluing), record?.readings ?? []);
  const load =
    question.motif === undefined || question.profile.kind !== 'stitch'
      ? undefined
      : embroideryLoad(question.fabric, question.traits, candidate.layers, question.motif, carryFactor(record?.carried ?? []));
  // Written out: a spread here costs a third of the whole choice.
  const { id, recipe, suitability, preferred, layers } = candidate;
  return {
    id,
    recipe,
    suitability,
    preferred,
    layers,
    question,
    predicted,
    record,
    load,
    needs: needsOf(question, candidate.layers),
    addedWeight: predicted.arealDensity - question.fabric.arealDensity,
  };
}

/** How much more the leading wish counts than it usually does. */
const LEAD = 8;

/**
 * A criterion's weight for this question: its own, times what the person makes of it.
 *
 * @example weightOf(CRITERIA[0], question) > 0 // true
 */
export function weightOf(criterion: Criterion, question: Question): number {
  const lead = question.wishes.lead === criterion.id ? LEAD : 1;
  return criterion.weight(question) * lead * (question.weights[criterion.id] ?? 1);
}

/** Share of the mean that is left to a stack which serves one point just so: it comes out at what a practised hand would hardly take. */
const JUST_SERVES = 0.82;
/** Share that is left to what is as wrong in kind as can be. */
const WRONG = 0.35;
/** A criterion that is better than it has to be by this much holds nothing down. */
const CLEAR = 10;

/** Share of the mean that is left while one criterion, which serves from `serves` on, stands at `score`. */
function leftBy(score: number, serves: number): number {
  if (score < serves) return WRONG + ((JUST_SERVES - WRONG) * score) / serves;
  return JUST_SERVES + (1 - JUST_SERVES) * Math.min(1, (score - serves) / CLEAR);
}

/**
 * Score of a stack, 0–100: the weighted mean of its criteria, times what the weakest of those that it must serve leaves of it.
 * A stack that is light, cheap and easily put on but wrong for the part stays below 80.
 *
 * @example scoreOf(judged) > 80 // true
 */
export function scoreOf(stack: Judged): number {
  let sum = 0;
  let weights = 0;
  let left = 1;
  for (const criterion of CRITERIA) {
    const weight = weightOf(criterion, stack.question);
    if (weight === 0) continue;
    const score = criterion.score(stack);
    sum += weight * score;
    weights += weight;
    if (criterion.serves !== undefined) left = Math.min(left, leftBy(score, criterion.serves));
  }
  // Everything left out: all stacks are equal.
  return weights > 0 ? (left * sum) / weights : 50;
}
