import { capital } from '../letters';
import { BLADE_SAFETY, sheetLayer, type Step } from '../steps';
import { called, piecesOf, type WorkJob } from './job';
import type { Worked } from './techniques-of';

/** A metre that is cut, and what each piece is handled for, s. */
const METRE = 60;
const EACH = 20;

/**
 * Cutting the pieces and their layers, each as its technique says, with glue side and grain, in the order of work.
 *
 * @example cutSteps(workJob, techniquesOf(workJob)).length > 0 // true
 */
export function cutSteps(job: WorkJob, worked: readonly Worked[]): Step[] {
  const { layers, bias, stitched, cutAlready, order = 'cut-first' } = job;
  if (job.layersCut) return cutAlready || stitched || order === 'fuse-length' ? [] : [clothOnly(job)];
  const cut = worked.filter(({ at }) => at.layer.material.form !== 'liquid');
  if (cut.length === 0 && worked.some(({ technique }) => technique.id === 'edge-stiffener'))
    return cutAlready
      ? []
      : [cutStep(job, 'Cut the strips', 'across the knit, where it gives most; they are stiffened one by one', [], 1)];
  if (cut.length === 0) return stitched || cutAlready ? [] : [treatedCloth(job)];
  const uncut = order === 'cut-first' ? undefined : layers[sheetLayer(layers)];
  const others = uncut ? layersWords(cut.filter(({ at }) => at.layer !== uncut)) : '';
  if (order === 'fuse-length')
    return others ? [cutStep(job, 'Cut the layers that follow', others, ['The cloth is cut when its length is fused.'], 1)] : [];
  if (order === 'fuse-together') return cutAlready && !others ? [] : [clothAlone(job, others)];
  const words = layersWords(cut);
  const glued = cut.some(({ at }) => at.layer.material.form === 'fusible');
  const grain = cut.some(({ at }) => at.layer.material.grain) && !stitched;
  const mind = [
    glued ? 'One side carries the glue: glue up, pattern face up; glue down, pattern face down.' : '',
    glued && !stitched && !cutAlready ? 'Cut the cloth pieces too, then fuse.' : '',
    grain ? (bias ? 'On the bias, like the piece.' : 'Grain the same way as the piece.') : '',
  ].filter(Boolean);
  const title = cut.length > 1 ? `Cut the ${cut.length} layers` : 'Cut the layer';
  return [cutStep(job, title, words, mind, cut.length + (cutAlready || stitched ? 0 : 1))];
}

function layersWords(cut: readonly Worked[]): string {
  return cut.map(({ technique, at }) => [called(at.layer.material), technique.cut(at)].filter(Boolean).join(', ')).join('; ');
}

/** @param cuts how many things are cut of each piece: the cloth, and each layer */
function cutStep(job: WorkJob, title: string, what: string, mind: string[], cuts: number): Step {
  const { width, height } = job;
  const around = width === undefined || height === undefined ? undefined : (2 * (width + height)) / 1000;
  const seconds = around === undefined ? undefined : Math.round(cuts * piecesOf(job) * (around * METRE + EACH));
  const detail = [`${capital(what)}.`, ...mind].join(' ');
  return {
    ...{ id: 'cut', stage: 'cut', kind: 'do', act: 'cut', title, detail, safety: BLADE_SAFETY, cutting: { what, mind } },
    ...(seconds === undefined ? {} : { seconds }),
  };
}

/** What was sprayed, starched or soaked as a length is cut after it is pressed. */
function treatedCloth(job: WorkJob): Step {
  const what = 'only now: it keeps the size that it has after pressing';
  return cutStep(job, 'Cut the pieces from the treated cloth', what, biased(job, 'On the bias, as marked.'), 1);
}

/** The layers lie there cut; only the cloth is missing. */
function clothOnly(job: WorkJob): Step {
  return cutStep(job, 'Cut the cloth pieces', 'the layers are cut already', biased(job, 'On the bias, as marked.'), 1);
}

function clothAlone(job: WorkJob, others: string): Step {
  if (job.cutAlready) return cutStep(job, 'Cut the layers that follow', `for later: ${others}`, [], 1);
  const mind = [...biased(job, 'Cloth and layer on the bias alike.'), ...(others ? [`For later: ${others}.`] : [])];
  return cutStep(
    job,
    'Cut the cloth pieces; leave the layer whole',
    'the layer is only cut to a length that takes them all',
    mind,
    1,
  );
}

const biased = ({ bias }: WorkJob, words: string): string[] => (bias ? [words] : []);
