import { InputError } from '../input-error';
import type { Form, Leaflet, Material } from './material';

/** How a material of each form can be joined to the cloth, its own way first. */
export const JOINS: Record<Form, readonly Form[]> = {
  fusible: ['fusible'],
  'fusible-both': ['fusible-both'],
  'sew-in': ['sew-in', 'spray-glued', 'loose'],
  sticky: ['sticky'],
  'spray-glued': ['spray-glued', 'loose', 'sew-in'],
  liquid: ['liquid'],
  loose: ['loose', 'spray-glued', 'sew-in'],
};

const NOT_PRESSED: Leaflet = { ironDots: 0, seconds: 0, steam: false, cover: 'none', coolMinutes: 0 };

/**
 * A material as it is joined in one stack: wadding that is sprayed and wadding that is sewn in are one material. Spray glue is
 * soft and washes out, so it counts as sliding.
 *
 * @param join the way it is joined; its own if it is not given
 * @throws {InputError} when a material of this form cannot be joined so
 * @example joinedAs({ ...wadding, form: 'loose' }, 'spray-glued').form // 'spray-glued'
 */
export function joinedAs(material: Material, join: Form | undefined): Material {
  if (join === undefined || join === material.form) return material;
  if (!JOINS[material.form].includes(join))
    throw new InputError('join', `must be one of ${JOINS[material.form].join(', ')} for ${material.name}, saw "${join}"`);
  return { ...material, form: join, glue: 'none', leaflet: NOT_PRESSED };
}
