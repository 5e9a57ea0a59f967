import { clothThickness } from '../../cloth';
import { runsIntoSeam } from '../../pieces';
import { allowanceOf, trimOf } from '../piece-size';
import type { Criterion, Judged } from '../protocol';
import { points, ramp } from './criterion';

/** Thickness of everything that runs into a turned seam: cloth and layer, twice, mm. */
function seamBulk({ layers, question }: Judged): number {
  const cloth = clothThickness(question.fabric).value;
  let inSeam = 0;
  const [allowance, trim] = [allowanceOf(question.piece), trimOf(question.piece)];
  for (const { material, extent } of layers) if (runsIntoSeam(extent, allowance, trim)) inSeam += material.thickness;
  return 2 * (cloth + inSeam);
}

/** What the layers add where seams meet and corners are turned. */
export const bulk: Criterion = {
  id: 'bulk',
  name: 'Bulk in the seams',
  weight: ({ profile }) => (profile.kind === 'stitch' || profile.kind === 'treat' ? 0 : 6),
  score: (stack) => {
    const bare = 2 * clothThickness(stack.question.fabric).value;
    return points(ramp(seamBulk(stack) / bare, 1.3, 100, 4, 30));
  },
  why: (stack) => {
    const bare = 2 * clothThickness(stack.question.fabric).value;
    const more = seamBulk(stack) - bare;
    if (more < 0.05) return 'Stays out of the seam, so corners turn as easily as in bare cloth.';
    if (stack.layers.every(({ extent }) => extent !== 'full'))
      return `Trimmed, but caught by the stitching: adds about ${more.toFixed(1)} mm in the seam.`;
    return `Runs into the seam and adds about ${more.toFixed(1)} mm there.`;
  },
};
