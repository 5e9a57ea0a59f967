import { isFusible, type Family, type Material } from '../layers';
import { near, sure, type Look } from './questions';

/** How the face of a family looks through a lens: paper, threads, loops, fluff, foam, film, wiry. */
const LOOK: Partial<Record<Family, number>> = {
  ...{
    nonwoven: 0,
    'firm-nonwoven': 0,
    'tear-away': 0,
    'cut-away': 0,
    'pattern-cloth': 0,
    'stiff-core': 0,
    'waistband-strip': 0,
  },
  ...{
    woven: 1,
    'cloth-underlining': 1,
    organza: 1,
    organdy: 1,
    mulling: 1,
    buckram: 1,
    'stay-tape': 1,
    weft: 1,
    'hair-canvas': 1,
  },
  ...{
    tricot: 2,
    'stretch-knit': 2,
    mesh: 0,
    fleece: 3,
    wadding: 3,
    foam: 4,
    'wash-away': 5,
    'heat-away': 5,
    topping: 5,
    braid: 6,
  },
};
/** Tears like paper, tears along threads, does not tear. */
const TEAR: Partial<Record<Family, [number, number, number]>> = {
  nonwoven: [0.35, 0.25, 0.4],
  'tear-away': [0.9, 0.07, 0.03],
  'cut-away': [0.05, 0.05, 0.9],
  mesh: [0.08, 0.17, 0.75],
  'firm-nonwoven': [0.1, 0.1, 0.8],
  woven: [0.02, 0.78, 0.2],
  mulling: [0.02, 0.85, 0.13],
  'cloth-underlining': [0.02, 0.85, 0.13],
  'wash-away': [0.55, 0.1, 0.35],
  topping: [0.6, 0.1, 0.3],
};

/** What can be seen and felt of an interfacing or a sheet without a label. Data: adding one is one entry. */
export const LAYER_QUESTIONS: readonly Look<Material>[] = [
  {
    id: 'look',
    question: 'Look at it closely: what is it made of?',
    how: 'Through a lens, against the light.',
    answers: [
      { id: 'paper', words: 'tangled fibres, like paper' },
      { id: 'threads', words: 'threads that cross' },
      { id: 'loops', words: 'rows of little loops' },
      { id: 'fluff', words: 'a thick fluff' },
      { id: 'foam', words: 'foam' },
      { id: 'film', words: 'a clear or gel-like film' },
      { id: 'wire', words: 'stiff wiry strands' },
    ],
    likelihood: ({ family }) => sure(LOOK[family] ?? 0, 7),
  },
  {
    id: 'glue',
    question: 'Stroke both sides: is there glue on it?',
    how: 'Tilt it under a lamp; glue feels rougher and catches the light.',
    answers: [
      { id: 'none', words: 'no, both sides feel alike' },
      { id: 'dots', words: 'dots, or a rough web, on one side' },
      { id: 'film', words: 'a shiny, even coat on one side' },
      { id: 'both', words: 'on both sides' },
      { id: 'sticky', words: 'it sticks by itself, under a paper' },
    ],
    likelihood: ({ form, glue }) => {
      if (form === 'sticky') return sure(4, 5);
      if (form === 'fusible-both') return [0.03, 0.1, 0.07, 0.78, 0.02];
      if (isFusible(form)) return glue === 'film' ? [0.04, 0.15, 0.77, 0.02, 0.02] : [0.06, 0.82, 0.08, 0.02, 0.02];
      return sure(0, 5);
    },
  },
  {
    id: 'pull',
    question: 'Pull it along and across: does it give?',
    how: 'Hold 10 cm between two fingers of each hand.',
    answers: [
      { id: 'none', words: 'neither way' },
      { id: 'one', words: 'one way' },
      { id: 'both', words: 'both ways' },
    ],
    likelihood: ({ stretchLength, stretchCross }) => {
      const [less, more] = [Math.min(stretchLength, stretchCross), Math.max(stretchLength, stretchCross)];
      if (less >= 12) return [0.02, 0.13, 0.85];
      if (more >= 10) return [0.07, 0.86, 0.07];
      return more >= 5 ? [0.6, 0.35, 0.05] : [0.92, 0.06, 0.02];
    },
  },
  {
    id: 'tear',
    question: 'Try to tear a corner: what happens?',
    how: 'From the edge, both ways.',
    answers: [
      { id: 'paper', words: 'it tears like paper' },
      { id: 'line', words: 'it tears in a straight line, or pulls apart one way' },
      { id: 'holds', words: 'it does not tear' },
    ],
    likelihood: ({ family }) => TEAR[family] ?? [0.05, 0.2, 0.75],
  },
  {
    id: 'weight',
    question: 'Weigh it by hand: a piece as large as a sheet of letter paper is like …',
    how: 'Hold the things one after the other in the same hand.',
    answers: [
      { id: '1', words: 'half a paper handkerchief (1 g)' },
      { id: '2', words: 'a paper handkerchief (2 g)' },
      { id: '5', words: 'a sheet of writing paper (5 g)' },
      { id: '9', words: 'two sheets of paper (9 g)' },
      { id: '15', words: 'three sheets (15 g)' },
      { id: '27', words: 'five or six sheets (27 g)' },
    ],
    likelihood: ({ arealDensity }) => near(arealDensity * 0.06, [1.2, 2.4, 5, 9, 15, 27], 0.3),
  },
  {
    id: 'stand',
    question: 'Let a hand’s breadth hang over a table edge: how does it hang?',
    how: '10 cm past the edge, flat on the table.',
    answers: [
      { id: 'down', words: 'straight down at once' },
      { id: 'curve', words: 'in a curve' },
      { id: 'out', words: 'it stands out' },
    ],
    likelihood: ({ bendingLength }) => near(Math.max(5, bendingLength), [13, 28, 65], 0.45),
  },
  {
    id: 'wet',
    question: 'Lay a corner in water: what becomes of it?',
    how: 'A snippet in a cup, for a minute.',
    answers: [
      { id: 'same', words: 'nothing' },
      { id: 'gone', words: 'it goes soft and dissolves' },
    ],
    likelihood: ({ ends }) => (ends === 'rinsed' ? [0.05, 0.95] : [0.97, 0.03]),
  },
  {
    id: 'width',
    question: 'How wide is the roll?',
    how: 'Between its own edges, if both are there.',
    answers: [
      { id: 'tape', words: 'a tape or a strip' },
      { id: 'narrow', words: 'about 30 to 60 cm' },
      { id: 'wide', words: '75 cm or more' },
      { id: 'cut', words: 'it was cut off: I cannot tell' },
    ],
    likelihood: ({ rollWidth }) =>
      rollWidth > 0 && rollWidth <= 200
        ? [0.8, 0.02, 0.01, 0.17]
        : rollWidth <= 650
          ? [0.02, 0.63, 0.1, 0.25]
          : [0.02, 0.08, 0.65, 0.25],
  },
];
