import { lower } from '../letters';
import { causeOf } from '../techniques';
import type { PairRecord } from '../learn';
import { isFusible, isGlued, isSoaked, type Family } from '../layers';
import { mostGive } from './criteria/give';
import { jobOf, needsHandSewing } from './handling';
import type { Judged } from './protocol';

/** Shrinkage that tells on a piece, %: half a millimetre on a hand's breadth. */
const TELLS = 0.5;

/** A layer that gives less than this holds the cloth, %. */
const LEAST_GIVE = 5;

/** What was found to be wrong, of the stack or of how it was done; with the remedy. */
function causeWords(record: PairRecord | undefined, blames: 'stack' | undefined): string | undefined {
  const causes = [...new Set(record?.causes ?? [])]
    .flatMap((found) => causeOf(found) ?? [])
    .filter((each) => each.blames === blames);
  return causes.length === 0 ? undefined : causes.map(({ why, next }) => `${lower(why)} ${next}`).join(' ');
}

/** How much pieces of a pair shrank one way, on the whole, %; 0 where nothing was read. */
function meanShrink(record: PairRecord | undefined, way: 'along' | 'across'): number {
  const read = (record?.shrank ?? []).flatMap((each) => each[way] ?? []);
  return read.length === 0 ? 0 : read.reduce((sum, each) => sum + each, 0) / read.length;
}

/** A sentence that belongs to a stack when its condition holds. Data: add an entry to add a remark. */
interface Remark {
  id: string;
  when(stack: Judged): boolean;
  words(stack: Judged): string;
}

const fusedLayer = (stack: Judged) => stack.layers.find(({ material }) => isFusible(material.form))?.material;
const has = (stack: Judged, ...families: string[]) => stack.layers.some(({ material }) => families.includes(material.family));

/** What a family is like to live with, for stacks that begin with it. */
const CHARACTER: Partial<Record<Family, string>> = {
  nonwoven: 'Gives a sharp, paper-like edge and can be cut any way round.',
  woven: 'Behaves like cloth and follows curves softly.',
  weft: 'Stable along and across, with a little give on the bias.',
  tricot: 'A whisper of support that moves like cloth.',
  'stretch-knit': 'Stretches every way and comes back.',
  'hair-canvas': 'Springs back after every crease and rolls crisply.',
  'waistband-strip': 'Comes in the finished width with its fold line marked.',
  'firm-nonwoven': 'Firm all through, so it keeps its shape without a frame.',
  'stiff-core': 'Board-like; edges stay straight under a load.',
  fleece: 'Body and protection at little weight.',
  wadding: 'Soft thickness that takes knocks.',
  foam: 'Stands up by itself and springs back into shape.',
  'cloth-underlining': 'Handled as one with the cloth; hides seams and takes the strain.',
  organza: 'Thin, strong and next to invisible.',
  organdy: 'Thin, tight and does not fray when it is clipped.',
  buckram: 'Stiff enough for a hat by itself.',
  braid: 'Springy, so the hem stands in folds.',
  'stay-tape': 'Holds the seam line to its length and adds no bulk.',
  'pressing-spray': 'Body without measurable shrinkage.',
  'pattern-cloth': 'Easily marked and sewn; light support for a trial.',
  'edge-stiffener': 'Keeps the edge from rolling until it is sewn.',
};

/** Why this stack fits, best reason first. */
export const REASONS: readonly Remark[] = [
  {
    id: 'worked-before',
    when: ({ record }) => record !== undefined && record.good > 0 && record.poor === 0,
    words: ({ record }) =>
      record!.good === 1 ? 'Came out well on this cloth before.' : `Came out well on this cloth ${record!.good} times.`,
  },
  {
    id: 'in-band',
    when: ({ predicted, question: { band, profile } }) =>
      profile.kind !== 'stitch' && predicted.bendingLength >= band[0] && predicted.bendingLength <= band[1],
    words: ({ question: { hand, part, traits } }) =>
      part.hand !== undefined
        ? `Hangs ${hand}, as you asked.`
        : traits.flows
          ? `Hangs ${hand}: a step firmer than the cloth does by itself.`
          : `Hangs ${hand}, as this part usually does.`,
  },
  {
    id: 'family-fits',
    when: ({ suitability }) => suitability >= 84,
    words: (s) => `Helps ${s.question.profile.phrase} to ${jobOf(s)}.`,
  },
  {
    id: 'character',
    when: (s) => CHARACTER[s.layers[0]!.material.family] !== undefined,
    words: (s) => {
      const { family, opacity } = s.layers[0]!.material;
      if (family === 'cloth-underlining' && opacity !== 'opaque') return 'Handled as one with the cloth, and takes the strain.';
      if (family === 'organza' && opacity !== 'sheer') return 'Thin and strong, and hardly felt.';
      return CHARACTER[family]!;
    },
  },
  {
    id: 'gives-with-cloth',
    when: (s) =>
      s.question.part.stretch === 'keep' &&
      s.question.traits.maxStretch >= 8 &&
      s.question.profile.kind !== 'stitch' &&
      s.question.profile.kind !== 'treat' &&
      mostGive(s) >= LEAST_GIVE,
    words: () => 'Gives with the cloth, so the part keeps its stretch.',
  },
  {
    id: 'stops-stretch',
    when: (s) =>
      s.question.part.stretch === 'stop' &&
      s.question.traits.gives &&
      !s.layers.every(({ material }) => material.form === 'liquid'),
    words: () => 'Stops the stretch where it lies.',
  },
  {
    id: 'sewn-spares-face',
    when: (s) => s.question.traits.ruinedByPressing && fusedLayer(s) === undefined,
    words: ({ question }) =>
      `Goes in without the iron, so the ${question.fabric.surface.includes('crinkled') ? 'crinkle' : question.fabric.surface.includes('beaded') ? 'beading' : 'pile'} stays as it is.`,
  },
  {
    id: 'cool-melt',
    when: (s) => s.question.fabric.ironDots === 1 && fusedLayer(s) !== undefined,
    words: () => 'Its glue melts at the cool setting that this cloth bears.',
  },
  {
    id: 'carries',
    when: ({ load }) => load !== undefined && load.share <= 0.8,
    words: () => 'Carries this many stitches with room to spare.',
  },
  {
    id: 'stays-under-stitches',
    when: (s) => s.question.profile.kind === 'stitch' && s.question.traits.unstableForStitching && has(s, 'cut-away', 'mesh'),
    words: () => 'Stays behind the stitches for good, which cloth that gives needs.',
  },
  {
    id: 'tears-clean',
    when: (s) => s.question.profile.kind === 'stitch' && has(s, 'tear-away'),
    words: () => 'The cloth is stable; the sheet tears away and leaves it soft.',
  },
  {
    id: 'topping',
    when: (s) => has(s, 'topping'),
    words: ({ question }) =>
      question.part.role === 'badge'
        ? 'The film keeps the satin edge from sinking in, and two meshes are thinner to trim than three.'
        : 'The topping keeps stitches from sinking into the loft.',
  },
  {
    id: 'crossed',
    when: (s) => s.layers.some(({ angle }) => angle !== 0),
    words: () => 'Two meshes, one turned 45°, hold evenly in every direction.',
  },
  {
    id: 'floats',
    when: (s) => s.question.profile.kind === 'stitch' && s.question.traits.hoopMarks,
    words: () => 'The sheet is hooped and the cloth floats on it, so no hoop marks are left.',
  },
  {
    id: 'washes-out',
    when: (s) =>
      s.layers.every(({ material }) => material.form === 'liquid') &&
      s.question.part.care !== 'dry-clean' &&
      s.question.part.care !== 'none',
    words: () => 'Washes out again and leaves nothing behind.',
  },
  {
    id: 'mulled',
    when: (s) => has(s, 'mulling'),
    words: () => 'The mulling hides the edges and weave of the stiff base.',
  },
  {
    id: 'invisible',
    when: (s) => s.question.fabric.sheer === 'sheer' && s.layers.every(({ material }) => material.opacity === 'sheer'),
    words: () => 'Sheer itself, so the cloth stays see-through.',
  },
];

/** What to look out for. */
export const CAUTIONS: readonly Remark[] = [
  {
    id: 'went-wrong-before',
    when: ({ record }) => record !== undefined && record.poor > 0,
    words: ({ record }) =>
      `Went wrong on this cloth ${record!.poor === 1 ? 'once' : `${record!.poor} times`}: ${causeWords(record!, 'stack') ?? 'read your notes in the logbook before you use it again.'}`,
  },
  {
    id: 'spoilt-before',
    when: ({ record }) => causeWords(record, undefined) !== undefined,
    words: ({ record }) => `Spoilt before by how it was done: ${causeWords(record, undefined)!}`,
  },
  {
    id: 'shrank-before',
    when: ({ record }) => meanShrink(record, 'along') >= TELLS || meanShrink(record, 'across') >= TELLS,
    words: ({ record }) => {
      const told = (['along', 'across'] as const)
        .filter((way) => meanShrink(record, way) >= TELLS)
        .map((way) => `${meanShrink(record, way).toFixed(1)} % ${way} the grain`);
      return `Put on so, this cloth shrank by ${told.join(' and ')} on your pieces: put it on before you cut, or cut that much larger.`;
    },
  },
  {
    id: 'motif-too-dense',
    when: ({ load }) => load !== undefined && load.share > 1,
    words: ({ load, question }) => {
      const thin = question.fabric.arealDensity < 110 || question.traits.loose;
      const less = Math.max(5, Math.round(((1 - 1 / load!.share) * 100) / 5) * 5);
      const larger = Math.max(5, Math.ceil(((Math.sqrt(load!.share) - 1) * 100) / 5) * 5);
      const change = `about ${less} % fewer stitches, or the same stitches drawn ${larger} % larger`;
      if (load!.holes !== undefined)
        return `More needle holes than this cloth bears, whatever lies under it: ${change}, or a finer needle.`;
      return thin
        ? `This motif is too dense for this cloth, whatever lies under it. Take a lighter motif (${change}), or put it on other cloth.`
        : `Too many stitches for this stack: ${change}, or one layer more.`;
    },
  },
  {
    id: 'near-limit',
    when: ({ load }) => load !== undefined && load.share > 0.8 && load.share <= 1,
    words: ({ layers, question }) => {
      const joined = layers.some(({ material }) => isGlued(material.form));
      if (joined) return 'Near its limit: add one layer.';
      const noIron = question.traits.sealed || question.traits.ruinedByPressing || question.fabric.ironDots === 0;
      return `Near its limit: add one layer, or join sheet and cloth with spray${noIron ? '' : ' or a fused sheet'}.`;
    },
  },
  {
    id: 'near-edge',
    when: ({ question }) =>
      question.profile.kind === 'stitch' &&
      question.part.embroidery?.nearEdge !== undefined &&
      question.part.embroidery.nearEdge !== false,
    words: () => 'The motif lies near an edge: check that the hoop has cloth to hold, or float it on a sticky or sprayed sheet.',
  },
  {
    id: 'leads-the-cloth',
    when: ({ layers, question: { fabric, profile } }) =>
      profile.kind === 'garment' &&
      layers.some(({ material }) => material.family === 'cloth-underlining' && material.arealDensity > fabric.arealDensity),
    words: ({ question: { fabric } }) =>
      `Heavier than the cloth itself (${Math.round(fabric.arealDensity)} g/m²): the underlining decides how it hangs, not the cloth.`,
  },
  {
    id: 'too-stiff',
    when: ({ predicted, question }) => question.profile.kind !== 'stitch' && predicted.low > question.band[1],
    words: ({ question }) => `Likely to turn out stiffer than ${question.hand}.`,
  },
  {
    id: 'too-soft',
    when: ({ predicted, question }) =>
      question.profile.kind !== 'stitch' && question.profile.area === 'panel' && predicted.high < question.band[0],
    words: ({ question }) => `Likely to turn out softer than ${question.hand}.`,
  },
  {
    id: 'hot-limit',
    when: (s) =>
      s.layers.some(
        ({ material }) => material.leaflet.ironDots > 0 && material.leaflet.ironDots === s.question.fabric.ironDots,
      ) && s.question.fabric.ironDots < 3,
    words: () => 'It needs all the heat that this cloth bears: press a scrap first.',
  },
  {
    id: 'shrinks',
    when: (s) => s.layers.some(({ material }) => isSoaked(material)),
    words: () => 'Soaking shrinks the cloth by a centimetre or more on half a metre: treat it before cutting.',
  },
  {
    id: 'pre-shrink',
    when: (s) =>
      s.layers.some(({ material }) => material.preShrink) &&
      s.question.part.care !== 'none' &&
      s.question.part.care !== 'dry-clean',
    words: ({ question }) =>
      question.fabric.prewashed
        ? 'Shrink the layer before cutting it.'
        : 'Wash the cloth and shrink the layer before cutting, or it puckers after the first wash.',
  },
  {
    id: 'cloth-shrinks',
    when: ({ question: { fabric, part } }) =>
      Math.max(fabric.shrinkLength ?? 0, fabric.shrinkCross ?? 0) >= 2 &&
      fabric.prewashed !== true &&
      part.care !== 'none' &&
      part.care !== 'dry-clean',
    words: ({ question: { fabric } }) =>
      `This cloth shrank ${Math.round(Math.max(fabric.shrinkLength ?? 0, fabric.shrinkCross ?? 0))} % when you tested it: wash it before anything is fused to it.`,
  },
  {
    id: 'glue-through',
    when: (s) => s.question.fabric.sheer !== 'opaque' && fusedLayer(s) !== undefined,
    words: () => 'Look at a fused scrap in daylight: glue dots can show through cloth like this.',
  },
  {
    id: 'grain',
    when: (s) =>
      s.layers.some(({ material }) => material.grain && material.form !== 'liquid') && s.question.profile.kind !== 'stitch',
    words: ({ question }) =>
      question.part.cut === 'bias'
        ? 'The piece is on the bias, so cut the layer on the bias too.'
        : 'It has a grain: cut it the same way as the piece.',
  },
  {
    id: 'test-synthetic',
    when: (s) => s.layers.some(({ material }) => material.form === 'liquid') && s.question.traits.natural < 0.5,
    words: () => 'This cloth takes up little liquid: test on a scrap before trusting it.',
  },
  {
    id: 'flattens',
    when: (s) => s.question.traits.needsTopping && !s.question.traits.ruinedByPressing && fusedLayer(s) !== undefined,
    words: () => 'Pressing flattens loft and loops; fuse over a towel and lift the iron straight.',
  },
  {
    id: 'coated-holes',
    when: (s) => s.question.traits.sealed,
    words: () => 'Every needle hole stays: no pins, no basting where it shows, and sew once.',
  },
  {
    id: 'catch-stitch',
    when: (s) => s.layers.some(({ material }) => material.family === 'organza') && s.question.traits.ruinedByPressing,
    words: () => 'Hold it with loose catch stitches that take a thread or two, so that both cloths can move.',
  },
  {
    id: 'hand-sewing',
    when: (s) => s.layers.some(({ material }) => needsHandSewing(s.question, material)),
    words: () => 'Part of this is sewn by hand.',
  },
  {
    id: 'spray-air',
    when: (s) =>
      s.layers.some(
        ({ material }) =>
          material.form === 'spray-glued' ||
          material.family === 'starch' ||
          material.family === 'edge-stiffener' ||
          material.family === 'pressing-spray',
      ),
    words: () => 'Spray where there is fresh air, away from flames, and never over a hot iron.',
  },
  {
    id: 'too-wide',
    when: (s) => s.needs.layers.some(({ tooWide }) => tooWide !== undefined),
    words: (s) => {
      const need = s.needs.layers.find(({ tooWide }) => tooWide !== undefined)!;
      return `The piece fits on its roll no way round (${Math.round(need.tooWide! / 10)} cm can be used): take a wider one, or join it.`;
    },
  },
  {
    id: 'estimated-layer',
    when: (s) => s.layers.some(({ material }) => (material.estimated?.length ?? 0) > 0),
    words: () => 'Figures of the layer were not measured; they are what is usual for its kind at its weight.',
  },
  {
    id: 'buckram-water',
    when: (s) => has(s, 'buckram'),
    words: () => 'Buckram goes limp when it gets wet: never wash it.',
  },
  {
    id: 'coverage',
    when: (s) =>
      s.layers.some(
        ({ material }) => material.family === 'foam' || material.family === 'stiff-core' || material.family === 'firm-nonwoven',
      ),
    words: () => 'Keep it out of the seams: cut it to the seam line, or a little inside.',
  },
  {
    id: 'estimated',
    when: ({ predicted, question }) => predicted.clothSource === 'estimated' && question.profile.kind !== 'stitch',
    words: () => 'The stiffness of the cloth is estimated from its description; an overhang reading would narrow it.',
  },
];

const sentences = (remarks: readonly Remark[], stack: Judged): string[] =>
  remarks.filter((remark) => remark.when(stack)).map((remark) => remark.words(stack));

/**
 * Reasons for a stack, best first; never empty.
 *
 * @example reasonsFor(judged).length > 0 // true
 */
export function reasonsFor(stack: Judged): string[] {
  const found = sentences(REASONS, stack);
  return found.length > 0 ? found : [`It can serve ${stack.question.profile.phrase}.`];
}

/**
 * Cautions for a stack, most urgent first.
 *
 * @example cautionsFor(judged).every((words) => words.length > 0) // true
 */
export function cautionsFor(stack: Judged): string[] {
  return sentences(CAUTIONS, stack);
}
