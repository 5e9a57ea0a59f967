import { numberOf, type ClothTest } from '../cloth-test';

/** Reading error of a stack under a coin, mm. */
const RULER = 0.4;

/** Height of a stack over its layers. */
export const thickness: ClothTest = {
  id: 'thickness',
  title: 'Measure a stack',
  purpose: 'Thickness counts in the seams, and in how far a glued layer stiffens.',
  steps: [
    'Fold the cloth to 8 layers, or 16 when it is thin.',
    'Lay a coin on it, so that it is pressed as a hand would press it.',
    'Hold a ruler upright beside it and read the height under the coin.',
  ],
  fields: [
    { id: 'layers', label: 'Layers in the stack', kind: 'count', start: 8 },
    { id: 'height', label: 'Height of the stack', kind: 'length' },
  ],
  why: 'Height ÷ layers. A height is read to about 0.4 mm, so sixteen layers tell twice as much as eight.',
  settles: ['thickness'],
  read(readings) {
    const layers = numberOf(readings, 'layers', '', { min: 2, max: 200 });
    const height = numberOf(readings, 'height', 'mm', { above: 0, max: 500 });
    const value = height / layers;
    return {
      figures: [{ label: 'Thickness', value, unit: 'mm', give: RULER / layers }],
      patch: { thickness: value },
      meaning:
        value < 0.3
          ? 'Thin: edges of a layer may print through.'
          : value < 0.8
            ? 'Ordinary: seams turn well with a light layer in them.'
            : 'Thick: keep layers out of the seams.',
    };
  },
};
