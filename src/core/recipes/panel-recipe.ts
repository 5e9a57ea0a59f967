import { InputError } from '../input-error';
import type { Mark } from '../pieces';
import { ALLOWANCE } from './allowance-field';
import type { RecipeCut, RecipeKind } from './recipe';

interface Squared {
  width: number;
  height: number;
  margin: number;
  count: number;
  allowance: number;
}

/** A panel or block that is cut rough, held as a whole, and only then squared to its size. Edges: bottom, right, top, left. */
export const panelRecipe: RecipeKind = {
  id: 'panel',
  name: 'Panel or block, squared',
  words:
    'Of a shirt, a print or a quilt block: cut rough, made firm as a whole, pressed, perhaps embroidered, and squared to its size last.',
  fields: [
    { field: 'width', words: 'Wide, sewn', kind: 'length', start: 300, min: 20, max: 2000 },
    { field: 'height', words: 'High, sewn', kind: 'length', start: 300, min: 20, max: 2000 },
    { field: 'margin', words: 'Cut rough by, each side', kind: 'length', start: 25, min: 0, max: 200 },
    { field: 'count', words: 'How many', kind: 'number', start: 1, min: 1, max: 200 },
    { ...ALLOWANCE, start: 6 },
    { field: 'knit', words: 'It is a knit, such as a T-shirt', kind: 'yes', start: 1, min: 0, max: 1 },
    { field: 'motif', words: 'A motif in its middle', kind: 'yes', start: 0, min: 0, max: 1 },
  ],
  make(values) {
    const { width, height, margin, count, allowance } = values as Record<string, number> & Squared;
    if (!Number.isInteger(count)) throw new InputError('count', `must be a whole number, saw ${count}`);
    const middle: [number, number] = [width / 2, height / 2];
    const corner = (x: number, y: number): Mark => ({ kind: 'drill', at: [x, y] });
    const jobs: RecipeCut['jobs'] = [
      { name: '', place: { kind: 'whole' }, role: values['knit'] ? 'knit-panel-quilt' : 'quilt-piece' },
      ...(values['motif'] ? [{ name: 'motif', place: { kind: 'field', at: middle } as const, role: 'embroidery' as const }] : []),
    ];
    const squared = { width: width + 2 * allowance, height: height + 2 * allowance };
    return {
      pieces: [
        {
          name: 'Panel',
          shape: { kind: 'rectangle', width, height, corners: [false, false, false, false], corner: 0 },
          allowances: [0, 1, 2, 3].map(() => allowance + margin),
          grain: 0,
          marks: [
            corner(-allowance, -allowance),
            corner(width + allowance, -allowance),
            corner(width + allowance, height + allowance),
            corner(-allowance, height + allowance),
            { kind: 'drill', at: middle },
          ],
          cuts: [{ duty: 'shell', count, orientation: 'straight', jobs }],
        },
      ],
      seams: [
        { first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } },
        { first: { piece: 0, edges: [0] }, second: { piece: 0, edges: [2] } },
      ],
      facts: [
        { words: 'Cut rough, wide', length: squared.width + 2 * margin },
        { words: 'Cut rough, high', length: squared.height + 2 * margin },
        { words: 'Squared to, wide', length: squared.width },
        { words: 'Squared to, high', length: squared.height },
      ],
      notes: [
        'Cut it rough, its middle where the print or the place for the motif is, straight with the grain or the ribs.',
        'Put the layer on while it is rough, all of it, and let it cool flat: what shrinks or moves does so now.',
        ...(values['motif']
          ? ['Lay the motif’s cross on the middle mark, embroider, trim the sheet, press from the wrong side.']
          : []),
        'Square it last: the template’s middle on the middle, the ruler along the four corner marks, all four sides one after the other.',
        'Join panels with what holds the knit from growing: a lower foot pressure, the layer to the needle’s side where it can be.',
      ],
    };
  },
};
