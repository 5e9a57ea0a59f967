import { edgeRunsOf, seamLength, sewnOutline } from '../../pieces';
import { SOURCE, type EdgeKind } from './edge-kind';

interface Measures {
  width: number;
  join: number;
}

/** A strip on the bias that is folded round the edges. */
export const edgeBinding: EdgeKind = {
  id: 'edge-binding',
  name: 'Binding',
  words:
    'A strip on the bias round the edges that are touched: as long as they are where they are sewn, four times as wide as it shows.',
  fields: [
    { field: 'width', words: 'Shows', kind: 'length', start: 8, min: 3, max: 60 },
    { field: 'join', words: 'Allowance at its ends', kind: 'length', start: 10, min: 0, max: 50 },
  ],
  make({ name, spec, edges, count }, values) {
    const { width, join } = values as Record<string, number> & Measures;
    const times = edgeRunsOf(sewnOutline(spec).edges, edges).length;
    const length = seamLength(spec, edges) / times;
    return {
      pieces: [
        {
          name: `${name}: binding`,
          // Edges: bottom, right, top, left. It is sewn so far inside its long edges as it shows.
          shape: { kind: 'rectangle', width: length, height: 2 * width, corners: [false, false, false, false], corner: 0 },
          allowances: [width, join, width, join],
          grain: 90,
          marks: [{ kind: 'fold-line', at: [0, width], to: [length, width] }],
          cuts: [
            {
              duty: 'shell',
              count: count * times,
              orientation: 'bias',
              jobs: [{ name: '', place: { kind: 'whole' }, role: 'bias-piece' }],
            },
          ],
        },
      ],
      seams: [{ first: { piece: SOURCE, edges: [...edges] }, second: { piece: 0, edges: [0], times } }],
      facts: [
        { words: 'Along the edge', length },
        { words: 'Cut width', length: 4 * width },
        { words: 'Cut length', length: length + 2 * join },
      ],
      notes: [
        'The edge that is bound has no allowance of its own: cut it off at the line that is sewn, or give the edge 0 mm.',
        'Press the strip in half and each half to the middle, without stretching it.',
        'Sew it on right sides together, its edge on the edge, in the first crease; fold it over and stitch in the seam.',
      ],
    };
  },
};
