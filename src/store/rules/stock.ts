import { InputError } from '../../core/input-error';
import { bounds, requireOutline, type Outline } from '../../core/shape';
import type { Db } from '../database';
import type { StockFields } from '../stock';
import { requireMaterial } from './references';

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
  requireMaterial(db, body);
  if (outline !== null) {
    if (body.kind !== 'leftover') throw new InputError('outline', `belongs to a leftover, not to a ${body.kind}`);
    const { minX, minY, maxX, maxY } = bounds(requireOutline(outline));
    if (Math.abs(maxX - minX - body.width) > SAME || Math.abs(maxY - minY - body.length) > SAME)
      throw new InputError('outline', `must be as wide and long as the leftover, ${body.width} × ${body.length} mm`);
  }
  return { ...body, outline };
}
