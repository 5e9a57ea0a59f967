import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AVOIDS, CARES, CRITERION_IDS, CUTS, HANDS, LEADS, ROLES, STRETCHES } from '../../src/core/choose';
import { SCHOOLS } from '../../src/core/schools';
import { chooseSchema } from '../../src/schemas/choose';
import { validate } from '../../src/schemas/validate';
import { askedWith, fromQuery, partOf, START, toQuery, type SentenceState } from '../../src/views/choose/sentence-state';
import { FABRIC } from '../api/client';

const ALLOWED = { role: ROLES, hand: HANDS, stretch: STRETCHES, care: CARES, cut: CUTS };
const back = (query: string) => fromQuery(new URLSearchParams(query), ALLOWED);

const anySentence: fc.Arbitrary<SentenceState> = fc.record({
  like: fc.constantFrom({}, { arealDensity: 160 }, { stretchCross: 12, ironDots: 1 }),
  clothId: fc.constantFrom('linen-cotton', 'tq-harbour-linen', 'a cloth with spaces & signs'),
  role: fc.constantFrom(...ROLES),
  hand: fc.constantFrom('usual' as const, ...HANDS),
  stretch: fc.constantFrom(...STRETCHES),
  care: fc.constantFrom(...CARES),
  cut: fc.constantFrom(...CUTS),
  cutAlready: fc.boolean(),
  avoid: fc.subarray([...AVOIDS]),
  stitches: fc.integer({ min: 1, max: 200_000 }),
  width: fc.integer({ min: 1, max: 2000 }),
  height: fc.integer({ min: 1, max: 2000 }),
  threadLength: fc.integer({ min: 0, max: 100_000 }),
  staySheer: fc.boolean(),
  opaque: fc.constant(false),
  useMine: fc.boolean(),
  lead: fc.constantFrom('best' as const, ...LEADS),
  weights: fc.dictionary(fc.constantFrom(...CRITERION_IDS), fc.constantFrom(0, 0.5, 2, 4)),
  schools: fc.constantFrom({}, ...SCHOOLS.flatMap(({ id, options }) => options.map((option) => ({ [id]: option.id })))),
  piece: fc.option(
    fc.record({
      width: fc.integer({ min: 1, max: 5000 }),
      height: fc.integer({ min: 1, max: 5000 }),
      count: fc.integer({ min: 1, max: 99 }),
    }),
    { nil: undefined },
  ),
});

describe('the sentence in an address', () => {
  it('comes back as it was, whatever it says', () => {
    fc.assert(
      fc.property(anySentence, (state) => {
        expect(back(toQuery(state))).toEqual(state);
      }),
      { numRuns: 500 },
    );
  });

  it('leaves out what stands at its start', () => {
    expect(toQuery(START)).toBe('');
    expect(toQuery({ ...START, role: 'hem' })).toBe('?role=hem');
  });

  it.each([
    'role=tent&hand=wet&stretch=maybe&care=boil&cut=wavy',
    'stitches=many&width=-3&height=NaN',
    'lead=loudest&weigh=feel:9 taste:1 cost&ways=seam:glue moon:full',
    'piece=0x10x1&without=everything',
    'piece=10x10',
    'piece=10x10x1.5',
  ])('takes no harm from %s', (query) => {
    expect(back(query)).toEqual(START);
  });
});

describe('the question that the sentence asks', () => {
  it('is always one that the endpoint takes', () => {
    fc.assert(
      fc.property(anySentence, (state) => {
        const body = { fabric: FABRIC, part: partOf(state), limit: 60, ...askedWith(state) };
        expect(() => validate(chooseSchema, body)).not.toThrow();
      }),
      { numRuns: 300 },
    );
  });

  it('names a motif only where something is stitched, and a thread only where it is known', () => {
    expect(partOf({ ...START, role: 'collar' })).not.toHaveProperty('embroidery');
    expect(partOf({ ...START, role: 'embroidery' }).embroidery).toEqual({ stitches: 6000, width: 90, height: 90 });
    expect(partOf({ ...START, role: 'embroidery', threadLength: 20_000 }).embroidery).toHaveProperty('threadLength', 20_000);
  });

  it('sends no wish that was not made', () => {
    expect(askedWith(START)).toEqual({ clothId: 'linen-cotton' });
    expect(askedWith({ ...START, staySheer: true, lead: 'cost' })).toEqual({
      clothId: 'linen-cotton',
      wishes: { staySheer: true, lead: 'cost' },
    });
  });
});
