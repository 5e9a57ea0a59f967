import { MOVE_SECONDS } from '../press';
import type { Outline } from '../shape';
import type { Step } from '../steps';
import { cutSteps } from './cutting';
import { goesAgain } from './goes-again';
import { hoopingSteps, stitchingSteps } from './hooped/hooping';
import { sheetsOf, slidUnder } from './hooped/sheets';
import { piecesOf, type WorkJob } from './job';
import { prepareSteps } from './prepare';
import { techniquesOf, type Worked } from './techniques-of';
import type { Amount, Check } from './technique';

/** A job's work: its techniques in order, what they take, how they are done, what is looked at, how long it takes. */
export interface Work {
  techniques: { id: string; words: string; layer: number }[];
  amounts: Amount[];
  /** Of one copy, and of what is done once, in working order. */
  steps: Step[];
  /** Minutes of all copies: of the hands, and of waiting while something cools, soaks in or dries. */
  minutes: Minutes;
}

export interface Minutes {
  hands: number;
  waits: number;
}

/**
 * The work of a job: prepare, cut, apply, check, finish.
 *
 * @example workOf(workJob).techniques // [{ id: 'fused-all-over', words: 'fused all over', layer: 0 }]
 */
export function workOf(job: WorkJob): Work {
  const worked = techniquesOf(job);
  const steps = stepsOf(job, worked);
  return {
    techniques: worked.map(({ technique: { id, words }, at }) => ({ id, words, layer: at.index })),
    amounts: worked.flatMap(({ technique, at }) => technique.needs(at)),
    steps,
    minutes: minutesOf(job, steps, worked),
  };
}

/**
 * The steps of a job in working order; ids are stable for the same stack.
 *
 * @example workSteps(workJob).at(-1).stage // 'check'
 */
export function workSteps(job: WorkJob): Step[] {
  return stepsOf(job, techniquesOf(job));
}

/**
 * Minutes of putting the layers of a job on, all copies: without what is done to the cloth whatever lies behind it.
 *
 * @example layerMinutes(workJob).waits // 5
 */
export function layerMinutes(job: WorkJob): Minutes {
  const worked = techniquesOf(job);
  const own = worked.flatMap(({ technique, at }) => technique.steps(at)).filter(({ sewn }) => !sewn);
  return minutesOf(job, own, worked);
}

/**
 * Where each layer of a job lies on the opened piece, outermost first: its outlines, as the face of the piece is seen, mm. None for a liquid,
 * and where nothing is known of the piece.
 *
 * @example layerRegions({ ...workJob, piece })[0].length // 1
 */
export function layerRegions(job: WorkJob): Outline[][] {
  const regions: Outline[][] = job.layers.map(() => []);
  for (const { technique, at } of techniquesOf(job)) regions[at.index] = technique.lies(at)?.outlines ?? [];
  return regions;
}

/**
 * Minutes of hooping a job's sheets, all copies.
 *
 * @example hoopingMinutes({ ...workJob, stitched: true }).hands // 2.5
 */
export function hoopingMinutes(job: WorkJob): Minutes {
  return minutesOf(job, hoopingSteps(job), techniquesOf(job));
}

/**
 * What of a stack bears on how it is hooped: stacks with one key are hooped alike.
 *
 * @example hoopingKey({ ...workJob, stitched: true }) // 'hooped 1'
 */
export function hoopingKey(job: WorkJob): string {
  const topped = job.layers.some(({ material }) => material.family === 'topping');
  return `${job.floats ? 'floats' : slidUnder(job) ? 'slid' : 'hooped'} ${sheetsOf(job.layers).length}${topped ? ' topped' : ''}`;
}

function stepsOf(job: WorkJob, worked: readonly Worked[]): Step[] {
  // A hat is built from its base outward; everything else from the cloth inward.
  const ordered = job.role?.startsWith('hat-') ? [...worked].reverse() : worked;
  const own = ordered.flatMap(({ technique, at }) => technique.steps(at).map((step) => ({ technique: technique.id, ...step })));
  // Hooping belongs to the sheet that is nearest to the cloth.
  const sheet = worked.findLast(({ at }) => sheetsOf([at.layer]).length > 0);
  const hoop = (steps: readonly Step[]) =>
    steps.map((step): Step => ({ ...(sheet ? { technique: sheet.technique.id, layer: sheet.at.index } : {}), ...step }));
  const stitched = job.stitched ? hoop([...hoopingSteps(job), ...stitchingSteps(job)]) : [];
  // A technique that takes its layer away itself knows better how.
  const goes = job.stitched
    ? []
    : worked
        .filter(({ at }) => !own.some(({ layer, act }) => layer === at.index && act === 'take-away'))
        .flatMap(({ technique, at }) => goesAgain(at).map((step) => ({ technique: technique.id, ...step })));
  const all = [...prepareSteps(job), ...own, ...cutSteps(job, worked), ...stitched, checkStep(worked), ...goes];
  const found = IN_ORDER.flatMap((stage) => all.filter((step) => step.stage === stage));
  // What several layers would end with is done once.
  return found.filter((step, i) => step.stage !== 'finish' || found.findIndex(({ title }) => title === step.title) === i);
}

const IN_ORDER: readonly Step['stage'][] = ['prepare', 'cut', 'apply', 'check', 'finish'];

/** What is looked at before it goes on, each thing once. */
function checkStep(worked: readonly Worked[]): Step {
  const all = checksOf(worked);
  const checks = [...new Set(all.map(({ words }) => words))];
  const troubles = Object.fromEntries(all.flatMap(({ words, trouble }) => (trouble ? [[words, trouble]] : [])));
  return {
    ...{ id: 'check', stage: 'check', kind: 'check', act: 'check' },
    title: 'Check it before you go on',
    detail: 'Tick what is right. Leave open what is not: it says what it may be, and you can note it when you file the result.',
    ...{ checks, troubles },
  };
}

function checksOf(worked: readonly Worked[]): Check[] {
  return worked.flatMap(({ technique, at }) => technique.checks(at));
}

/** A press goes down about once for so much of a layer: an iron’s sole less overlap and point, mm². */
const STOP_AREA = 14_000;
/** Handling that nobody timed, and a look at one thing, s. */
const DOING = 180;
const LOOKING = 18;

/** A strip is pressed with so much of it under the iron at once, mm. */
const STOP_LENGTH = 180;
/** Length of an iron's sole, mm. */
const IRON_LENGTH = 200;
/** A strip and a patch of which nobody said how large they are, mm. */
const NARROW = 30;
const SMALL = 50;
/** A piece of which nothing is known, mm each way. */
const SCRAP = 120;

/** How often the iron goes down on one copy of a layer, about; the bench lays the stops on the true outline. */
function stopsAbout({ technique, at }: Worked): number {
  const { width = SCRAP, height = SCRAP } = at.job;
  const region = technique.lies(at);
  const { extent, material } = at.layer;
  // A strip is stiffened one iron length after the other.
  if (material.form === 'liquid') return Math.max(1, Math.ceil(Math.max(width, height) / IRON_LENGTH));
  const long = extent === 'strip' ? (region?.runningLength ?? Math.max(width, height)) : 0;
  const area = region?.area ?? (extent === 'strip' ? long * NARROW : extent === 'patch' ? SMALL * SMALL : width * height);
  return Math.max(1, Math.ceil(area / STOP_AREA), Math.ceil(long / STOP_LENGTH));
}

/** Minutes of some steps for all copies of a job. What is put on is done copy by copy; the rest once for all. */
function minutesOf(job: WorkJob, steps: readonly Step[], worked: readonly Worked[]): Minutes {
  const count = piecesOf(job);
  let hands = 0;
  let waits = 0;
  for (const step of steps) {
    const { stage, kind, seconds = 0, lifts = 1, checks, sheet, dries = 0 } = step;
    const times = stage === 'apply' && !sheet ? count : 1;
    waits += dries;
    if (kind === 'wait') waits += seconds;
    else if (kind === 'press')
      hands += stopsAbout(worked[step.layer!]!) * (sheet ? count : 1) * lifts * times * (seconds + MOVE_SECONDS);
    else if (kind === 'check') hands += LOOKING * (checks?.length ?? 1);
    else hands += (seconds || DOING) * times;
  }
  return { hands: hands / 60, waits: waits / 60 };
}
