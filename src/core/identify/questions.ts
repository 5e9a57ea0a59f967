import { clothBendingLength, fibreShare, type Fabric } from '../cloth';

export interface Answer {
  id: string;
  words: string;
}

/** Something that can be seen or felt of an unknown cloth or layer, and how likely each answer is for a known one. */
export interface Look<T = Fabric> {
  id: string;
  question: string;
  /** How to look. */
  how: string;
  answers: readonly Answer[];
  /** Likelihood of each answer for a known one, in the order of the answers; need not add up to 1. */
  likelihood(known: T): number[];
}

/** A person looks wrong or a cloth is unusual about this often. */
const SLIP = 0.06;

/**
 * Nearly certain of one answer, the slip spread over the others.
 *
 * @example sure(0, 2) // [ 0.94, 0.06 ]
 */
export function sure(index: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => (i === index ? 1 - SLIP : SLIP / (count - 1)));
}

/**
 * Bell round a value on a logarithmic scale, for answers that stand for a size each.
 *
 * @example near(100, [100, 200], 20)[0] // 1.01
 */
export function near(value: number, sizes: readonly number[], sigma: number): number[] {
  return sizes.map((size) => Math.exp(-0.5 * (Math.log(value / size) / sigma) ** 2) + 0.01);
}

const yesNo: readonly Answer[] = [
  { id: 'yes', words: 'yes' },
  { id: 'no', words: 'no' },
];

const has = (fabric: Fabric, surface: Fabric['surface'][number]) => fabric.surface.includes(surface);

/** All questions. Data: adding one is one entry. */
export const QUESTIONS: readonly Look[] = [
  {
    id: 'unravel',
    question: 'Pull at a cut edge: what comes?',
    how: 'Pick at the edge with a needle.',
    answers: [
      { id: 'threads', words: 'straight threads' },
      { id: 'loops', words: 'a ladder, or loops that unravel' },
      { id: 'curls', words: 'nothing, the edge rolls up' },
      { id: 'nothing', words: 'nothing at all' },
    ],
    likelihood: (f) => {
      if (f.construction === 'woven') return f.fray === 'low' ? [0.75, 0.03, 0.02, 0.2] : [0.93, 0.03, 0.01, 0.03];
      if (f.construction === 'knit')
        return f.weave === 'fleece'
          ? [0.05, 0.3, 0.25, 0.4]
          : f.weave === 'jersey'
            ? [0.03, 0.4, 0.5, 0.07]
            : [0.04, 0.7, 0.16, 0.1];
      if (f.construction === 'net') return [0.08, 0.2, 0.02, 0.7];
      if (f.construction === 'coated') return [0.25, 0.03, 0.02, 0.7];
      return [0.04, 0.02, 0.02, 0.92];
    },
  },
  {
    id: 'pull',
    question: 'Pull it gently across: how far does it go?',
    how: 'Hold 10 cm between two fingers of each hand.',
    answers: [
      { id: 'none', words: 'not at all' },
      { id: 'little', words: 'a finger’s breadth, 10 to 20 %' },
      { id: 'much', words: 'a third or more' },
    ],
    likelihood: (f) => {
      const most = Math.max(f.stretchLength, f.stretchCross);
      if (most < 6) return [0.92, 0.07, 0.01];
      if (most < 10) return [0.55, 0.42, 0.03];
      if (most < 25) return [0.08, 0.8, 0.12];
      return [0.02, 0.22, 0.76];
    },
  },
  {
    id: 'weight',
    question: 'Weigh it by hand: a piece as large as a sheet of letter paper is like …',
    how: 'Hold the things one after the other in the same hand.',
    answers: [
      { id: '2', words: 'a paper handkerchief (2 g)' },
      { id: '5', words: 'a sheet of writing paper (5 g)' },
      { id: '9', words: 'two sheets of paper (9 g)' },
      { id: '15', words: 'three sheets (15 g)' },
      { id: '24', words: 'a thin slice of cheese (24 g)' },
    ],
    likelihood: (f) => near(f.arealDensity * 0.06, [2, 5, 9, 15, 24], 0.38),
  },
  {
    id: 'shine',
    question: 'How does it shine?',
    how: 'Tilt it under a lamp.',
    answers: [
      { id: 'dull', words: 'dull' },
      { id: 'soft', words: 'a soft sheen' },
      { id: 'bright', words: 'bright' },
    ],
    likelihood: (f) => {
      if (has(f, 'beaded') || has(f, 'coated')) return [0.15, 0.3, 0.55];
      const bright = f.weave === 'satin' ? 0.55 : 0;
      const sheen =
        fibreShare(f, 'silk', 'polyester', 'nylon', 'viscose', 'acetate', 'linen') * 0.4 + (has(f, 'pile') ? 0.35 : 0);
      const shine = Math.min(0.9, bright + sheen);
      return [1 - shine + 0.05, 0.6 * shine + 0.1, bright * 0.8 + sheen * 0.25 + 0.02];
    },
  },
  {
    id: 'through',
    question: 'Hold it over print: what do you see?',
    how: 'One layer, in daylight.',
    answers: [
      { id: 'words', words: 'the words' },
      { id: 'lines', words: 'that there are lines' },
      { id: 'nothing', words: 'nothing' },
    ],
    likelihood: (f) => ({ sheer: [0.9, 0.09, 0.01], veiled: [0.1, 0.78, 0.12], opaque: [0.01, 0.11, 0.88] })[f.sheer],
  },
  {
    id: 'surface',
    question: 'What is its face like?',
    how: 'Look along it, then stroke it both ways.',
    answers: [
      { id: 'flat', words: 'flat and even' },
      { id: 'pile', words: 'a pile that lies one way' },
      { id: 'lofty', words: 'fluffy or felted' },
      { id: 'loops', words: 'loops' },
      { id: 'crinkle', words: 'crinkled or in relief' },
      { id: 'open', words: 'with holes' },
      { id: 'skin', words: 'a skin: coated, waxed or leather' },
      { id: 'beads', words: 'beads or sequins' },
    ],
    likelihood: (f) => {
      if (has(f, 'pile')) return sure(1, 8);
      if (has(f, 'beaded')) return sure(7, 8);
      if (has(f, 'looped')) return sure(3, 8);
      if (has(f, 'crinkled')) return sure(4, 8);
      if (has(f, 'openwork')) return sure(5, 8);
      if (f.construction === 'leather' || has(f, 'coated')) return sure(6, 8);
      if (has(f, 'lofty') || f.construction === 'nonwoven') return sure(2, 8);
      return sure(0, 8);
    },
  },
  {
    id: 'diagonal',
    question: 'Which lines run over it?',
    how: 'Look through a lens, or tilt it in raking light.',
    answers: [
      { id: 'plain', words: 'over and under, like a basket' },
      { id: 'twill', words: 'slanting lines' },
      { id: 'vees', words: 'columns of little vees or ribs' },
      { id: 'smooth', words: 'none: smooth or hidden' },
    ],
    likelihood: (f) => {
      if (f.construction === 'knit') return f.weave === 'fleece' ? [0.03, 0.02, 0.45, 0.5] : [0.03, 0.03, 0.88, 0.06];
      if (f.weave === 'twill') return [0.05, 0.88, 0.02, 0.05];
      if (f.weave === 'satin' || f.weave === 'pile') return [0.05, 0.08, 0.02, 0.85];
      if (f.weave === 'plain' || f.weave === 'loose' || f.weave === 'eyelet') return [0.86, 0.04, 0.02, 0.08];
      if (f.weave === 'crepe') return [0.35, 0.05, 0.03, 0.57];
      return [0.2, 0.05, 0.08, 0.67];
    },
  },
  {
    id: 'crumple',
    question: 'Crush it in your fist for ten seconds: what stays?',
    how: 'Open the hand and wait a moment.',
    answers: [
      { id: 'sharp', words: 'sharp creases' },
      { id: 'soft', words: 'soft ones that go' },
      { id: 'none', words: 'none' },
    ],
    likelihood: (f) => {
      if (f.construction === 'knit' || f.construction === 'net' || f.construction === 'leather') return [0.04, 0.3, 0.66];
      const creases = 0.85 * fibreShare(f, 'linen') + 0.6 * fibreShare(f, 'cotton', 'viscose') + 0.3 * fibreShare(f, 'silk');
      const springs = 0.75 * fibreShare(f, 'polyester', 'nylon', 'polyurethane', 'acrylic') + 0.55 * fibreShare(f, 'wool');
      return [creases + 0.04, 0.4, springs + 0.04];
    },
  },
  {
    id: 'water',
    question: 'Let a drop of water fall on it: what happens?',
    how: 'On a scrap; wait a minute.',
    answers: [
      { id: 'in', words: 'it sinks in' },
      { id: 'on', words: 'it stands on top' },
      { id: 'mark', words: 'it leaves a ring when it dries' },
    ],
    likelihood: (f) => {
      if (f.water === 'resists') return [0.05, 0.92, 0.03];
      if (f.water === 'spots') return [0.2, 0.1, 0.7];
      return fibreShare(f, 'cotton', 'linen', 'viscose') > 0.6 ? [0.92, 0.05, 0.03] : [0.55, 0.4, 0.05];
    },
  },
  {
    id: 'hang',
    question: 'Let a hand’s breadth hang over a table edge: how does it hang?',
    how: '10 cm past the edge, flat on the table.',
    answers: [
      { id: 'down', words: 'straight down at once' },
      { id: 'curve', words: 'in a curve' },
      { id: 'out', words: 'it stands out' },
    ],
    likelihood: (f) => {
      const c = clothBendingLength(f).value;
      return near(c, [13, 26, 55], 0.4);
    },
  },
  {
    id: 'warm',
    question: 'Lay it against your cheek: how does it feel?',
    how: 'Wait two seconds.',
    answers: [
      { id: 'cool', words: 'cool' },
      { id: 'neutral', words: 'neither' },
      { id: 'warm', words: 'warm' },
    ],
    likelihood: (f) => {
      const warm = 0.8 * fibreShare(f, 'wool', 'acrylic') + (has(f, 'lofty') || has(f, 'pile') || has(f, 'looped') ? 0.35 : 0);
      const cool =
        0.7 * fibreShare(f, 'linen', 'silk', 'viscose', 'acetate') +
        0.3 * fibreShare(f, 'nylon') +
        (f.weave === 'satin' ? 0.25 : 0);
      return [cool + 0.05, 0.5, warm + 0.05];
    },
  },
  {
    id: 'dark',
    question: 'Is it thin enough to lift three layers with a pin?',
    how: 'Try it at the edge.',
    answers: yesNo,
    likelihood: (f) => (f.arealDensity < 110 ? [0.9, 0.1] : f.arealDensity < 190 ? [0.5, 0.5] : [0.06, 0.94]),
  },
];
