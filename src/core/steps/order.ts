import type { ChosenLayer } from '../layers';

/** When pieces are cut: cloth and layer apart; cloth pieces fused onto the uncut layer; a fused length cut through both. */
export const ORDERS = ['cut-first', 'fuse-together', 'fuse-length'] as const;
export type Order = (typeof ORDERS)[number];

/**
 * The order of work of a stack, which the steps, the cutting table and the bench all go by. Only what is fused on one side can be
 * laid on uncut; by shape, many small pieces whose layers reach their edges are fused together, everything else is cut first.
 *
 * @param school what the person holds to: one of {@link ORDERS}, or `by-shape`
 */
export function orderOfWork(school: string, layers: readonly ChosenLayer[], manySmall: boolean): Order {
  const fused = layers.filter(({ material }) => material.form !== 'liquid');
  if (fused.length === 0 || !fused.every(({ material }) => material.form === 'fusible')) return 'cut-first';
  if (fused.some(({ extent }) => extent === 'strip' || extent === 'patch' || extent === 'field')) return 'cut-first';
  if (school === 'fuse-together' || school === 'fuse-length') return school;
  return school === 'by-shape' && manySmall && fused.every(({ extent }) => extent === 'full') ? 'fuse-together' : 'cut-first';
}
