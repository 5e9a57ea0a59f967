import { ALLOWANCE } from './allowance-field';
import type { RecipeKind } from './recipe';

/** A knit strip, shorter than the edge that it binds; cut across, where a knit stretches most. Edges: bottom, right, top, left. */
export const neckbandRecipe: RecipeKind = {
  id: 'neckband',
  name: 'Knit neckband',
  words:
    'A band or binding of a knit, shorter than its edge so that it lies close: 0.85 of it for what stretches well, 0.95 for what hardly does.',
  fields: [
    { field: 'edge', words: 'Edge', kind: 'length', start: 560, min: 50, max: 5000 },
    {
      field: 'share',
      words: 'Length ÷ edge',
      kind: 'number',
      start: 0.9,
      min: 0.5,
      max: 1,
    },
    { field: 'width', words: 'Finished width', kind: 'length', start: 20, min: 3, max: 200 },
    ALLOWANCE,
  ],
  make(values) {
    const { edge, share, width, allowance } = values as Record<string, number> & Bound;
    const length = edge * share;
    return {
      pieces: [
        {
          name: 'Neckband',
          shape: { kind: 'rectangle', width: length, height: 2 * width, corners: [false, false, false, false], corner: 0 },
          allowances: [allowance, allowance, allowance, allowance],
          // Its length runs across the knit.
          grain: 0,
          marks: [
            { kind: 'fold-line', at: [0, width], to: [length, width] },
            ...[0.25, 0.5, 0.75].map((part) => ({ kind: 'quarter' as const, at: [part * length, 0] as [number, number] })),
          ],
          cuts: [
            {
              duty: 'shell',
              count: 1,
              orientation: 'straight',
              jobs: [{ name: '', place: { kind: 'whole' }, role: 'knit-binding' }],
            },
          ],
        },
      ],
      seams: [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }],
      facts: [
        { words: 'Cut length, across the knit', length: length + 2 * allowance },
        { words: 'Cut width', length: 2 * width + 2 * allowance },
        { words: 'Stretched as it is sewn', value: `by ${Math.round(100 * (1 / share - 1))} %` },
      ],
      notes: [
        'Stiffen the strip before it is cut and sewn, if its edges roll.',
        'Join it to a ring, mark the edge in quarters too, and stretch the band, not the edge, from one mark to the next.',
      ],
    };
  },
};

interface Bound {
  edge: number;
  share: number;
  width: number;
  allowance: number;
}
