import { describe, expect, it } from 'vitest';
import { choose, type Part } from '../../src/core/choose';
import type { Fabric } from '../../src/core/cloth';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { groupAnswers } from '../../src/views/choose/answers';
import { FABRIC } from '../api/samples';
import { PRACTISED, type PractisedCase } from '../files/judgement-cases';

/** Kinds of answer that stand on the first screen. */
const SEEN = 3;
/** Kinds among which a combination may stand. */
const NEAR = 6;

function faultsOf({ fabric, part, wishes, best, together, notFirst, form }: PractisedCase): string[] {
  const asked = { cut: 'straight', stretch: 'any', care: 'wash-warm', ...part } as unknown as Part;
  const { ranked } = choose({ ...FABRIC, ...fabric } as unknown as Fabric, asked, LIBRARY_LAYERS, {
    limit: 200,
    ...(wishes ? { wishes } : {}),
  });
  const kinds = groupAnswers(ranked).map(({ best: first }) => first);
  const [first] = kinds;
  if (!first) return ['no answer'];
  const found: string[] = [];
  const has = (stack: (typeof kinds)[number], family: string) => stack.layers.some((layer) => layer.family === family);
  const lasting = first.layers.filter((layer) => layer.family !== 'topping' && layer.form !== 'liquid');
  if (best && !best.some((family) => has(first, family))) found.push(`first is ${first.title}`);
  if (form && !lasting.every((layer) => form.includes(layer.form))) found.push(`first is ${first.title}, put on otherwise`);
  for (const stack of kinds.slice(0, SEEN))
    for (const family of notFirst ?? []) if (has(stack, family)) found.push(`${stack.title} stands on the first screen`);
  if (together && !kinds.slice(0, NEAR).some((stack) => together.every((family) => has(stack, family))))
    found.push(
      `${together.join(' with ')} is not among ${kinds
        .slice(0, NEAR)
        .map(({ title }) => title)
        .join('; ')}`,
    );
  return found;
}

describe('a practised hand', () => {
  it('would say the same in at least 97 of a hundred further cases', () => {
    expect(PRACTISED.length).toBeGreaterThanOrEqual(100);
    const wrong = PRACTISED.flatMap((each) => {
      const [fault] = faultsOf(each);
      return fault ? [`${each.words}: ${fault}`] : [];
    });
    expect(wrong.length, wrong.join('\n')).toBeLessThanOrEqual(PRACTISED.length * 0.03);
  });
});
