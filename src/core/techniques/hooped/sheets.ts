import type { ChosenLayer } from '../../layers';
import type { WorkJob } from '../job';

/**
 * Sheets of a stack that is stitched: what lies under the cloth or is hooped with it.
 *
 * @example sheetsOf(stack).length // 1
 */
export function sheetsOf(layers: readonly ChosenLayer[]): ChosenLayer[] {
  return layers.filter(({ material }) => material.form !== 'liquid' && material.family !== 'topping');
}

/**
 * Whether the sheet is slid under when the hoop hangs: loose tear-away, under cloth that is hooped itself.
 *
 * @example slidUnder({ ...workJob, stitched: true }) // false
 */
export function slidUnder({ layers, floats }: Pick<WorkJob, 'layers' | 'floats'>): boolean {
  const sheets = sheetsOf(layers);
  return (
    !floats && sheets.length > 0 && sheets.every(({ material }) => material.family === 'tear-away' && material.form === 'loose')
  );
}

/**
 * Whether it is stitched with the hands alone: free stitching needs no hoop.
 *
 * @example byHands({ role: 'free-stitching' }) // true
 */
export function byHands({ role }: Pick<WorkJob, 'role'>): boolean {
  return role === 'free-stitching';
}

/**
 * Two meshes of which the second is turned: even all round.
 *
 * @example crossed([{ material: lightWoven, extent: 'field', angle: 45 }]) // false
 */
export function crossed(layers: readonly ChosenLayer[]): boolean {
  const meshes = layers.filter(({ material }) => material.family === 'mesh');
  return meshes.length > 1 && meshes.some(({ angle }) => angle % 90 !== 0);
}
