import { FAMILY_WORDS, isFusible, isSoaked, type Family, type Material, type Wash } from '../layers';
import { needsHandSewing, shadeMiss, temporary } from './handling';
import { finishedBand } from './piece-size';
import type { Question, Stop } from './protocol';
import { STRETCHY } from '../part';
import { capital } from '../letters';
import type { Role } from '../part';

const IRON_WORDS = ['no iron', 'a cool iron', 'a medium iron', 'a hot iron'];

const WASH_ORDER: Wash[] = ['none', 'hand', 'warm', 'hot'];
const NEEDED_WASH: Record<string, Wash> = { 'wash-hot': 'hot', 'wash-warm': 'warm', 'hand-wash': 'hand' };
const CARE_WORDS: Record<string, string> = {
  'wash-hot': 'a hot wash',
  'wash-warm': 'a warm wash',
  'hand-wash': 'hand washing',
  'dry-clean': 'dry cleaning',
};

const GRAIN_GIVE = 10;

/** Stretch a layer gives each way, %; a woven one cut on the bias with its piece gives like cloth. */
function give(question: Question, layer: Material): [number, number] {
  const bias = question.part.cut === 'bias' && layer.grain && layer.family !== 'weft' ? GRAIN_GIVE : 0;
  return [Math.max(layer.stretchLength, bias), Math.max(layer.stretchCross, bias)];
}

/** How far the width of a strip may be from that of the finished band, mm. */
const STRIP_FIT = 2.5;

/** Most that a layer may stretch where stretch must stop, %. */
const STOPPED = 10;

const WETTING: Family[] = ['starch', 'pressing-spray', 'liquid-stabilizer', 'edge-stiffener'];

function washes(layer: Material, care: string): boolean {
  return WASH_ORDER.indexOf(layer.wash) >= WASH_ORDER.indexOf(NEEDED_WASH[care]!);
}

/** What is underlined as a whole with a second cloth. */
const UNDERLINED: readonly Role[] = ['bodice', 'whole-panel', 'jacket-front'];

export const STOPS: readonly Stop[] = [
  {
    id: 'avoid-fusible',
    group: 'You asked to do without',
    when: ({ part }, layer) => (part.avoid?.includes('fusible') ?? false) && isFusible(layer.form),
    words: () => 'You asked for nothing that is fused.',
  },
  {
    id: 'avoid-liquid',
    group: 'You asked to do without',
    when: ({ part }, layer) => (part.avoid?.includes('liquid') ?? false) && layer.form === 'liquid',
    words: () => 'You asked for no liquids.',
  },
  {
    id: 'avoid-spray',
    group: 'You asked to do without',
    when: ({ part }, layer) => (part.avoid?.includes('spray-glue') ?? false) && layer.form === 'spray-glued',
    words: () => 'You asked for no spray glue.',
  },
  {
    id: 'avoid-hand-sewing',
    group: 'You asked to do without',
    when: (question, layer) => (question.part.avoid?.includes('sewing-by-hand') ?? false) && needsHandSewing(question, layer),
    words: (_, layer) => `${capital(FAMILY_WORDS[layer.family])} is put in by hand here, and you asked for no hand sewing.`,
  },
  {
    id: 'stay-sheer',
    group: 'You asked that it stays sheer',
    when: ({ wishes, fabric }, layer) =>
      wishes.staySheer === true &&
      !temporary(layer) &&
      layer.opacity !== 'sheer' &&
      !(layer.opacity === 'veiled' && fabric.sheer === 'veiled'),
    words: ({ fabric }) => `It is less see-through than the cloth, which is ${fabric.sheer}.`,
  },
  {
    id: 'not-at-hand',
    group: 'Not in your cupboard',
    when: ({ wishes, atHand }, layer) => wishes.useMine === true && !atHand.has(layer.id),
    words: () => 'You asked for what you have, and this is not in your cupboard.',
  },
  {
    id: 'no-starch',
    group: 'You asked to do without',
    when: ({ schools }, layer) => schools.starch === 'never' && layer.family === 'starch',
    words: () => 'You never starch, by your ways of working.',
  },
  {
    id: 'strip-width',
    group: 'Width',
    when: ({ part, piece }, layer) =>
      layer.family === 'waistband-strip' &&
      (part.role === 'waistband' || part.role === 'curved-waistband') &&
      Math.abs(layer.rollWidth - finishedBand(piece)) > STRIP_FIT,
    words: ({ piece }, layer) =>
      `It makes a band of ${layer.rollWidth} mm; yours is about ${Math.round(finishedBand(piece))} mm wide when it is folded and sewn.`,
  },
  {
    id: 'no-iron',
    group: 'Heat',
    when: ({ fabric }, layer) => fabric.ironDots === 0 && layer.leaflet.ironDots > 0,
    words: () => 'This cloth bears no iron, and the layer must be pressed.',
  },
  {
    id: 'too-hot',
    group: 'Heat',
    when: ({ fabric }, layer) => fabric.ironDots > 0 && layer.leaflet.ironDots > fabric.ironDots,
    words: ({ fabric }, layer) =>
      `It needs ${IRON_WORDS[layer.leaflet.ironDots]}; this cloth bears only ${IRON_WORDS[fabric.ironDots]}.`,
  },
  {
    id: 'steam-spots',
    group: 'Water',
    when: ({ fabric }, layer) => fabric.water === 'spots' && (layer.leaflet.steam || layer.leaflet.cover === 'damp-cloth'),
    words: () => 'It is put on with steam or a damp cloth, and water marks this cloth.',
  },
  {
    id: 'liquid-spots',
    group: 'Water',
    when: ({ fabric }, layer) => fabric.water === 'spots' && layer.form === 'liquid',
    words: () => 'Water marks this cloth, so nothing is sprayed or soaked into it.',
  },
  {
    id: 'rinse-spots',
    group: 'Water',
    when: ({ fabric }, layer) => fabric.water === 'spots' && layer.ends === 'rinsed',
    words: () => 'It has to be rinsed out, and water marks this cloth.',
  },
  {
    id: 'liquid-resists',
    group: 'Water',
    when: ({ fabric, traits }, layer) => layer.form === 'liquid' && (fabric.water === 'resists' || traits.sealed),
    words: () => 'The cloth does not drink it: it would dry as a crust on top.',
  },
  {
    id: 'sealed-fusible',
    group: 'Surface',
    when: ({ traits }, layer) => traits.sealed && isFusible(layer.form),
    words: ({ fabric }) =>
      fabric.construction === 'leather'
        ? 'No hot iron on leather or suede; it would shrink and glaze.'
        : 'No hot iron on a coating or film; it would soften and mark.',
  },
  {
    id: 'pressing-ruins',
    group: 'Surface',
    when: ({ traits }, layer) =>
      traits.ruinedByPressing && (isFusible(layer.form) || WETTING.includes(layer.family) || layer.ends === 'melted'),
    words: ({ fabric, traits }) =>
      `Pressing it on would flatten the ${fabric.surface.includes('beaded') ? 'beading' : fabric.surface.includes('crinkled') ? 'crinkle' : traits.open ? 'relief' : 'pile'} for good.`,
  },
  {
    id: 'glue-through-holes',
    group: 'Surface',
    when: ({ traits }, layer) => traits.open && isFusible(layer.form),
    words: () => 'Glue would come through the holes of this cloth, onto the face and the iron.',
  },
  {
    id: 'gives-not',
    group: 'Stretch',
    when: (question, layer, duty) => {
      const { part, profile, traits } = question;
      if (part.stretch !== 'keep' || traits.maxStretch < STRETCHY || duty === 'topping' || duty === 'patch') return false;
      if (profile.kind === 'stitch' || temporary(layer)) return false;
      const [along, across] = give(question, layer);
      const most = Math.max(along, across);
      const least = Math.min(along, across);
      if (most < Math.max(STRETCHY, Math.min(0.5 * traits.maxStretch, 15))) return true;
      return part.cut !== 'bias' && traits.minStretch >= 15 && least < 6;
    },
    words: ({ traits }, layer) =>
      Math.max(layer.stretchLength, layer.stretchCross) >= STRETCHY
        ? 'It gives one way only; this cloth must keep its stretch both ways.'
        : `It does not give; the part must keep its stretch of about ${Math.round(traits.maxStretch)} %.`,
  },
  {
    id: 'gives-too-much',
    group: 'Stretch',
    when: ({ part, profile }, layer, duty) =>
      part.stretch === 'stop' &&
      profile.kind !== 'stitch' &&
      duty !== 'topping' &&
      layer.form !== 'liquid' &&
      !temporary(layer) &&
      Math.max(layer.stretchLength, layer.stretchCross) > STOPPED,
    words: () => 'It gives, and here the stretch must stop.',
  },
  {
    id: 'curved-waist',
    group: 'Stretch',
    when: ({ part }, layer) =>
      part.role === 'curved-waistband' && (layer.family === 'weft' || layer.family === 'waistband-strip'),
    words: () => 'It stops all give; a curved waistband must ease when its wearer sits.',
  },
  {
    id: 'care-wash',
    group: 'Care',
    when: ({ part }, layer) => NEEDED_WASH[part.care] !== undefined && !temporary(layer) && !washes(layer, part.care),
    words: ({ part }, layer) =>
      layer.dryClean && layer.wash === 'none'
        ? `It is for dry cleaning only and would not survive ${CARE_WORDS[part.care]}.`
        : `It does not stand ${CARE_WORDS[part.care]}.`,
  },
  {
    id: 'care-clean',
    group: 'Care',
    when: ({ part }, layer) => part.care === 'dry-clean' && !temporary(layer) && !layer.dryClean,
    words: () => 'It does not stand dry cleaning.',
  },
  {
    id: 'cannot-be-rinsed',
    group: 'Care',
    when: ({ part }, layer) => part.care === 'dry-clean' && layer.form !== 'liquid' && layer.ends === 'rinsed',
    words: () => 'It has to be rinsed out, and this will be dry-cleaned, not washed.',
  },
  {
    id: 'soak-when-clean-only',
    group: 'Care',
    when: ({ part }, layer) => part.care === 'dry-clean' && layer.form === 'liquid' && layer.family !== 'pressing-spray',
    words: () => 'It only comes out with water, and this will be dry-cleaned, not washed.',
  },
  {
    id: 'washes-out',
    group: 'Care',
    when: ({ part, profile }, layer) =>
      layer.form === 'liquid' &&
      part.role === 'modelling' &&
      part.care !== 'none' &&
      profile.kind === 'treat' &&
      part.care !== 'dry-clean',
    words: () => 'It washes out, and the shape with it.',
  },
  {
    id: 'cut-already',
    group: 'Already cut',
    when: ({ part }, layer) => part.cutAlready === true && isSoaked(layer),
    words: () => 'Soaking shrinks cloth by a centimetre or more; the pieces are cut already and would not fit.',
  },
  {
    id: 'too-heavy',
    group: 'Weight',
    when: ({ fabric, profile, part }, layer, duty) => {
      // A second cloth that is heavier leads the first, and harms nothing: that is a caution.
      if (layer.family === 'cloth-underlining' && UNDERLINED.includes(part.role)) return false;
      if (profile.kind !== 'garment' || layer.form === 'liquid' || temporary(layer)) return false;
      const allowance =
        layer.family === 'waistband-strip' || layer.family === 'stay-tape' || layer.family === 'braid'
          ? 1.6
          : duty === 'main'
            ? 1
            : 1.2;
      return layer.arealDensity > Math.max(25, fabric.arealDensity * allowance);
    },
    words: ({ fabric }, layer) =>
      `At ${layer.arealDensity} g/m² it is heavier than the cloth itself (${Math.round(fabric.arealDensity)} g/m²).`,
  },
  {
    id: 'shows-through',
    group: 'Look',
    when: ({ fabric, profile, part, wishes }, layer, duty) =>
      fabric.sheer === 'sheer' &&
      layer.opacity === 'opaque' &&
      // Who wants it opaque wants just that.
      !wishes.opaque &&
      !temporary(layer) &&
      duty !== 'strip' &&
      (profile.kind === 'garment' || profile.kind === 'stitch') &&
      part.role !== 'badge',
    words: () => 'It would show through this sheer cloth as a solid patch.',
  },
  {
    id: 'see-through-itself',
    group: 'Look',
    when: ({ wishes, profile }, layer, duty) =>
      wishes.opaque === true &&
      profile.kind === 'garment' &&
      duty === 'main' &&
      !temporary(layer) &&
      layer.form !== 'liquid' &&
      (layer.family === 'organza' || layer.opacity === 'sheer'),
    words: () => 'It is seen through itself: behind it the cloth stays as it is.',
  },
  {
    id: 'wrong-shade',
    group: 'Look',
    when: ({ fabric, profile }, layer) =>
      fabric.sheer !== 'opaque' &&
      profile.kind !== 'hat' &&
      !temporary(layer) &&
      layer.opacity !== 'sheer' &&
      shadeMiss(fabric.tone, layer.tones) === 2,
    words: ({ fabric }, layer) =>
      `It comes only in ${layer.tones.join(' and ')}, and would show through ${fabric.tone} see-through cloth.`,
  },
  {
    id: 'tears-on-stretch',
    group: 'Stitching',
    when: ({ traits, profile }, layer) =>
      profile.kind === 'stitch' && layer.family === 'tear-away' && traits.unstableForStitching,
    words: () => 'Once torn it leaves nothing behind cloth that gives; the stitches would distort in wear.',
  },
  {
    id: 'heat-away-gives',
    group: 'Stitching',
    when: ({ traits, profile }, layer) =>
      profile.kind === 'stitch' &&
      (layer.family === 'heat-away' || layer.family === 'wash-away') &&
      traits.unstableForStitching &&
      !traits.open,
    words: () => 'Nothing of it stays, and cloth that gives needs something behind the stitches for good.',
  },
  {
    id: 'must-float',
    group: 'Stitching',
    when: ({ traits, profile }, layer, duty) =>
      profile.kind === 'stitch' && traits.hoopMarks && duty === 'main' && layer.form === 'loose',
    words: () =>
      'A hoop would mark this cloth for good. It has to float on a sheet that holds it by itself, and this one does not.',
  },
];
