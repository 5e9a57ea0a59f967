import { numberOf, type ClothTest } from '../cloth-test';

/** Give at 45°, between two marks. */
export const bias: ClothTest = {
  id: 'bias',
  title: 'Pull it on the bias',
  purpose: 'Tells how far a curved or bias-cut edge can grow.',
  steps: [
    'Fold a corner so that warp lies on weft: the fold runs at 45°.',
    'Mark 100 mm along the fold, open it, pull gently along the marks.',
    'Read the distance while it is pulled.',
  ],
  fields: [
    { id: 'mark', label: 'Distance of the marks', kind: 'length', start: 100 },
    { id: 'pulled', label: 'Pulled to', kind: 'length' },
  ],
  why: '(Pulled − mark) ÷ mark. Marks are read to about 1 mm. Knits have no true bias; the figure then is their give at 45°.',
  settles: ['biasGive'],
  read(readings) {
    const mark = numberOf(readings, 'mark', 'mm', { min: 20, max: 1000 });
    const pulled = numberOf(readings, 'pulled', 'mm', { min: mark, max: mark * 5 });
    const biasGive = ((pulled - mark) / mark) * 100;
    return {
      figures: [{ label: 'Give on the bias', value: biasGive, unit: '%', give: 100 / mark }],
      patch: { biasGive },
      meaning:
        biasGive < 6
          ? 'Low: edges on the bias stay as they are cut.'
          : biasGive < 15
            ? 'Medium, as most woven cloth: stay-stitch or tape curved edges.'
            : 'High: bias edges grow in the hand; starch or tape before handling.',
    };
  },
};
