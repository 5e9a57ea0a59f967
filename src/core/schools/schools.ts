/**
 * Questions on which practitioners disagree. Each is a choice with a default and the reason for it; a person
 * sets them once and can turn one for a single part. Data: a new school is one option.
 */
export interface School {
  id: string;
  words: string;
  why: string;
}

export interface SchoolQuestion {
  id: SchoolId;
  question: string;
  /** The first option is the default. */
  options: readonly [School, ...School[]];
}

export const SCHOOL_IDS = ['seam', 'order', 'heat', 'moving', 'cover', 'starch', 'strongStarch', 'hooping', 'padding'] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];

/** One option's id for each question. */
export type Schools = Record<SchoolId, string>;

export const SCHOOLS: readonly SchoolQuestion[] = [
  {
    id: 'seam',
    question: 'Does the layer run into the seam allowance?',
    options: [
      {
        id: 'by-thickness',
        words: 'by its thickness',
        why: 'Light layers are caught in the seam, medium ones trimmed a little, anything firm or padded stays out: least bulk for the hold.',
      },
      { id: 'full', words: 'full size, caught in the seam', why: 'The seam holds the layer for good; corners get thicker.' },
      { id: 'trimmed', words: 'trimmed by about 6 mm', why: 'The stitching still catches it, the outer edge stays thin.' },
      { id: 'net', words: 'to the seam line', why: 'The thinnest seam; the glue alone holds the layer.' },
    ],
  },
  {
    id: 'order',
    question: 'Cut first or fuse first?',
    options: [
      {
        id: 'by-shape',
        words: 'by shape',
        why: 'Several small pieces of one stack are fused together; shaped or grain-critical ones are cut first.',
      },
      { id: 'cut-first', words: 'cut both, then fuse', why: 'Each piece is exact, and no layer is wasted between pieces.' },
      {
        id: 'fuse-together',
        words: 'fuse cut cloth onto the uncut layer',
        why: 'One pressing for many small pieces; their edges are cut once, through both.',
      },
      {
        id: 'fuse-length',
        words: 'fuse a length, then cut',
        why: 'No shrinking surprise after cutting; uses most of the layer.',
      },
    ],
  },
  {
    id: 'heat',
    question: 'How long, how wet?',
    options: [
      { id: 'leaflet', words: 'as the leaflet says', why: 'The maker knows the glue.' },
      { id: 'short-lifts', words: 'dry, short lifts of 5 s', why: 'With a heavy iron; watch the cloth after each lift.' },
      { id: 'ten-dry', words: '10 s each, dry', why: 'Even and easy to count.' },
      { id: 'damp', words: 'damp cloth and steam, 12 s', why: 'Steam carries the heat through thick layers.' },
      { id: 'long', words: 'steam, 18 s', why: 'For stubborn glue and a light iron.' },
    ],
  },
  {
    id: 'moving',
    question: 'How does the iron move on?',
    options: [
      { id: 'lift', words: 'lift and set down', why: 'Nothing shifts; pieces longer than three irons are tacked first.' },
      { id: 'tack', words: 'tack in places, then press', why: 'Fixes the layer before the full press.' },
      { id: 'creep', words: 'creep with most of the weight off', why: 'Quick on long pieces; needs a light hand.' },
    ],
  },
  {
    id: 'cover',
    question: 'What lies between iron and work?',
    options: [
      { id: 'by-case', words: 'as the layer asks', why: 'Organza lets you see in garments; paper catches glue that escapes.' },
      { id: 'paper', words: 'baking paper', why: 'Glue never reaches the iron.' },
      { id: 'cloth', words: 'thin cotton', why: 'Always at hand, takes steam.' },
      { id: 'organza', words: 'silk organza', why: 'See-through and strong.' },
      { id: 'shoe', words: 'a shoe on the iron', why: 'No cover to move from stop to stop.' },
    ],
  },
  {
    id: 'starch',
    question: 'Starch before cutting?',
    options: [
      { id: 'helps', words: 'where it helps', why: 'Small pieces, bias, lively cloth and stitching grounds.' },
      { id: 'always', words: 'always', why: 'Every edge is cut true.' },
      { id: 'never', words: 'never', why: 'Nothing to rinse out, nothing for moths and mice.' },
    ],
  },
  {
    id: 'strongStarch',
    question: 'Strong starch, how?',
    options: [
      { id: 'pre-spray', words: 'spray, dry, mist, press later', why: 'Several pieces dry while you work.' },
      { id: 'rounds', words: 'several rounds of wet and press', why: 'One piece at a time, done when it is done.' },
    ],
  },
  {
    id: 'hooping',
    question: 'What goes into the hoop?',
    options: [
      {
        id: 'cloth',
        words: 'the cloth, whenever it can',
        why: 'The hoop holds the cloth itself; only what it would mark is floated.',
      },
      {
        id: 'sheet',
        words: 'the sheet, the cloth on top',
        why: 'No hoop marks at all; it needs a sticky or sprayed sheet, which then comes first.',
      },
    ],
  },
  {
    id: 'padding',
    question: 'Which padding first?',
    options: [
      { id: 'at-hand', words: 'what is in the cupboard', why: 'Both serve; spray only with fresh air.' },
      { id: 'fleece', words: 'fusible fleece', why: 'No spray, no shifting.' },
      { id: 'wadding', words: 'wadding and spray glue', why: 'Softer, cheaper, and it can be lifted again.' },
    ],
  },
];

/** What each question is set to when the person has not said. */
export const DEFAULT_SCHOOLS: Schools = Object.fromEntries(SCHOOLS.map(({ id, options }) => [id, options[0].id])) as Schools;

/**
 * The person's settings with a part's own switches laid over them.
 *
 * @example schoolsOf().seam // 'by-thickness'
 */
export function schoolsOf(...settings: (Partial<Schools> | undefined)[]): Schools {
  return Object.assign({}, DEFAULT_SCHOOLS, ...settings) as Schools;
}
