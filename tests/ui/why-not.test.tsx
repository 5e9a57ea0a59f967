import { render, screen } from '@testing-library/react';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { choose, type Part } from '../../src/core/choose';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import RuledOut from '../../src/views/choose/RuledOut';
import WeightScale from '../../src/views/choose/WeightScale';

const poplin = LIBRARY_CLOTHS.find(({ name }) => name === 'Shirting poplin')!;
const collar: Part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };
const choice = choose(poplin, collar, LIBRARY_LAYERS, { limit: 60 });

describe('why not', () => {
  const ask = (find: string) => render(<RuledOut choice={choice} ranked={choice.ranked} find={find} onFind={vi.fn()} />);

  it('of what is an answer tells its place, and what holds it down', () => {
    const later = choice.ranked[20]!;
    ask(later.title);
    const line = screen.getByRole('list', { name: 'Among the answers' });
    expect(line).toHaveTextContent(`${later.title} is an answer: place 21 of ${choice.ranked.length}`);
    const behind = later.criteria.filter(
      ({ score, id }) => score < choice.ranked[0]!.criteria.find((each) => each.id === id)!.score,
    );
    expect(behind.some(({ why }) => line.textContent!.includes(why))).toBe(true);
  });

  it('of what is ruled out tells its reason, and of what is not there that it is not', () => {
    const out = choice.ruledOut[0]!;
    const { unmount } = ask(out.title);
    expect(screen.getAllByText(out.why, { exact: false }).length).toBeGreaterThan(0);
    unmount();
    ask('chain mail');
    expect(screen.getByText(/Nothing in the cupboard has those words/)).toBeVisible();
  });
});

it('the weights of a kind are slid along, each told with its score', () => {
  const kind = choice.ranked.filter(
    ({ layers }) => layers.length === 1 && layers[0]!.family === 'woven' && layers[0]!.form === 'fusible',
  );
  const inOrder = [...kind].sort((a, b) => a.predicted.arealDensity - b.predicted.arealDensity);
  expect(inOrder.length).toBeGreaterThan(2);
  const open = vi.fn();
  render(<WeightScale inOrder={inOrder} stack={inOrder[1]!} onOpen={open} />);
  const scale = screen.getByRole('slider', { name: 'Weight of the same kind' });
  expect(scale).toHaveAttribute('aria-valuetext', `${inOrder[1]!.title}, ${Math.round(inOrder[1]!.score)} of 100`);
  fireEvent.change(scale, { target: { value: '2' } });
  expect(open).toHaveBeenCalledWith(inOrder[2]);
});
