import type { Family, Material } from '../layers';
import { isFusible, isSoaked } from '../layers';
import type { Preference, Question } from './protocol';

/** A garment piece that is covered, rather than only its edge. */
const wornPanel = ({ profile }: Question) => profile.kind === 'garment' && profile.area !== 'strip';
const wornStrip = ({ profile }: Question) => profile.kind === 'garment' && profile.area === 'strip';
const stitched = ({ profile }: Question) => profile.kind === 'stitch';
const treated = ({ profile }: Question) => profile.kind === 'treat' || profile.kind === 'quilt';
const knit = ({ fabric }: Question) => fabric.construction === 'knit';
/** A knit whose stretch nobody wants stopped, away from openings that must hold: it takes layers that move with it. */
const moving = (q: Question) => wornPanel(q) && knit(q) && q.part.stretch !== 'stop' && !(q.profile.opening && q.part.stretch !== 'keep');
const opaque = ({ wishes }: Question) => wishes.opaque === true;
/** Somebody said how the finished thing should feel. */
const feelSaid = ({ part }: Question) => part.hand !== undefined;
/** Up to the weight of a voile a woven layer falls with flowing cloth, g/m². */
const VOILE = 60;
const sewn = ({ form }: Material) => form === 'sew-in';
const glued = ({ form }: Material) => isFusible(form);
const liquid = ({ form }: Material) => form === 'liquid';
const floating = ({ form }: Material) => form === 'sticky' || form === 'spray-glued';

const CLOTH: readonly Preference[] = [
  { id: 'sheer-organza', families: ['organza'], when: (q) => wornPanel(q) && q.fabric.sheer === 'sheer', points: 26, words: 'stays next to invisible under sheer cloth' },
  { id: 'sheer-nonwoven', families: ['nonwoven'], when: (q) => wornPanel(q) && q.fabric.sheer === 'sheer', fits: (l) => l.opacity === 'sheer', points: -10, words: 'looks papery under sheer cloth' },
  { id: 'sheer-under-sheer', when: (q) => wornPanel(q) && q.fabric.sheer === 'sheer', fits: (l) => l.opacity === 'sheer' && l.family !== 'organza' && l.family !== 'nonwoven', points: 4, words: 'is sheer itself' },
  { id: 'dense-under-sheer', when: (q) => wornPanel(q) && q.fabric.sheer === 'sheer', fits: (l) => l.opacity !== 'sheer' && l.family !== 'organza', points: -14, words: 'dulls sheer cloth' },
  { id: 'loose-tricot', families: ['tricot'], when: (q) => wornPanel(q) && q.traits.loose, points: 14, words: 'settles into a loose weave' },
  { id: 'loose-firm', families: ['nonwoven', 'weft'], when: (q) => wornPanel(q) && q.traits.loose, points: -8, words: 'lies stiffly under a loose weave' },
  { id: 'paper-on-flow', families: ['nonwoven', 'organdy', 'weft'], when: (q) => wornPanel(q) && q.traits.flows && !feelSaid(q), points: -20, words: 'cracks like paper in cloth that flows' },
  { id: 'firm-woven-on-flow', families: ['woven', 'cloth-underlining'], when: (q) => wornPanel(q) && q.traits.flows && !feelSaid(q), fits: (l) => l.arealDensity > VOILE, points: -12, words: 'is more than flowing cloth carries' },
  { id: 'drapes-with-flow', families: ['tricot', 'organza'], when: (q) => wornPanel(q) && q.traits.flows && !knit(q) && !feelSaid(q), points: 14, words: 'hangs with the cloth' },
  { id: 'light-woven-with-flow', families: ['woven'], when: (q) => wornPanel(q) && q.traits.flows && !knit(q) && !feelSaid(q), fits: (l) => l.arealDensity <= VOILE, points: 6, words: 'hangs with the cloth' },
  { id: 'knit-stretch', families: ['stretch-knit'], when: (q) => wornPanel(q) && knit(q), points: 14, words: 'moves with a knit' },
  { id: 'knit-tricot', families: ['tricot'], when: (q) => wornPanel(q) && knit(q), points: 12, words: 'moves with a knit' },
  { id: 'knit-nonwoven', families: ['nonwoven'], when: (q) => wornPanel(q) && knit(q) && q.part.stretch !== 'stop', points: -14, words: 'does not move with a knit' },
  { id: 'knit-woven', families: ['woven'], when: (q) => wornPanel(q) && knit(q) && q.part.stretch !== 'stop', points: -12, words: 'does not move with a knit' },
  { id: 'knit-moving', families: ['tricot', 'stretch-knit'], when: moving, points: 10, words: 'moves with a knit' },
  { id: 'knit-held', families: ['nonwoven', 'woven', 'weft', 'organza', 'organdy'], when: moving, points: -30, words: 'holds a knit where it should move' },
  { id: 'opaque-underlined', families: ['cloth-underlining'], when: opaque, fits: (l) => l.opacity !== 'sheer', points: 14, words: 'hangs like cloth and hides what lies behind' },
  { id: 'heavier-underlining', families: ['cloth-underlining'], when: ({ profile }) => profile.kind === 'garment', fits: (l, q) => l.arealDensity > 1.2 * q.fabric.arealDensity, points: -16, words: 'is heavier than the cloth and leads it' },
  { id: 'opaque-sheer', when: opaque, fits: (l) => (l.opacity === 'sheer' || l.family === 'organza') && l.form !== 'liquid', points: -40, words: 'lets light through as before' },
  { id: 'opaque-glued', when: (q) => opaque(q) && wornPanel(q) && (q.profile.phrase.includes('bodice') || q.profile.phrase.includes('panel')), fits: glued, points: -24, words: 'makes a film of the whole piece' },
  { id: 'bias-permanent', families: ['stretch-knit', 'tricot', 'organza', 'cloth-underlining', 'woven', 'nonwoven'], when: (q) => q.part.role === 'bias-piece' && !feelSaid(q), points: -16, words: 'stays in a piece that only has to be handled' },
  { id: 'knit-weft', families: ['weft'], when: (q) => wornPanel(q) && knit(q) && q.part.stretch === 'stop', points: 10, words: 'holds a knit both ways' },
  { id: 'knit-underlined', families: ['cloth-underlining', 'organza'], when: (q) => wornPanel(q) && knit(q), points: -22, words: 'hangs apart from a knit' },
  { id: 'stretch-on-stable', families: ['stretch-knit'], when: (q) => wornPanel(q) && !knit(q) && q.part.cut !== 'bias' && !q.traits.gives, points: -16, words: 'gives where the cloth does not' },
  { id: 'bias-stretch', families: ['stretch-knit'], when: (q) => wornPanel(q) && q.part.cut === 'bias' && q.part.stretch === 'keep', points: 18, words: 'keeps the give of the bias' },
  { id: 'bias-woven', families: ['woven'], when: (q) => wornPanel(q) && q.part.cut === 'bias' && q.part.stretch === 'keep', points: -14, words: 'takes most of the give off the bias' },
  { id: 'weft-stops', families: ['weft'], when: (q) => wornPanel(q) && q.part.stretch === 'stop' && q.traits.gives, points: 10, words: 'stops stretch along and across' },
  { id: 'organza-spares-face', families: ['organza'], when: (q) => wornPanel(q) && q.traits.ruinedByPressing, points: 18, words: 'is caught in by hand and spares the face' },
  { id: 'underlining-spares-face', families: ['cloth-underlining'], when: (q) => wornPanel(q) && (q.traits.ruinedByPressing || q.traits.open), points: 10, words: 'goes in without glue or iron' },
  { id: 'sewn-spares-face', families: ['nonwoven', 'woven'], when: (q) => wornPanel(q) && (q.traits.ruinedByPressing || q.traits.sealed || q.traits.open), fits: sewn, points: 4, words: 'goes in without glue or iron' },
  { id: 'weft-on-heavy', families: ['weft'], when: (q) => wornPanel(q) && q.fabric.arealDensity >= 220, points: 6, words: 'suits heavier cloth' },
  { id: 'hair-on-light', families: ['hair-canvas'], when: (q) => wornPanel(q) && q.fabric.arealDensity < 110, points: -30, words: 'is far too much for light cloth' },
  { id: 'fused-loft', when: (q) => wornPanel(q) && q.traits.needsTopping, fits: glued, points: -12, words: 'flattens loft when it is pressed on' },
  { id: 'light-touch', families: ['tricot', 'organza', 'stretch-knit'], when: (q) => wornPanel(q) && lightTouch(q), points: 6, words: 'is soft enough' },
  { id: 'papery', families: ['nonwoven'], when: (q) => wornPanel(q) && lightTouch(q), points: -8, words: 'turns papery' },
  { id: 'waist-gives', families: ['tricot', 'stretch-knit'], when: (q) => q.part.role === 'waistband' && q.part.stretch === 'keep' && q.traits.gives, points: 30, words: 'gives with a waist that moves' },
  { id: 'strip-tape-gives', families: ['stay-tape'], when: (q) => q.profile.area === 'strip' && q.part.stretch === 'keep' && q.traits.gives, fits: (l) => l.stretchLength >= 15, points: 4, words: 'holds the edge and gives with it' },
  { id: 'strip-stretch', families: ['stretch-knit'], when: (q) => q.profile.area === 'strip' && q.part.stretch === 'keep' && q.traits.gives, points: 12, words: 'gives with the edge' },
  { id: 'strip-nonwoven-knit', families: ['nonwoven'], when: (q) => wornStrip(q) && knit(q) && q.part.stretch === 'keep', points: -20, words: 'cracks along an edge that stretches' },
  { id: 'sewing-costs', families: ['nonwoven', 'woven', 'stretch-knit'], when: (q) => q.profile.kind === 'garment', fits: sewn, points: -8, words: 'costs an hour more than gluing and gains little' },
  { id: 'sealed-lining', when: (q) => q.profile.kind === 'bag' && q.traits.sealed && q.part.role === 'bag-lining', points: -30, words: 'is hardly needed behind a coated lining' },
  { id: 'sealed-sewn', when: (q) => q.profile.kind === 'bag' && q.traits.sealed && q.part.role !== 'bag-lining', fits: (l) => sewn(l) || l.form === 'spray-glued', points: 6, words: 'needs no iron on a coating' },
  { id: 'wide-braid', families: ['braid'], when: (q) => q.part.role === 'flare-hem' && q.fabric.arealDensity < 80, fits: (l) => l.rollWidth > 50, points: -10, words: 'is too wide for thin cloth' },
  { id: 'knit-zip-tape', families: ['stay-tape'], when: (q) => q.part.role === 'zip-area' && knit(q), points: 2, words: 'keeps the opening to its length' },
];

const SCHOOL: readonly Preference[] = [
  { id: 'school-fleece', families: ['fleece'], when: (q) => q.schools.padding === 'fleece', points: 8, words: 'is the padding you take first' },
  { id: 'school-wadding', families: ['wadding'], when: (q) => q.schools.padding === 'wadding', fits: (l) => !sewn(l), points: 16, words: 'is the padding you take first' },
  { id: 'school-float', when: (q) => stitched(q) && q.schools.hooping === 'sheet', fits: floating, points: 10, words: 'holds the cloth while the sheet alone is hooped' },
];

const TREATMENT: readonly Preference[] = [
  { id: 'liquid-on-synthetic', when: (q) => treated(q) && q.traits.natural < 0.5, fits: liquid, points: -18, words: 'is hardly taken up by this cloth' },
  { id: 'strong-for-shape', when: (q) => q.part.role === 'printing' || q.part.role === 'modelling', fits: isSoaked, points: 6, words: 'makes cloth like paper' },
  { id: 'damp-for-shape', when: (q) => q.part.role === 'printing' || q.part.role === 'modelling', fits: (l) => liquid(l) && l.stiffening >= 4 && !isSoaked(l), points: -10, words: 'leaves dry places that stay soft' },
  { id: 'weak-for-shape', when: (q) => q.part.role === 'printing' || q.part.role === 'modelling', fits: (l) => liquid(l) && l.stiffening < 4, points: -22, words: 'is too weak to hold a shape' },
  { id: 'starch-before-bias', families: ['starch'], when: (q) => q.part.role === 'quilt-piece' && q.part.cut === 'bias' && q.part.cutAlready !== true, fits: liquid, points: 8, words: 'steadies bias edges before they are cut' },
  { id: 'strong-for-piecing', when: (q) => q.part.role === 'quilt-piece', fits: (l) => liquid(l) && l.stiffening >= 8, points: -14, words: 'is stiffer than piecing needs' },
  { id: 'quilt-sewn', when: (q) => q.profile.kind === 'quilt', fits: sewn, points: -14, words: 'adds a layer to every seam' },
  { id: 'quilt-nonwoven', families: ['nonwoven'], when: (q) => q.part.role === 'knit-panel-quilt' && !knit(q), points: -10, words: 'is not needed behind a weave' },
];

const edgeNear = ({ part }: Question) => part.embroidery?.nearEdge !== undefined && part.embroidery.nearEdge !== false;
const sheerish = ({ fabric }: Question) => fabric.sheer !== 'opaque';

const STITCHING: readonly Preference[] = [
  { id: 'tear-twill', families: ['tear-away'], when: (q) => stitched(q) && q.fabric.weave === 'twill', points: -14, words: 'lets a twill skew once it is torn' },
  { id: 'tear-gives', families: ['tear-away'], when: (q) => stitched(q) && q.traits.unstableForStitching, points: -26, words: 'lets go of cloth that gives once it is torn' },
  { id: 'tear-sheer', families: ['tear-away'], when: (q) => stitched(q) && q.fabric.sheer === 'sheer', points: -24, words: 'leaves shreds that show' },
  { id: 'tear-stable', families: ['tear-away'], when: (q) => q.part.role === 'embroidery' && !q.traits.unstableForStitching && !sheerish(q), points: 5, words: 'is enough under stable cloth and leaves it soft' },
  { id: 'tear-dense', families: ['tear-away'], when: (q) => stitched(q) && (q.motif?.stitches ?? 0) > 90, points: -8, words: 'is perforated before a dense motif is done' },
  { id: 'cut-unstable', families: ['cut-away'], when: (q) => stitched(q) && q.traits.unstableForStitching, points: 8, words: 'stays behind cloth that gives' },
  { id: 'cut-twill', families: ['cut-away'], when: (q) => stitched(q) && !q.traits.unstableForStitching && (q.fabric.weave === 'twill' || q.traits.sealed), points: 4, words: 'keeps a twill or coating from skewing' },
  { id: 'cut-stable', families: ['cut-away'], when: (q) => stitched(q) && q.part.role !== 'badge' && !q.traits.unstableForStitching && q.fabric.weave !== 'twill' && !q.traits.sealed, points: -10, words: 'stays where nothing needs to' },
  { id: 'cut-thin', families: ['cut-away'], when: (q) => stitched(q) && (sheerish(q) || q.fabric.arealDensity < 120), points: -12, words: 'shows behind thin cloth' },
  { id: 'cut-open', families: ['cut-away', 'mesh'], when: (q) => stitched(q) && q.traits.open, points: -30, words: 'shows through the holes' },
  { id: 'mesh-light', families: ['mesh'], when: (q) => stitched(q) && meshFits(q), points: 8, words: 'hardly shows in a light garment' },
  { id: 'mesh-stable', families: ['mesh'], when: (q) => stitched(q) && !meshFits(q) && !q.traits.unstableForStitching, points: -12, words: 'is thin for stable, opaque cloth' },
  { id: 'mesh-heavy', families: ['mesh'], when: (q) => stitched(q) && q.fabric.arealDensity > 260, points: -10, words: 'is thin under heavy cloth' },
  { id: 'rinse-open', families: ['wash-away'], when: (q) => stitched(q) && (q.traits.open || q.fabric.sheer === 'sheer'), points: 36, words: 'goes away without a trace' },
  { id: 'rinse-heavy', families: ['wash-away'], when: (q) => stitched(q) && q.fabric.arealDensity > 150, points: -6, words: 'is weak under heavier cloth' },
  { id: 'melt-open', families: ['heat-away'], when: (q) => stitched(q) && (q.traits.open || q.fabric.sheer === 'sheer'), points: 14, words: 'goes away without water' },
  { id: 'free-liquid-synthetic', when: (q) => q.part.role === 'free-stitching' && q.traits.natural < 0.5, fits: liquid, points: -18, words: 'is hardly taken up by this cloth' },
  { id: 'float', when: (q) => stitched(q) && q.traits.hoopMarks, fits: floating, points: 8, words: 'holds cloth that must not be hooped' },
  { id: 'float-near-edge', when: (q) => stitched(q) && edgeNear(q), fits: floating, points: 8, words: 'holds cloth that the hoop cannot reach' },
  { id: 'loose-near-edge', when: (q) => stitched(q) && edgeNear(q), fits: ({ form }) => form === 'loose', points: -10, words: 'needs more cloth in the hoop than there is' },
];

function lightTouch({ hand, fabric }: Question): boolean {
  return hand === 'fluid' || (hand === 'soft' && fabric.arealDensity < 60);
}

function meshFits({ fabric, traits }: Question): boolean {
  return fabric.sheer !== 'opaque' || fabric.arealDensity < 100 || (traits.unstableForStitching && fabric.arealDensity < 220);
}

export const PREFERENCES: readonly Preference[] = [...CLOTH, ...SCHOOL, ...TREATMENT, ...STITCHING];

/**
 * The preferences that hold for a question, to be asked of each layer.
 *
 * @example preferencesFor(question)(lightWoven).every(({ points }) => Number.isFinite(points)) // true
 */
export function preferencesFor(question: Question): (layer: Material) => Preference[] {
  const general: Preference[] = [];
  const byFamily = new Map<Family, Preference[]>();
  for (const preference of PREFERENCES) {
    if (!preference.when(question)) continue;
    if (!preference.families) general.push(preference);
    else for (const family of preference.families) byFamily.set(family, [...(byFamily.get(family) ?? []), preference]);
  }
  return (layer) =>
    [...(byFamily.get(layer.family) ?? []), ...general].filter(({ fits }) => fits === undefined || fits(layer, question));
}
