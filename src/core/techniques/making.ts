import { heatWords, pressWords, settingFor, BLADE_SAFETY, HEAT_SAFETY, SPRAY_SAFETY, type Step } from '../steps';
import { called, stepId, type LayerAt } from './job';
import { cutNeeds, regionOf, THREAD } from './lying';
import type { Technique, TechniqueParts } from './technique';
import { cutWords } from './cut-words';

/**
 * A technique from what is its own; where it says nothing its layer lies by its extent, is cut so and takes that much.
 *
 * @example technique({ id: 'x', words: 'x', serves: () => true, steps: () => [], checks: () => [] }).cut({ job: workJob, layer: stack[0], index: 0 }) // 'to the pattern'
 */
export function technique(parts: TechniqueParts): Technique {
  const lies = parts.lies ?? ((at: LayerAt) => regionOf(at));
  return { lies, cut: cutWords, needs: (at) => cutNeeds(at, lies(at)), ...parts };
}

/** What is said of a step by its technique. */
type Said = Omit<Step, 'id' | 'stage' | 'layer'> & { stage?: Step['stage'] };

/**
 * A step of one layer.
 *
 * @example stepOf({ job: workJob, layer: stack[0], index: 0 }, 'lay', { kind: 'do', title: 'Lay it', detail: '' }).stage // 'apply'
 */
export function stepOf(at: LayerAt, end: string, said: Said): Step {
  return { id: stepId(at, end), stage: 'apply', ...said, layer: at.index };
}

/**
 * Laying a cut layer on the cloth before it is pressed: the first lies on bare cloth, the next on what is there.
 *
 * @example laid({ job: workJob, layer: stack[0], index: 0 }, 'Square to its pattern.').act // 'lay-face-down'
 */
export function laid(at: LayerAt, detail: string, title?: string): Step {
  const { job, layer, index } = at;
  const before = job.layers.slice(0, index).some(({ material }) => material.form !== 'liquid');
  return stepOf(at, 'lay', {
    ...{ kind: 'do', act: 'lay-face-down', detail, seconds: LAYING },
    title:
      title ??
      (before
        ? `Lay ${called(layer.material)} on, glue side down`
        : 'Lay the cloth face down, and the layer on it glue side down'),
  });
}

/** Where a layer that sticks by itself, or by spray glue, is put on: no needle and no iron is wanted for it. */
const STICKS = { sticky: 'Peel', 'spray-glued': 'Spray' } as const;

/**
 * A layer at its place when it sticks there; nothing for one that is fused or sewn.
 *
 * @param where it lies, in sentences
 * @example stuckThere({ job: workJob, layer: stack[0], index: 0 }, 'Under the opening.') // undefined
 */
export function stuckThere(at: LayerAt, where: string): Step[] | undefined {
  const { form } = at.layer.material;
  if (form !== 'sticky' && form !== 'spray-glued') return undefined;
  const sprayed = form === 'spray-glued';
  return [
    stepOf(at, 'stick', {
      ...{ kind: 'do', act: 'smooth-on', seconds: 120, ...(sprayed ? { safety: SAFETY.spray } : {}) },
      title: `${STICKS[form]} ${called(at.layer.material)} and smooth it on`,
      detail: `${where}${sprayed ? ' Mist the layer, not the cloth, in the open air or at an open window.' : ''}`,
    }),
  ];
}

/** Handling of one piece, s: taken up, laid square, covered. */
const LAYING = 60;

/** A leaflet may ask for water before the heat; cloth that water marks never gets it. */
function mistedFirst(at: LayerAt): Step[] {
  const { leaflet } = at.layer.material;
  if (!leaflet.mist || at.job.fabric.water === 'spots') return [];
  return [
    stepOf(at, 'mist', {
      ...{ kind: 'do', act: 'spray', seconds: 20 },
      title: `Mist ${called(at.layer.material)} with water`,
      detail: 'Lightly and evenly, as it lies; its leaflet asks for it. Then the cover, and the iron at once.',
    }),
  ];
}

/** A fused layer is pressed stop by stop with the iron; longest side of what is pressed, mm. */
const longestOf = ({ job: { width = 0, height = 0 } }: LayerAt) => Math.max(width, height);

/**
 * Pressing a layer, and the wait until it is cold: the scrap's finding before the leaflet, the leaflet before habit.
 *
 * @param more what this technique adds to how the iron is used @param moving how it is moved, where that is not left to the school
 * @example pressed({ job: workJob, layer: stack[0], index: 0 }).map(({ kind }) => kind) // ['press', 'wait']
 */
export function pressed(at: LayerAt, more = '', moving?: string): Step[] {
  const { job, layer } = at;
  const { material } = layer;
  const setting = settingFor(material, job);
  return [
    ...mistedFirst(at),
    stepOf(at, 'press', {
      ...{ kind: 'press', act: 'press', seconds: setting.seconds, safety: HEAT_SAFETY },
      title: `Press ${called(material)}: ${setting.seconds} s a stop`,
      detail: `${moving === undefined ? pressWords(setting, job.schools, longestOf(at), job.iron) : `${heatWords(setting, job.iron)} ${moving}`}${more && ` ${more}`}`,
    }),
    stepOf(at, 'cool', {
      ...{ kind: 'wait', act: 'cool', seconds: material.leaflet.coolMinutes * 60 },
      title: 'Leave it flat until it is cold',
      detail: 'Moved while warm, it lets go or sets crooked.',
    }),
  ];
}

/** Hand stitches: how far apart, mm, and how long a metre of them takes, s. */
const STITCHES = { baste: { apart: 12, metre: 300 }, catch: { apart: 8, metre: 540 } } as const;
/** Pinning before anything is sewn, s. */
const PINNING = 90;

/**
 * What sewing along a line by hand takes, as a sentence to put behind what is done, and how long it takes, s.
 *
 * @param line mm; nothing is said where it is not known
 * @example handSewn(1000, 'baste').seconds // 390
 */
export function handSewn(line: number | undefined, way: keyof typeof STITCHES): { words: string; seconds?: number } {
  if (line === undefined) return { words: '' };
  const { apart, metre } = STITCHES[way];
  const stitches = Math.max(4, Math.round(line / apart / 5) * 5);
  const length = Math.ceil((line * THREAD[way] + 150) / 100) / 10;
  return {
    words: ` About ${stitches} stitches ${apart} mm apart on a piece: ${length} m of thread with the ends.`,
    seconds: PINNING + Math.round((line / 1000) * metre),
  };
}

/** A metre of machine basting with its pins, s. */
const MACHINE_METRE = 100;

/**
 * How long a line takes that is pinned and sewn by machine, s; undefined where it is not known.
 *
 * @example machineSewn(1000) // 190
 */
export function machineSewn(line: number | undefined): number | undefined {
  return line === undefined ? undefined : PINNING + Math.round((line / 1000) * MACHINE_METRE);
}

/** With what steps are told to be careful, by what they handle. */
export const SAFETY = { heat: HEAT_SAFETY, spray: SPRAY_SAFETY, blade: BLADE_SAFETY } as const;
