import { InputError } from '../../input-error';
import { numberOf, optionalNumber, type ClothTest, type Figure, type Readings } from '../cloth-test';

/** Marks can be set and read to about this, mm. */
const RULER = 1;

function stretchOf(readings: Readings, way: 'length' | 'cross', mark: number): { stretch: number; recovery: number | undefined } {
  const pulled = numberOf(readings, `${way}Pulled`, 'mm', { min: mark, max: mark * 5 });
  const rest = optionalNumber(readings, `${way}Rest`, 'mm', { min: mark * 0.9, max: mark * 5 });
  if (rest !== undefined && rest > pulled) throw new InputError(`${way}Rest`, 'cannot be longer than it was pulled');
  const stretch = ((pulled - mark) / mark) * 100;
  const recovery =
    rest === undefined || pulled - mark < 2 ? undefined : ((pulled - Math.max(rest, mark)) / (pulled - mark)) * 100;
  return { stretch, recovery };
}

/** Two marks pulled apart gently, each way, and how far they come back. */
export const stretch: ClothTest = {
  id: 'stretch',
  title: 'Pull it each way',
  purpose: 'A layer must give as far as the cloth, or stop it, by what you want.',
  steps: [
    'Mark two points 100 mm apart along the length, away from the edge; the printed gauge has the marks.',
    'Pull gently, as the wearer would, until it resists. Read the distance.',
    'Let go, wait ten seconds and read again: that is how well it comes back.',
    'Do the same across.',
  ],
  fields: [
    { id: 'mark', label: 'Distance of the marks', kind: 'length', start: 100 },
    { id: 'lengthPulled', label: 'Pulled to', kind: 'length', group: 'Along the length' },
    { id: 'lengthRest', label: 'Comes back to', kind: 'length', optional: true, group: 'Along the length' },
    { id: 'crossPulled', label: 'Pulled to', kind: 'length', group: 'Across' },
    { id: 'crossRest', label: 'Comes back to', kind: 'length', optional: true, group: 'Across' },
  ],
  why: '(Pulled − mark) ÷ mark; comes back: (pulled − rest) ÷ (pulled − mark). Marks are read to about 1 mm.',
  settles: ['stretchLength', 'stretchCross'],
  read(readings) {
    const mark = numberOf(readings, 'mark', 'mm', { min: 20, max: 1000 });
    const along = stretchOf(readings, 'length', mark);
    const across = stretchOf(readings, 'cross', mark);
    const give = (RULER / mark) * 100;
    const figures: Figure[] = [
      { label: 'Stretch along', value: along.stretch, unit: '%', give },
      { label: 'Stretch across', value: across.stretch, unit: '%', give },
    ];
    if (along.recovery !== undefined) figures.push({ label: 'Comes back along', value: along.recovery, unit: '%' });
    if (across.recovery !== undefined) figures.push({ label: 'Comes back across', value: across.recovery, unit: '%' });
    const most = Math.max(along.stretch, across.stretch);
    const worst = Math.min(along.recovery ?? 100, across.recovery ?? 100);
    return {
      figures,
      patch: { stretchLength: along.stretch, stretchCross: across.stretch },
      meaning: `${
        most < 4
          ? 'Does not give: any layer may lie on it.'
          : most < 15
            ? 'Gives a little.'
            : most < 35
              ? 'Stretches: mind whether the part must keep that.'
              : 'Stretches a lot: only all-way stretch layers move with it.'
      }${worst < 80 ? ' It does not come back well: tape edges that must not grow.' : ''}`,
    };
  },
};
