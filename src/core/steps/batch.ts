import type { SetStep } from './copies';
import type { StepStage } from './step';

/** A step of a batch: which of its jobs it is for; none where it is done once for all of them. */
export interface BatchStep extends SetStep {
  /** Number of the job, from 0. */
  work?: number;
}

/** What is worked in a batch: the name of a job, and its own steps. */
export interface BatchWork<S extends SetStep> {
  name: string;
  steps: readonly S[];
}

/** Stages in which all jobs go forward together, so that one thing rests while the next is done. */
const TOGETHER: readonly StepStage[] = ['prepare', 'cut'];
const STAGES: readonly StepStage[] = ['prepare', 'cut', 'apply', 'check'];

/**
 * The steps of several jobs as one batch: everything is prepared for all, then cut for all, then each job is put on, then all are
 * checked. What is the same for several jobs, such as shrinking one layer, is done once. Boxes to tick carry the name of their job.
 *
 * @returns the steps of a single job as they are
 * @example stepsForBatch([{ name: 'Collar', steps }, { name: 'Cuff', steps }]).filter(({ stage }) => stage === 'apply').length // twice as many
 */
export function stepsForBatch<S extends SetStep>(works: readonly BatchWork<S>[]): (S & BatchStep)[] {
  if (works.length === 1) return [...works[0]!.steps];
  const found: (S & BatchStep)[] = [];
  for (const stage of STAGES) {
    const own = works.map(({ steps }) => steps.filter((step) => step.stage === stage));
    if (TOGETHER.includes(stage)) found.push(...sharedFirst(works, own));
    else own.forEach((steps, k) => found.push(...steps.map((step) => ofWork(works[k]!.name, step, k))));
  }
  return found;
}

/** First steps of all jobs, then second ones, and so on; the same step of several jobs stands once, without a name. */
function sharedFirst<S extends SetStep>(works: readonly BatchWork<S>[], own: readonly (readonly S[])[]): (S & BatchStep)[] {
  const key = ({ title, detail, seconds, copies }: SetStep) => JSON.stringify([title, detail, seconds, copies]);
  const times = new Map<string, number>();
  for (const steps of own) for (const each of new Set(steps.map(key))) times.set(each, (times.get(each) ?? 0) + 1);
  const done = new Set<string>();
  const found: (S & BatchStep)[] = [];
  for (let i = 0; i < Math.max(...own.map(({ length }) => length)); i++)
    own.forEach((steps, k) => {
      const step = steps[i];
      if (!step || done.has(key(step))) return;
      if (times.get(key(step))! > 1) {
        done.add(key(step));
        found.push({ ...step, id: `all-${step.id}` });
      } else found.push(ofWork(works[k]!.name, step, k));
    });
  return found;
}

function ofWork<S extends SetStep>(name: string, step: S, work: number): S & BatchStep {
  return {
    ...step,
    id: `${work}-${step.id}`,
    work,
    title: `${name}: ${step.title.charAt(0).toLowerCase()}${step.title.slice(1)}`,
    ...(step.checks ? { checks: step.checks.map((check) => `${name}: ${check}`) } : {}),
  };
}
