import type { Step, StepsFor } from './step';
import { BLADE_SAFETY, lower, capital } from './words';

const EXTENT_CUT: Record<string, string> = {
  full: 'to the pattern',
  trimmed: 'a little inside the cut edge',
  net: 'to the seam line',
  strip: 'as a strip along the edge',
  patch: 'as a patch around the point',
  field: 'a little larger than the hoop on all sides',
};

/** When the pieces are cut. */
const ORDER: Record<string, string> = {
  'cut-first': 'Cut the cloth pieces too, then fuse.',
  'fuse-together': 'Lay the cut cloth pieces close together on the uncut layer, fuse them in one go, then cut them out.',
  'fuse-length': 'Fuse a length of cloth that takes all pieces, then cut them through both.',
};

/** By shape: many small pieces whose layers reach their edges are fused together, everything else is cut first. */
function orderOf(school: string, manySmall: boolean, layers: StepsFor['layers']): string {
  if (school !== 'by-shape') return school;
  return manySmall && layers.every(({ extent }) => extent === 'full') ? 'fuse-together' : 'cut-first';
}

/** Cutting the layers, with their extent, glue side and grain. */
export function cutSteps({ layers, bias, stitched, schools, cutAlready, manySmall }: StepsFor): Step[] {
  const cut = layers.filter(({ material }) => material.form !== 'liquid');
  if (cut.length === 0) return [];
  const words = cut.map(
    ({ material, extent, angle }) => `${lower(material.name)} ${EXTENT_CUT[extent]}${angle ? `, turned ${angle}°` : ''}`,
  );
  const glued = cut.some(({ material }) => material.form === 'fusible');
  const grain = cut.some(({ material }) => material.grain) && !stitched;
  const detail = [
    `${words.join('; ')}.`,
    glued ? 'One side carries the glue: glue up, pattern face up; glue down, pattern face down.' : '',
    glued && !stitched && !cutAlready ? (ORDER[orderOf(schools.order, manySmall === true, cut)] ?? '') : '',
    grain ? (bias ? 'On the bias, like the piece.' : 'Grain the same way as the piece.') : '',
  ].filter(Boolean);
  return [
    {
      id: 'cut',
      stage: 'cut',
      kind: 'do',
      title: cut.length > 1 ? `Cut the ${cut.length} layers` : 'Cut the layer',
      detail: capital(detail.join(' ')),
      safety: BLADE_SAFETY,
    },
  ];
}
