import type { Sheerness, Tone } from '../cloth';

export const FAMILIES = [
  'nonwoven',
  'woven',
  'weft',
  'tricot',
  'stretch-knit',
  'hair-canvas',
  'waistband-strip',
  'firm-nonwoven',
  'stiff-core',
  'fleece',
  'wadding',
  'foam',
  'cloth-underlining',
  'organza',
  'organdy',
  'mulling',
  'buckram',
  'braid',
  'stay-tape',
  'pressing-spray',
  'starch',
  'liquid-stabilizer',
  'edge-stiffener',
  'tear-away',
  'cut-away',
  'mesh',
  'wash-away',
  'heat-away',
  'topping',
  'pattern-cloth',
] as const;
export const FORMS = ['fusible', 'fusible-both', 'sew-in', 'sticky', 'spray-glued', 'liquid', 'loose'] as const;
export const EXTENTS = ['full', 'trimmed', 'net', 'strip', 'patch', 'field'] as const;
export const COVERS = ['none', 'paper', 'cloth', 'organza', 'damp-cloth'] as const;
export const WASHES = ['hot', 'warm', 'hand', 'none'] as const;
export const ENDS = ['stays', 'torn', 'cut', 'rinsed', 'melted'] as const;
export const GLUES = ['none', 'dots', 'film'] as const;

export type Family = (typeof FAMILIES)[number];
export type Form = (typeof FORMS)[number];
export type Extent = (typeof EXTENTS)[number];
export type Cover = (typeof COVERS)[number];
export type Wash = (typeof WASHES)[number];
export type Ends = (typeof ENDS)[number];
export type Glue = (typeof GLUES)[number];

/** What the maker's leaflet says about putting the layer on. */
export interface Leaflet {
  /** Iron setting it needs: 0 none, 1 cool, 2 medium, 3 hot. */
  ironDots: number;
  /** Seconds the iron rests on one spot; 0 when it is not pressed. */
  seconds: number;
  /** Needs steam or a damp cloth. */
  steam: boolean;
  /** Is misted with water before it is pressed. */
  mist?: boolean | undefined;
  cover: Cover;
  /** Minutes to lie flat before it is moved. */
  coolMinutes: number;
}

/** Anything that is put with a cloth to hold it. Units: g/m², mm, %, N/m. */
export interface Material {
  id: string;
  name: string;
  family: Family;
  form: Form;
  /** g/m²; for a liquid the dry solids it leaves. */
  arealDensity: number;
  thickness: number;
  /** Bending length of the layer alone, mm; 0 for a liquid. */
  bendingLength: number;
  /** In-plane stiffness, N/m. */
  membraneStiffness: number;
  stretchLength: number;
  stretchCross: number;
  /** Shades it is kept in. */
  tones: Tone[];
  opacity: Sheerness;
  /** Width of the roll, sheet or tape, mm; 0 for a liquid. */
  rollWidth: number;
  leaflet: Leaflet;
  glue: Glue;
  /** Hottest wash it stands. */
  wash: Wash;
  dryClean: boolean;
  preShrink: boolean;
  /** Has a grain that must agree with the piece's. */
  grain: boolean;
  ends: Ends;
  /** For liquids: what the cloth's rigidity is multiplied by once dry; 1 otherwise. */
  stiffening: number;
  /** Minor units for a metre of roll, or for a metre of cloth treated. */
  pricePerMetre: number;
  /** Of the built-in library, whose prices are typical ones that nobody typed; a person's own when it is not said. */
  origin?: 'library' | 'own';
  /** Figures that nobody measured: they follow the law of the family at this weight. */
  estimated?: readonly LawFigure[];
  /** In a stack: the way it is used there, and the name of the material that is used so. */
  use?: { join: Form | 'damp' | 'full'; of: string };
}

/** Figures that grow with the weight by a law of the family. */
export const LAW_FIGURES = ['thickness', 'bendingLength', 'membraneStiffness'] as const;
export type LawFigure = (typeof LAW_FIGURES)[number];

/**
 * Whether something joins the layer to the cloth across its whole face.
 *
 * @example isGlued('sticky') // true
 */
export function isGlued(form: Form): boolean {
  return form === 'fusible' || form === 'fusible-both' || form === 'sticky' || form === 'spray-glued';
}

/**
 * Whether it is joined by heat.
 *
 * @example isFusible('sticky') // false
 */
export function isFusible(form: Form): boolean {
  return form === 'fusible' || form === 'fusible-both';
}

const BASES: readonly Family[] = ['buckram', 'firm-nonwoven', 'stiff-core', 'hair-canvas', 'foam'];

/**
 * Whether it can be the stiff base of a hat.
 *
 * @example isBase('buckram') // true
 */
export function isBase(family: Family): boolean {
  return BASES.includes(family);
}

/** Dry solids from which a liquid is soaked in rather than sprayed on, g/m². */
const SOAKED = 10;
/** Starch that makes cloth so much stiffer is soaked in, however little of it stays. */
const STRONG = 3;

/**
 * A treatment that wets the cloth through, which moves its size.
 *
 * @example isSoaked({ form: 'liquid', family: 'starch', arealDensity: 12, stiffening: 5 }) // true
 */
export function isSoaked(layer: Pick<Material, 'form' | 'family' | 'arealDensity' | 'stiffening' | 'use'>): boolean {
  if (layer.form !== 'liquid') return false;
  if (layer.use) return layer.use.join === 'full';
  return layer.arealDensity >= SOAKED || (layer.family === 'starch' && layer.stiffening > STRONG);
}
