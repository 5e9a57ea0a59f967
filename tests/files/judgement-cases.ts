/*
 * A hundred more pairs of cloth and part, and what a practised hand would put behind them: written down from the trade before anything
 * was tuned to them. Each says which families may stand first, or must stand together in one of the first kinds.
 */
export interface PractisedCase {
  words: string;
  fabric: Record<string, unknown>;
  part: Record<string, unknown>;
  wishes?: Record<string, unknown>;
  /** The first answer has one of these families among its layers. */
  best?: string[];
  /** One of the first kinds of answer has all of these together. */
  together?: string[];
  /** No answer on the first screen has one of these. */
  notFirst?: string[];
  /** The first answer is put on in one of these forms, but for liquids and toppings. */
  form?: string[];
}

const fibre = (name: string) => [{ fibre: name, percent: 100 }];
const COTTON = { arealDensity: 142 };
const POPLIN = { arealDensity: 115 };
const LAWN = { arealDensity: 70, sheer: 'veiled' };
const LINEN = { arealDensity: 180, fibres: fibre('linen') };
const DENIM = { arealDensity: 380, weave: 'twill' };
const CANVAS = { arealDensity: 400 };
const DRILL = { arealDensity: 250, weave: 'twill' };
const COATING = { arealDensity: 450, weave: 'twill', fibres: fibre('wool'), ironDots: 2 };
const SUITING = { arealDensity: 240, weave: 'twill', fibres: fibre('wool'), ironDots: 2 };
const CHIFFON = { arealDensity: 40, weave: 'loose', fibres: fibre('silk'), sheer: 'sheer', ironDots: 1 };
const SATIN = { arealDensity: 120, weave: 'satin', fibres: fibre('polyester'), ironDots: 1 };
const FLANNEL = { arealDensity: 160, surface: ['lofty'] };
const JERSEY = { construction: 'knit', weave: 'jersey', arealDensity: 170, stretchLength: 15, stretchCross: 40 };
const VISCOSE_JERSEY = { ...JERSEY, fibres: fibre('viscose'), arealDensity: 190, stretchCross: 60 };
const RIB = { construction: 'knit', weave: 'rib', arealDensity: 240, stretchLength: 20, stretchCross: 80 };
const SWEAT = { construction: 'knit', weave: 'fleece', arealDensity: 290, stretchLength: 10, stretchCross: 25 };
const TOWEL = { weave: 'terry', arealDensity: 420, surface: ['looped'] };
const VELVET = { weave: 'pile', arealDensity: 320, surface: ['pile'], ironDots: 1, fibres: fibre('viscose'), water: 'spots' };
const SEERSUCKER = { arealDensity: 120, surface: ['crinkled'] };
const EYELET = { arealDensity: 110, surface: ['openwork'], weave: 'eyelet' };
const NET = { construction: 'net', weave: 'other', arealDensity: 30, fibres: fibre('nylon'), sheer: 'sheer', ironDots: 1 };
const FAUX = { construction: 'coated', weave: 'other', arealDensity: 450, ironDots: 0, water: 'resists', surface: ['coated'] };
const LEATHER = { construction: 'leather', weave: 'other', arealDensity: 700, ironDots: 0, water: 'spots' };
const NYLON = {
  arealDensity: 80,
  fibres: fibre('nylon'),
  ironDots: 1,
  water: 'resists',
  surface: ['coated'],
  construction: 'coated',
};
const CREPE = { arealDensity: 95, weave: 'crepe', fibres: fibre('polyester'), ironDots: 1 };
const GAUZE = { arealDensity: 110, weave: 'loose', sheer: 'veiled' };
const VISCOSE = { arealDensity: 120, fibres: fibre('viscose') };

const WASH = { care: 'wash-warm' };
const CLEAN = { care: 'dry-clean' };
const NEVER = { care: 'none' };

export const PRACTISED: PractisedCase[] = [
  // Garments of woven cloth.
  { words: 'lawn collar', fabric: LAWN, part: { role: 'collar' }, best: ['nonwoven', 'woven', 'organza', 'organdy'] },
  { words: 'linen collar', fabric: LINEN, part: { role: 'collar' }, best: ['nonwoven', 'woven'] },
  { words: 'crisp poplin cuff', fabric: POPLIN, part: { role: 'cuff', hand: 'crisp' }, best: ['nonwoven', 'woven'] },
  { words: 'viscose button band', fabric: VISCOSE, part: { role: 'button-band' }, best: ['woven', 'nonwoven', 'weft', 'tricot'] },
  { words: 'denim button band', fabric: DENIM, part: { role: 'button-band' }, best: ['woven', 'nonwoven', 'weft'] },
  {
    words: 'satin collar under a cool iron',
    fabric: SATIN,
    part: { role: 'collar' },
    best: ['nonwoven', 'woven', 'weft', 'organza', 'tricot', 'organdy'],
  },
  {
    words: 'seersucker collar is not pressed flat',
    fabric: SEERSUCKER,
    part: { role: 'collar' },
    form: ['sew-in'],
    best: ['organza', 'organdy', 'woven', 'nonwoven', 'cloth-underlining'],
  },
  { words: 'seersucker facing', fabric: SEERSUCKER, part: { role: 'neck-facing' }, form: ['sew-in'] },
  { words: 'velvet collar gets what is sewn in', fabric: VELVET, part: { role: 'collar', ...CLEAN }, form: ['sew-in'] },
  { words: 'chiffon neck facing', fabric: CHIFFON, part: { role: 'neck-facing', ...CLEAN }, best: ['organza', 'tricot'] },
  {
    words: 'crepe neck facing, nobody feels it',
    fabric: CREPE,
    part: { role: 'neck-facing', hand: 'soft' },
    best: ['tricot', 'stretch-knit', 'nonwoven', 'woven', 'organza'],
  },
  { words: 'gauze neck facing', fabric: GAUZE, part: { role: 'neck-facing' }, best: ['tricot', 'woven', 'organza', 'nonwoven'] },
  {
    words: 'loose gauze button band',
    fabric: GAUZE,
    part: { role: 'button-band' },
    best: ['woven', 'nonwoven', 'tricot', 'organza', 'weft'],
  },
  {
    words: 'denim waistband, high and straight',
    fabric: DENIM,
    part: { role: 'waistband', hand: 'crisp' },
    best: ['waistband-strip', 'woven', 'weft', 'nonwoven'],
  },
  { words: 'poplin skirt waistband', fabric: POPLIN, part: { role: 'waistband' }, best: ['waistband-strip'] },
  {
    words: 'linen curved waistband eases',
    fabric: LINEN,
    part: { role: 'curved-waistband' },
    best: ['tricot', 'stretch-knit'],
    notFirst: ['weft', 'waistband-strip'],
  },
  {
    words: 'suiting curved waistband',
    fabric: SUITING,
    part: { role: 'curved-waistband', ...CLEAN },
    best: ['tricot', 'stretch-knit', 'woven'],
  },
  {
    words: 'linen hem wants soft weight',
    fabric: LINEN,
    part: { role: 'hem' },
    best: ['woven', 'tricot', 'stretch-knit', 'organza', 'nonwoven'],
  },
  {
    words: 'coat hem',
    fabric: COATING,
    part: { role: 'hem', ...CLEAN },
    best: ['woven', 'weft', 'hair-canvas', 'tricot', 'cloth-underlining', 'stretch-knit'],
  },
  { words: 'canvas pocket flap', fabric: CANVAS, part: { role: 'pocket-flap' }, best: ['nonwoven', 'woven', 'weft'] },
  { words: 'linen welt', fabric: LINEN, part: { role: 'welt' }, best: ['nonwoven', 'woven', 'weft'] },
  { words: 'coating welt', fabric: COATING, part: { role: 'welt', ...CLEAN }, best: ['nonwoven', 'woven', 'weft'] },
  { words: 'lawn zip opening', fabric: LAWN, part: { role: 'zip-area' }, best: ['organza', 'stay-tape', 'nonwoven', 'woven'] },
  {
    words: 'linen zip opening',
    fabric: LINEN,
    part: { role: 'zip-area' },
    best: ['stay-tape', 'nonwoven', 'weft', 'woven', 'organza'],
  },
  {
    words: 'satin buttonhole',
    fabric: SATIN,
    part: { role: 'buttonhole' },
    best: ['organza', 'woven', 'nonwoven', 'organdy', 'weft'],
  },
  {
    words: 'coat buttonhole',
    fabric: COATING,
    part: { role: 'buttonhole', ...CLEAN },
    best: ['woven', 'weft', 'organza', 'organdy', 'nonwoven'],
  },
  { words: 'coat lapel', fabric: COATING, part: { role: 'lapel', ...CLEAN }, best: ['hair-canvas', 'weft'] },
  {
    words: 'linen blazer lapel that is washed',
    fabric: LINEN,
    part: { role: 'lapel', ...WASH },
    best: ['weft', 'woven'],
    notFirst: ['hair-canvas'],
  },
  {
    words: 'suiting undercollar',
    fabric: SUITING,
    part: { role: 'undercollar', ...CLEAN },
    best: ['hair-canvas', 'woven', 'weft'],
  },
  {
    words: 'coat front with its chest piece',
    fabric: COATING,
    part: { role: 'jacket-front', ...CLEAN },
    best: ['weft', 'hair-canvas'],
    together: ['weft', 'hair-canvas'],
  },
  { words: 'light jacket front in linen', fabric: LINEN, part: { role: 'jacket-front' }, best: ['weft', 'woven', 'tricot'] },
  { words: 'inner corner in linen', fabric: LINEN, part: { role: 'inner-corner' }, best: ['organdy', 'organza'] },
  { words: 'inner corner in suiting', fabric: SUITING, part: { role: 'inner-corner', ...CLEAN }, best: ['organdy', 'organza'] },
  {
    words: 'slash in viscose',
    fabric: VISCOSE,
    part: { role: 'godet-slash' },
    best: ['organza', 'organdy', 'nonwoven', 'tricot', 'woven'],
    notFirst: ['firm-nonwoven'],
  },
  { words: 'slash with a patch at its point', fabric: POPLIN, part: { role: 'godet-slash' }, together: ['organdy'] },
  { words: 'poplin flare with braid', fabric: POPLIN, part: { role: 'flare-hem' }, best: ['braid'] },
  { words: 'satin flare, interfaced and braided', fabric: SATIN, part: { role: 'flare-hem', ...CLEAN }, best: ['braid'] },
  {
    words: 'chiffon bodice, basted by hand',
    fabric: CHIFFON,
    part: { role: 'bodice', ...CLEAN },
    wishes: { staySheer: true },
    best: ['organza'],
  },
  {
    words: 'lawn bodice becomes opaque',
    fabric: LAWN,
    part: { role: 'bodice' },
    wishes: { opaque: true },
    best: ['cloth-underlining'],
    notFirst: ['organza'],
  },
  {
    words: 'eyelet panel becomes opaque',
    fabric: EYELET,
    part: { role: 'whole-panel' },
    wishes: { opaque: true },
    best: ['cloth-underlining'],
    notFirst: ['organza'],
  },
  {
    words: 'satin bodice takes strain',
    fabric: SATIN,
    part: { role: 'bodice', ...CLEAN },
    best: ['cloth-underlining', 'organza'],
  },
  {
    words: 'fluid viscose panel with a whisper',
    fabric: VISCOSE,
    part: { role: 'whole-panel', hand: 'fluid' },
    best: ['tricot', 'organza', 'cloth-underlining', 'stretch-knit'],
    notFirst: ['firm-nonwoven', 'nonwoven'],
  },
  {
    words: 'armhole in lawn',
    fabric: LAWN,
    part: { role: 'armhole-facing' },
    best: ['nonwoven', 'woven', 'tricot', 'organza', 'cloth-underlining'],
  },
  { words: 'shoulder of a crepe blouse', fabric: CREPE, part: { role: 'shoulder-seam', stretch: 'stop' }, best: ['stay-tape'] },
  {
    words: 'leather collar: no iron',
    fabric: LEATHER,
    part: { role: 'collar', ...NEVER },
    form: ['sew-in', 'spray-glued', 'sticky'],
  },

  // Knits.
  { words: 'limp viscose jersey collar', fabric: VISCOSE_JERSEY, part: { role: 'collar' }, best: ['tricot', 'stretch-knit'] },
  {
    words: 'jersey button band keeps give',
    fabric: JERSEY,
    part: { role: 'button-band', stretch: 'keep' },
    best: ['tricot', 'stretch-knit'],
  },
  {
    words: 'jersey button band that must not grow',
    fabric: JERSEY,
    part: { role: 'button-band', stretch: 'stop' },
    best: ['weft', 'woven', 'nonwoven', 'stay-tape'],
    notFirst: ['stretch-knit'],
  },
  {
    words: 'rib neck facing keeps its stretch',
    fabric: RIB,
    part: { role: 'neck-facing', stretch: 'keep' },
    best: ['stretch-knit', 'tricot'],
  },
  {
    words: 'sweatshirt pocket opening',
    fabric: SWEAT,
    part: { role: 'welt', stretch: 'stop' },
    best: ['weft', 'woven', 'nonwoven'],
  },
  {
    words: 'sweatshirt zip',
    fabric: SWEAT,
    part: { role: 'zip-area', stretch: 'stop' },
    best: ['stay-tape', 'weft', 'nonwoven', 'woven'],
  },
  {
    words: 'viscose jersey shoulder',
    fabric: VISCOSE_JERSEY,
    part: { role: 'shoulder-seam', stretch: 'stop' },
    best: ['stay-tape'],
  },
  { words: 'jersey hem stays soft', fabric: JERSEY, part: { role: 'hem', stretch: 'keep' }, best: ['stretch-knit', 'tricot'] },
  {
    words: 'jersey buttonhole',
    fabric: VISCOSE_JERSEY,
    part: { role: 'buttonhole', stretch: 'stop' },
    best: ['weft', 'woven', 'nonwoven', 'organza', 'organdy'],
  },
  {
    words: 'jersey whole panel',
    fabric: JERSEY,
    part: { role: 'whole-panel', stretch: 'keep' },
    best: ['stretch-knit', 'tricot'],
  },
  { words: 'rib strip that rolls', fabric: RIB, part: { role: 'knit-binding' }, best: ['edge-stiffener'] },
  { words: 'viscose jersey strip', fabric: VISCOSE_JERSEY, part: { role: 'knit-binding' }, best: ['edge-stiffener'] },
  {
    words: 'shirt panels for a quilt',
    fabric: { ...JERSEY, arealDensity: 150 },
    part: { role: 'knit-panel-quilt', stretch: 'stop' },
    best: ['weft', 'nonwoven', 'woven', 'liquid-stabilizer'],
  },

  // Bias and pieced work: sprays first.
  {
    words: 'bias strip of lawn, only to be handled',
    fabric: LAWN,
    part: { role: 'bias-piece', cut: 'bias' },
    best: ['pressing-spray', 'starch', 'liquid-stabilizer'],
  },
  {
    words: 'bias piece of satin',
    fabric: { ...SATIN, water: 'safe' },
    part: { role: 'bias-piece', cut: 'bias' },
    best: ['pressing-spray', 'starch', 'liquid-stabilizer', 'stretch-knit', 'tricot'],
  },
  {
    words: 'bias panel of viscose',
    fabric: VISCOSE,
    part: { role: 'bias-piece', cut: 'bias' },
    best: ['pressing-spray', 'starch', 'liquid-stabilizer'],
  },
  {
    words: 'quilt piece of lawn',
    fabric: LAWN,
    part: { role: 'quilt-piece' },
    best: ['pressing-spray', 'starch', 'liquid-stabilizer'],
    notFirst: ['nonwoven', 'woven', 'tricot'],
  },
  {
    words: 'quilt piece of flannel',
    fabric: FLANNEL,
    part: { role: 'quilt-piece' },
    best: ['pressing-spray', 'starch', 'liquid-stabilizer'],
  },
  {
    words: 'quilt pieces that are cut already',
    fabric: COTTON,
    part: { role: 'quilt-piece', cutAlready: true },
    best: ['pressing-spray', 'liquid-stabilizer', 'starch'],
  },

  // Bags, boxes.
  {
    words: 'canvas tote panel',
    fabric: CANVAS,
    part: { role: 'bag-panel' },
    best: ['fleece', 'foam', 'firm-nonwoven', 'wadding', 'woven'],
  },
  {
    words: 'cotton clutch: firm layer and padding',
    fabric: COTTON,
    part: { role: 'bag-panel' },
    together: ['firm-nonwoven', 'wadding'],
  },
  { words: 'cotton tote: smooth and padded', fabric: COTTON, part: { role: 'bag-panel' }, together: ['woven', 'fleece'] },
  {
    words: 'faux leather bag: nothing fused',
    fabric: FAUX,
    part: { role: 'bag-panel' },
    form: ['sew-in', 'spray-glued', 'loose', 'sticky'],
  },
  { words: 'canvas bag base', fabric: CANVAS, part: { role: 'bag-base' }, best: ['stiff-core', 'firm-nonwoven'] },
  { words: 'linen bag flap', fabric: LINEN, part: { role: 'bag-flap' }, best: ['firm-nonwoven', 'fleece', 'foam', 'woven'] },
  { words: 'cotton strap', fabric: COTTON, part: { role: 'bag-strap' }, best: ['woven', 'firm-nonwoven', 'fleece', 'weft'] },
  {
    words: 'canvas strap',
    fabric: CANVAS,
    part: { role: 'bag-strap' },
    best: ['woven', 'firm-nonwoven', 'fleece', 'weft', 'nonwoven'],
  },
  { words: 'poplin lining of a bag', fabric: POPLIN, part: { role: 'bag-lining' }, best: ['woven', 'nonwoven', 'weft'] },
  { words: 'ring tab of linen', fabric: LINEN, part: { role: 'tab' }, best: ['woven', 'nonwoven', 'weft', 'firm-nonwoven'] },
  { words: 'linen tray', fabric: LINEN, part: { role: 'box-panel' }, best: ['stiff-core', 'firm-nonwoven'] },

  // Hats.
  {
    words: 'felted wool tip',
    fabric: { ...COATING, construction: 'nonwoven', weave: 'other' },
    part: { role: 'hat-tip', ...CLEAN },
    best: ['buckram', 'firm-nonwoven'],
  },
  { words: 'satin hat tip hides its base', fabric: SATIN, part: { role: 'hat-tip', ...NEVER }, together: ['mulling', 'buckram'] },
  {
    words: 'velvet hat band',
    fabric: { ...VELVET, ironDots: 1 },
    part: { role: 'hat-band', ...NEVER },
    best: ['mulling', 'buckram', 'firm-nonwoven'],
  },
  { words: 'cotton sun hat that is washed', fabric: COTTON, part: { role: 'hat-brim' }, best: ['firm-nonwoven'] },

  // Needle work.
  { words: 'plain motif on quilting cotton', fabric: COTTON, part: { role: 'embroidery' }, best: ['tear-away'] },
  { words: 'starch and tear-away on linen', fabric: LINEN, part: { role: 'embroidery' }, together: ['starch', 'tear-away'] },
  {
    words: 'light motif on flannel wants a sheet that stays',
    fabric: FLANNEL,
    part: { role: 'embroidery', embroidery: { stitches: 1800, width: 80, height: 60 } },
    best: ['cut-away', 'mesh'],
  },
  { words: 'motif on a towel', fabric: TOWEL, part: { role: 'embroidery' }, best: ['cut-away', 'mesh'], together: ['topping'] },
  { words: 'motif on a sweatshirt', fabric: SWEAT, part: { role: 'embroidery' }, best: ['cut-away', 'mesh'] },
  { words: 'motif on jersey', fabric: JERSEY, part: { role: 'embroidery' }, best: ['cut-away', 'mesh'] },
  { words: 'motif on rib', fabric: RIB, part: { role: 'embroidery' }, best: ['cut-away', 'mesh'] },
  { words: 'motif on twill', fabric: DRILL, part: { role: 'embroidery' }, best: ['cut-away', 'mesh'] },
  { words: 'motif on gauze', fabric: GAUZE, part: { role: 'embroidery' }, best: ['cut-away', 'mesh'] },
  {
    words: 'motif on lawn is light',
    fabric: LAWN,
    part: { role: 'embroidery', embroidery: { stitches: 2500, width: 70, height: 70 } },
    best: ['mesh', 'tear-away', 'wash-away'],
  },
  {
    words: 'motif on velvet is not hooped',
    fabric: VELVET,
    part: { role: 'embroidery', ...CLEAN },
    best: ['cut-away', 'mesh', 'tear-away'],
  },
  { words: 'motif on showerproof nylon', fabric: NYLON, part: { role: 'embroidery' }, notFirst: ['starch', 'liquid-stabilizer'] },
  {
    words: 'motif on tulle is rinsed free',
    fabric: NET,
    part: { role: 'embroidery', care: 'hand-wash' },
    best: ['wash-away', 'mesh'],
  },
  { words: 'appliqué on linen', fabric: LINEN, part: { role: 'applique' }, best: ['tear-away', 'cut-away', 'mesh'] },
  { words: 'appliqué on jersey', fabric: JERSEY, part: { role: 'applique' }, best: ['cut-away', 'mesh'] },
  { words: 'badge on duck', fabric: CANVAS, part: { role: 'badge' }, best: ['mesh', 'cut-away'] },
  {
    words: 'free stitching on lawn',
    fabric: LAWN,
    part: { role: 'free-stitching' },
    best: ['liquid-stabilizer', 'starch', 'tear-away', 'wash-away'],
  },
  {
    words: 'a motif in a quilt block keeps its wadding',
    fabric: COTTON,
    part: { role: 'free-stitching' },
    together: ['wadding', 'mesh'],
  },

  // Treatments.
  { words: 'printing on lawn', fabric: LAWN, part: { role: 'printing' }, best: ['liquid-stabilizer'] },
  {
    words: 'flowers of satin that are never washed',
    fabric: { ...SATIN, fibres: fibre('silk'), ironDots: 2 },
    part: { role: 'modelling', ...NEVER },
    best: ['liquid-stabilizer', 'starch'],
  },
  { words: 'flowers of poplin', fabric: POPLIN, part: { role: 'modelling', ...NEVER }, best: ['liquid-stabilizer'] },

  // Where a cloth, a wish or a place turns the usual answer over.
  {
    words: 'lace bodice becomes opaque',
    fabric: { ...NET, arealDensity: 120, ironDots: 2, fibres: fibre('cotton'), surface: ['openwork'] },
    part: { role: 'bodice' },
    wishes: { opaque: true },
    best: ['cloth-underlining'],
  },
  {
    words: 'waistband of stretch drill that must keep its give',
    fabric: { ...DRILL, stretchCross: 15 },
    part: { role: 'waistband', stretch: 'keep' },
    best: ['tricot', 'stretch-knit'],
    notFirst: ['waistband-strip'],
  },
  {
    words: 'jersey waistband that must keep its give',
    fabric: JERSEY,
    part: { role: 'waistband', stretch: 'keep' },
    best: ['tricot', 'stretch-knit'],
  },
  {
    words: 'motif at a collar point, too near the edge for the clamp',
    fabric: POPLIN,
    part: { role: 'embroidery', embroidery: { stitches: 900, width: 30, height: 30, nearEdge: true } },
    form: ['sticky', 'spray-glued', 'fusible', 'fusible-both'],
  },
  {
    words: 'motif on leather floats',
    fabric: LEATHER,
    part: { role: 'embroidery', ...NEVER, embroidery: { stitches: 3000, width: 80, height: 80 } },
    form: ['sticky', 'spray-glued'],
  },
  {
    words: 'motif on velvet floats, under a topping',
    fabric: VELVET,
    part: { role: 'embroidery', ...CLEAN, embroidery: { stitches: 4000, width: 80, height: 80 } },
    form: ['sticky', 'spray-glued', 'loose'],
    together: ['topping'],
  },
  {
    words: 'many stitches on a tee want more than one light sheet',
    fabric: JERSEY,
    part: { role: 'embroidery', embroidery: { stitches: 14_000, width: 100, height: 100 } },
    best: ['mesh', 'cut-away'],
  },
  {
    words: 'bag lining of coated nylon needs little',
    fabric: NYLON,
    part: { role: 'bag-lining' },
    notFirst: ['fleece', 'foam', 'firm-nonwoven'],
  },
  {
    words: 'sun hat brim that is washed',
    fabric: DRILL,
    part: { role: 'hat-brim' },
    notFirst: ['buckram'],
    best: ['firm-nonwoven'],
  },
  {
    words: 'silk printing runs flat when it is wet through',
    fabric: { arealDensity: 70, fibres: fibre('silk'), ironDots: 2 },
    part: { role: 'printing', care: 'hand-wash' },
    best: ['liquid-stabilizer'],
  },
  {
    words: 'bias skirt of viscose, to be handled and sewn',
    fabric: VISCOSE,
    part: { role: 'bias-piece', cut: 'bias', stretch: 'keep' },
    best: ['starch', 'pressing-spray', 'liquid-stabilizer'],
  },
  {
    words: 'corduroy collar is not fused',
    fabric: { arealDensity: 300, weave: 'pile', surface: ['pile'] },
    part: { role: 'collar' },
    form: ['sew-in'],
  },
  {
    words: 'beaded net bodice is not pressed',
    fabric: { ...NET, arealDensity: 180, surface: ['beaded'] },
    part: { role: 'bodice', ...CLEAN },
    form: ['sew-in'],
  },
];
