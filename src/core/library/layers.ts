import type { Cover, Ends, Family, Form, Glue, LawFigure, Leaflet, Material, Wash } from '../layers';
import type { Sheerness, Tone } from '../cloth';

/**
 * The starting library of layers: generic materials with typical figures, corrected by the person's own
 * readings. Each family states how its figures grow with weight, so that a heavier member is never softer;
 * a row then names the member and what is special about it.
 */
interface FamilyPattern {
  form: Form;
  /** Bending length at the reference weight, mm, and the exponent by which it grows with weight. */
  bending: [bendingLength: number, atWeight: number, exponent: number];
  /** Weight ÷ thickness, kg/m³. */
  bulk: number;
  /** Membrane stiffness per g/m², N/m. */
  membrane: number;
  stretch: [length: number, cross: number];
  tones: Tone[];
  rollWidth: number;
  leaflet: Leaflet;
  glue: Glue;
  wash: Wash;
  dryClean: boolean;
  preShrink: boolean;
  grain: boolean;
  ends: Ends;
  /** Price of a metre, minor units: base and per g/m². */
  price: [base: number, perGsm: number];
}

type Overrides = Partial<Omit<Material, 'id' | 'name' | 'family'>>;
type Row = [name: string, arealDensity: number, overrides?: Overrides];

const ALL: Tone[] = ['light', 'mid', 'dark'];
const LIGHT_DARK: Tone[] = ['light', 'dark'];

function leaflet(ironDots: number, seconds: number, steam: boolean, cover: Cover, coolMinutes: number): Leaflet {
  return { ironDots, seconds, steam, cover, coolMinutes };
}

const NO_IRON = leaflet(0, 0, false, 'none', 0);
const sewn = { form: 'sew-in' as Form, glue: 'none' as Glue, leaflet: NO_IRON };

const PATTERNS: Record<Family, FamilyPattern> = {
  nonwoven: { form: 'fusible', bending: [30, 40, 0.55], bulk: 200, membrane: 22, stretch: [2, 4], tones: LIGHT_DARK, rollWidth: 900, leaflet: leaflet(2, 10, false, 'cloth', 5), glue: 'dots', wash: 'warm', dryClean: true, preShrink: false, grain: false, ends: 'stays', price: [200, 5] },
  woven: { form: 'fusible', bending: [22, 45, 0.5], bulk: 260, membrane: 26, stretch: [2, 3], tones: LIGHT_DARK, rollWidth: 900, leaflet: leaflet(2, 12, true, 'damp-cloth', 5), glue: 'dots', wash: 'warm', dryClean: true, preShrink: true, grain: true, ends: 'stays', price: [350, 6] },
  weft: { form: 'fusible', bending: [20, 50, 0.5], bulk: 220, membrane: 20, stretch: [1, 3], tones: LIGHT_DARK, rollWidth: 900, leaflet: leaflet(2, 12, true, 'damp-cloth', 5), glue: 'dots', wash: 'warm', dryClean: true, preShrink: true, grain: true, ends: 'stays', price: [400, 6] },
  tricot: { form: 'fusible', bending: [12, 25, 0.5], bulk: 200, membrane: 8, stretch: [5, 28], tones: ALL, rollWidth: 1500, leaflet: leaflet(2, 8, false, 'organza', 4), glue: 'dots', wash: 'warm', dryClean: true, preShrink: false, grain: true, ends: 'stays', price: [350, 8] },
  'stretch-knit': { form: 'fusible', bending: [11, 28, 0.5], bulk: 190, membrane: 3, stretch: [35, 45], tones: ALL, rollWidth: 1000, leaflet: leaflet(2, 8, false, 'organza', 4), glue: 'dots', wash: 'warm', dryClean: true, preShrink: false, grain: false, ends: 'stays', price: [450, 9] },
  'hair-canvas': { form: 'sew-in', bending: [44, 140, 0.4], bulk: 280, membrane: 25, stretch: [1, 2], tones: ['mid'], rollWidth: 800, leaflet: NO_IRON, glue: 'none', wash: 'none', dryClean: true, preShrink: true, grain: true, ends: 'stays', price: [900, 8] },
  'waistband-strip': { form: 'fusible', bending: [46, 110, 0.5], bulk: 260, membrane: 28, stretch: [0, 2], tones: LIGHT_DARK, rollWidth: 30, leaflet: leaflet(2, 12, true, 'damp-cloth', 5), glue: 'dots', wash: 'warm', dryClean: true, preShrink: false, grain: false, ends: 'stays', price: [90, 1] },
  'firm-nonwoven': { form: 'sew-in', bending: [75, 200, 0.5], bulk: 240, membrane: 24, stretch: [0, 1], tones: ['light'], rollWidth: 900, leaflet: NO_IRON, glue: 'none', wash: 'warm', dryClean: false, preShrink: false, grain: false, ends: 'stays', price: [300, 3] },
  'stiff-core': { form: 'fusible-both', bending: [150, 500, 0.45], bulk: 330, membrane: 40, stretch: [0, 0], tones: ['light'], rollWidth: 500, leaflet: leaflet(3, 15, true, 'damp-cloth', 15), glue: 'film', wash: 'hand', dryClean: false, preShrink: false, grain: false, ends: 'stays', price: [500, 2] },
  fleece: { form: 'fusible', bending: [22, 100, 0.5], bulk: 32, membrane: 2.5, stretch: [3, 6], tones: LIGHT_DARK, rollWidth: 900, leaflet: leaflet(2, 12, true, 'damp-cloth', 10), glue: 'dots', wash: 'warm', dryClean: false, preShrink: false, grain: false, ends: 'stays', price: [500, 5] },
  wadding: { form: 'loose', bending: [15, 100, 0.5], bulk: 26, membrane: 1.5, stretch: [5, 8], tones: ['light'], rollWidth: 1500, leaflet: NO_IRON, glue: 'none', wash: 'warm', dryClean: false, preShrink: true, grain: false, ends: 'stays', price: [300, 4] },
  foam: { form: 'sew-in', bending: [38, 130, 0.4], bulk: 45, membrane: 2, stretch: [4, 4], tones: ['light'], rollWidth: 1500, leaflet: NO_IRON, glue: 'none', wash: 'warm', dryClean: false, preShrink: false, grain: false, ends: 'stays', price: [600, 6] },
  'cloth-underlining': { ...sewn, bending: [16, 70, 0.55], bulk: 400, membrane: 28, stretch: [2, 3], tones: ALL, rollWidth: 1400, wash: 'hot', dryClean: true, preShrink: true, grain: true, ends: 'stays', price: [400, 6] },
  organza: { ...sewn, bending: [24, 30, 0.4], bulk: 300, membrane: 26, stretch: [1, 2], tones: ALL, rollWidth: 1100, wash: 'hand', dryClean: true, preShrink: true, grain: true, ends: 'stays', price: [500, 20] },
  organdy: { ...sewn, bending: [36, 70, 0.5], bulk: 420, membrane: 30, stretch: [1, 1], tones: ['light', 'dark'], rollWidth: 1100, wash: 'hot', dryClean: true, preShrink: true, grain: true, ends: 'stays', price: [500, 6] },
  mulling: { ...sewn, bending: [19, 140, 0.5], bulk: 200, membrane: 10, stretch: [4, 6], tones: ['light'], rollWidth: 1400, wash: 'warm', dryClean: true, preShrink: true, grain: true, ends: 'stays', price: [400, 4] },
  buckram: { ...sewn, bending: [115, 300, 0.4], bulk: 420, membrane: 60, stretch: [0, 1], tones: ['light', 'dark'], rollWidth: 900, wash: 'none', dryClean: true, preShrink: false, grain: true, ends: 'stays', price: [700, 2] },
  braid: { ...sewn, bending: [60, 60, 0.4], bulk: 150, membrane: 10, stretch: [0, 12], tones: ['light', 'dark'], rollWidth: 25, wash: 'warm', dryClean: true, preShrink: false, grain: false, ends: 'stays', price: [120, 2] },
  'stay-tape': { ...sewn, bending: [22, 80, 0.5], bulk: 350, membrane: 40, stretch: [0, 0], tones: LIGHT_DARK, rollWidth: 10, wash: 'hot', dryClean: true, preShrink: true, grain: false, ends: 'stays', price: [40, 0.5] },
  'pressing-spray': { form: 'liquid', bending: [0, 1, 0], bulk: 1000, membrane: 0, stretch: [0, 0], tones: ALL, rollWidth: 0, leaflet: leaflet(2, 6, false, 'none', 1), glue: 'none', wash: 'none', dryClean: false, preShrink: false, grain: false, ends: 'rinsed', price: [30, 0] },
  starch: { form: 'liquid', bending: [0, 1, 0], bulk: 1000, membrane: 0, stretch: [0, 0], tones: ALL, rollWidth: 0, leaflet: leaflet(2, 8, false, 'none', 2), glue: 'none', wash: 'none', dryClean: false, preShrink: false, grain: false, ends: 'rinsed', price: [20, 0] },
  'liquid-stabilizer': { form: 'liquid', bending: [0, 1, 0], bulk: 1000, membrane: 0, stretch: [0, 0], tones: ALL, rollWidth: 0, leaflet: leaflet(2, 8, false, 'cloth', 2), glue: 'none', wash: 'none', dryClean: false, preShrink: false, grain: false, ends: 'rinsed', price: [120, 0] },
  'edge-stiffener': { form: 'liquid', bending: [0, 1, 0], bulk: 1000, membrane: 0, stretch: [0, 0], tones: ALL, rollWidth: 0, leaflet: leaflet(2, 5, false, 'paper', 2), glue: 'none', wash: 'none', dryClean: false, preShrink: false, grain: false, ends: 'rinsed', price: [90, 0] },
  'tear-away': { form: 'loose', bending: [38, 40, 0.5], bulk: 220, membrane: 24, stretch: [1, 2], tones: ['light', 'dark'], rollWidth: 500, leaflet: NO_IRON, glue: 'none', wash: 'hot', dryClean: true, preShrink: false, grain: false, ends: 'torn', price: [120, 3] },
  'cut-away': { form: 'loose', bending: [30, 60, 0.5], bulk: 230, membrane: 20, stretch: [2, 3], tones: LIGHT_DARK, rollWidth: 500, leaflet: NO_IRON, glue: 'none', wash: 'hot', dryClean: true, preShrink: false, grain: false, ends: 'cut', price: [160, 3] },
  mesh: { form: 'loose', bending: [20, 40, 0.5], bulk: 190, membrane: 18, stretch: [3, 7], tones: ALL, rollWidth: 500, leaflet: NO_IRON, glue: 'none', wash: 'hot', dryClean: true, preShrink: false, grain: true, ends: 'cut', price: [180, 4] },
  'wash-away': { form: 'loose', bending: [26, 40, 0.5], bulk: 500, membrane: 14, stretch: [4, 4], tones: ['light'], rollWidth: 500, leaflet: NO_IRON, glue: 'none', wash: 'none', dryClean: false, preShrink: false, grain: false, ends: 'rinsed', price: [200, 5] },
  'heat-away': { form: 'loose', bending: [26, 40, 0.5], bulk: 500, membrane: 12, stretch: [3, 3], tones: ['light'], rollWidth: 500, leaflet: leaflet(2, 5, false, 'cloth', 1), glue: 'none', wash: 'hot', dryClean: true, preShrink: false, grain: false, ends: 'melted', price: [260, 6] },
  topping: { form: 'loose', bending: [12, 20, 0.5], bulk: 900, membrane: 4, stretch: [10, 10], tones: ['light'], rollWidth: 500, leaflet: NO_IRON, glue: 'none', wash: 'none', dryClean: false, preShrink: false, grain: false, ends: 'rinsed', price: [90, 3] },
  'pattern-cloth': { ...sewn, bending: [26, 40, 0.5], bulk: 190, membrane: 12, stretch: [2, 4], tones: ['light'], rollWidth: 1000, wash: 'warm', dryClean: true, preShrink: false, grain: false, ends: 'stays', price: [200, 2] },
};

/** A cool-melting glue for cloth that bears little heat. */
const coolMelt = (seconds: number): Overrides => ({ leaflet: leaflet(1, seconds, false, 'organza', 5) });
/** Sewn version of a family that is usually fused. */
const sewIn: Overrides = { form: 'sew-in', glue: 'none', leaflet: NO_IRON };
/** Temporary spray glue is soft and washes out: it hardly couples the sheets. */
/** A sticky face holds everywhere but creeps, so it couples no more than glue dots do. */
const sticky: Overrides = { form: 'sticky', glue: 'dots', leaflet: NO_IRON };
const fused: Overrides = { form: 'fusible', glue: 'dots', leaflet: leaflet(2, 10, false, 'organza', 5) };
const fusedBoth: Overrides = { form: 'fusible-both', glue: 'film', leaflet: leaflet(2, 12, true, 'damp-cloth', 10) };
const hotWash: Overrides = { wash: 'hot' };

const ROWS: Record<Family, Row[]> = {
  nonwoven: [
    ['Veil non-woven fusible, 18 g', 18, { opacity: 'sheer', leaflet: leaflet(1, 8, false, 'organza', 4) }],
    ['Very light non-woven fusible, 25 g', 25, { opacity: 'veiled' }],
    ['Light non-woven fusible, 32 g', 32],
    ['Light non-woven fusible, 40 g', 40],
    ['Medium non-woven fusible, 50 g', 50],
    ['Medium-firm non-woven fusible, 62 g', 62],
    ['Shirt-weight non-woven fusible, 80 g', 80, hotWash],
    ['Craft-weight non-woven fusible, 105 g', 105, { tones: ['light'] }],
    ['Cool-melt non-woven fusible, 24 g', 24, { ...coolMelt(8), opacity: 'veiled' }],
    ['Cool-melt non-woven fusible, 38 g', 38, coolMelt(10)],
    ['Very light non-woven sew-in, 25 g', 25, { ...sewIn, opacity: 'veiled', wash: 'hot' }],
    ['Light non-woven sew-in, 40 g', 40, { ...sewIn, wash: 'hot' }],
    ['Medium non-woven sew-in, 55 g', 55, { ...sewIn, wash: 'hot' }],
    ['Firm non-woven sew-in, 85 g', 85, { ...sewIn, wash: 'hot', tones: ['light'] }],
    ['Stitch-line non-woven fusible, 42 g', 42, { stretchCross: 7 }],
  ],
  woven: [
    ['Voile-weight woven fusible, 30 g', 30, { opacity: 'veiled', leaflet: leaflet(2, 10, true, 'damp-cloth', 5) }],
    ['Light woven fusible, 45 g', 45],
    ['Medium woven fusible, 60 g', 60],
    ['Shirt-collar woven fusible, 85 g', 85, { wash: 'hot', glue: 'dots', leaflet: leaflet(3, 15, true, 'damp-cloth', 8) }],
    ['Firm woven fusible, 110 g', 110, { leaflet: leaflet(3, 15, true, 'damp-cloth', 8) }],
    ['Cool-melt woven fusible, 40 g', 40, coolMelt(12)],
    ['Cotton woven fusible, 70 g', 70, { wash: 'hot', leaflet: leaflet(3, 12, true, 'damp-cloth', 6) }],
    ['Light woven sew-in, 50 g', 50, { ...sewIn, wash: 'hot' }],
    ['Medium woven sew-in, 75 g', 75, { ...sewIn, wash: 'hot' }],
    ['Firm woven sew-in, 110 g', 110, { ...sewIn, wash: 'hot' }],
  ],
  weft: [
    ['Light weft-inserted fusible, 38 g', 38],
    ['Medium weft-inserted fusible, 52 g', 52],
    ['Tailoring weft-inserted fusible, 70 g', 70],
    ['Coat-weight weft-inserted fusible, 95 g', 95],
    ['Cool-melt weft-inserted fusible, 45 g', 45, coolMelt(12)],
    ['Brushed weft-inserted fusible, 110 g', 110, { stretchCross: 4 }],
  ],
  tricot: [
    ['Sheer tricot fusible, 18 g', 18, { opacity: 'sheer', leaflet: leaflet(1, 8, false, 'organza', 4) }],
    ['Light tricot fusible, 25 g', 25, { opacity: 'veiled' }],
    ['Medium tricot fusible, 35 g', 35],
    ['Firm tricot fusible, 48 g', 48],
    ['Cool-melt tricot fusible, 22 g', 22, { ...coolMelt(8), opacity: 'veiled' }],
    ['Cool-melt tricot fusible, 32 g', 32, coolMelt(10)],
  ],
  'stretch-knit': [
    ['Sheer all-way stretch fusible, 20 g', 20, { opacity: 'veiled', leaflet: leaflet(1, 8, false, 'organza', 4) }],
    ['Light all-way stretch fusible, 28 g', 28],
    ['Medium all-way stretch fusible, 42 g', 42],
    ['Firm all-way stretch fusible, 60 g', 60],
    ['Cool-melt all-way stretch fusible, 30 g', 30, coolMelt(9)],
    ['Stretch net sew-in, 45 g', 45, { ...sewIn, opacity: 'sheer', wash: 'hot' }],
    ['Firm stretch net sew-in, 75 g', 75, { ...sewIn, opacity: 'veiled', wash: 'hot' }],
  ],
  'hair-canvas': [
    ['Light hair canvas sew-in, 140 g', 140],
    ['Medium hair canvas sew-in, 190 g', 190],
    ['Coat hair canvas sew-in, 240 g', 240],
    ['Light hair canvas fusible, 120 g', 120, { form: 'fusible', glue: 'dots', leaflet: leaflet(2, 15, true, 'damp-cloth', 10) }],
    ['Medium hair canvas fusible, 170 g', 170, { form: 'fusible', glue: 'dots', leaflet: leaflet(2, 15, true, 'damp-cloth', 10) }],
  ],
  'waistband-strip': [
    ['Soft waistband strip fusible, 25 mm', 85, { rollWidth: 25 }],
    ['Soft waistband strip fusible, 30 mm', 85, { rollWidth: 30 }],
    ['Waistband strip fusible, 35 mm', 110, { rollWidth: 35 }],
    ['Waistband strip fusible, 40 mm', 110, { rollWidth: 40 }],
    ['Firm waistband strip fusible, 50 mm', 140, { rollWidth: 50, tones: ['light'] }],
    ['Waistband strip sew-in, 30 mm', 130, { ...sewIn, rollWidth: 30, wash: 'hot' }],
    ['Waistband strip sew-in, 40 mm', 130, { ...sewIn, rollWidth: 40, wash: 'hot' }],
  ],
  'firm-nonwoven': [
    ['Firm non-woven sew-in, 150 g', 150, { tones: LIGHT_DARK }],
    ['Firm non-woven sew-in, 200 g', 200],
    ['Extra-firm non-woven sew-in, 260 g', 260],
    ['Brim non-woven sew-in, 330 g', 330],
    ['Firm non-woven fusible, 160 g', 160, { ...fused, leaflet: leaflet(3, 15, true, 'damp-cloth', 10) }],
    ['Extra-firm non-woven fusible, 240 g', 240, { ...fused, leaflet: leaflet(3, 15, true, 'damp-cloth', 12) }],
    ['Firm two-sided non-woven, 220 g', 220, fusedBoth],
  ],
  'stiff-core': [
    ['Two-sided stiff core, 400 g', 400],
    ['Two-sided stiff core, 600 g', 600],
    ['One-sided stiff core, 450 g', 450, { form: 'fusible' }],
    ['Stiff core sew-in, 500 g', 500, sewIn],
    ['Base board sew-in, 800 g', 800, { ...sewIn, wash: 'none', tones: ['dark'] }],
  ],
  fleece: [
    ['Light fusible fleece, 70 g', 70],
    ['Fusible fleece, 100 g', 100],
    ['Thick fusible fleece, 150 g', 150],
    ['Two-sided fusible fleece, 120 g', 120, fusedBoth],
  ],
  wadding: [
    ['Thin cotton wadding, 90 g', 90, { wash: 'hot', thickness: 2 }],
    ['Cotton wadding, 130 g', 130, { wash: 'hot', thickness: 3 }],
    ['Polyester wadding, 80 g', 80],
    ['Thick polyester wadding, 150 g', 150],
    ['Wool wadding, 140 g', 140, { wash: 'hand', dryClean: true }],
    ['Polyester wadding, 120 g', 120],
  ],
  foam: [
    ['Thin bag foam sew-in, 2 mm', 95, { thickness: 2 }],
    ['Bag foam sew-in, 3 mm', 135, { thickness: 3 }],
    ['Thick bag foam sew-in, 5 mm', 210, { thickness: 5 }],
    ['Bag foam fusible, 3 mm', 150, { ...fused, thickness: 3, leaflet: leaflet(2, 12, true, 'damp-cloth', 12) }],
    ['Bag foam fusible on both sides, 3 mm', 165, { ...fusedBoth, thickness: 3 }],
  ],
  'cloth-underlining': [
    ['Cotton voile underlining, 60 g', 60, { opacity: 'veiled' }],
    ['Cotton lawn underlining, 75 g', 75, { opacity: 'veiled' }],
    ['Cotton batiste underlining, 90 g', 90],
    ['Cotton poplin underlining, 115 g', 115],
    ['Cotton flannel underlining, 150 g', 150, { bendingLength: 24, thickness: 0.6 }],
    ['Linen-cotton underlining, 140 g', 140],
    ['Silk habotai underlining, 36 g', 36, { opacity: 'veiled', wash: 'hand', bendingLength: 10, pricePerMetre: 1100 }],
    ['Viscose lining underlining, 80 g', 80, { wash: 'hand', bendingLength: 13 }],
    ['Light jersey underlining, 120 g', 120, { stretchLength: 18, stretchCross: 40, grain: true, bendingLength: 11, membraneStiffness: 300 }],
    ['Fine stretch mesh underlining, 60 g', 60, { stretchLength: 40, stretchCross: 50, opacity: 'sheer', grain: false, bendingLength: 8, membraneStiffness: 120, wash: 'warm' }],
  ],
  organza: [
    ['Silk organza, 28 g', 28, { opacity: 'sheer', pricePerMetre: 1800 }],
    ['Polyester organza, 30 g', 30, { opacity: 'sheer', wash: 'warm', pricePerMetre: 500 }],
    ['Firm silk organza, 42 g', 42, { opacity: 'sheer', pricePerMetre: 2200 }],
    ['Cotton organza, 45 g', 45, { opacity: 'veiled', wash: 'hot' }],
    ['Soft silk organza, 22 g', 22, { opacity: 'sheer', pricePerMetre: 1600 }],
  ],
  organdy: [
    ['Fine cotton organdy, 55 g', 55, { opacity: 'veiled' }],
    ['Cotton organdy, 72 g', 72, { opacity: 'veiled' }],
  ],
  mulling: [
    ['Brushed cotton mulling, 130 g', 130],
    ['Soft flannel mulling, 170 g', 170],
    ['Thick domette mulling, 210 g', 210, { thickness: 1.6 }],
  ],
  buckram: [
    ['Fine buckram, 150 g', 150],
    ['One-ply buckram, 230 g', 230],
    ['Two-ply buckram, 430 g', 430],
  ],
  braid: [
    ['Soft horsehair braid, 15 mm', 45, { rollWidth: 15 }],
    ['Horsehair braid, 25 mm', 55, { rollWidth: 25 }],
    ['Horsehair braid, 50 mm', 60, { rollWidth: 50 }],
    ['Firm horsehair braid, 75 mm', 75, { rollWidth: 75 }],
    ['Firm horsehair braid, 150 mm', 85, { rollWidth: 150 }],
  ],
  'stay-tape': [
    ['Cotton stay tape, 6 mm', 90, { rollWidth: 6 }],
    ['Cotton twill tape, 10 mm', 140, { rollWidth: 10 }],
    ['Straight fusible stay tape, 10 mm', 55, { ...fused, rollWidth: 10, wash: 'warm' }],
    ['Bias fusible stay tape, 12 mm', 50, { ...fused, rollWidth: 12, stretchLength: 6, stretchCross: 6, wash: 'warm' }],
    ['Fine stay tape sew-in, 5 mm', 45, { rollWidth: 5, opacity: 'veiled' }],
    ['Clear stretch tape, 6 mm', 60, { preShrink: false, rollWidth: 6, stretchLength: 60, stretchCross: 20, tones: ALL, opacity: 'sheer', membraneStiffness: 60, wash: 'warm' }],
    ['Stretch fusible stay tape, 15 mm', 40, { ...fused, rollWidth: 15, stretchLength: 30, stretchCross: 20, membraneStiffness: 100, wash: 'warm' }],
  ],
  'pressing-spray': [
    ['Light pressing spray', 1.5, { stiffening: 1.35 }],
    ['Pressing spray with body', 2.5, { stiffening: 1.7 }],
  ],
  starch: [
    ['Starch', 4, { stiffening: 2.2 }],
  ],
  'liquid-stabilizer': [
    ['Liquid stabilizer', 4, { stiffening: 3 }],
  ],
  'edge-stiffener': [['Edge stiffener spray', 6, { stiffening: 4 }]],
  'tear-away': [
    ['Light tear-away, 30 g', 30],
    ['Medium tear-away, 42 g', 42],
    ['Firm tear-away, 65 g', 65],
    ['Crisp tear-away, 80 g', 80, { tones: ['light'] }],
    ['Sticky tear-away, 45 g', 45, sticky],
    ['Fusible tear-away, 40 g', 40, fused],
  ],
  'cut-away': [
    ['Light cut-away, 45 g', 45],
    ['Medium cut-away, 62 g', 62],
    ['Firm cut-away, 80 g', 80],
    ['Extra-firm cut-away, 100 g', 100, { tones: ['light'] }],
    ['Sticky cut-away, 65 g', 65, sticky],
    ['Fusible cut-away, 55 g', 55, fused],
    ['Firm fusible cut-away, 75 g', 75, fused],
  ],
  mesh: [
    ['Light mesh cut-away, 32 g', 32, { opacity: 'sheer' }],
    ['Mesh cut-away, 42 g', 42, { opacity: 'veiled' }],
    ['Firm mesh cut-away, 52 g', 52, { opacity: 'veiled' }],
    ['Fusible mesh cut-away, 42 g', 42, { ...fused, opacity: 'veiled' }],
    ['Firm fusible mesh cut-away, 54 g', 54, { ...fused, opacity: 'veiled' }],
    ['Cool-melt mesh cut-away, 38 g', 38, { ...fused, ...coolMelt(9), opacity: 'veiled' }],
    ['Sticky mesh cut-away, 46 g', 46, { ...sticky, opacity: 'veiled' }],
  ],
  'wash-away': [
    ['Thin wash-away film, 25 g', 25, { opacity: 'sheer' }],
    ['Wash-away film, 45 g', 45, { opacity: 'sheer' }],
    ['Heavy wash-away film, 90 g', 90, { opacity: 'sheer' }],
    ['Wash-away cloth, 42 g', 42],
    ['Firm wash-away cloth, 62 g', 62],
    ['Sticky wash-away cloth, 52 g', 52, sticky],
  ],
  'heat-away': [
    ['Heat-away film, 40 g', 40, { opacity: 'sheer' }],
    ['Heat-away cloth, 60 g', 60, { leaflet: leaflet(3, 6, false, 'cloth', 1) }],
  ],
  topping: [
    ['Rinse-away topping film, 18 g', 18, { opacity: 'sheer' }],
    ['Heavy rinse-away topping film, 30 g', 30, { opacity: 'sheer' }],
    ['Heat-away topping film, 20 g', 20, { opacity: 'sheer', ends: 'melted', leaflet: leaflet(2, 4, false, 'cloth', 1), wash: 'hot', dryClean: true }],
    ['Stay-in topping film, 22 g', 22, { opacity: 'sheer', ends: 'cut', wash: 'hot', dryClean: true, tones: ALL }],
  ],
  'pattern-cloth': [
    ['Traceable pattern cloth, 35 g', 35],
    ['Sewable pattern cloth, 48 g', 48],
  ],
};

/**
 * Stable id from a name: lower case, digits and hyphens.
 *
 * @example slug('Light woven fusible, 45 g') // 'light-woven-fusible-45-g'
 */
export function slug(name: string): string {
  return name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '');
}

/**
 * Figures of a family's member at a weight, mm and N/m: thickness by the family's bulk, bending length by a power of the weight,
 * stiffness in the sheet in proportion to it. A liquid has none of its own.
 *
 * @param arealDensity g/m² @param form where it differs from the family's usual one, for the stiffness of what is not glued
 * @example familyLaw('firm-nonwoven', 200) // { thickness: 0.83, bendingLength: 75, membraneStiffness: 4800 }
 */
export function familyLaw(family: Family, arealDensity: number, form?: Form): Record<LawFigure, number> {
  const p = PATTERNS[family];
  if ((form ?? p.form) === 'liquid') return { thickness: 0, bendingLength: 0, membraneStiffness: 0 };
  const [bendingLength, atWeight, exponent] = p.bending;
  return {
    thickness: Math.round((arealDensity / p.bulk) * 100) / 100,
    bendingLength: Math.round(bendingLength * (arealDensity / atWeight) ** exponent * 10) / 10,
    membraneStiffness: Math.round(p.membrane * arealDensity),
  };
}

/**
 * How a family is usually put on, cut and kept: what a new layer of it starts with.
 *
 * @example familyUsual('braid').rollWidth // 25
 */
export function familyUsual(family: Family) {
  const { form, stretch, rollWidth, leaflet, glue, wash, dryClean, preShrink, grain, ends, price } = PATTERNS[family];
  return { form, stretch, rollWidth, leaflet, glue, wash, dryClean, preShrink, grain, ends, price };
}

function build(family: Family, [name, arealDensity, overrides]: Row): Material {
  const p = PATTERNS[family];
  const opacity: Sheerness = 'opaque';
  return {
    id: slug(name),
    name,
    family,
    form: p.form,
    arealDensity,
    ...familyLaw(family, arealDensity),
    stretchLength: p.stretch[0],
    stretchCross: p.stretch[1],
    tones: p.tones,
    opacity,
    rollWidth: p.rollWidth,
    leaflet: p.leaflet,
    glue: p.glue,
    wash: p.wash,
    dryClean: p.dryClean,
    preShrink: p.preShrink,
    grain: p.grain,
    ends: p.ends,
    stiffening: 1,
    pricePerMetre: Math.round((p.price[0] + p.price[1] * arealDensity) / 10) * 10,
    ...overrides,
  };
}

/** The starting library of layers, in family order. Typical figures; see docs/science.md. */
export const LIBRARY_LAYERS: readonly Material[] = Object.entries(ROWS).flatMap(([family, rows]) =>
  rows.map((row) => build(family as Family, row)),
);
