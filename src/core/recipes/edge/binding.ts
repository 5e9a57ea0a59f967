import { edgeRunsOf, seamLength, sewnOutline } from '../../pieces';
import { biasStrip, biasStrips, JOINING_BIAS } from '../bias-strips';
import { plainRectangle } from '../plain-rectangle';
import type { Recipe } from '../recipe';
import { SOURCE, type EdgeKind } from './edge-kind';

interface Measures {
  width: number;
  join: number;
  pieced: number;
  clothWidth: number;
  clothLength: number;
}

/** Allowance of a join on the slant, mm. */
const JOIN = 6;

/** A strip on the bias that is folded round the edges. */
export const edgeBinding: EdgeKind = {
  id: 'edge-binding',
  name: 'Binding',
  words:
    'A strip on the bias round the edges that are touched: as long as they are where they are sewn, four times as wide as it shows.',
  fields: [
    { field: 'width', words: 'Shows', kind: 'length', start: 8, min: 3, max: 60 },
    { field: 'join', words: 'Allowance at its ends', kind: 'length', start: 10, min: 0, max: 50 },
    { field: 'pieced', words: 'Joined from strips on the slant', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'clothWidth', words: 'Cloth width', kind: 'length', start: 1100, min: 100, max: 10_000, onlyIf: 'pieced' },
    {
      field: 'clothLength',
      words: 'Length of cloth it may take',
      kind: 'length',
      start: 500,
      min: 50,
      max: 10_000,
      onlyIf: 'pieced',
    },
  ],
  make({ name, spec, edges, count }, values) {
    const { width, join, pieced, clothWidth, clothLength } = values as Record<string, number> & Measures;
    const times = edgeRunsOf(sewnOutline(spec).edges, edges).length;
    const length = seamLength(spec, edges) / times;
    // Asked of the cloth only where it is pieced.
    const strips =
      pieced !== 1
        ? { count: 1, each: 0 }
        : biasStrips({ total: length + 2 * join, cut: 4 * width, clothWidth, clothLength, allowance: JOIN });
    const called = `${name}: binding`;
    const copies = count * times;
    // One that reaches all along needs no join, and is cut as it is.
    const inStrips = pieced === 1 && strips.count > 1;
    const made: Pick<Recipe, 'pieces' | 'seams'> = inStrips
      ? {
          pieces: [biasStrip(`${called}, strip`, { ...strips, count: strips.count * copies }, 4 * width, [0.25, 0.5, 0.75])],
          seams: [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }],
        }
      : { pieces: [wholeStrip(called, length, width, join, copies)], seams: [{ first: { piece: SOURCE, edges: [...edges] }, second: { piece: 0, edges: [0], times } }] }; // prettier-ignore
    return {
      ...made,
      facts: [
        { words: 'Along the edge', length },
        { words: 'Cut width', length: 4 * width },
        { words: inStrips ? 'Joined length' : 'Cut length', length: length + 2 * join },
        ...(inStrips
          ? [
              { words: 'Strips for each', value: `${strips.count}` },
              { words: 'Length of each', length: strips.each },
            ]
          : []),
      ],
      notes: [
        'The edge that is bound has no allowance of its own: cut it off at the line that is sewn, or give the edge 0 mm.',
        ...(inStrips ? [JOINING_BIAS] : []),
        'Press the strip in half and each half to the middle, without stretching it.',
        'Sew it on right sides together, its edge on the edge, in the first crease; fold it over and stitch in the seam.',
      ],
    };
  },
};

/** In one length. Edges: bottom, right, top, left. It is sewn so far inside its long edges as it shows. */
function wholeStrip(name: string, length: number, width: number, join: number, count: number): Recipe['pieces'][number] {
  return {
    name,
    shape: plainRectangle(length, 2 * width),
    allowances: [width, join, width, join],
    grain: 90,
    marks: [{ kind: 'fold-line', at: [0, width], to: [length, width] }],
    cuts: [{ duty: 'shell', count, orientation: 'bias', jobs: [{ name: '', place: { kind: 'whole' }, role: 'bias-piece' }] }],
  };
}
