import { usedOf } from '../core/layers';
import { setImmediate } from 'node:timers/promises';
import { choose, ROLE_PROFILES, sizeOfPiece, type RankedStack } from '../core/choose';
import { fabricOf } from '../core/cloth';
import { InputError } from '../core/input-error';
import { openPiece, type Place } from '../core/pieces';
import { planJobs, type Plan } from '../core/plan';
import { cloths, type Cloth } from '../store/cloths';
import { cuts } from '../store/cuts';
import type { Db } from '../store/database';
import { jobs, type JobFields, type KeptStack } from '../store/jobs';
import { layers } from '../store/layers';
import { pieces } from '../store/pieces';
import { projects } from '../store/projects';
import { requireJob } from '../store/rules/piece';
import { requireStack } from '../store/rules/references';
import { readSettings } from '../store/settings';
import { workOf, type Workpiece } from '../store/workpieces';
import { askingOf } from './asking';
import { withFoundSetting } from './found-setting';

/** What a person says about a plan. */
export interface PlanAsked {
  /** Materials that are not to be used, and those that are taken in any case. */
  dropped: string[];
  wanted: string[];
  /** Stacks that are held, by job. */
  locked: Record<string, string>;
}

/** A job in the plan: what it gets, the best it could get, and what else would serve it. */
export interface PlannedWork {
  id: string;
  version: number;
  name: string;
  clothName: string;
  best: number;
  stack: RankedStack | null;
  /** The stack that it has now. */
  now: string | null;
  /** That one was put together by hand: it is only replaced where the person says so. */
  own: boolean;
  others: { id: string; title: string; score: number }[];
}

export interface ProjectPlan {
  materials: { id: string; name: string; atHand: boolean; jobs: string[] }[];
  jobs: PlannedWork[];
  /** Jobs that cannot be planned yet: they have no cloth. */
  waiting: string[];
  gains: (Plan['gains'][number] & { name: string; atHand: boolean })[];
  losses: Plan['losses'];
  exact: boolean;
}

/** Stacks of a job that are looked at; and how many of them it may be given by hand. */
const LOOKED_AT = 60;
const OFFERED = 12;
/** A stack serves a job from this score on, or within so many points of the job's best. */
const ACCEPTABLE = 76;
const NEAR = 14;

/** All stacks of a job worth looking at, best first. */
function rankedFor(db: Db, work: Workpiece, cloth: Cloth): RankedStack[] {
  const piece = sizeOfPiece(openPiece(work), work.wish.role, work.count, readSettings(db).settings.trim, work.place);
  const asking = askingOf(db, { clothId: cloth.id, piece, limit: LOOKED_AT, schools: work.stack?.schools });
  return choose(fabricOf(cloth), work.wish, layers.all(db), asking).ranked;
}

/**
 * The fewest materials for all jobs of a project that are not cut yet.
 *
 * @throws {InputError} for a held stack that its job does not have
 */
export async function planProject(db: Db, projectId: string, { dropped, wanted, locked }: PlanAsked): Promise<ProjectPlan> {
  const project = projects.get(db, projectId);
  const works = workOf(db, [project.id]).workpieces.filter(({ cutDone }) => !cutDone);
  const clothOf = new Map(
    cloths.byIds(db, [...new Set(works.flatMap(({ clothId }) => clothId ?? []))]).map((cloth) => [cloth.id, cloth]),
  );
  const planned: { work: Workpiece; cloth: Cloth; ranked: RankedStack[] }[] = [];
  for (const work of works) {
    const cloth = work.clothId === null ? undefined : clothOf.get(work.clothId);
    if (cloth) planned.push({ work, cloth, ranked: rankedFor(db, work, cloth) });
    // Others are answered in between.
    await setImmediate();
  }
  const unknown = Object.keys(locked).find((id) => !planned.some(({ work }) => work.id === id));
  if (unknown !== undefined) throw new InputError(`locked.${unknown}`, 'must be a job of this project that is not cut yet');
  const all = layers.all(db);
  const atHand = new Set(all.flatMap(({ id, inStock }) => (inStock ? [id] : [])));
  const plan = planJobs(
    planned.map(({ work, cloth, ranked }) => ({
      id: work.id,
      // Of one cloth and worn alike: what lies side by side in the finished thing.
      group: `${cloth.id}/${ROLE_PROFILES[work.wish.role].kind}`,
      options: ranked.map(({ id, layers: of, score }) => ({
        id,
        materials: [...new Set(of.map(({ materialId }) => usedOf(materialId).materialId))],
        score,
      })),
      locked: locked[work.id],
    })),
    { atHand, dropped: new Set(dropped), wanted: new Set(wanted), acceptable: ACCEPTABLE, near: NEAR },
  );
  const nameOf = new Map(all.map(({ id, name }) => [id, name]));
  const named = (id: string) => ({ name: nameOf.get(id) ?? id, atHand: atHand.has(id) });
  const versions = new Map(
    jobs
      .byIds(
        db,
        planned.map(({ work }) => work.id),
      )
      .map(({ id, version }) => [id, version]),
  );
  return {
    materials: plan.materials.map((material) => ({ ...material, ...named(material.id) })),
    jobs: planned.map(({ work, cloth, ranked }, i) => ({
      ...{ id: work.id, version: versions.get(work.id)!, name: work.name, clothName: cloth.name, best: plan.chosen[i]!.best },
      stack: ranked.find(({ id }) => id === plan.chosen[i]!.option?.id) ?? null,
      now: work.stack?.title ?? null,
      own: work.stack?.own === true,
      others: ranked.slice(0, OFFERED).map(({ id, title, score }) => ({ id, title, score })),
    })),
    waiting: works.filter(({ clothId }) => clothId === null).map(({ name }) => name),
    gains: plan.gains.map((gain) => ({ ...gain, ...named(gain.material) })),
    losses: plan.losses,
    exact: plan.exact,
  };
}

/** A stack for a job; none takes away the one that it has. */
export interface GivenStack {
  jobId: string;
  version: number;
  stack: KeptStack | null;
  /** Its layers are cut, as they were before; not when nothing is said. */
  cutDone?: boolean;
  /** Where the job is done, and what is wished of it, when that changes with it. */
  place?: Place | undefined;
  wish?: JobFields['wish'] | undefined;
}

/**
 * Gives many jobs their stacks at once: all of them or none.
 *
 * @returns the jobs as they are now, and what takes it all back @throws {InputError} {StaleError}
 */
export function giveStacks(db: Db, projectId: string, given: readonly GivenStack[]) {
  projects.get(db, projectId);
  return db
    .transaction(() => {
      const before = new Map(
        jobs
          .byIds(
            db,
            given.map(({ jobId }) => jobId),
          )
          .map((job) => [job.id, job]),
      );
      const said = new Map(given.map((each) => [each.jobId, each]));
      const now = given.map(({ jobId, version, stack, cutDone = false, place, wish }, i) => {
        const job = jobs.find(db, jobId);
        if (!job) throw new InputError(`stacks[${i}].jobId`, `points to nothing that is kept: ${JSON.stringify(jobId)}`);
        requireStack(db, stack, job.stack);
        const cut = cuts.get(db, job.cutId);
        const found = withFoundSetting(db, cut.clothId, stack, job.stack);
        const next = { ...job, stack: found, cutDone, place: place ?? job.place, wish: wish ?? job.wish };
        return jobs.update(
          db,
          jobId,
          place ? requireJob(db, next, { ...pieces.get(db, cut.pieceId), own: cut.own }, job) : next,
          version,
        );
      });
      const undo = now.map(({ id, version }): GivenStack => {
        const { stack, cutDone, place, wish } = before.get(id)!;
        const { place: moved, wish: wished } = said.get(id)!;
        return { jobId: id, version, stack, cutDone, ...(moved ? { place } : {}), ...(wished ? { wish } : {}) };
      });
      return { jobs: now, undo };
    })
    .immediate();
}
