import { DAMP, drying, pickUpOf, secondsUnderIron, type Air, type Method } from '../../liquid';
import { foundOf, COVER_WORDS, IRON_WORDS, type Step } from '../../steps';
import type { LayerAt, WorkJob } from '../job';
import { piecesOf } from '../job';
import { wettedWith } from './volume';

/** The air of a room in which nothing moves. */
const STILL_ROOM: Air = { temperature: 20, humidity: 50, airSpeed: 0 };

/**
 * How long wetted cloth hangs until it is damp, or dry, whole minutes.
 *
 * @example driesIn(workJob, 'soak', 'minutesToDamp') > 10 // true
 */
export function driesIn({ fabric, air = STILL_ROOM }: WorkJob, method: Method, until: 'minutesToDamp' | 'minutesToDry'): number {
  const { arealDensity } = fabric;
  const water = arealDensity * pickUpOf(fabric, method);
  return Math.max(1, Math.round(drying({ ...air, water, sides: 2, arealDensity })[until]));
}

/** What a kitchen scale tells apart, g; less than this much cloth is felt with the hand. */
const SCALE = 5;
const LEAST_WEIGHED = 40;

/** What all that is wetted weighs dry, g; nothing where the size is not known, or where it is too little for a scale. */
function dryMassOf(at: LayerAt): number | undefined {
  const dry = ((wettedWith(at)?.area ?? 0) / 1e6) * at.job.fabric.arealDensity;
  return dry < LEAST_WEIGHED ? undefined : dry;
}

/**
 * What hangs weighs dry, as it stands in a step: of what is wet all over, for else a part of it dries; nothing where the size is not known, or where it is too little for a scale.
 *
 * @example onScale({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }) // {}
 */
export function onScale(at: LayerAt): Pick<Step, 'dryMass'> {
  const dryMass = dryMassOf(at);
  return dryMass === undefined ? {} : { dryMass };
}

/**
 * What cloth weighs when it is damp enough to be pressed, as a sentence: its dry mass and a quarter of it in water; empty where the size is not
 * known, or where it is too little for a scale.
 *
 * @example dampWeightWords({ job: { ...workJob, width: 1000, height: 1000 }, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }).length > 0 // true
 */
export function dampWeightWords(at: LayerAt): string {
  const dry = dryMassOf(at);
  if (dry === undefined) return '';
  const scaled = (mass: number) => SCALE * Math.round(mass / SCALE);
  return ` On a scale it is ready at about ${scaled(dry * (1 + DAMP))} g: dry it weighs about ${scaled(dry)} g.`;
}

/** Water that is left when it is pressed, as a share of the dry cloth's mass. */
const LEFT = { soaked: DAMP, misted: 0.15 };
/** An iron is moved over both faces in no less than this, s a square metre. */
const SLOWEST = 300;
/** However small they are, pieces are taken up, laid and pressed one by one, s each. */
const EACH_PIECE = 20;

/**
 * How much is pressed dry, and how long that takes about; only the words when the size is not known.
 *
 * @param parts of the work that is meant: one face of two
 * @example pressedDry({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }, true).title // 'Press it dry and smooth'
 */
export function pressedDry(at: LayerAt, wet: boolean, parts = 1): Pick<Step, 'title' | 'seconds' | 'act'> {
  const title = 'Press it dry and smooth';
  const treated = wettedWith(at)?.area;
  const act = at.job.cutAlready ? 'press' : 'press-flat';
  if (!treated) return { title, act };
  const area = treated / 1e6;
  const water = area * at.job.fabric.arealDensity * (wet ? LEFT.soaked : LEFT.misted);
  const seconds =
    Math.max(secondsUnderIron(water), area * SLOWEST) / parts + (at.job.cutAlready ? EACH_PIECE * piecesOf(at.job) : 0);
  const minutes = Math.max(1, Math.round(seconds / 60));
  const size = area < 0.095 ? `${Math.max(1, Math.round(area * 100)) / 100}` : area.toFixed(1);
  return {
    title: `${title}: ${size} m², about ${minutes === 1 ? 'a minute' : `${minutes} minutes`}`,
    seconds: 60 * minutes,
    act,
  };
}

/**
 * How the iron is set for a liquid: its leaflet, or what a scrap found; the schools of heat are about glue.
 *
 * @param covered it is pressed under a cloth, whatever the leaflet has to say of a cover
 * @example ironWords({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }).startsWith('Iron medium') // true
 */
export function ironWords({ job: { found, cutAlready }, layer: { material } }: LayerAt, covered = false): string {
  const setting = foundOf(material, found) ?? material.leaflet;
  const cover = covered && setting.cover === 'none' ? 'under a thin cloth' : COVER_WORDS[setting.cover];
  return `Iron ${IRON_WORDS[setting.ironDots]}, no steam, ${cover}. ${
    cutAlready ? 'Lift and set down; do not pull the cut edges.' : 'Move the iron along the grain, without pulling.'
  }`;
}
