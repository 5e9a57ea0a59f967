import { InputError } from '../input-error';
import type { Mark } from '../pieces';
import type { RecipeKind } from './recipe';

/** A strip of bias takes a little more than twice its width back when it is turned over the edge, mm. */
const TURN = 3;

/** Strips cut at 45°, joined to a length. Edges of a strip: bottom, right end, top, left end; its ends are slanted, along the grain. */
export const biasBindingRecipe: RecipeKind = {
  id: 'bias-binding',
  name: 'Bias binding',
  words: 'Strips cut at 45° to the grain and joined: single, with both edges folded in, or double, folded in half.',
  fields: [
    { field: 'edge', words: 'Edge to bind', kind: 'length', start: 2000, min: 50, max: 50_000 },
    { field: 'width', words: 'Finished width', kind: 'length', start: 10, min: 3, max: 60 },
    { field: 'double', words: 'Double, folded in half', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'clothWidth', words: 'Cloth width', kind: 'length', start: 1100, min: 100, max: 10_000 },
    { field: 'clothLength', words: 'Length of cloth it may take', kind: 'length', start: 500, min: 50, max: 10_000 },
    { field: 'allowance', words: 'Allowance of a join', kind: 'length', start: 6, min: 3, max: 30 },
  ],
  make(values) {
    const { edge, width, double, clothWidth, clothLength, allowance } = values as Record<string, number> & Bound;
    const cut = (double ? 6 : 4) * width + TURN;
    // From one edge of the cloth to the other at 45°, its ends lying on them: as long as the cloth is deep times the root of two, where the
    // cloth is wide enough for the strip's own slant beside it.
    const [short, long] = [Math.min(clothWidth, clothLength), Math.max(clothWidth, clothLength)];
    const longest = Math.min(short, long - cut * Math.SQRT2) * Math.SQRT2;
    if (longest < 2 * cut) throw new InputError('clothLength', `gives no strip ${cut} mm wide; saw ${clothLength} mm`);
    const total = edge + 2 * allowance + 50;
    // A join on the slant takes its allowance twice, along the strip by the root of two.
    const join = 2 * allowance * Math.SQRT2;
    const count = Math.max(1, Math.ceil((total - join) / (longest - join)));
    const each = (total + (count - 1) * join) / count;
    return {
      pieces: [
        {
          name: 'Bias strip',
          shape: {
            kind: 'drawn',
            edges: [{ from: [0, 0] }, { from: [each, 0] }, { from: [each + cut, cut] }, { from: [cut, cut] }],
          },
          allowances: [0, 0, 0, 0],
          grain: 45,
          marks: [foldAt(0.5, each, cut), ...(double ? [] : [foldAt(0.25, each, cut), foldAt(0.75, each, cut)])],
          cuts: [
            { duty: 'shell', count, orientation: 'bias', jobs: [{ name: '', place: { kind: 'whole' }, role: 'bias-piece' }] },
          ],
        },
      ],
      // End to end, as many as there are.
      seams: [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }],
      facts: [
        { words: 'Width of the strip', length: cut },
        { words: 'Strips', value: `${count}` },
        { words: 'Length of each', length: each },
        { words: 'In all, with the turn and its joins', length: total },
        { words: 'From a square of this side in one continuous strip', length: Math.sqrt(total * cut) },
      ],
      notes: [
        'Starch or spray the cloth before the strips are cut: they keep their width, and do not stretch under the needle.',
        'Lay two strips right sides together, slanted end on slanted end, so that they form a right angle; sew with the allowance, press the join open and clip the points.',
        ...(double
          ? ['Fold it in half, sew its raw edges to the edge, turn the fold over and catch it.']
          : ['Press both edges to the middle, sew the first crease to the edge, turn it over and catch the second.']),
      ],
    };
  },
};

/** A crease along a slanted strip, at so much of its width. */
function foldAt(share: number, each: number, cut: number): Mark {
  return { kind: 'fold-line', at: [share * cut, share * cut], to: [each + share * cut, share * cut] };
}

interface Bound {
  edge: number;
  width: number;
  double: number;
  clothWidth: number;
  clothLength: number;
  allowance: number;
}
