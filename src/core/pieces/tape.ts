import type { Family, Material } from '../layers';
import { isTape } from './layer-cut';
import type { LayerOutline } from './layer-outline';

/** Turned-in and lapped ends of a tape, mm a piece. */
const TAPE_ENDS = 20;

/**
 * Whether one face carries glue, so that a mirror image would be wasted.
 *
 * @example oneSided({ form: 'fusible' }) // true
 */
export function oneSided(material: Pick<Material, 'form'>): boolean {
  return material.form === 'fusible' || material.form === 'sticky';
}

/**
 * Running length of a tape for all pieces, ends included, mm; undefined when it is not a tape.
 *
 * @example tapeLength({ outlines: [], holes: [], runningLength: 300 }, { rollWidth: 25 }, 2) // 640
 */
export function tapeLength(
  layer: LayerOutline,
  material: Pick<Material, 'rollWidth'> & { family?: Family },
  count: number,
): number | undefined {
  if (!isTape(material) || layer.runningLength === undefined) return undefined;
  return tapeRun(layer.runningLength, count, material.family);
}

/**
 * Length of tape for edges of this length, ends included, mm. Braid goes into the whole hem once its panels are joined: one length with one lap.
 *
 * @example tapeRun(1000, 2) // 2040
 */
export function tapeRun(edge: number, count: number, family?: Family): number {
  return count * edge + (family === 'braid' ? 1 : count) * TAPE_ENDS;
}
