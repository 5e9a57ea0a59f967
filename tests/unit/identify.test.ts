import { describe, expect, it } from 'vitest';
import { entropyOf, identify, QUESTIONS } from '../../src/core/identify';
import { LIBRARY_CLOTHS } from '../../src/core/library';

/** The answer that fits a cloth best. */
function honest(cloth: (typeof LIBRARY_CLOTHS)[number], id: string): string {
  const question = QUESTIONS.find((each) => each.id === id)!;
  const likelihood = question.likelihood(cloth);
  return question.answers[likelihood.indexOf(Math.max(...likelihood))]!.id;
}

describe('identify', () => {
  it('begins with every cloth as likely as any other', () => {
    const { likely, entropy, next } = identify(LIBRARY_CLOTHS, {});
    expect(likely).toHaveLength(LIBRARY_CLOTHS.length);
    for (const { probability } of likely) expect(probability).toBeCloseTo(1 / LIBRARY_CLOTHS.length, 9);
    expect(entropy).toBeCloseTo(Math.log2(LIBRARY_CLOTHS.length), 9);
    expect(next).toHaveLength(QUESTIONS.length);
  });

  it('probabilities add up to one, gains are never negative and never more than what is open', () => {
    let given = {};
    for (let round = 0; round < 6; round++) {
      const { likely, next, entropy } = identify(LIBRARY_CLOTHS, given);
      expect(likely.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
      for (const { gain } of next) {
        expect(gain).toBeGreaterThanOrEqual(-1e-9);
        expect(gain).toBeLessThanOrEqual(entropy + 1e-9);
      }
      given = { ...given, [next[0]!.id]: honest(LIBRARY_CLOTHS[20]!, next[0]!.id) };
    }
  });

  it('asks next what is expected to lower the entropy most, checked by asking', () => {
    const { next, entropy } = identify(LIBRARY_CLOTHS, { surface: 'flat' });
    const { likely } = identify(LIBRARY_CLOTHS, { surface: 'flat' });
    const best = QUESTIONS.find(({ id }) => id === next[0]!.id)!;
    let expected = 0;
    for (const answer of best.answers) {
      let chance = 0;
      for (const { id, probability } of likely) {
        const likelihood = best.likelihood(LIBRARY_CLOTHS.find((cloth) => cloth.id === id)!);
        const total = likelihood.reduce((sum, each) => sum + each, 0);
        chance += (probability * likelihood[best.answers.indexOf(answer)]!) / total;
      }
      expected += chance * identify(LIBRARY_CLOTHS, { surface: 'flat', [best.id]: answer.id }).entropy;
    }
    expect(next[0]!.gain).toBeCloseTo(entropy - expected, 9);
  });

  it('finds nine cloths in ten among the first three after seven honest answers', () => {
    let found = 0;
    for (const cloth of LIBRARY_CLOTHS) {
      let given: Record<string, string> = {};
      for (let i = 0; i < 7; i++) {
        const { id } = identify(LIBRARY_CLOTHS, given).next[0]!;
        given = { ...given, [id]: honest(cloth, id) };
      }
      const rank = identify(LIBRARY_CLOTHS, given).likely.findIndex(({ id }) => id === cloth.id);
      if (rank < 3) found++;
    }
    expect(found / LIBRARY_CLOTHS.length).toBeGreaterThan(0.9);
  });

  it('one slip does not rule the true cloth out', () => {
    const denim = LIBRARY_CLOTHS.find(({ name }) => name === 'Denim')!;
    const given = Object.fromEntries(QUESTIONS.map(({ id }) => [id, honest(denim, id)]));
    const { likely } = identify(LIBRARY_CLOTHS, { ...given, diagonal: 'plain' });
    expect(likely.slice(0, 6).map(({ id }) => id)).toContain('denim');
  });

  it('every question has a likelihood for every cloth and answer', () => {
    for (const { answers, likelihood } of QUESTIONS) {
      for (const cloth of LIBRARY_CLOTHS) {
        const values = likelihood(cloth);
        expect(values).toHaveLength(answers.length);
        for (const value of values) expect(value > 0 && value < 2).toBe(true);
      }
    }
  });

  it('refuses what it does not know', () => {
    expect(() => identify(LIBRARY_CLOTHS, { smell: 'fresh' })).toThrow('smell');
    expect(() => identify(LIBRARY_CLOTHS, { surface: 'wet' })).toThrow('surface');
    expect(identify([], {})).toEqual({ likely: [], next: [], entropy: 0 });
  });

  it('entropy: a sure thing is 0 bits, a fair coin 1', () => {
    expect(entropyOf([1, 0])).toBe(0);
    expect(entropyOf([0.5, 0.5])).toBe(1);
  });
});
