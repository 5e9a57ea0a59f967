import { numberOf, type ClothTest } from '../cloth-test';

/** A kitchen balance reads to a tenth of a gram, a ruler to half a millimetre at each end. */
const BALANCE = 0.1;
const RULER = 0.7;

/** Mass of a cut swatch over its area. */
export const weightTest: ClothTest = {
  id: 'weight',
  title: 'Weigh a swatch',
  purpose: 'Weight decides how heavy a layer may be.',
  steps: [
    'Cut a swatch along the grain, 10 × 10 cm or larger; use the printed template.',
    'Weigh it to a tenth of a gram. Several swatches together read more exactly.',
    'Enter the mass of all of them and the size of one.',
  ],
  fields: [
    { id: 'mass', label: 'Mass', kind: 'mass', hint: 'All swatches together, such as 1.7 g or 0.06 oz' },
    { id: 'width', label: 'Width of a swatch', kind: 'length', start: 100 },
    { id: 'height', label: 'Height of a swatch', kind: 'length', start: 100 },
    { id: 'pieces', label: 'How many swatches', kind: 'count', start: 1 },
  ],
  why: 'Mass ÷ (width × height × swatches). The give is what a balance to 0.1 g and a ruler to 0.7 mm leave open; more or larger swatches narrow it.',
  settles: ['arealDensity'],
  read(readings) {
    const mass = numberOf(readings, 'mass', 'g', { above: 0, max: 10_000 });
    const width = numberOf(readings, 'width', 'mm', { min: 10, max: 2000 });
    const height = numberOf(readings, 'height', 'mm', { min: 10, max: 2000 });
    const pieces = numberOf(readings, 'pieces', '', { min: 1, max: 100 });
    const arealDensity = mass / ((width * height * pieces) / 1e6);
    const relative = Math.hypot(BALANCE / mass, RULER / width, RULER / height);
    return {
      figures: [{ label: 'Weight', value: arealDensity, unit: 'g/m²', give: arealDensity * relative }],
      patch: { arealDensity },
      meaning:
        arealDensity < 70
          ? 'Very light: only veils, sheer layers and organza will not take it over.'
          : arealDensity < 160
            ? 'Shirt weight: light and medium layers.'
            : arealDensity < 280
              ? 'Medium weight: most layers may be as heavy as they need to be.'
              : 'Heavy: the layer is seldom what weighs.',
    };
  },
};
