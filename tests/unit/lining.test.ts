import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fibreShare, type Fabric } from '../../src/core/cloth';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import { adviseLining, liningHem, LINED_THINGS, type LiningQuestion } from '../../src/core/lining';

const cloth = (name: string) => LIBRARY_CLOTHS.find((each) => each.name === name)!;
const asked = (outer: string, more: Partial<LiningQuestion> = {}): LiningQuestion => ({
  ...{ outer: cloth(outer), thing: 'jacket', skin: false, hangs: true, care: 'dry-clean' },
  ...more,
});
const ranked = (question: LiningQuestion) => adviseLining(question, LIBRARY_CLOTHS).ranked;
const first = (question: LiningQuestion) => ranked(question)[0]!.cloth;
const place = (question: LiningQuestion, name: string) => ranked(question).findIndex((each) => each.cloth.name === name);
const reason = (question: LiningQuestion, name: string) =>
  adviseLining(question, LIBRARY_CLOTHS).ruledOut.find((each) => each.cloth.name === name)?.reason;

describe('a lining', () => {
  it.each<[string, LiningQuestion, RegExp]>([
    ['a wool coat slides', asked('Wool coating', { thing: 'coat' }), /viscose lining/i],
    ['suit trousers slide and take up moisture', asked('Wool suiting', { thing: 'trousers', skin: true }), /viscose/i],
    [
      'a knit skirt, caught, gives',
      asked('Ponte knit', { thing: 'skirt', skin: true, hangs: false, care: 'wash-warm' }),
      /jersey|tricot/i,
    ],
    [
      'a canvas bag is lined with something firm',
      asked('Duck canvas', { thing: 'bag', hangs: false, care: 'wash-warm' }),
      /poplin|shirting|cotton|chambray/i,
    ],
  ])('of %s', (_, question, wanted) => {
    expect(first(question).name).toMatch(wanted);
  });

  it('of wool is no synthetic before viscose, and a cotton that grips stands behind one that slides', () => {
    const coat = asked('Wool coating', { thing: 'coat' });
    expect(place(coat, 'Viscose lining twill')).toBeLessThan(place(coat, 'Polyester lining'));
    expect(place(coat, 'Viscose lining twill')).toBeLessThan(place(coat, 'Shirting poplin'));
    expect(
      ranked(coat)
        .find((each) => each.cloth.name === 'Shirting poplin')!
        .cautions.join(' '),
    ).toMatch(/grips/i);
  });

  it('is never what cannot be: holes, loops, film in clothes, what the wash ruins, what holds a knit back', () => {
    const washed = asked('Ponte knit', { thing: 'skirt', hangs: false, care: 'wash-warm' });
    expect(reason(washed, 'Corded lace')).toMatch(/holes/);
    expect(reason(washed, 'Terry towelling')).toMatch(/loops/i);
    expect(reason(washed, 'Showerproof nylon')).toMatch(/film/);
    expect(reason(washed, 'Silk charmeuse')).toMatch(/water/i);
    expect(reason(washed, 'Polyester satin')).toMatch(/give/);
    // Free at the hem, with a pleat, it may.
    expect(reason({ ...washed, hangs: true }, 'Polyester satin')).toBeUndefined();
    expect(reason(asked('Duck canvas', { thing: 'bag' }), 'Showerproof nylon')).toBeUndefined();
  });

  it('for whatever is asked is ranked by its score, each cloth once, and more moisture counts more on the skin', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LIBRARY_CLOTHS),
        fc.constantFrom(...LINED_THINGS),
        fc.boolean(),
        fc.constantFrom('wash-hot', 'wash-warm', 'hand-wash', 'dry-clean', 'none' as const),
        (outer, thing, hangs, care) => {
          const of = (skin: boolean) => adviseLining({ outer, thing, hangs, care, skin } as LiningQuestion, LIBRARY_CLOTHS);
          const { ranked: all, ruledOut } = of(false);
          expect(new Set([...all, ...ruledOut].map((each) => each.cloth)).size).toBe(LIBRARY_CLOTHS.length);
          all.forEach(({ score, reasons, cautions }, i) => {
            expect(score).toBeGreaterThanOrEqual(0);
            expect(score).toBeLessThanOrEqual(all[Math.max(0, i - 1)]!.score);
            expect(new Set([...reasons, ...cautions]).size).toBe(reasons.length + cautions.length);
          });
          const drinks = (list: { cloth: Fabric }[]) =>
            list.slice(0, 5).reduce((sum, each) => sum + fibreShare(each.cloth, 'cotton', 'linen', 'viscose', 'silk', 'wool'), 0);
          expect(drinks(of(true).ranked)).toBeGreaterThanOrEqual(drinks(all) - 1e-9);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('that hangs free ends 25 mm above its cloth, as far as the hem allows', () => {
    expect([liningHem(40), liningHem(25), liningHem(10)]).toEqual([15, 0, 0]);
  });
});
