import type { Family } from '../layers';
import type { Hand, Role } from '../part';

/** What kind of thing the part belongs to; rules about weight differ between them. */
export type RoleKind = 'garment' | 'hat' | 'bag' | 'quilt' | 'stitch' | 'treat';

/** Where on the piece the layer lies. */
export type RoleArea = 'panel' | 'strip' | 'patch' | 'field';

export interface RoleProfile {
  /** With its article, as it stands in a sentence. */
  phrase: string;
  kind: RoleKind;
  area: RoleArea;
  /** Feel that is wanted when the person does not say. */
  hand: Hand;
  /** Cut open or buttoned through: always gets something. */
  opening?: boolean;
  /** What the layer is there for, as half a sentence. */
  job: string;
  /** How well each family serves, 0–100; a family that is not named does not serve here. */
  families: Partial<Record<Family, number>>;
}

const FACING: Partial<Record<Family, number>> = {
  nonwoven: 88, woven: 90, tricot: 84, 'stretch-knit': 82, weft: 76, organza: 74, 'cloth-underlining': 66, organdy: 55,
  'pattern-cloth': 40,
};

const HAT_BASE: Partial<Record<Family, number>> = { 'firm-nonwoven': 72, buckram: 80, 'hair-canvas': 45 };

export const ROLE_PROFILES: Record<Role, RoleProfile> = {
  collar: {
    phrase: 'a collar', kind: 'garment', area: 'panel', hand: 'firm', job: 'hold a sharp edge and keep its points',
    families: { nonwoven: 93, woven: 96, weft: 76, tricot: 66, 'stretch-knit': 62, organza: 70, organdy: 72, 'cloth-underlining': 60, 'hair-canvas': 42, 'pattern-cloth': 42 },
  },
  cuff: {
    phrase: 'a cuff', kind: 'garment', area: 'panel', hand: 'firm', job: 'stay flat where it is buttoned and rubbed',
    families: { nonwoven: 93, woven: 96, weft: 78, tricot: 66, 'stretch-knit': 64, organza: 68, organdy: 70, 'cloth-underlining': 60, 'pattern-cloth': 42 },
  },
  'button-band': {
    phrase: 'a button band', kind: 'garment', area: 'panel', hand: 'firm', opening: true, job: 'carry buttons and holes without growing',
    families: { nonwoven: 90, woven: 95, weft: 86, tricot: 72, 'stretch-knit': 60, 'stay-tape': 52, organza: 70, organdy: 68, 'cloth-underlining': 58, 'pattern-cloth': 40 },
  },
  buttonhole: {
    phrase: 'a buttonhole', kind: 'garment', area: 'patch', hand: 'firm', opening: true, job: 'stop the hole from stretching and fraying',
    families: { nonwoven: 88, woven: 92, weft: 90, tricot: 64, 'stretch-knit': 54, organza: 78, organdy: 80, 'stay-tape': 60, 'cloth-underlining': 55, 'wash-away': 40, 'tear-away': 35 },
  },
  'neck-facing': {
    phrase: 'a neck facing', kind: 'garment', area: 'panel', hand: 'soft', job: 'keep a curved edge lying flat', families: { ...FACING, 'stay-tape': 58 },
  },
  'armhole-facing': {
    phrase: 'an armhole facing', kind: 'garment', area: 'panel', hand: 'soft', job: 'keep a curved edge lying flat', families: { ...FACING, 'stay-tape': 58 },
  },
  waistband: {
    phrase: 'a straight waistband', kind: 'garment', area: 'panel', hand: 'crisp', opening: true, job: 'stand without rolling and not grow',
    families: { 'waistband-strip': 97, woven: 86, nonwoven: 80, weft: 82, 'firm-nonwoven': 52, 'cloth-underlining': 55, organdy: 60, tricot: 50, 'stretch-knit': 56, 'hair-canvas': 48 },
  },
  'curved-waistband': {
    phrase: 'a curved waistband', kind: 'garment', area: 'panel', hand: 'firm', opening: true, job: 'hold its curve and still ease when its wearer sits',
    families: { tricot: 97, 'stretch-knit': 86, woven: 76, nonwoven: 62, 'cloth-underlining': 62, organza: 60, weft: 30, organdy: 48, 'hair-canvas': 30, 'pattern-cloth': 35 },
  },
  hem: {
    phrase: 'a hem', kind: 'garment', area: 'strip', hand: 'soft', job: 'give the fold a soft weight and keep it from dimpling',
    families: { woven: 88, tricot: 90, nonwoven: 76, 'stretch-knit': 82, weft: 74, organza: 76, 'hair-canvas': 48, 'cloth-underlining': 66, 'stay-tape': 60, mulling: 50 },
  },
  'pocket-flap': {
    phrase: 'a pocket flap', kind: 'garment', area: 'panel', hand: 'firm', job: 'keep its corners flat',
    families: { nonwoven: 93, woven: 94, weft: 84, tricot: 66, 'stretch-knit': 52, organza: 68, organdy: 70, 'cloth-underlining': 60, 'hair-canvas': 42 },
  },
  welt: {
    phrase: 'a pocket welt', kind: 'garment', area: 'panel', hand: 'firm', opening: true, job: 'hold the cut edges of the pocket straight',
    families: { nonwoven: 92, woven: 92, weft: 90, tricot: 62, 'stretch-knit': 46, organza: 72, organdy: 76, 'cloth-underlining': 58, 'stay-tape': 50 },
  },
  'zip-area': {
    phrase: 'a zip opening', kind: 'garment', area: 'strip', hand: 'soft', opening: true, job: 'stop the edge from stretching under the zip',
    families: { nonwoven: 90, woven: 84, weft: 92, tricot: 74, 'stretch-knit': 50, 'stay-tape': 93, organza: 84, organdy: 62, 'cloth-underlining': 52 },
  },
  'shoulder-seam': {
    phrase: 'a shoulder seam', kind: 'garment', area: 'strip', hand: 'soft', job: 'carry the weight of the garment without growing',
    families: { 'stay-tape': 97, weft: 80, woven: 72, nonwoven: 70, tricot: 70, 'stretch-knit': 70, organza: 76, 'cloth-underlining': 45 },
  },
  lapel: {
    phrase: 'a lapel', kind: 'garment', area: 'panel', hand: 'firm', job: 'roll softly and spring back',
    families: { 'hair-canvas': 96, weft: 90, woven: 80, tricot: 62, nonwoven: 62, organza: 60, 'cloth-underlining': 56, 'stretch-knit': 50 },
  },
  undercollar: {
    phrase: 'an undercollar', kind: 'garment', area: 'panel', hand: 'firm', job: 'shape the roll of the collar',
    families: { 'hair-canvas': 95, woven: 88, weft: 84, nonwoven: 70, tricot: 60, organza: 60, 'cloth-underlining': 55, 'stretch-knit': 50 },
  },
  'jacket-front': {
    phrase: 'a jacket front', kind: 'garment', area: 'panel', hand: 'firm', job: 'give the front body without losing its drape',
    families: { weft: 96, 'hair-canvas': 90, woven: 82, tricot: 76, nonwoven: 58, organza: 62, 'cloth-underlining': 66, 'stretch-knit': 56 },
  },
  bodice: {
    phrase: 'a fitted bodice', kind: 'garment', area: 'panel', hand: 'soft', job: 'take the strain off thin cloth and hide the seams',
    families: { 'cloth-underlining': 95, organza: 93, tricot: 80, woven: 70, weft: 64, 'stretch-knit': 74, nonwoven: 42, organdy: 50 },
  },
  'whole-panel': {
    phrase: 'a whole panel', kind: 'garment', area: 'panel', hand: 'soft', job: 'change the hang of all of it evenly',
    families: { 'cloth-underlining': 94, tricot: 88, organza: 88, weft: 78, woven: 78, 'stretch-knit': 76, nonwoven: 52, organdy: 52, mulling: 46, wadding: 30 },
  },
  'godet-slash': {
    phrase: 'the slash for a godet', kind: 'garment', area: 'patch', hand: 'soft', opening: true, job: 'stop the point of the slash from tearing out',
    families: { organza: 93, organdy: 90, nonwoven: 82, tricot: 80, woven: 84, weft: 76, 'stretch-knit': 70, 'cloth-underlining': 55, 'stay-tape': 48 },
  },
  'inner-corner': {
    phrase: 'an inner corner', kind: 'garment', area: 'patch', hand: 'soft', opening: true, job: 'hold the point when it is clipped to the stitching',
    families: { organdy: 97, organza: 90, nonwoven: 72, woven: 78, weft: 72, tricot: 66, 'stretch-knit': 62, 'cloth-underlining': 50 },
  },
  'flare-hem': {
    phrase: 'a flared hem', kind: 'garment', area: 'strip', hand: 'crisp', job: 'make the flare stand in folds',
    families: { braid: 97, organza: 70, 'hair-canvas': 48, woven: 58, nonwoven: 50, organdy: 62, tricot: 36, 'stretch-knit': 36, weft: 46, wadding: 38 },
  },
  'hat-tip': {
    phrase: 'the tip of a hat', kind: 'hat', area: 'panel', hand: 'rigid', job: 'keep the crown flat and its edge clean', families: HAT_BASE,
  },
  'hat-band': {
    phrase: 'the side band of a hat', kind: 'hat', area: 'panel', hand: 'rigid', job: 'stand upright round the head', families: { ...HAT_BASE, 'waistband-strip': 45, nonwoven: 40, woven: 40 },
  },
  'hat-brim': {
    phrase: 'the brim of a hat', kind: 'hat', area: 'panel', hand: 'rigid', job: 'stand out level and spring back',
    families: { 'firm-nonwoven': 88, buckram: 86, 'stiff-core': 55, 'hair-canvas': 50, foam: 30 },
  },
  'bag-panel': {
    phrase: 'a bag panel', kind: 'bag', area: 'panel', hand: 'crisp', job: 'stand by itself and take knocks',
    families: { 'firm-nonwoven': 84, fleece: 82, foam: 90, wadding: 72, woven: 62, weft: 56, nonwoven: 52, 'stiff-core': 48, 'cloth-underlining': 46, 'hair-canvas': 30 },
  },
  'bag-base': {
    phrase: 'the base of a bag', kind: 'bag', area: 'panel', hand: 'rigid', job: 'not sag under a load',
    families: { 'stiff-core': 97, 'firm-nonwoven': 80, foam: 48, buckram: 30 },
  },
  'bag-lining': {
    phrase: 'a bag lining', kind: 'bag', area: 'panel', hand: 'soft', job: 'wear longer without adding bulk',
    families: { woven: 90, nonwoven: 84, weft: 78, 'cloth-underlining': 60, tricot: 56, fleece: 40, 'firm-nonwoven': 30, 'pattern-cloth': 40 },
  },
  'bag-flap': {
    phrase: 'a bag flap', kind: 'bag', area: 'panel', hand: 'crisp', job: 'keep its shape and carry a fastening',
    families: { 'firm-nonwoven': 90, foam: 84, fleece: 82, woven: 66, nonwoven: 66, wadding: 62, 'stiff-core': 42, weft: 52 },
  },
  'bag-strap': {
    phrase: 'a bag strap', kind: 'bag', area: 'panel', hand: 'firm', job: 'not stretch or crease under weight',
    families: { woven: 90, 'firm-nonwoven': 84, fleece: 80, wadding: 66, nonwoven: 72, weft: 78, foam: 58, 'stay-tape': 50 },
  },
  tab: {
    phrase: 'a tab', kind: 'bag', area: 'panel', hand: 'firm', job: 'carry a ring or snap without pulling out',
    families: { woven: 90, nonwoven: 88, 'firm-nonwoven': 76, weft: 76, fleece: 48, 'cloth-underlining': 46, organdy: 45 },
  },
  'box-panel': {
    phrase: 'a box panel', kind: 'bag', area: 'panel', hand: 'rigid', job: 'stand upright with sharp edges',
    families: { 'stiff-core': 97, 'firm-nonwoven': 86, foam: 62, buckram: 42 },
  },
  'quilt-piece': {
    phrase: 'a quilt piece', kind: 'quilt', area: 'panel', hand: 'soft', job: 'be cut and pieced accurately',
    families: { 'pressing-spray': 96, starch: 90, 'liquid-stabilizer': 82, nonwoven: 30, tricot: 28, woven: 28 },
  },
  'bias-piece': {
    phrase: 'a bias-cut piece', kind: 'garment', area: 'panel', hand: 'soft', job: 'be handled without growing',
    families: { 'stretch-knit': 88, tricot: 80, 'pressing-spray': 92, starch: 90, 'liquid-stabilizer': 86, organza: 66, 'cloth-underlining': 64, woven: 66, nonwoven: 40 },
  },
  'knit-binding': {
    phrase: 'a knit binding strip', kind: 'treat', area: 'panel', hand: 'soft', job: 'stop the strip from rolling while it is sewn',
    families: { 'edge-stiffener': 97, 'pressing-spray': 72, starch: 66, 'liquid-stabilizer': 76, 'stretch-knit': 68, tricot: 50, 'wash-away': 55 },
  },
  'knit-panel-quilt': {
    phrase: 'a knit panel for a quilt', kind: 'quilt', area: 'panel', hand: 'soft', job: 'lose its stretch so that it can be pieced',
    families: { nonwoven: 93, weft: 94, woven: 90, 'liquid-stabilizer': 78, tricot: 60, starch: 50 },
  },
  applique: {
    phrase: 'an appliqué', kind: 'stitch', area: 'field', hand: 'soft', job: 'keep the ground flat under close stitching',
    families: { 'tear-away': 86, 'cut-away': 84, mesh: 80, 'wash-away': 66, starch: 50, 'liquid-stabilizer': 45 },
  },
  embroidery: {
    phrase: 'machine embroidery', kind: 'stitch', area: 'field', hand: 'soft', job: 'hold the cloth still under the needle',
    families: { 'tear-away': 86, 'cut-away': 88, mesh: 86, 'wash-away': 58, 'heat-away': 44 },
  },
  badge: {
    phrase: 'an embroidered badge', kind: 'stitch', area: 'field', hand: 'crisp', job: 'carry solid stitching on a shape of its own',
    families: { mesh: 62, 'cut-away': 70, 'wash-away': 48, 'tear-away': 36 },
  },
  'free-stitching': {
    phrase: 'free-motion stitching', kind: 'stitch', area: 'field', hand: 'soft', job: 'stay flat without a hoop',
    families: { 'liquid-stabilizer': 90, 'tear-away': 84, 'cut-away': 72, mesh: 66, 'wash-away': 76, starch: 78, 'heat-away': 52 },
  },
  printing: {
    phrase: 'printing on cloth', kind: 'treat', area: 'panel', hand: 'crisp', job: 'run flat like paper',
    families: { 'liquid-stabilizer': 97, starch: 72, 'tear-away': 62, 'pressing-spray': 30 },
  },
  modelling: {
    phrase: 'modelling in cloth', kind: 'treat', area: 'panel', hand: 'crisp', job: 'hold a folded or moulded shape',
    families: { 'liquid-stabilizer': 95, starch: 86, buckram: 50, organza: 40, 'firm-nonwoven': 48, organdy: 46 },
  },
};

/** A quilt piece that a motif is sewn on: the block with its wadding, stitched through as one. */
export const QUILT_BLOCK: RoleProfile = {
  phrase: 'a quilt block', kind: 'stitch', area: 'field', hand: 'soft', job: 'carry its stitching together with its wadding',
  families: { mesh: 60, 'cut-away': 50 },
};
