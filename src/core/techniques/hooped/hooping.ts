import { isSealed } from '../../cloth';
import type { Step } from '../../steps';
import { NEEDLE_SAFETY } from '../../steps';
import { called, type WorkJob } from '../job';
import { SAFETY } from '../making';
import { betweenColours, finishing, type StitchRole, STITCH_ROLES } from './finishing';
import { byHands, crossed, sheetsOf, slidUnder } from './sheets';

/** Hands at a stop between two colours, s. */
const BETWEEN = 120;
/** Felt at the middle and at each corner. */
const DRUM = ['Drum tight in the middle', 'Drum tight in every corner', 'Weave still straight'];

type Said = Omit<Step, 'stage'> & { stage?: Step['stage'] };
const step = (said: Said): Step => ({ stage: 'apply', ...said });

/** The cloth is laid on the hooped sheet by its folds. */
function floating(job: WorkJob): Step[] {
  const sheets = sheetsOf(job.layers);
  const sticky = sheets.some(({ material }) => material.form === 'sticky');
  const marked = isSealed(job.fabric);
  return [
    step({
      ...{ id: 'hoop', technique: 'floated', kind: 'do', act: 'hoop', seconds: 120, checks: DRUM.slice(0, 2) },
      title: 'Hoop the sheet alone, drum tight',
      detail: 'The cloth stays out of the hoop, so nothing is pressed into it.',
    }),
    step({
      ...{ id: 'float', kind: 'do', act: 'smooth-on', seconds: 150, ...(sticky ? {} : { safety: SAFETY.spray }) },
      title: sticky ? 'Peel the sheet and lay the cloth on it' : 'Mist the sheet with glue and lay the cloth on it',
      detail: `${sticky ? '' : 'Away from the machine. '}By its ${
        marked ? 'chalk marks' : 'folds'
      } on the marks of the hoop, smoothed from the middle. ${
        marked
          ? 'Nothing goes through it before the needle: every hole stays.'
          : 'A basting frame round the motif where its holes do not show.'
      }`,
    }),
  ];
}

/** The cloth is hooped, with its sheet or alone. */
function hooped(job: WorkJob): Step[] {
  const sheets = sheetsOf(job.layers);
  const slid = slidUnder(job);
  const alone = slid || sheets.length === 0;
  const block = job.role === 'quilt-piece' && sheets.length > 0;
  return [
    step({
      ...{ id: 'hoop', kind: 'do', act: 'hoop', seconds: 150, checks: DRUM },
      title: alone
        ? 'Hoop the cloth alone'
        : block
          ? 'Hoop top, wadding and sheet together'
          : sheets.length > 1
            ? 'Hoop cloth and sheets together'
            : 'Hoop cloth and sheet together',
      detail: `${
        job.hoop?.kind === 'magnetic'
          ? 'Lower the magnets one after the other, from one side to the other, fingers clear of them; draw slack in before the last one.'
          : 'Ring pressed in flat, finger tight, never with a tool. Draw the slack in a little all the way round; the weave stays straight.'
      }${crossed(job.layers) ? ' The second mesh is turned 45° against the first.' : ''}`,
    }),
  ];
}

function mounted(job: WorkJob): Step[] {
  const { hoop } = job;
  if (!hoop) return [];
  return [
    step({
      ...{ id: 'mount', kind: 'do', act: 'hoop', seconds: 60, safety: NEEDLE_SAFETY },
      title: hoop.mount === 'arm' ? 'Slide the hoop onto the arm' : 'Hang the hoop on the bar',
      detail: `Its mount is on the ${hoop.mountSide}. Lower the foot and turn the wheel by hand once over the middle of the design.`,
      checks: [
        'Nothing of the project folded underneath',
        ...(!slidUnder(job) && sheetsOf(job.layers).length > 0 ? ['The sheet reaches past the field on every side'] : []),
        'The design is moved and turned in the field as the card says',
      ],
    }),
  ];
}

/**
 * Hooping of a stack once its sheets are joined: hooped or floated, hung, slid under, topped. None for what the hands hold by themselves.
 *
 * @example hoopingSteps({ ...workJob, stitched: true })[0].id // 'hoop'
 */
export function hoopingSteps(job: WorkJob): Step[] {
  if (byHands(job))
    return sheetsOf(job.layers).length === 0
      ? []
      : [
          step({
            ...{ id: 'under', kind: 'do', act: 'slide-under', seconds: 60 },
            title: 'Lay the sheet under the cloth',
            detail: 'Past the stitched ground on every side; no hoop, a hand flat on each side of the needle.',
          }),
        ];
  const topping = job.layers.find(({ material }) => material.family === 'topping');
  const slide = step({
    ...{ id: 'slide', kind: 'do', act: 'slide-under', seconds: 30, safety: NEEDLE_SAFETY },
    title: job.hoop
      ? 'Slide the sheet under the hoop, on the machine'
      : 'Hang the hoop on the machine, and slide the sheet under it',
    detail: 'Past the field on every side; needle up before anything is slid under it.',
  });
  return [
    ...(job.hoop
      ? [
          step({
            ...{ id: 'cross', kind: 'do', act: 'press-flat', seconds: 120 },
            title: isSealed(job.fabric) ? 'Chalk both lines for the hoop' : 'Fold for the hoop and mark both folds',
            detail: `At the two distances that the card names: they cross at the hoop’s own middle. ${
              isSealed(job.fabric) ? 'Nothing is folded: every crease stays.' : 'Crease lightly, mark both creases.'
            }${job.hoop.turn ? ` The hoop lies on the cloth turned ${job.hoop.turn}.` : ''}`,
          }),
        ]
      : []),
    ...(job.floats ? floating(job) : hooped(job)),
    ...(topping
      ? [
          step({
            ...{
              id: 'topping',
              kind: 'do',
              act: 'lay-on-top',
              seconds: 30,
              technique: 'topping',
              layer: job.layers.indexOf(topping),
            },
            title: `Lay ${called(topping.material)} on top`,
            detail: `Over the whole field; ${
              job.fabric.water === 'safe'
                ? 'a few drops of water outside the motif hold it'
                : 'a little tape outside the field holds it'
            }.`,
          }),
        ]
      : []),
    ...mounted(job),
    ...(slidUnder(job) ? [slide] : []),
  ];
}

/**
 * Stitching and what is done afterwards: sheets torn, trimmed or left in, badges sealed, what is to go rinsed out.
 *
 * @example stitchingSteps({ ...workJob, stitched: true })[0].id // 'stitch'
 */
export function stitchingSteps(job: WorkJob): Step[] {
  const role = STITCH_ROLES.find((each) => each === job.role) ?? ('embroidery' satisfies StitchRole);
  const between = betweenColours(role);
  return [
    ...(between.length > 0
      ? [
          step({
            ...{ id: 'stitch-line', kind: 'do', act: 'stitch', safety: NEEDLE_SAFETY },
            title: 'Stitch the placing line',
            detail: 'The first colour of the motif: it shows where the appliqué lies.',
          }),
        ]
      : []),
    ...between.map((each, i) =>
      step({ id: `between-${i}`, kind: 'do', act: i === 0 ? 'lay-on-top' : 'take-away', seconds: BETWEEN, ...each }),
    ),
    step({
      ...{ id: 'stitch', kind: 'do', act: 'stitch', safety: NEEDLE_SAFETY },
      title: byHands(job)
        ? 'Stitch, both hands flat on the cloth'
        : between.length > 0
          ? 'Stitch the border and the rest of the motif'
          : 'Stitch the motif',
      detail: byHands(job)
        ? 'Feed dogs down, hands beside the needle and never under it; even speed.'
        : `Watch the first outline: if it drifts off the fill, stop.${job.role === 'badge' ? ' The satin edge comes last.' : ''}`,
    }),
    ...finishing(role, job.layers).map((finish, i) =>
      step({ id: `finish-${i}`, stage: 'finish', kind: 'do', act: 'take-away', ...finish }),
    ),
  ];
}
