import { InputError } from '../input-error';
import { isSoaked, type Form, type Leaflet, type Material } from './material';
import { scaleMaterial } from './scale-material';

/** More of a liquid than the mist that is its own way: until it feels wet, or wet through. */
const DOSES = ['damp', 'full'] as const;
export type Dose = (typeof DOSES)[number];

/** How a material is put with the cloth: by a form, or for a liquid by how much of it. */
export const JOINS = ['fusible', 'fusible-both', 'sew-in', 'sticky', 'spray-glued', 'liquid', 'loose', ...DOSES] as const;
export type Join = Form | Dose;

/** Ways of each form, its own first. */
const WAYS: Record<Form, readonly Join[]> = {
  fusible: ['fusible'],
  'fusible-both': ['fusible-both'],
  'sew-in': ['sew-in', 'spray-glued', 'loose'],
  sticky: ['sticky'],
  'spray-glued': ['spray-glued', 'loose', 'sew-in'],
  liquid: ['liquid', ...DOSES],
  loose: ['loose', 'spray-glued', 'sew-in'],
};

/** Liquids that are given light or full from one bottle; the others have one use. */
const DOSED: readonly Material['family'][] = ['starch', 'liquid-stabilizer'];

/** Dry solids that a dose leaves, against a mist: cloth takes up about a fifth of its mass, half of it, or all of it; the more is thinned. */
const SOLIDS: Record<Dose, number> = { damp: 2, full: 4 };

/**
 * Dry matter that a way of using a liquid leaves, against a mist of it.
 *
 * @example solidsOf('damp') // 2
 */
export function solidsOf(join: Join): number {
  return SOLIDS[join as Dose] ?? 1;
}

const NOT_PRESSED: Leaflet = { ironDots: 0, seconds: 0, steam: false, cover: 'none', coolMinutes: 0 };

/** How a use is called behind the name of its material. */
const USE_WORDS: Partial<Record<Join, string>> = {
  'spray-glued': 'with spray glue',
  'sew-in': 'sewn in',
  loose: 'laid loose',
  liquid: 'misted',
  damp: 'sprayed damp',
  full: 'wet through',
};

/** What tells the ways of a material apart. */
type Figures = Pick<Material, 'form' | 'family' | 'arealDensity' | 'stiffening'>;

/** Whether a liquid is given light, damp or full from one bottle. */
function isDosed(material: Figures): boolean {
  return material.form === 'liquid' && DOSED.includes(material.family) && !isSoaked(material);
}

/**
 * The ways in which a material can be used, its own first.
 *
 * @example joinsOf({ ...wadding, form: 'loose' }) // ['loose', 'spray-glued', 'sew-in']
 */
export function joinsOf(material: Figures): readonly Join[] {
  return material.form === 'liquid' && !isDosed(material) ? ['liquid'] : WAYS[material.form];
}

/**
 * A material as it is used in one stack: wadding that is sprayed and wadding that is sewn in are one material, and so is a bottle that
 * is misted or wets the cloth through. Spray glue is soft and washes out, so it counts as sliding; a liquid stiffens by the solids that
 * its dose leaves.
 *
 * @param join the way it is used; its own if it is not given
 * @throws {InputError} when this material cannot be used so
 * @example joinedAs({ ...wadding, form: 'loose' }, 'spray-glued').form // 'spray-glued'
 */
export function joinedAs(material: Material, join: Join = material.form): Material {
  if (material.use) return material;
  const ways = joinsOf(material);
  if (!ways.includes(join)) throw new InputError('join', `must be one of ${ways.join(', ')} for ${material.name}, saw "${join}"`);
  const name = `${material.name}, ${USE_WORDS[join]}`;
  if (join === material.form) return isDosed(material) ? { ...material, name, use: { join, of: material.name } } : material;
  const use = { join, of: material.name };
  if (join === 'damp' || join === 'full') {
    const dosed = scaleMaterial(material, SOLIDS[join]);
    return { ...dosed, name, use, pricePerMetre: material.pricePerMetre * SOLIDS[join] };
  }
  return { ...material, name, use, form: join as Form, glue: 'none', leaflet: NOT_PRESSED };
}

/** Stands between the id of a material and the way it is used. */
const USED = '__';

/**
 * Id of a material with the way it is used, which tells apart what is filed about each; its own way has no addition.
 *
 * @example keyOfUse(joinedAs(wadding, 'spray-glued')) // 'cotton-wadding-130-g__spray-glued'
 */
export function keyOfUse({ id, form, use }: Pick<Material, 'id' | 'form' | 'use'>): string {
  return use && !(use.join === 'liquid' && form === 'liquid') ? `${id}${USED}${use.join}` : id;
}

/**
 * The same for a layer as it is kept.
 *
 * @example keptKey({ materialId: 'starch', join: 'full' }) // 'starch__full'
 */
export function keptKey({ materialId, join }: { materialId: string; join?: Join | undefined }): string {
  return join === undefined || join === 'liquid' ? materialId : `${materialId}${USED}${join}`;
}

/**
 * A key taken apart into the material and the way it is used.
 *
 * @example usedOf('starch__full') // { materialId: 'starch', join: 'full' }
 */
export function usedOf(key: string): { materialId: string; join?: Join } {
  const at = key.lastIndexOf(USED);
  const join = key.slice(at + USED.length) as Join;
  return at > 0 && (JOINS as readonly string[]).includes(join) ? { materialId: key.slice(0, at), join } : { materialId: key };
}

/** Sheets and padding that choosing offers with spray glue as well. */
const SPRAYED: readonly Material['family'][] = ['wadding', 'foam', 'tear-away', 'cut-away', 'mesh'];

/** Uses of materials that were asked for before: a cupboard is asked about with every letter, and its materials do not change. */
const USES = new WeakMap<Material, readonly Material[]>();

/**
 * The uses of a material that are worth proposing: sheets and padding as they are and with spray glue, a bottle as a mist, damp and
 * wet through. Everything else in its own way.
 *
 * @example usesOf(starch).map(({ name }) => name) // ['Starch, misted', 'Starch, sprayed damp', 'Starch, wet through']
 */
export function usesOf(material: Material): readonly Material[] {
  let uses = USES.get(material);
  if (!uses) USES.set(material, (uses = workedOutUses(material)));
  return uses;
}

function workedOutUses(material: Material): readonly Material[] {
  if (material.use) return [material];
  if (isDosed(material)) return [joinedAs(material), ...DOSES.map((dose) => joinedAs(material, dose))];
  const sprayed = SPRAYED.includes(material.family) && (material.form === 'loose' || material.form === 'sew-in');
  return sprayed ? [material, joinedAs(material, 'spray-glued')] : [material];
}
