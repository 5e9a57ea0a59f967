import { clothBendingLength, clothThickness, fibreShare, isSealed, type Fabric } from '../cloth';
import { clothSheet } from '../choose';
import { opacityOf } from '../seethrough';
import type { LiningQuestion } from './question';

/** What speaks for a cloth as this lining, 0 to 100, and what is said of it where it is good, and where it is not. */
export interface LiningCriterion {
  id: string;
  /** How much it counts, beside the others. */
  weight: (question: LiningQuestion) => number;
  score: (question: LiningQuestion, cloth: Fabric) => number;
  good: (question: LiningQuestion, cloth: Fabric) => string | undefined;
  poor: (question: LiningQuestion, cloth: Fabric) => string | undefined;
}

const PERCENT = 100;
/** Contrast ratio below which something is clearly made out through cloth, %. */
const MADE_OUT = 60;
const clamp = (score: number): number => Math.max(0, Math.min(PERCENT, score));
/** 100 up to `best`, falling to 0 at `worst`. */
const falling = (value: number, best: number, worst: number): number => clamp((PERCENT * (worst - value)) / (worst - best));

const FILAMENTS = ['silk', 'viscose', 'acetate', 'polyester', 'nylon'] as const;
const SYNTHETICS = ['polyester', 'nylon', 'acrylic', 'acetate'] as const;
const DRINKS = ['cotton', 'linen', 'viscose', 'silk', 'wool'] as const;
const isWorn = ({ thing }: LiningQuestion): boolean => thing !== 'bag';
const stretchOf = ({ stretchLength, stretchCross }: Fabric): number => Math.max(stretchLength, stretchCross);

/** Lighter than the outer cloth in clothes; firm enough to be filled in a bag. */
const lightness: LiningCriterion = {
  id: 'lightness',
  weight: () => 3,
  score: (question, { arealDensity }) => {
    if (!isWorn(question)) return Math.min(falling(-arealDensity, -100, -50), falling(arealDensity, 200, 420));
    const share = arealDensity / question.outer.arealDensity;
    return Math.min(falling(share, 0.75, 1.4), falling(arealDensity, 135, 260), falling(-arealDensity, -50, -20));
  },
  good: (question, { arealDensity }) => {
    if (!isWorn(question)) return 'Firm enough to be filled and emptied.';
    const share = arealDensity / question.outer.arealDensity;
    return share <= 0.6 ? `Light against its cloth: ${Math.round(PERCENT * share)} % of its weight.` : undefined;
  },
  poor: (question, { arealDensity }) => {
    if (!isWorn(question)) return arealDensity < 100 ? 'Thin for something that is filled.' : 'Heavy inside a bag.';
    if (arealDensity < 50) return 'Thin for a lining.';
    return arealDensity > question.outer.arealDensity
      ? 'Heavier than the outer cloth: it would lead how that hangs.'
      : 'Heavy for a lining.';
  },
};

/** What is slipped into slides on smooth threads. */
const sliding: LiningCriterion = {
  id: 'sliding',
  weight: ({ thing }) => ({ coat: 3, jacket: 3, trousers: 2, skirt: 2, dress: 1.5, waistcoat: 1, bag: 0 })[thing],
  score: (_, cloth) => {
    if (isSealed(cloth) || ['loose', 'terry', 'pile', 'fleece', 'sweater', 'rib'].includes(cloth.weave ?? '')) return 5;
    if (cloth.surface.length > 0) return 15;
    const smooth = fibreShare(cloth, ...FILAMENTS);
    const face = { satin: 20, twill: 10, jersey: -10, crepe: -15 }[cloth.weave as string] ?? 0;
    return clamp(25 + 55 * smooth + face);
  },
  good: () => 'Smooth threads: it slides on and off.',
  poor: (_, cloth) =>
    fibreShare(cloth, 'cotton', 'linen', 'wool') > 0.5 ? 'Grips what is worn under it.' : 'Does not slide well.',
};

/** What lies on the skin takes up what it gives off. */
const skin: LiningCriterion = {
  id: 'skin',
  weight: (question) => (!isWorn(question) ? 0 : question.skin ? 3 : 0.7),
  score: (_, cloth) => (isSealed(cloth) ? 0 : 20 + 80 * fibreShare(cloth, ...DRINKS)),
  good: ({ skin: worn }) => (worn ? 'Takes up moisture: it does not stick to the skin.' : undefined),
  poor: ({ skin: worn }) => (worn ? 'Takes up no moisture: it sticks to the skin.' : undefined),
};

/** Synthetic threads that rub on wool or on each other are charged. */
const charge: LiningCriterion = {
  id: 'static',
  weight: (question) => (isWorn(question) ? 1.5 : 0),
  score: ({ outer }, cloth) =>
    clamp(PERCENT - 75 * fibreShare(cloth, ...SYNTHETICS) * (0.35 + 0.65 * fibreShare(outer, ...SYNTHETICS, 'wool'))),
  good: ({ outer }) => (fibreShare(outer, ...SYNTHETICS, 'wool') > 0.5 ? 'Does not charge itself on this cloth.' : undefined),
  poor: () => 'Charges itself on this cloth and clings in dry air.',
};

/** It hangs as softly as what it is in. */
const hang: LiningCriterion = {
  id: 'hang',
  weight: (question) => (isWorn(question) ? 2 : 0.5),
  score: ({ outer }, cloth) => falling(clothBendingLength(cloth).value / clothBendingLength(outer).value, 0.95, 1.6),
  good: ({ outer }, cloth) =>
    clothBendingLength(cloth).value < 0.8 * clothBendingLength(outer).value ? 'Hangs more softly than its cloth.' : undefined,
  poor: () => 'Stiffer than the outer cloth: it would stand away from it.',
};

/** What gives is not held back by what it is sewn to. */
const give: LiningCriterion = {
  id: 'give',
  weight: ({ outer }) => (stretchOf(outer) > 8 ? 3 : 1),
  score: ({ outer, hangs }, cloth) => {
    const wanted = stretchOf(outer);
    if (wanted <= 8) return falling(stretchOf(cloth), 15, 60);
    // One that hangs free has a pleat for the movement.
    return clamp((PERCENT * stretchOf(cloth)) / (wanted * (hangs ? 0.5 : 0.9)));
  },
  good: ({ outer }) => (stretchOf(outer) > 8 ? 'Gives with its cloth.' : undefined),
  poor: ({ outer, hangs }) =>
    stretchOf(outer) > 8
      ? `Gives less than its cloth${hangs ? ': it needs its pleat, and width' : ', and is caught in every seam: it would hold it back'}.`
      : 'Gives more than its cloth: it would grow and hang out.',
};

/** Nothing is seen through, and nothing dark shines through something light. */
const shade: LiningCriterion = {
  id: 'shade',
  weight: ({ outer }) => (outer.sheer === 'opaque' ? 0.5 : 4),
  score: ({ outer }, cloth) => {
    if (outer.sheer === 'opaque') return outer.tone === 'light' && cloth.tone === 'dark' ? 45 : PERCENT;
    const far = { light: 0, mid: 1, dark: 2 };
    const steps = Math.abs(far[outer.tone] - far[cloth.tone]);
    // Below so much a pattern of light and shade is still made out.
    const hidden = (opacityOf([clothSheet(outer), clothSheet(cloth)]).opacity - MADE_OUT) / (PERCENT - MADE_OUT);
    return clamp(PERCENT * hidden - 30 * steps);
  },
  good: ({ outer }) => (outer.sheer === 'opaque' ? undefined : 'Nothing is seen through the two of them.'),
  poor: ({ outer }, cloth) =>
    outer.tone !== cloth.tone ? 'Its shade shows through: look at both in daylight.' : 'The two of them are still seen through.',
};

/** What is pressed through it. */
const heat: LiningCriterion = {
  id: 'heat',
  weight: () => 1,
  score: ({ outer }, { ironDots }) => (ironDots >= outer.ironDots ? PERCENT : PERCENT - 30 * (outer.ironDots - ironDots)),
  good: () => undefined,
  poor: () => 'Bears less heat than its cloth: press from the face, at the setting of the lining.',
};

/** What is rubbed every day. */
const wear: LiningCriterion = {
  id: 'wear',
  weight: ({ thing }) => (thing === 'bag' || thing === 'trousers' || thing === 'coat' ? 1.5 : 1),
  score: (_, { fray }) => ({ low: PERCENT, medium: 75, high: 30 })[fray],
  good: ({ thing }, cloth) =>
    thing === 'bag' && isSealed(cloth) ? 'Keeps the wet in or out: it needs no layer, or a light one.' : undefined,
  poor: () => 'Frays: wider allowances, and seams closed at once.',
};

/** Bulk in every seam. */
const bulk: LiningCriterion = {
  id: 'bulk',
  weight: () => 1,
  score: ({ outer }, cloth) => falling(clothThickness(cloth).value / Math.max(0.2, clothThickness(outer).value), 0.8, 2),
  good: () => undefined,
  poor: () => 'Thick: it doubles what lies in the seams.',
};

/** Every criterion. Adding one touches this list alone. */
export const LINING_CRITERIA: readonly LiningCriterion[] = [
  lightness,
  sliding,
  skin,
  charge,
  hang,
  give,
  shade,
  heat,
  wear,
  bulk,
];
