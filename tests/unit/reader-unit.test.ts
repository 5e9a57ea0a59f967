import { describe, expect, it } from 'vitest';
import { inReadersUnit, wordsInUnits } from '../../src/core/units';
import { InputError, requireNumber } from '../../src/core/input-error';
import { drawShape } from '../../src/core/shape';

const said = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
  return '';
};

describe('what is wrong with a measure', () => {
  it('is told without digits that nobody typed', () => {
    expect(said(() => requireNumber('width', 30, 'mm', { max: 19.049999999999997 }))).toContain('at most 19.05 mm');
    const rounded = { kind: 'rounded', width: 50.8, height: 38.1, corners: [true, true, true, true], corner: 25.4 } as const;
    expect(said(() => drawShape({ ...rounded, corners: [...rounded.corners] } as never))).not.toMatch(/\d\.\d{4}/);
  });

  it('is read in the unit of the reader', () => {
    expect(inReadersUnit('must be at most 19.05 mm, saw 25.4 mm', 'inch')).toBe('must be at most ¾ in, saw 1 in');
    expect(inReadersUnit('must be at most 120 mm', 'metric')).toBe('must be at most 12 cm');
    expect(inReadersUnit('an area of 5 mm² is none, and 3 things are', 'inch')).toBe(
      'an area of 5 mm² is none, and 3 things are',
    );
  });
});

describe('what is told about how a thing is done', () => {
  it.each([
    ['Machine-baste 3–6 mm from the edge.', 'Machine-baste ⅛–¼ in from the edge.'],
    ['Leave 3 to 6 mm all round.', 'Leave ⅛ to ¼ in all round.'],
    ['From 20–25 cm, one iron length at a time.', 'From 8–10 in, one iron length at a time.'],
    ['A mist from 40 cm.', 'A mist from 16 in.'],
    ['Pull 100 mm as you did before.', 'Pull 4 in as you did before.'],
    ['With 20 mm to lap, 13 mm from the edge', 'With ¾ in to lap, ½ in from the edge'],
    ['Short stitches, 1.5 mm, near the point', 'Short stitches, 1.5 mm, near the point'],
    ['It shrinks, 10 to 15 mm on half a metre', 'It shrinks, ⅜ to ⅝ in on half a yard'],
    ['Press it dry: 0.2 m² of 75 g/m²', 'Press it dry: 310 sq in of 75 g/m²'],
    ['2 m of thread for 3 pieces of 140 g/m²', '2 ¼ yd of thread for 3 pieces of 140 g/m²'],
  ])('“%s”', (metric, inches) => {
    expect(wordsInUnits(metric, 'metric')).toBe(metric);
    expect(wordsInUnits(metric, 'inch')).toBe(inches);
  });
});
