/**
 * A cloth as the choosing rules see it. Units: g/m², mm, %; see each field.
 * The lists of allowed words are exported so that forms, validation and tests share one source.
 */
export const CONSTRUCTIONS = ['woven', 'knit', 'nonwoven', 'net', 'leather', 'coated'] as const;
export const WEAVES = [
  'plain',
  'twill',
  'satin',
  'loose',
  'crepe',
  'jersey',
  'rib',
  'sweater',
  'fleece',
  'terry',
  'pile',
  'eyelet',
  'other',
] as const;
export const FIBRES = [
  'cotton',
  'linen',
  'wool',
  'silk',
  'viscose',
  'polyester',
  'nylon',
  'acrylic',
  'elastane',
  'acetate',
  'polyurethane',
  'other',
] as const;
export const WATER = ['safe', 'spots', 'resists'] as const;
export const SHEERNESS = ['opaque', 'veiled', 'sheer'] as const;
export const TONES = ['light', 'mid', 'dark'] as const;
export const SURFACES = ['pile', 'lofty', 'crinkled', 'looped', 'beaded', 'coated', 'openwork'] as const;
export const FRAYS = ['low', 'medium', 'high'] as const;

export type Construction = (typeof CONSTRUCTIONS)[number];
export type Weave = (typeof WEAVES)[number];
export type Fibre = (typeof FIBRES)[number];
export type Water = (typeof WATER)[number];
export type Sheerness = (typeof SHEERNESS)[number];
export type Tone = (typeof TONES)[number];
export type Surface = (typeof SURFACES)[number];
export type Fray = (typeof FRAYS)[number];

export interface FibreShare {
  fibre: Fibre;
  /** Share of the mass, 0–100. */
  percent: number;
}

export interface Fabric {
  construction: Construction;
  weave?: Weave;
  fibres: FibreShare[];
  /** g/m². */
  arealDensity: number;
  /** mm under a coin's weight. */
  thickness?: number;
  /** Stretch by a gentle pull along the length (warp, wales), %. */
  stretchLength: number;
  /** Stretch across, %. */
  stretchCross: number;
  /** Iron setting it bears: 0 no iron, 1 cool, 2 medium, 3 hot. */
  ironDots: number;
  water: Water;
  sheer: Sheerness;
  tone: Tone;
  surface: Surface[];
  fray: Fray;
  /** Overhang at 41.5°, mm of arc: the measured stiffness, when there is one. */
  overhang?: number;
  /** Give at 45° under a gentle pull, %; a usual figure is taken when it was not measured. */
  biasGive?: number;
  /** Shrinkage in the wash, %. */
  shrinkLength?: number;
  shrinkCross?: number;
  /** Water taken up when it is wet through, % of its own mass; by its fibres when it was not weighed. */
  uptake?: number;
  prewashed?: boolean;
}

const WOVEN: readonly Weave[] = ['plain', 'twill', 'satin', 'loose', 'crepe', 'terry', 'pile', 'eyelet', 'other'];
const KNITTED: readonly Weave[] = ['jersey', 'rib', 'sweater', 'fleece', 'terry', 'pile', 'crepe', 'eyelet', 'other'];

/**
 * The weaves that a woven cloth can have, the knits of a knitted one; any for what is neither, such as coated cloth on a twill or a jersey.
 *
 * @example weavesOf('knit').includes('satin') // false
 */
export function weavesOf(construction: Construction): readonly Weave[] {
  return construction === 'woven' ? WOVEN : construction === 'knit' ? KNITTED : WEAVES;
}

/**
 * Share of the mass in the named fibres, 0–1.
 *
 * @example fibreShare({ fibres: [{ fibre: 'cotton', percent: 60 }, { fibre: 'linen', percent: 40 }] }, 'linen') // 0.4
 */
export function fibreShare(fabric: Pick<Fabric, 'fibres'>, ...names: Fibre[]): number {
  let total = 0;
  let named = 0;
  for (const { fibre, percent } of fabric.fibres) {
    total += percent;
    if (names.includes(fibre)) named += percent;
  }
  return total > 0 ? named / total : 0;
}

const FABRIC_FIELDS = [
  'construction',
  'weave',
  'fibres',
  'arealDensity',
  'thickness',
  'stretchLength',
  'stretchCross',
  'ironDots',
  'water',
  'sheer',
  'tone',
  'surface',
  'fray',
  'overhang',
  'biasGive',
  'uptake',
  'shrinkLength',
  'shrinkCross',
  'prewashed',
] as const;

/**
 * The cloth as the choosing rules see it, without what a record adds to it.
 *
 * @example fabricOf({ ...poplin, name: 'Mine' }).name // undefined
 */
export function fabricOf(cloth: Fabric): Fabric {
  const fabric: Record<string, unknown> = {};
  for (const field of FABRIC_FIELDS) if (cloth[field] !== undefined) fabric[field] = cloth[field];
  return fabric as unknown as Fabric;
}
