import { isFusible } from '../../layers';
import { lower } from '../../letters';
import { bounds, polygonArea, type Outline } from '../../shape';
import { pressWords, settingFor, type Step } from '../../steps';
import { called, type LayerAt } from '../job';
import { cutNeeds, glueNeeds, regionOf } from '../lying';
import { SAFETY, stepOf, technique } from '../making';
import type { Amount, Check, Technique } from '../technique';
import { byHands, crossed, sheetsOf, slidUnder } from './sheets';

/** A turned sheet has to be so much larger each way that it covers the same field, mm. */
function turnedSide(at: LayerAt, width: number, height: number): number {
  const turn = (at.layer.angle * Math.PI) / 180;
  const [cos, sin] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
  return Math.max(width * cos + height * sin, width * sin + height * cos);
}

/** Region of a sheet: the field and its margin all round; of a turned one the square that covers them. */
function sheetLies(at: LayerAt) {
  const region = regionOf(at, {}, 'field');
  if (!region || at.layer.angle % 90 === 0) return region;
  const { minX, minY, maxX, maxY } = bounds(region.outlines[0]!);
  const side = turnedSide(at, maxX - minX, maxY - minY);
  const square: Outline = [
    [0, 0],
    [side, 0],
    [side, side],
    [0, side],
  ];
  return { ...region, outlines: [square], area: polygonArea(square) };
}

/**
 * Whether glue is sprayed on a sheet: it is kept so, or the cloth is to lie on it and it does not stick by itself.
 *
 * @example takesGlue({ job: workJob, layer: stack[0], index: 0 }) // false
 */
export function takesGlue({ job, layer: { material } }: Pick<LayerAt, 'job' | 'layer'>): boolean {
  if (material.form === 'spray-glued') return true;
  return job.floats && material.form === 'loose' && !sheetsOf(job.layers).some((l) => l.material.form === 'sticky');
}

const needs = (at: LayerAt): Amount[] => [...cutNeeds(at, sheetLies(at)), ...(takesGlue(at) ? glueNeeds(at, sheetLies(at)) : [])];

/** How a sheet is joined to the cloth before anything is hooped; nothing where it is slid under or only laid with it. */
function joined(at: LayerAt): Step[] {
  const steps = joinedOnce(at);
  const same = at.job.layers.flatMap(({ material }, i) => (material.id === at.layer.material.id ? [i] : []));
  if (same.length === 1) return steps;
  // Several of one kind are told apart, each lies on the one before.
  const which = `Sheet ${same.indexOf(at.index) + 1} of ${same.length}`;
  return steps.map((step) => ({ ...step, title: `${which}: ${lower(step.title)}` }));
}

function joinedOnce(at: LayerAt): Step[] {
  const { job, layer } = at;
  const { material } = layer;
  const name = called(material);
  if (isFusible(material.form)) {
    const setting = settingFor(material, job);
    return [
      stepOf(at, 'press', {
        ...{ kind: 'press', act: 'press', seconds: setting.seconds, safety: SAFETY.heat },
        title: `Fuse ${name} to the wrong side`,
        detail: pressWords(setting, job.schools, 0, job.iron),
      }),
      stepOf(at, 'cool', {
        ...{ kind: 'wait', act: 'cool', seconds: material.leaflet.coolMinutes * 60 },
        title: 'Let it cool flat',
        detail: byHands(job) ? 'Before it is stitched.' : 'Before it goes into the hoop.',
      }),
    ];
  }
  if (job.floats || (material.form !== 'sticky' && material.form !== 'spray-glued')) return [];
  const sprays = material.form === 'spray-glued';
  return [
    stepOf(at, 'join', {
      ...{ kind: 'do', act: 'smooth-on', seconds: 90, ...(sprays ? { safety: SAFETY.spray } : {}) },
      title: sprays
        ? `Mist ${name} with glue and smooth it onto the wrong side`
        : `Peel ${name} and smooth it onto the wrong side`,
      detail: 'Away from the machine, from the middle outwards.',
    }),
  ];
}

/** What is looked at when it is sewn. */
function stitched({ job }: LayerAt): Check[] {
  return [
    { words: 'The outline meets the fill', trouble: 'drift' },
    { words: 'No pucker or tunnel round dense parts', trouble: 'tunnel' },
    { words: 'Stitches lie on top, none have sunk', trouble: 'sunk' },
    ...(job.floats || byHands(job) ? [] : [{ words: 'No hoop marks', trouble: 'hoop-marks' as const }]),
  ];
}

/** A sheet by how it is hooped. */
function sheet(
  id: string,
  words: string,
  serves: (at: LayerAt) => boolean,
  cut: string,
  checks: readonly Check[] = [],
): Technique {
  return technique({
    ...{ id, words, lies: sheetLies, needs, steps: joined },
    serves: (at) =>
      at.job.stitched && at.layer.material.form !== 'liquid' && at.layer.material.family !== 'topping' && serves(at),
    cut: ({ layer: { angle } }) => `${cut}${angle % 90 === 0 ? '' : `, turned ${angle}°`}`,
    checks: (at) => [...checks, ...stitched(at)],
  });
}

const PAST_RING = 'past the ring on all sides';
const PAST_FIELD = 'past the field on all sides';

/** Ways in which a sheet is hooped, the particular ones first. */
export const SHEETS: readonly Technique[] = [
  sheet('badge', 'a badge', ({ job }) => job.role === 'badge', PAST_RING, [
    { words: 'The edge is closed all round', trouble: 'open-edge' },
  ]),
  sheet('block', 'a block of top, wadding and mesh', ({ job }) => job.role === 'quilt-piece', 'past the block on all sides', [
    { words: 'Trimmed with the block, square', trouble: 'size' },
  ]),
  sheet('under-free-stitching', 'laid under free stitching', ({ job }) => byHands(job), PAST_FIELD),
  sheet(
    'mesh-pair',
    'mesh pair crossed',
    ({ job, layer }) => layer.material.family === 'mesh' && crossed(job.layers),
    'a square that covers the field past the ring',
    [{ words: 'Even all round, no way gives more', trouble: 'tunnel' }],
  ),
  sheet('floated', 'floated', ({ job }) => job.floats, PAST_RING, [
    { words: 'Nothing of the cloth was in the ring', trouble: 'hoop-marks' },
  ]),
  sheet('slid-under', 'a sheet slid under', ({ job }) => slidUnder(job), PAST_FIELD),
  sheet('hooped-together', 'hooped together', () => true, PAST_RING),
];

/** A film on loops and loft. */
export const topping = technique({
  id: 'topping',
  words: 'topping',
  serves: ({ layer }) => layer.material.family === 'topping',
  lies: sheetLies,
  cut: () => PAST_FIELD,
  needs: (at) => cutNeeds(at, sheetLies(at)),
  steps: () => [],
  checks: () => [],
});
