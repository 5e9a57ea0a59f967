import type { Join } from './joined';
import type { Extent, Family, Form } from './material';

/** Family names as a sewist says them. */
export const FAMILY_WORDS: Record<Family, string> = {
  nonwoven: 'non-woven interfacing',
  woven: 'woven interfacing',
  weft: 'weft-inserted interfacing',
  tricot: 'tricot interfacing',
  'stretch-knit': 'all-way stretch interfacing',
  'hair-canvas': 'hair canvas',
  'waistband-strip': 'waistband strip',
  'firm-nonwoven': 'firm non-woven',
  'stiff-core': 'stiff core',
  fleece: 'fusible fleece',
  wadding: 'wadding',
  foam: 'foam',
  'cloth-underlining': 'underlining cloth',
  organza: 'organza',
  organdy: 'cotton organdy',
  mulling: 'mulling',
  buckram: 'buckram',
  braid: 'horsehair braid',
  'stay-tape': 'stay tape',
  'pressing-spray': 'pressing spray',
  starch: 'starch',
  'liquid-stabilizer': 'liquid stabilizer',
  'edge-stiffener': 'edge stiffener',
  'tear-away': 'tear-away sheet',
  'cut-away': 'cut-away sheet',
  mesh: 'mesh cut-away',
  'wash-away': 'wash-away sheet',
  'heat-away': 'heat-away sheet',
  topping: 'topping',
  'pattern-cloth': 'pattern cloth',
};

export const FORM_WORDS: Record<Form, string> = {
  fusible: 'fused on one side',
  'fusible-both': 'fused on both sides',
  'sew-in': 'sewn in',
  sticky: 'sticky',
  'spray-glued': 'held with spray glue',
  liquid: 'liquid',
  loose: 'laid loose',
};

/** How a layer of a stack is joined, or how much of a liquid is given. */
export const JOIN_WORDS: Record<Join, string> = {
  ...FORM_WORDS,
  liquid: 'misted',
  damp: 'sprayed until it is damp',
  full: 'wet through',
};

export const EXTENT_WORDS: Record<Extent, string> = {
  full: 'full size, caught in the seam',
  trimmed: 'trimmed inside the seam allowance',
  net: 'cut to the seam line',
  strip: 'a strip along the edge',
  patch: 'a patch around the point',
  field: 'the stitching field and a margin',
};
