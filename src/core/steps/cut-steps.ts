import type { Step, StepsFor } from './step';
import type { ChosenLayer } from '../layers';
import { sheetLayer } from './order';
import { BLADE_SAFETY } from './words';
import { capital, lower } from '../letters';

const EXTENT_CUT: Record<string, string> = {
  full: 'to the pattern',
  trimmed: 'a little inside the cut edge',
  net: 'to the seam line',
  strip: 'as a strip along the edge',
  patch: 'as a patch around the point',
  field: 'a little larger than the hoop on all sides',
};

/**
 * Cutting the pieces and their layers, with extent, glue side and grain, in the order of work.
 *
 * @example cutSteps(stepsInput).length > 0 // true
 */
export function cutSteps(input: StepsFor): Step[] {
  const { layers, bias, stitched, cutAlready, order = 'cut-first' } = input;
  if (input.layersCut) return cutAlready || stitched || order === 'fuse-length' ? [] : [clothOnly(bias)];
  const cut = layers.filter(({ material }) => material.form !== 'liquid');
  if (cut.length === 0) return stitched || cutAlready ? [] : [treatedCloth(bias)];
  const uncut = order === 'cut-first' ? undefined : layers[sheetLayer(layers)];
  const others = uncut ? layersWords(cut.filter((layer) => layer !== uncut)) : '';
  if (order === 'fuse-length')
    return others
      ? [cutStep('Cut the layers that follow', `${capital(others)}. The cloth is cut when its length is fused.`)]
      : [];
  if (order === 'fuse-together') return cutAlready && !others ? [] : [clothAlone(bias, cutAlready, others)];
  const words = layersWords(cut);
  const glued = cut.some(({ material }) => material.form === 'fusible');
  const grain = cut.some(({ material }) => material.grain) && !stitched;
  const detail = [
    `${words}.`,
    glued ? 'One side carries the glue: glue up, pattern face up; glue down, pattern face down.' : '',
    glued && !stitched && !cutAlready ? 'Cut the cloth pieces too, then fuse.' : '',
    grain ? (bias ? 'On the bias, like the piece.' : 'Grain the same way as the piece.') : '',
  ].filter(Boolean);
  return [cutStep(cut.length > 1 ? `Cut the ${cut.length} layers` : 'Cut the layer', capital(detail.join(' ')))];
}

function layersWords(cut: readonly ChosenLayer[]): string {
  return cut
    .map(({ material, extent, angle }) => `${lower(material.name)} ${EXTENT_CUT[extent]}${angle ? `, turned ${angle}°` : ''}`)
    .join('; ');
}

function cutStep(title: string, detail: string): Step {
  return { id: 'cut', stage: 'cut', kind: 'do', title, detail, safety: BLADE_SAFETY };
}

/** What was sprayed, starched or soaked as a length is cut after it is pressed. */
function treatedCloth(bias: boolean): Step {
  return cutStep(
    'Cut the pieces from the treated cloth',
    `Only now: it keeps the size that it has after pressing.${bias ? ' On the bias, as marked.' : ''}`,
  );
}

/** The layers lie there cut; only the cloth is missing. */
function clothOnly(bias: boolean): Step {
  return cutStep('Cut the cloth pieces', `The layers are cut already.${bias ? ' On the bias, as marked.' : ''}`);
}

function clothAlone(bias: boolean, cutAlready: boolean, others: string): Step {
  const whole = `The layer is only cut to a length that takes them all.${bias ? ' Cloth and layer on the bias alike.' : ''}`;
  return cutStep(
    cutAlready ? 'Cut the layers that follow' : 'Cut the cloth pieces; leave the layer whole',
    others ? `${cutAlready ? '' : `${whole} `}For later: ${others}.` : whole,
  );
}
