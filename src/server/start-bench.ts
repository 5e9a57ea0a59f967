import { createHash } from 'node:crypto';
import { InputError, within } from '../core/input-error';
import type { ChosenLayer } from '../core/layers';
import { layerOutline, openPiece } from '../core/pieces';
import { layerCutOf } from '../core/workpiece';
import { ironSole, MOVE_SECONDS, pressPlan, type PressStop, type PressTool } from '../core/press';
import type { Hanging } from '../core/liquid';
import type { Outline } from '../core/shape';
import { knownBefore, layerRegions, workSteps } from '../core/techniques';
import { stepsForBatch, stepsForCopies, type Order, type Step } from '../core/steps';
import { START_STATE, type BenchPlan, type BenchStep } from '../core/bench';
import { benchRuns, jobsOfRun, openRunOf, type BenchRun } from '../store/bench-runs';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { chosenOf } from '../store/materials';
import { projects } from '../store/projects';
import { readSettings } from '../store/settings';
import { getWorkpiece, workpiecesByIds, type Workpiece } from '../store/workpieces';
import { builtByIds, builtWork } from './built-works';
import { doneTogether } from './bench-together';
import { jobOfWork } from './job-work';
import { orderOfJob } from './order-of-work';
import { workplaceOf } from './own-times';

/**
 * The run of a job that is open, or a new one: the steps of its stack in working order, with the iron stops
 * laid on the layer's own outline for every step that is pressed.
 *
 * @throws {InputError} when it has no cloth or no stack yet
 */
export function startBench(db: Db, jobId: string, tool: PressTool = 'iron'): BenchRun {
  return openRunOf(db, getWorkpiece(db, jobId).id) ?? startBatch(db, [jobId], tool);
}

/** Most jobs that are worked in one go. */
const MOST_WORKS = 30;

/**
 * A run of several jobs, of one project or more: what is the same for them is done once, pieces that are fused together lie on sheets
 * whichever job they belong to, and every copy of every job is pressed and ticked.
 *
 * @throws {InputError} naming the job that is not ready, or that is being worked already
 */
export function startBatch(db: Db, jobIds: readonly string[], tool: PressTool = 'iron'): BenchRun {
  const { firstJob, plan } = planBatch(db, jobIds, tool);
  return benchRuns.insert(db, { jobId: firstJob, scrapId: null, plan, state: START_STATE, finishedAt: null });
}

/** What a run of some jobs would be, without starting it. @throws {InputError} as {@link startBatch} */
export function planBatch(db: Db, jobIds: readonly string[], tool: PressTool): { firstJob: string; plan: BenchPlan } {
  const ids = [...new Set(jobIds)];
  if (ids.length === 0 || ids.length > MOST_WORKS)
    throw new InputError('jobIds', `must name 1 to ${MOST_WORKS} jobs, saw ${ids.length}`);
  const ready = (jobId: string) => {
    if (ids.length > 1 && openRunOf(db, jobId))
      throw new InputError('run', 'is open at the bench already; finish or leave that run out');
    return plannedWork(db, jobId, tool);
  };
  const planned = ids.map((jobId, i) => (ids.length > 1 ? within(`jobIds[${i}]`, () => ready(jobId)) : ready(jobId)));
  const [first] = planned as [Planned, ...Planned[]];
  const names = namesApart(db, planned);
  const { settings } = readSettings(db);
  if (tool === 'press' && !(settings.pressLength > 0 && settings.pressWidth > 0))
    throw new InputError('tool', 'is a flat press, whose plate the settings do not know; give its size there first');
  const nameOf = (workId: string) => names[planned.findIndex(({ work }) => work.id === workId)]!;
  const together = doneTogether(db, planned, { settings, tool, sole: ironSole(settings.soleLength, settings.soleWidth), nameOf });
  const steps = stepsForBatch<BenchStep>(
    planned.map((each, i) => ({
      name: names[i]!,
      steps: stepsForCopies(together.rest[i]!, each.work.count).map((step) => withStops(step, each)),
    })),
    together.steps,
  );
  const one = { pieceName: first.work.name, clothName: first.clothName, stackTitle: first.work.stack!.title };
  const many = {
    pieceName: `${planned.length} jobs`,
    clothName: '',
    stackTitle: names.join(', '),
  };
  const plan: BenchPlan = {
    ...(planned.length === 1 ? one : many),
    ...{ outline: first.outline, plate: first.plate, steps },
    regions: planned.map(({ regions }) => regions),
    known: planned.map(({ known }) => known),
    prints: Object.fromEntries(planned.map(({ work }) => [work.id, printOf(work)])),
    ...(steps.some(({ until }) => until !== undefined) ? { hangs: planned.map(({ hangs }) => hangs) } : {}),
    ...(together.sheets.length > 0 ? { sheets: together.sheets } : {}),
    ...(planned.length === 1
      ? {}
      : {
          works: planned.map(({ work, clothName, outline }, i) => ({
            ...{ jobId: work.id, name: names[i]!, clothName, stackTitle: work.stack!.title, outline },
          })),
        }),
  };
  return { firstJob: first.work.id, plan };
}

/** Names by which the jobs of a batch are told apart: with the project, or a number, where two are called alike. */
function namesApart(db: Db, planned: readonly Planned[]): string[] {
  const own = planned.map(({ work }) => work.name);
  const twice = (all: readonly string[], name: string) => all.filter((each) => each === name).length > 1;
  const placed = planned.map(({ work }) =>
    twice(own, work.name) ? `${work.name} (${projects.get(db, work.projectId).name})` : work.name,
  );
  return placed.map((name, i) => (twice(placed, name) ? `${name} ${i + 1}` : name));
}

interface Planned {
  regions: Outline[][];
  known: ReturnType<typeof knownBefore>;
  work: Workpiece;
  clothName: string;
  hangs: Hanging;
  outline: Outline;
  plate: Outline;
  chosen: ChosenLayer[];
  order: Order;
  /** The steps of one piece. */
  one: Step[];
  /** The stops that press a layer, mm on the piece. */
  stopsOn: (layer: number, seconds: number | undefined) => PressStop[];
}

/** A job as it is worked: the steps of one piece, and the stops of each layer. @throws {InputError} when it has no cloth or no stack yet */
function plannedWork(db: Db, jobId: string, tool: PressTool): Planned {
  const work = builtWork(db, jobId);
  if (work.clothId === null) throw new InputError('clothId', 'is missing; say which cloth the piece is cut from first');
  if (work.stack === null) throw new InputError('stack', 'is missing; choose layers for the job first');
  const cloth = cloths.get(db, work.clothId);
  const kept = work.stack.layers;
  const chosen = chosenOf(db, kept);
  const { settings } = readSettings(db);
  const piece = openPiece(work);
  const order = orderOfJob(db, work);
  const plate = ironSole(settings.soleLength, settings.soleWidth);
  const stopsOn = (layer: number, seconds: number | undefined): PressStop[] => {
    const { material, extent } = chosen[layer]!;
    const { outlines } = layerOutline(
      piece,
      extent,
      material,
      layerCutOf(work, kept[layer]!.cut, settings.trim, piece, cloth.arealDensity),
    );
    return (outlines.length > 0 ? outlines : [piece.outline]).flatMap(
      (outline) =>
        pressPlan({
          outline,
          plate: { outline: plate },
          overlap: settings.stopOverlap,
          order: 'centre-out',
          secondsPerStop: seconds ?? material.leaflet.seconds,
          moveSeconds: MOVE_SECONDS,
        }).stops,
    );
  };
  // What is done with the finished thing is no work of this bench.
  const workplace = workplaceOf(db, work.clothId);
  const job = jobOfWork(db, work, { tool, ...workplace })!;
  const one = workSteps(job).filter(({ sewn }) => !sewn);
  return {
    known: knownBefore(job),
    regions: layerRegions(job).map((layer) => layer.map(rounded)),
    work,
    clothName: cloth.name,
    hangs: { clothId: work.clothId, pace: workplace.air.pace ?? 1 },
    outline: piece.outline,
    plate,
    chosen,
    order,
    one,
    stopsOn,
  };
}

/** As fine as it is drawn: a tenth of a millimetre. */
const rounded = (outline: Outline): Outline => outline.map(([x, y]) => [Math.round(10 * x) / 10, Math.round(10 * y) / 10]);

/** A step that is pressed gets its stops, laid on the layer's own outline. */
function withStops<S extends Step>(step: S, { stopsOn }: Planned): S & Pick<BenchStep, 'stops'> {
  if (step.kind !== 'press' || step.layer === undefined) return step;
  return { ...step, stops: stopsOn(step.layer, step.seconds) };
}

/** What the steps of a job are made of, in short. */
function printOf({ stack, count, shape, line, allowances, fold, marks }: Workpiece): string {
  const made = [stack?.title, stack?.layers, count, shape, line, allowances, fold, marks];
  return createHash('sha256').update(JSON.stringify(made)).digest('base64url').slice(0, 16);
}

/** Jobs of a run, by name, whose layers or pieces were changed since it was planned. */
export function changedSince(db: Db, { jobId, scrapId, plan }: BenchRun): string[] {
  if (scrapId !== null) return [];
  const works = plan.works ?? [{ jobId, name: plan.pieceName, stackTitle: plan.stackTitle }];
  const now = new Map(
    builtByIds(
      db,
      works.map((work) => work.jobId),
    ).map((work) => [work.id, work]),
  );
  return works.flatMap((work) => {
    const job = now.get(work.jobId);
    const print = plan.prints?.[work.jobId];
    // A run from before knows its stack by the title alone.
    const same = print === undefined ? job?.stack?.title === work.stackTitle : !job || printOf(job) === print;
    return job && !same ? [work.name] : [];
  });
}

/** Gives a run up and plans one for the same jobs as they are now. @throws {InputError} when a job has no layers any more, and for a scrap */
export function startAnew(db: Db, runId: string): BenchRun {
  return db
    .transaction(() => {
      const run = benchRuns.get(db, runId);
      if (run.scrapId !== null) throw new InputError('run', 'tries a scrap, which stays as it was planned; begin another scrap');
      benchRuns.remove(db, run.id);
      const there = workpiecesByIds(db, jobsOfRun(run)).map(({ id }) => id);
      return startBatch(db, there, run.plan.sheets?.some(({ load, plate }) => load && plate) ? 'press' : 'iron');
    })
    .immediate();
}
