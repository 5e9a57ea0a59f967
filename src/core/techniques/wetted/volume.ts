import { methodOf, pickUpOf, type Method } from '../../liquid';
import { isSoaked } from '../../layers';
import { polygonArea } from '../../shape';
import { foundOf } from '../../steps';
import { piecesOf, traitsIn, type LayerAt } from '../job';
import { cutOptions } from '../lying';
import type { Amount } from '../technique';

/** Sprayed until it feels wet, cloth takes up about this share of its own mass in a round; 1 ml weighs 1 g. */
const WET = 0.9;
/** Rounds of spraying and pressing under the hoop: cloth that is thin or loose asks for one more than a firm one. */
const ROUNDS = { firm: 2, usual: 3 };
const FIRM = 200;

/**
 * How often a liquid is put on: as a scrap found, else in rounds under the hoop where that is the person's way, else once.
 *
 * @example roundsOf({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }) // 1
 */
export function roundsOf(at: LayerAt): number {
  const found = foundOf(at.layer.material, at.job.found)?.rounds;
  if (found !== undefined) return found;
  return underHoop(at) && inRounds(at.job) ? hoopRounds(at.job) : 1;
}

/**
 * Whether starch under the hoop is sprayed and pressed round after round: where that is the person's way, and for a single piece; a set is
 * sprayed ahead.
 *
 * @example inRounds(workJob) // true
 */
export function inRounds(job: LayerAt['job']): boolean {
  return job.schools.strongStarch === 'rounds' || piecesOf(job) === 1;
}

/**
 * Rounds that starch under the hoop takes, by the cloth.
 *
 * @example hoopRounds(workJob) // 3
 */
function hoopRounds(job: LayerAt['job']): number {
  return !traitsIn(job).loose && job.fabric.arealDensity >= FIRM ? ROUNDS.firm : ROUNDS.usual;
}

/**
 * Whether a liquid is starch for what is hooped: sprayed till it feels wet, under ring and clamp.
 *
 * @example underHoop({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }) // false
 */
export function underHoop({ job, layer: { material } }: LayerAt): boolean {
  return job.stitched && job.role !== 'free-stitching' && !isSoaked(material) && methodOf(material) === 'damp';
}

/** All that is treated: under the hoop its ground, of a length the rectangles that the pieces are cut from, else the pieces. mm². */
function treatedArea(at: LayerAt): number | undefined {
  const { job, layer } = at;
  const count = piecesOf(job);
  if (underHoop(at)) {
    const { field, fieldMargin } = cutOptions(at);
    const ground = job.underHoop ?? (field ? (field.width + 2 * fieldMargin) * (field.height + 2 * fieldMargin) : undefined);
    return ground === undefined ? undefined : ground * count;
  }
  const length =
    job.yardage ?? (job.width === undefined || job.height === undefined ? undefined : job.width * job.height * count);
  // What is soaked or starched before it is cut is treated as a length.
  const asLength = !job.cutAlready && (isSoaked(layer.material) || layer.material.family === 'starch');
  return job.piece && !asLength ? polygonArea(job.piece.outline) * count : length;
}

/** What a liquid takes and on how much cloth it goes. */
export interface Wetted {
  method: Method;
  /** mm², all pieces. */
  area: number;
  /** ml of one round, all pieces. */
  each: number;
  rounds: number;
}

/**
 * How much of a liquid a job takes: cloth mass × pick-up of its method, each round; undefined where the size is not known.
 *
 * @example wettedWith({ job: { ...workJob, width: 1000, height: 1000 }, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }).rounds // 1
 */
export function wettedWith(at: LayerAt): Wetted | undefined {
  const area = treatedArea(at);
  if (area === undefined) return undefined;
  const { fabric } = at.job;
  const method = methodOf(at.layer.material);
  const share = underHoop(at) ? WET : pickUpOf(fabric, method);
  return { method, area, each: (area / 1e6) * fabric.arealDensity * share, rounds: roundsOf(at) };
}

/**
 * Millilitres for all pieces and rounds, as an amount.
 *
 * @example liquidNeeds({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }) // []
 */
export function liquidNeeds(at: LayerAt): Amount[] {
  const wetted = wettedWith(at);
  return wetted ? [{ layer: at.index, kind: 'millilitres', amount: wetted.each * wetted.rounds }] : [];
}

/**
 * How much a step takes, as a sentence; empty where it is not known or next to nothing.
 *
 * @param parts of the round that the step is one of
 * @example amountWords({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }) // ''
 */
export function amountWords(at: LayerAt, parts = 1): string {
  const millilitres = (wettedWith(at)?.each ?? 0) / parts;
  return millilitres < 1
    ? ''
    : ` About ${millilitres < 20 ? Math.round(millilitres) : 5 * Math.round(millilitres / 5)} ml in all.`;
}
