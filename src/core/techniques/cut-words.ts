import { isTape } from '../pieces';
import type { LayerAt } from './job';
import { cutOptions } from './lying';

/**
 * How a layer is cut by its extent, as half a sentence behind its name.
 *
 * @example cutWords({ job: workJob, layer: stack[0], index: 0 }) // 'to the pattern'
 */
export function cutWords(at: LayerAt): string {
  const { material, extent } = at.layer;
  const { trim, width, size } = cutOptions(at);
  switch (extent) {
    case 'full':
      return 'to the pattern';
    case 'trimmed':
      return `${mm(trim)} inside the cut edge`;
    case 'net':
      return 'to the seam line';
    case 'strip':
      return isTape(material) ? 'to the length of its edge on the pattern' : `as a strip ${mm(width)} wide`;
    case 'patch':
      return `as a patch of ${mm(size)} each way`;
    case 'field':
      return 'larger than the field on all sides';
  }
}

/**
 * A length as the steps say it, mm: to the half.
 *
 * @example mm(6.04) // '6 mm'
 */
export function mm(length: number): string {
  return `${Math.round(length * 2) / 2} mm`;
}
