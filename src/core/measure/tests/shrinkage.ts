import { numberOf, optionalNumber, type ClothTest } from '../cloth-test';

/** Marks before and after the wash, each way. */
export const shrinkage: ClothTest = {
  id: 'shrinkage',
  title: 'Wash a marked piece',
  purpose: 'What shrinks after it is fused will pucker.',
  steps: [
    'Mark 200 mm along and 200 mm across on a piece of 30 cm or more.',
    'Wash and dry it as the finished thing will be washed. Press it.',
    'Measure between the marks. Feel whether a finish has gone.',
  ],
  fields: [
    { id: 'mark', label: 'Distance of the marks', kind: 'length', start: 200 },
    { id: 'length', label: 'Along, after the wash', kind: 'length' },
    { id: 'cross', label: 'Across, after the wash', kind: 'length', optional: true },
    {
      id: 'finish',
      label: 'The feel',
      kind: 'choice',
      start: 'same',
      options: [
        ['same', 'is as before'],
        ['softer', 'is softer: a finish has gone'],
      ],
    },
  ],
  why: '1 − after ÷ before, each way. Marks are read to about 1 mm.',
  settles: ['shrinkLength', 'shrinkCross'],
  read(readings) {
    const mark = numberOf(readings, 'mark', 'mm', { min: 50, max: 2000 });
    const limits = { min: mark * 0.6, max: mark * 1.1 };
    const after = numberOf(readings, 'length', 'mm', limits);
    const across = optionalNumber(readings, 'cross', 'mm', limits);
    const shrinkLength = (1 - after / mark) * 100;
    const shrinkCross = across === undefined ? undefined : (1 - across / mark) * 100;
    const most = Math.max(shrinkLength, shrinkCross ?? 0);
    const give = 100 / mark;
    return {
      figures: [
        { label: 'Shrinks along', value: shrinkLength, unit: '%', give },
        ...(shrinkCross === undefined ? [] : [{ label: 'Shrinks across', value: shrinkCross, unit: '%' as const, give }]),
      ],
      patch: { shrinkLength, ...(shrinkCross === undefined ? {} : { shrinkCross }) },
      meaning: `${most < 1 ? 'Keeps its size.' : most < 3 ? 'Shrinks a little: wash it before cutting.' : 'Shrinks enough to pucker a fused layer: always wash it before cutting.'}${readings['finish'] === 'softer' ? ' Its finish washes out: measure the overhang again after the wash.' : ''}`,
    };
  },
};
