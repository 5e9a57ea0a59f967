import { describe, expect, it } from 'vitest';
import { foldEdge, readTypedPieces, type TypedPiece } from '../../src/core/typed';

const CLOTHS = [
  { id: 'duck', name: 'Duck canvas' },
  { id: 'poplin', name: 'Shirting poplin' },
  { id: 'dark', name: 'Dark shirting poplin' },
  { id: 'linen', name: 'Harbour-blue linen-cotton' },
];
const one = (line: string, system: 'metric' | 'inch' = 'metric'): TypedPiece => {
  const [read, ...more] = readTypedPieces(line, system, CLOTHS);
  expect(more).toEqual([]);
  expect(read!.trouble).toBeUndefined();
  return read!.piece!;
};
const trouble = (line: string) => readTypedPieces(line, 'metric', CLOTHS)[0]!.trouble;

describe('pieces typed as one speaks', () => {
  it.each<[string, Partial<TypedPiece>]>([
    ['2 flap 26 x 16 canvas, lining poplin', { name: 'Flap', count: 2, width: 260, height: 160, role: 'pocket-flap', allowance: undefined, cuts: [{ duty: 'shell', clothId: 'duck' }, { duty: 'lining', clothId: 'poplin' }] }],
    ['collar 45x9 fold', { name: 'Collar', count: 1, width: 450, height: 90, role: 'collar', onFold: true, cuts: [{ duty: 'shell', clothId: null }] }],
    ['4 tabs 6 x 8 3/8 seam', { name: 'Tabs', count: 4, width: 60, height: 80, role: 'tab', allowance: expect.closeTo(9.525, 6) as never }],
    ['tab 6 x 8 1/4 1/2 seam', { allowance: 12.7 }],
    ['pair of cuffs 24×8 cm', { name: 'Cuffs', count: 2, pairs: true, width: 240, height: 80, role: 'cuff' }],
    ['2 pairs cuffs 24 by 8', { count: 4, pairs: true, width: 240 }],
    ['front 420 x 620 mm on the fold, underlining dark shirting poplin', { width: 420, height: 620, role: 'bodice', onFold: true, cuts: [{ duty: 'shell', clothId: null }, { duty: 'underlining', clothId: 'dark' }] }],
    ['6 x napkin 40 x 40 harbour linen no seam', { name: 'Napkin', count: 6, width: 400, height: 400, allowance: 0, cuts: [{ duty: 'shell', clothId: 'linen' }] }],
    ['2 flap 26 x 16 harbour-blue linen-cotton', { name: 'Flap', count: 2, cuts: [{ duty: 'shell', clothId: 'linen' }] }],
    ['tab 6 x 8 in linen-cotton', { name: 'Tab', cuts: [{ duty: 'shell', clothId: 'linen' }] }],
    ['waistband 80 x 8, seam 1.5', { width: 800, height: 80, role: 'waistband', allowance: 15 }],
    ['strap 4,5 x 60, 6 seam', { width: 45, height: 600, role: 'bag-strap', allowance: 6 }],
    ['bag flap 26 cm x 16 cm in duck', { name: 'Bag flap', role: 'bag-flap', cuts: [{ duty: 'shell', clothId: 'duck' }] }],
    ['Thingummy 20 x 10', { name: 'Thingummy', role: 'whole-panel' }],
    ['welt 6 1/4 x 1½ in', { width: expect.closeTo(158.75, 6), height: expect.closeTo(38.1, 6), role: 'welt' } as never],
  ])('%s', (line, wanted) => {
    expect(one(line)).toMatchObject(wanted);
  }); // prettier-ignore

  it('are in inches where inches are set, unless they say otherwise', () => {
    expect(one('flap 10 1/4 x 6', 'inch')).toMatchObject({ width: expect.closeTo(260.35, 6), height: expect.closeTo(152.4, 6) });
    expect(one('flap 26 x 16 cm', 'inch')).toMatchObject({ width: 260, height: 160 });
    expect(one('flap 10 x 6, 1/2 seam', 'inch').allowance).toBeCloseTo(12.7, 9);
  });

  it('come line by line from a pasted list, what is wrong told beside its line', () => {
    const lines = readTypedPieces(
      '- flap 26 x 16\n\n• tabs\n3 x welt 15 x 4; collar 45 x 9 velvet, lining velvet',
      'metric',
      CLOTHS,
    );
    expect(lines.map(({ piece, trouble: why }) => piece?.name ?? why)).toEqual([
      'Flap',
      'write how large it is, such as 26 x 16',
      'Welt',
      'no cloth of the cupboard is called “velvet”',
    ]);
    expect(lines[2]!.piece!.count).toBe(3);
  });

  it.each([
    ['26 x 16', /write what it is/],
    ['flap 0 x 16', /from 1 mm to 10 m/],
    ['flap 26 x 16, 500 seam', /at most 10 cm, saw 50 cm/],
    ['flap 26 x 16 canvas, in poplin', /two cloths for one/],
  ])('is refused in words: %s', (line, words) => {
    expect(trouble(line)).toMatch(words);
  });

  it('what is no unit is part of the name, and seen there', () => {
    expect(one('flap 26 x 16 km')).toMatchObject({ name: 'Flap km', width: 260, onFold: false });
  });

  it('are told in the reader’s unit what is wrong', () => {
    expect(readTypedPieces('flap 10 x 6, 9 seam', 'inch', CLOTHS)[0]!.trouble).toMatch(/^must be at most 3.* in, saw 9 in$/);
  });

  it('lie on the fold as what they are: lengthwise along their long edge, halves at their left', () => {
    const edges = (role: Parameters<typeof foldEdge>[1]) =>
      [{ width: 450, height: 90 }, { width: 90, height: 450 }].map((size) => foldEdge(size, role)); // prettier-ignore
    expect([edges('collar'), edges('bag-strap'), edges('bodice')]).toEqual([[2, 3], [2, 3], [3, 3]]); // prettier-ignore
  });

  it('are at most a hundred', () => {
    expect(() => readTypedPieces('flap 2 x 2\n'.repeat(101), 'metric', CLOTHS)).toThrow(/^lines: must be at most 100/);
  });
});
