import type { ChosenLayer } from '../layers';

/** When pieces are cut: cloth and layer apart; cloth pieces fused onto the uncut layer; a fused length cut through both. */
export const ORDERS = ['cut-first', 'fuse-together', 'fuse-length'] as const;
export type Order = (typeof ORDERS)[number];

/**
 * The layer of a stack onto which cloth can be laid while it is still whole: the one next to the cloth, when it is fused on one side
 * and covers the piece. Whatever follows is cut and put on afterwards.
 *
 * @returns its place in the stack from 0; −1 when there is none
 * @example sheetLayer([...stack, { material: joinedAs(wadding, 'spray-glued'), extent: 'full', angle: 0 }]) // 0
 */
export function sheetLayer(layers: readonly ChosenLayer[]): number {
  const next = layers.findIndex(({ material }) => material.form !== 'liquid');
  const layer = layers[next];
  if (!layer || layer.material.form !== 'fusible') return -1;
  return ['full', 'trimmed', 'net'].includes(layer.extent) ? next : -1;
}

/**
 * The order of work of a stack, which the steps, the cutting table and the bench all go by. Only a layer that is next to the cloth and
 * fused can be laid on uncut; by shape, many small pieces whose layer reaches their edges are fused together, all else is cut first.
 *
 * @param school what the person holds to: one of {@link ORDERS}, or `by-shape`
 * @example orderOfWork('fuse-together', [{ material: layer('coat-hair-canvas-sew-in-240-g'), extent: 'net', angle: 0 }], false) // 'cut-first'
 */
export function orderOfWork(school: string, layers: readonly ChosenLayer[], manySmall: boolean): Order {
  const uncut = layers[sheetLayer(layers)];
  if (!uncut) return 'cut-first';
  if (school === 'fuse-length') return school;
  // Nothing can be trimmed under glue afterwards: only what reaches the cut edge is fused before it is cut out.
  if (uncut.extent !== 'full') return 'cut-first';
  return school === 'fuse-together' || (school === 'by-shape' && manySmall) ? 'fuse-together' : 'cut-first';
}
