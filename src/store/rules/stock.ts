import { InputError } from '../../core/input-error';
import { bounds, requireOutline, type Outline } from '../../core/shape';
import { cloths } from '../cloths';
import type { Db } from '../database';
import { layers } from '../layers';
import type { StockFields } from '../stock';

type StockBody = Omit<StockFields, 'fromTable' | 'usedBy'>;

/** How far size and outline of a leftover may differ, mm. */
const SAME = 0.5;

/**
 * What a schema cannot see: that the cloth or layer exists, and that a leftover's outline is sound and has its size.
 *
 * @throws {InputError} naming the field
 */
export function requireStock(db: Db, body: Omit<StockBody, 'outline'> & { outline: unknown }): StockBody {
  const outline = body.outline as Outline | null;
  const known = body.ofKind === 'layer' ? layers.find(db, body.ofId) : cloths.find(db, body.ofId);
  if (!known)
    throw new InputError('ofId', `points to a ${body.ofKind} that is not in the cupboard: ${JSON.stringify(body.ofId)}`);
  if (outline !== null) {
    if (body.kind !== 'leftover') throw new InputError('outline', `belongs to a leftover, not to a ${body.kind}`);
    const { minX, minY, maxX, maxY } = bounds(requireOutline(outline));
    if (Math.abs(maxX - minX - body.width) > SAME || Math.abs(maxY - minY - body.length) > SAME)
      throw new InputError('outline', `must be as wide and long as the leftover, ${body.width} × ${body.length} mm`);
  }
  return { ...body, outline };
}
