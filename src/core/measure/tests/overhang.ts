import {
  bendingLengthFromDrop,
  bendingLengthFromOverhang,
  droopProfile,
  JIG_ANGLE,
  overhangFromBendingLength,
} from '../../cloth';
import { InputError } from '../../input-error';
import { choiceOf, numberOf, type ClothTest, type Figure, type Readings, type TestField } from '../cloth-test';

const SIDES = ['up1', 'up2', 'down1', 'down2'] as const;
const SIDE_WORDS = ['Face up, one end', 'Face up, other end', 'Face down, one end', 'Face down, other end'];

/** z-value of the interval that four repeats out of five fall into. */
const Z80 = 1.2816;
/** Scatter of a single reading when only one was taken: ruler and hand, share of the value. */
const ONE_READING = 0.08;

function fields(way: 'length' | 'cross', group: string): TestField[] {
  return SIDES.map((side, i) => ({ id: `${way}-${side}`, label: SIDE_WORDS[i]!, kind: 'length', optional: true, group }));
}

interface Way {
  bendingLength: number;
  /** Standard deviation of the mean, mm. */
  error: number;
  /** Standard deviation of the readings, mm; undefined for a single one. */
  spread: number | undefined;
  count: number;
}

/** Bending length of each reading and their mean, for one way of the cloth. */
function wayOf(
  readings: Readings,
  way: 'length' | 'cross',
  toBendingLength: (reading: number, field: string) => number,
): Way | undefined {
  const values = SIDES.map((side) => `${way}-${side}`)
    .filter((field) => readings[field] !== undefined)
    .map((field) => toBendingLength(numberOf(readings, field, 'mm', { above: 0, max: 1000 }), field));
  if (values.length === 0) return undefined;
  const bendingLength = values.reduce((sum, value) => sum + value, 0) / values.length;
  if (values.length === 1) return { bendingLength, error: bendingLength * ONE_READING, spread: undefined, count: 1 };
  const spread = Math.sqrt(values.reduce((sum, value) => sum + (value - bendingLength) ** 2, 0) / (values.length - 1));
  return { bendingLength, error: spread / Math.sqrt(values.length), spread, count: values.length };
}

/** Whatever the core says of a reading is said of its own field. */
function naming<T>(field: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof InputError) throw new InputError(field, error.message.replace(/^[^:]*: /, ''));
    throw error;
  }
}

/**
 * The overhang test: bending length of each reading by the heavy elastica, mean and spread along and across, and
 * overall by the geometric mean of the rigidities (so of the bending lengths).
 */
export const overhang: ClothTest = {
  id: 'overhang',
  title: 'Let it overhang',
  purpose: 'Stiffness: what every prediction on the screen begins with.',
  steps: [
    'Cut two strips 25 mm wide and 25 cm long, one along and one across. Let them lie flat for an hour.',
    'Lay a strip on the jig with a ruler on top, ends level. Push both slowly over the edge.',
    'Stop when the tip touches the slope; read the ruler at the edge.',
    'Turn the strip over and end for end: four readings along, four across. Fewer will do, more tell more.',
  ],
  fields: [
    {
      id: 'way',
      label: 'How it is read',
      kind: 'choice',
      start: 'jig',
      options: [
        ['jig', 'on the 41.5° jig'],
        ['angle', 'against a slope of another angle'],
        ['fixed', 'a fixed length, and how far the tip drops'],
      ],
    },
    { id: 'angle', label: 'Slope, degrees', kind: 'angle', start: 45, when: ['way', 'angle'] },
    { id: 'length', label: 'Length past the edge', kind: 'length', start: 100, when: ['way', 'fixed'] },
    ...fields('length', 'Along the length'),
    ...fields('cross', 'Across'),
  ],
  why: 'Each reading is turned into a bending length c by the shape of a strip that bends under its own weight; on the 41.5° jig c is half the overhang. Each way is the mean of its readings, and overall c = √(c along × c across). The give is the range that four repeats out of five would fall into.',
  settles: ['overhang'],
  read(readings) {
    const way = choiceOf(readings, 'way', ['jig', 'angle', 'fixed']);
    const angle = way === 'angle' ? numberOf(readings, 'angle', 'degrees', { min: 10, max: 80 }) : JIG_ANGLE;
    const length = way === 'fixed' ? numberOf(readings, 'length', 'mm', { above: 0, max: 1000 }) : 0;
    const toBendingLength = (reading: number, field: string) =>
      naming(field, () => (way === 'fixed' ? bendingLengthFromDrop(length, reading) : bendingLengthFromOverhang(reading, angle)));
    const along = wayOf(readings, 'length', toBendingLength);
    const across = wayOf(readings, 'cross', toBendingLength);
    const known = [along, across].filter((each) => each !== undefined);
    if (known.length === 0) throw new InputError('length-up1', 'is missing; one reading at least');
    const bendingLength = Math.sqrt(known[0]!.bendingLength * known[known.length - 1]!.bendingLength);
    const error = Math.hypot(...known.map((each) => (each.error / each.bendingLength) * bendingLength)) / known.length;
    const figures: Figure[] = [{ label: 'Bending length', value: bendingLength, unit: 'mm', give: Z80 * error }];
    if (along)
      figures.push({ label: `Along, ${readingsWord(along.count)}`, value: along.bendingLength, unit: 'mm', ...spreadOf(along) });
    if (across)
      figures.push({
        label: `Across, ${readingsWord(across.count)}`,
        value: across.bendingLength,
        unit: 'mm',
        ...spreadOf(across),
      });
    const uneven =
      along && across ? Math.max(along.bendingLength / across.bendingLength, across.bendingLength / along.bendingLength) : 1;
    return {
      figures,
      patch: { overhang: overhangFromBendingLength(bendingLength) },
      meaning: `By itself it hangs ${feelWord(bendingLength)}.${uneven > 1.25 ? ` It is clearly stiffer ${along!.bendingLength > across!.bendingLength ? 'along than across' : 'across than along'}: mind the grain.` : ''}`,
    };
  },
};

/**
 * What a ruler would read of a strip of some bending length, in the way in which a test is read: so that a figure that was measured otherwise
 * stands beside readings without changing what they mean.
 *
 * @param bendingLength mm @param readings of the test: its way, with the slope's angle or the length past the edge
 * @returns mm @throws {InputError} for an angle or a length that cannot be
 * @example overhangReading(20, { way: 'jig' }) // 40.01
 */
export function overhangReading(bendingLength: number, readings: Readings): number {
  switch (choiceOf(readings, 'way', ['jig', 'angle', 'fixed'])) {
    case 'jig':
      return overhangFromBendingLength(bendingLength);
    case 'angle':
      // Against one slope the overhang goes with the bending length.
      return bendingLength / bendingLengthFromOverhang(1, numberOf(readings, 'angle', 'degrees', { min: 10, max: 80 }));
    case 'fixed':
      return droopProfile(bendingLength, numberOf(readings, 'length', 'mm', { above: 0, max: 1000 })).at(-1)![1];
  }
}

function spreadOf({ spread }: Way): { give?: number } {
  return spread === undefined ? {} : { give: Z80 * spread };
}

function readingsWord(count: number): string {
  return count === 1 ? 'one reading' : `${count} readings`;
}

function feelWord(bendingLength: number): string {
  if (bendingLength < 18) return 'fluid';
  if (bendingLength < 26) return 'soft';
  if (bendingLength < 38) return 'firm';
  return bendingLength < 60 ? 'crisp' : 'rigid';
}
