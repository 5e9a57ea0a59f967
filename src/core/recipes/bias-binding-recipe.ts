import { biasStrip, biasStrips, JOINING_BIAS } from './bias-strips';
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
    const total = edge + 2 * allowance + 50;
    const strips = biasStrips({ total, cut, clothWidth, clothLength, allowance });
    return {
      pieces: [biasStrip('Bias strip', strips, cut, double ? [0.5] : [0.5, 0.25, 0.75])],
      // End to end, as many as there are.
      seams: [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }],
      facts: [
        { words: 'Width of the strip', length: cut },
        { words: 'Strips', value: `${strips.count}` },
        { words: 'Length of each', length: strips.each },
        { words: 'In all, with the turn and its joins', length: total },
        { words: 'From a square of this side in one continuous strip', length: Math.sqrt(total * cut) },
      ],
      notes: [
        'Starch or spray the cloth before the strips are cut: they keep their width, and do not stretch under the needle.',
        JOINING_BIAS,
        ...(double
          ? ['Fold it in half, sew its raw edges to the edge, turn the fold over and catch it.']
          : ['Press both edges to the middle, sew the first crease to the edge, turn it over and catch the second.']),
      ],
    };
  },
};

interface Bound {
  edge: number;
  width: number;
  double: number;
  clothWidth: number;
  clothLength: number;
  allowance: number;
}
