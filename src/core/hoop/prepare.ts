import type { Part } from '../part';
import type { Fabric } from '../cloth';
import type { ChosenLayer } from '../layers';
import type { Schools } from '../schools';
import { grownBy, intersection, regionArea, type Outline } from '../shape';
import type { FoundSetting, Step } from '../steps';
import { glueOn, takesGlue, wettedWith, workSteps, type WorkJob } from '../techniques';
import { turnWords } from './folds';
import { hoopOutlines, type Hoop, type HoopPlace } from './hoop';
import type { Ground } from './placing';
import { sheetRecipe } from './sheet-recipe';

export interface Starching {
  /** Where, mm: the whole area that comes under the clamp and a little more. */
  where: Outline[];
  /** mm². */
  area: number;
  rounds: number;
  /** Spray for one round on one piece, ml. */
  each: number;
  /** Spray for all rounds on all pieces of the set, ml. */
  millilitres: number;
  /** How long it dries in all, minutes; the pieces of a set side by side. 0 where each round is pressed dry. */
  minutes: number;
  /** It is rinsed out once it is sewn. */
  rinsed: boolean;
}

/** Starched this far past the ring, mm. */
const PAST_RING = 10;

/** A motif in its hoop on a piece: what its work is made of. */
export interface HoopWork {
  fabric: Fabric;
  part: Part;
  layers: readonly ChosenLayer[];
  hoop: Hoop;
  at: HoopPlace;
  ground: Ground;
  floats: boolean;
  /** Pieces of the set. */
  count: number;
  schools: Schools;
  found?: readonly FoundSetting[];
}

/** What comes under the ring of a hoop, and a little more, mm. */
function underRing({ hoop, at, outline }: Hooped): Outline[] {
  return intersection(grownBy([hoopOutlines(hoop, at).outer], PAST_RING), [outline]);
}

/** A hoop on a piece. */
interface Hooped {
  hoop: Hoop;
  at: HoopPlace;
  /** Of the piece, mm. */
  outline: Outline;
}

/**
 * How much of a piece comes under the ring of a hoop and 10 mm more, mm²: what is starched.
 *
 * @example ringGround({ hoop, at: { x: 500, y: 500, angle: 0 }, outline: square(1000) }) > hoop.outerWidth * hoop.outerHeight // true
 */
export function ringGround(hooped: Hooped): number {
  return regionArea(underRing(hooped));
}

/**
 * The layers that are worked, in the order by which steps name them: no liquid where water marks the cloth, or where it never enters the ring.
 *
 * @example layersWorked(hoopWork).length // 0
 */
export function layersWorked({ floats, fabric, layers }: HoopWork): readonly ChosenLayer[] {
  return !floats && fabric.water === 'safe' ? layers : layers.filter(({ material }) => material.form !== 'liquid');
}

/** The job as the techniques see it: nothing is wetted that water marks, or that never enters the ring. */
function jobOf(work: HoopWork): WorkJob {
  const { fabric, part, hoop, at, floats, count, schools, found } = work;
  const kept = layersWorked(work);
  const area = ringGround({ hoop, at, outline: work.ground.outline });
  return {
    ...{ fabric, layers: kept, role: part.role, stitched: true, floats, schools, found, count },
    ...{ bias: part.cut === 'bias', washed: part.care !== 'none' && part.care !== 'dry-clean', cutAlready: true },
    ...{ underHoop: area, yardage: area * count, layersCut: true },
    hoop: { kind: hoop.kind, mount: hoop.mount, mountSide: hoop.mountSide, turn: turnWords(at.angle) },
  };
}

/**
 * What is starched before hooping; nothing when the stack holds no liquid or the cloth must not be wetted.
 *
 * @example starching({ ...hoopWork, layers: [{ material: starch, extent: 'field', angle: 0 }] }) !== undefined // true
 */
export function starching(work: HoopWork): Starching | undefined {
  const job = jobOf(work);
  const index = job.layers.findIndex(({ material }) => material.form === 'liquid');
  if (index === -1) return undefined;
  const layer = job.layers[index]!;
  const wetted = wettedWith({ job, layer, index })!;
  const where = underRing({ ...work, outline: work.ground.outline });
  return {
    ...{ where, area: regionArea(where), rounds: wetted.rounds },
    ...{ each: wetted.each / work.count, millilitres: wetted.each * wetted.rounds },
    minutes: hoopPreparation(work).reduce((sum, { kind, seconds = 0 }) => sum + (kind === 'wait' ? seconds / 60 : 0), 0),
    rinsed: layer.material.ends === 'rinsed',
  };
}

/**
 * Temporary spray glue for the sheets of the whole set, g; 0 where none is sprayed.
 *
 * @example sheetGlue(hoopWork) // 0
 */
export function sheetGlue(work: HoopWork): number {
  const { layers, hoop, floats, count } = work;
  const job = jobOf(work);
  const glued = layers.filter((layer) => layer.material.family !== 'topping' && takesGlue({ job, layer }));
  return sheetRecipe(hoop, glued, floats, count).reduce((sum, { width, height }) => sum + glueOn(width * height * count), 0);
}

/**
 * What is done to one piece before its first stitch, in the order in which a project's job has it: wetted, its sheets joined, folded,
 * hooped, hung.
 *
 * @example hoopPreparation(hoopWork).map(({ id }) => id).at(-1) // 'mount'
 */
export function hoopPreparation(work: HoopWork): Step[] {
  const job = jobOf(work);
  const liquid = new Set(job.layers.flatMap(({ material }, i) => (material.form === 'liquid' ? [i] : [])));
  return workSteps(job).filter(
    ({ stage, id, layer }) =>
      (stage === 'prepare' && layer !== undefined && liquid.has(layer)) || (stage === 'apply' && id !== 'stitch'),
  );
}
