import { capital, lower } from '../letters';
import type { SetStep } from './copies';
import { STEP_STAGES, type StepStage } from './step';

/** A step of a batch: which of its jobs it is for; none where it is done once for all of them. */
export interface BatchStep extends SetStep {
  /** Number of the job, from 0. */
  work?: number;
  /** Of a step for several jobs, the one whose piece is drawn; the first of all when it is not said. */
  shows?: number;
}

/** What is worked in a batch: the name of a job, and its own steps. */
export interface BatchWork<S extends SetStep> {
  name: string;
  steps: readonly S[];
}

/** Stages in which all jobs go forward together, so that one thing rests while the next is done. */
const TOGETHER: readonly StepStage[] = ['prepare', 'cut'];
const STAGES: readonly StepStage[] = STEP_STAGES;

/**
 * The steps of several jobs as one batch: everything is prepared for all, then cut for all, then each job is put on, then all are
 * checked. What is the same for several jobs, such as shrinking one layer, is done once. Boxes to tick carry the name of their job.
 *
 * @param together what is done for several jobs at once before each is put on for itself: sheets on which their pieces lie, loads of a press
 * @returns the steps of a single job as they are, with `together` before the first that is put on
 * @example stepsForBatch([{ name: 'Collar', steps: workSteps(workJob) }]).length === workSteps(workJob).length // true
 */
export function stepsForBatch<S extends SetStep>(works: readonly BatchWork<S>[], together: readonly S[] = []): (S & BatchStep)[] {
  if (works.length === 1) {
    const own = works[0]!.steps;
    const before = own.filter(({ stage }) => TOGETHER.includes(stage));
    return [...before, ...together, ...own.slice(before.length)];
  }
  const found: (S & BatchStep)[] = [];
  for (const stage of STAGES) {
    if (stage === 'apply') found.push(...together);
    const own = works.map(({ steps }) => steps.filter((step) => step.stage === stage));
    if (stage === 'cut') found.push(...cutInOneGo(works, own));
    if (TOGETHER.includes(stage)) found.push(...sharedFirst(works, stage === 'cut' ? own.map(notCut) : own));
    else own.forEach((steps, k) => found.push(...steps.map((step) => ofWork(works[k]!.name, step, k))));
  }
  return found;
}

const notCut = <S extends SetStep>(steps: readonly S[]): S[] => steps.filter(({ cutting }) => !cutting);

/** So much is read in one step at the bench, characters. */
const LONGEST = 420;

/** At the table everything is cut in one go: what is cut alike is told once with the names of its jobs; what is too long to read is told in parts. */
function cutInOneGo<S extends SetStep>(works: readonly BatchWork<S>[], own: readonly (readonly S[])[]): (S & BatchStep)[] {
  const cuts = own.flatMap((steps, work) => steps.filter(({ cutting }) => cutting).map((step) => ({ step, work })));
  if (cuts.length < 2) return cuts.map(({ step, work }) => ofWork(works[work]!.name, step, work));
  const alike = new Map<string, { step: S; works: number[]; seconds: number }>();
  for (const { step, work } of cuts) {
    const key = JSON.stringify([step.title, step.cutting]);
    const known = alike.get(key);
    if (known) {
      known.works.push(work);
      known.seconds += step.seconds ?? 0;
    } else alike.set(key, { step, works: [work], seconds: step.seconds ?? 0 });
  }
  const groups = [...alike.values()].map(({ step, works: of, seconds }) => ({
    words: `${of.map((k) => works[k]!.name).join(', ')}: ${lower(step.title)}. ${capital(step.cutting!.what)}.`,
    mind: step.cutting!.mind,
    ...{ step, seconds, first: of[0]! },
  }));
  const parts: (typeof groups)[] = [];
  for (const group of groups) {
    const last = parts.at(-1);
    if (last && toldTogether([...last, group]).length <= LONGEST) last.push(group);
    else parts.push([group]);
  }
  return parts.map((part, i) => {
    const seconds = part.reduce((sum, each) => sum + each.seconds, 0);
    const { seconds: _own, ...first } = part[0]!.step;
    return {
      ...(first as S),
      shows: part[0]!.first,
      id: i === 0 ? 'cut-all' : `cut-all-${i + 1}`,
      title: parts.length > 1 ? `Cut for all jobs, part ${i + 1} of ${parts.length}` : 'Cut for all jobs',
      detail: toldTogether(part),
      ...(seconds > 0 ? { seconds } : {}),
    };
  });
}

/** What is minded is said once, behind all that it goes for. */
function toldTogether(groups: readonly { words: string; mind: readonly string[] }[]): string {
  const minds = [...new Set(groups.flatMap(({ mind }) => mind))];
  const forAll = minds.filter((mind) => groups.every((group) => group.mind.includes(mind)));
  const each = groups.map(({ words, mind }) => [words, ...mind.filter((one) => !forAll.includes(one))].join(' '));
  return [...each, ...(forAll.length > 0 ? [forAll.join(' ')] : [])].join('\n');
}

/** First steps of all jobs, then second ones, and so on; the same step of several jobs stands once, without a name. */
function sharedFirst<S extends SetStep>(works: readonly BatchWork<S>[], own: readonly (readonly S[])[]): (S & BatchStep)[] {
  const keys = own.map(keysOf);
  const times = new Map<string, number>();
  for (const key of keys.flat()) times.set(key, (times.get(key) ?? 0) + 1);
  // What hangs together is weighed together.
  const hanging = new Map<string, { dryMass: number }>();
  own.forEach((steps, k) =>
    steps.forEach(({ dryMass }, i) => {
      const key = keys[k]![i]!;
      if (dryMass !== undefined) hanging.set(key, { dryMass: (hanging.get(key)?.dryMass ?? 0) + dryMass });
    }),
  );
  const done = new Set<string>();
  const found: (S & BatchStep)[] = [];
  for (let i = 0; i < Math.max(...own.map(({ length }) => length)); i++)
    own.forEach((steps, k) => {
      const [step, key] = [steps[i], keys[k]![i]!];
      if (!step || done.has(key)) return;
      done.add(key);
      found.push(
        times.get(key)! > 1
          ? { ...step, ...hanging.get(key), id: `all-${i}-${step.id}`, shows: k }
          : ofWork(works[k]!.name, step, k),
      );
    });
  return found;
}

/** What tells a step apart from others: a job that does the same twice does it twice. */
function keysOf(steps: readonly SetStep[]): string[] {
  const seen = new Map<string, number>();
  return steps.map(({ title, detail, seconds, copies }) => {
    const what = JSON.stringify([title, detail, seconds, copies]);
    const time = (seen.get(what) ?? 0) + 1;
    seen.set(what, time);
    return `${what} ${time}`;
  });
}

function ofWork<S extends SetStep>(name: string, step: S, work: number): S & BatchStep {
  return {
    ...step,
    id: `${work}-${step.id}`,
    work,
    title: `${name}: ${lower(step.title)}`,
    ...(step.checks ? { checks: step.checks.map((check) => `${name}: ${check}`) } : {}),
    ...(step.troubles
      ? { troubles: Object.fromEntries(Object.entries(step.troubles).map(([check, trouble]) => [`${name}: ${check}`, trouble])) }
      : {}),
  };
}
