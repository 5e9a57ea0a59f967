import { InputError } from '../input-error';
import type { RecipeKind } from './recipe';

/** A strip of bias takes a little more than twice its width back when it is turned over the edge, mm. */
const TURN = 3;

/** Strips cut at 45°, joined to a length. Edges of a strip: bottom, right, top, left; its ends lie along the grain. */
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
    // A strip from edge to edge of a rectangle at 45° is as long as its shorter side times the root of two.
    const longest = Math.min(clothWidth, clothLength) * Math.SQRT2 - cut;
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
          shape: { kind: 'rectangle', width: each, height: cut, corners: [false, false, false, false], corner: 0 },
          allowances: [0, 0, 0, 0],
          grain: 45,
          marks: [
            { kind: 'fold-line', at: [0, cut / 2], to: [each, cut / 2] },
            ...(double ? [] : [0.25, 0.75].map((share) => ({ kind: 'fold-line' as const, at: [0, share * cut] as [number, number], to: [each, share * cut] as [number, number] }))), // prettier-ignore
          ],
          cuts: [
            { duty: 'shell', count, orientation: 'bias', jobs: [{ name: '', place: { kind: 'whole' }, role: 'bias-piece' }] },
          ],
        },
      ],
      facts: [
        { words: 'Width of the strip', length: cut },
        { words: 'Strips', value: `${count}` },
        { words: 'Length of each', length: each },
        { words: 'In all, with the turn and its joins', length: total },
        { words: 'From a square of this side in one continuous strip', length: Math.sqrt(total * cut) },
      ],
      notes: [
        'Starch or spray the cloth before the strips are cut: they keep their width, and do not stretch under the needle.',
        'Join two strips at right angles, right sides together, along the grain of their ends; press the join open and clip the points.',
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
