import { InputError } from '../../core/input-error';
import { bounds, boxOutline, intersection, regionArea, requireOutline, type Outline } from '../../core/shape';
import type { Db } from '../database';
import type { StockFields } from '../stock';
import { requireMaterial } from './references';

type StockBody = Omit<StockFields, 'fromTable' | 'usedBy'>;

/** How far size and outline of a leftover may differ, mm. */
const SAME = 0.5;
/** A spot takes at least so much of the leftover away, mm². */
const LEAST_SPOT = 1;

/**
 * What a schema cannot see: that the cloth or layer exists, that a leftover's outline is sound and has its size, and that its spots lie on it.
 *
 * @throws {InputError} naming the field
 */
export function requireStock(db: Db, body: Omit<StockBody, 'outline' | 'spots'> & { outline: unknown; spots: unknown }): StockBody {
  const outline = body.outline as Outline | null;
  requireMaterial(db, body);
  if (outline !== null) {
    if (body.kind !== 'leftover') throw new InputError('outline', `belongs to a leftover, not to a ${body.kind}`);
    const { minX, minY, maxX, maxY } = bounds(requireOutline(outline));
    if (Math.abs(maxX - minX - body.width) > SAME || Math.abs(maxY - minY - body.length) > SAME)
      throw new InputError('outline', `must be as wide and long as the leftover, ${body.width} × ${body.length} mm`);
  }
  const spots = body.spots as Outline[];
  if (spots.length > 0 && body.kind !== 'leftover') throw new InputError('spots', `belong to a leftover, not to a ${body.kind}`);
  const whole = outline ?? boxOutline({ minX: 0, minY: 0, maxX: body.width, maxY: body.length });
  spots.forEach((spot, i) => {
    if (regionArea(intersection([requireOutline(spot, `spots[${i}]`)], [whole])) < LEAST_SPOT)
      throw new InputError(`spots[${i}]`, 'must lie on the leftover, saw one beside it');
  });
  return { ...body, outline, spots };
}
