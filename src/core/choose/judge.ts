import { stackStiffness, type Material } from '../layers';
import { blend, carryFactor } from '../learn';
import { CRITERIA } from './criteria';
import { embroideryLoad } from './embroidery-load';
import { needsOf } from './needs';
import type { Role } from './part';
import type { Candidate, Criterion, Judged, Question } from './protocol';
import { ROLE_PROFILES } from './roles';

/** Layers that are still there when the thing is finished, or whose working state is what is wanted. */
export function lastingLayers(role: Role, materials: readonly Material[]): Material[] {
  const { kind } = ROLE_PROFILES[role];
  const working = kind === 'treat' || kind === 'quilt' || role === 'bias-piece';
  return materials.filter(({ ends }) => working || (ends !== 'torn' && ends !== 'rinsed' && ends !== 'melted'));
}

/** Works out what criteria and remarks are written against. */
export function judge(question: Question, candidate: Candidate): Judged {
  const stays = lastingLayers(
    question.part.role,
    candidate.layers.map(({ material }) => material),
  );
  const record = question.memory.get(candidate.id);
  const predicted = blend(stackStiffness(question.fabric, stays), record?.readings ?? []);
  const load =
    question.motif === undefined || question.profile.kind !== 'stitch'
      ? undefined
      : embroideryLoad(question.fabric, question.traits, candidate.layers, question.motif, carryFactor(record?.carried ?? []));
  // Written out: a spread here costs a third of the whole choice.
  const { id, title, recipe, suitability, preferred, layers } = candidate;
  return {
    id,
    title,
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

/** A criterion's weight for this question: its own, times what the person makes of it. */
export function weightOf(criterion: Criterion, question: Question): number {
  const lead = question.wishes.lead === criterion.id ? LEAD : 1;
  return criterion.weight(question) * lead * (question.weights[criterion.id] ?? 1);
}

/** Weighted mean of the criteria, 0–100. */
export function scoreOf(stack: Judged): number {
  let sum = 0;
  let weights = 0;
  for (const criterion of CRITERIA) {
    const weight = weightOf(criterion, stack.question);
    if (weight === 0) continue;
    sum += weight * criterion.score(stack);
    weights += weight;
  }
  // Everything left out: all stacks are equal.
  return weights > 0 ? sum / weights : 50;
}
