import { requireNumber } from '../input-error';
import type { Fabric } from './fabric';

/** What is told of a cloth that is like a known one, but not quite. */
export interface LikeChange {
  /** g/m². */
  arealDensity?: number;
  /** %. */
  stretchCross?: number;
  ironDots?: number;
}

/** What is said can differ so much. */
const BOUNDS: Record<keyof LikeChange, { above?: number; min?: number; max: number }> = {
  arealDensity: { above: 0, max: 3000 },
  stretchCross: { min: 0, max: 300 },
  ironDots: { min: 0, max: 3 },
};

/**
 * A cloth like a known one, but for what is told. What was measured on the known one and goes with its weight or give is not taken over:
 * it is estimated from the description.
 *
 * @throws {InputError} naming the figure that cannot be
 * @example fabricLike(poplin, { arealDensity: 160 }).overhang // undefined
 */
export function fabricLike(fabric: Fabric, change: LikeChange): Fabric {
  for (const [field, bounds] of Object.entries(BOUNDS)) {
    const value = change[field as keyof LikeChange];
    if (value !== undefined) requireNumber(field, value, '', bounds);
  }
  const told = Object.entries(change).filter(([, value]) => value !== undefined);
  if (told.length === 0) return fabric;
  const { overhang, thickness, ...described } = fabric;
  const otherBody = change.arealDensity !== undefined || change.stretchCross !== undefined;
  return {
    ...described,
    ...(otherBody ? {} : { ...(overhang === undefined ? {} : { overhang }), ...(thickness === undefined ? {} : { thickness }) }),
    ...Object.fromEntries(told),
  } as Fabric;
}
