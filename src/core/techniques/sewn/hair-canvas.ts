import { CHECKS } from '../checks';
import { bearsIron, called, type LayerAt } from '../job';
import { cutNeeds, regionOf } from '../lying';
import { SAFETY, pressed, laid, stepOf, technique } from '../making';
import { isFusible } from '../../layers';

/** Rows of pad stitches lie so far apart, mm; a stitch takes this much thread for its length. */
const ROW = 15;
const PAD_THREAD = 1.3;
/** A metre of pad stitching, s. */
const PAD_METRE = 120;
/** The tape on the roll line is shorter by this much in 100. */
const SHORTER = 3;

/** A plate of canvas on part of a piece of which nobody said how large it is, mm. */
const PLATE = 150;

const padded = (at: LayerAt) => {
  const usual = at.layer.extent === 'patch' ? PLATE * PLATE : (at.job.width ?? 0) * (at.job.height ?? 0);
  const area = regionOf(at)?.area ?? usual;
  return area / ROW;
};

/** Canvas from the roll line, shaped by pad stitches. */
export const hairCanvas = technique({
  id: 'hair-canvas',
  words: 'hair canvas, pad-stitched',
  serves: ({ job, layer }) => layer.material.family === 'hair-canvas' && !job.role?.startsWith('hat') && layer.extent !== 'strip',
  cut: () => 'from the roll line, inside the sewn lines',
  needs: (at) => [
    ...cutNeeds(at, regionOf(at)),
    ...(isFusible(at.layer.material.form)
      ? []
      : [{ layer: at.index, kind: 'thread' as const, amount: padded(at) * PAD_THREAD * (at.job.count ?? 1) }]),
  ],
  steps: (at) => {
    if (isFusible(at.layer.material.form))
      return [laid(at, 'From the roll line inward, its edge inside the sewn lines, grain with grain.'), ...pressed(at)];
    const name = called(at.layer.material);
    const line = padded(at);
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(line > 0 ? { seconds: 120 + Math.round((line / 1000) * PAD_METRE) } : {}) },
        title: `Pad-stitch ${name} to the wrong side`,
        detail: `From the roll line, inside the sewn lines. Rows of small slanting stitches ${ROW} mm apart that take one thread of the cloth; shape the roll over the hand as you go.`,
      }),
      // A plate on a part of the front has no roll line of its own.
      ...(at.layer.extent === 'patch'
        ? []
        : [
            stepOf(at, 'tape', {
              ...{ kind: 'do', act: 'baste', seconds: 120 },
              title: 'Tape the roll line',
              detail: `Beside it, the tape ${SHORTER} mm shorter in every 100 mm, eased in with small stitches.`,
            }),
          ]),
      ...(!bearsIron(at.job) || at.job.fabric.water === 'spots'
        ? []
        : [
            stepOf(at, 'steam', {
              ...{ kind: 'do', act: 'cool', seconds: 60, safety: SAFETY.heat },
              title: 'Steam the roll over a rolled towel, and let it cool there',
              detail: 'Without touching it with the iron; it keeps the shape in which it cools.',
            }),
          ]),
    ];
  },
  checks: () => [
    { words: 'The roll holds by itself', trouble: 'slack' },
    { words: 'No stitch shows on the face', trouble: 'shows-through' },
    CHECKS.outOfSeam,
  ],
});
