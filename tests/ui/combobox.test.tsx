import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import Combobox, { matches } from '../../src/ui/Combobox';
import ClothSelect from '../../src/views/project/ClothSelect';

const GROUPS = [
  { label: 'My own', options: [{ id: 'a', words: 'Harbour-blue linen' }] },
  { label: 'Library', options: [{ id: 'b', words: 'Linen, heavy' }, { id: 'c', words: 'Voile' }] },
]; // prettier-ignore

function open(value: string | null = 'b', none?: string) {
  const changed = vi.fn();
  render(
    <>
      <label htmlFor="field">Cut from</label>
      <Combobox id="field" value={value} groups={GROUPS} none={none} onChange={changed} />
      <button type="button">Elsewhere</button>
    </>,
  );
  return { changed, field: screen.getByLabelText<HTMLInputElement>('Cut from') };
}
const names = () => screen.getAllByRole('option').map(({ textContent }) => textContent);

describe('a choice from a long list', () => {
  it('shows what is chosen, and everything when it is opened', async () => {
    const { field } = open();
    expect(field.value).toBe('Linen, heavy');
    expect(screen.queryByRole('option')).toBeNull();
    await userEvent.click(field);
    expect(names()).toEqual(['Harbour-blue linen', 'Linen, heavy', 'Voile']);
    expect(screen.getByRole('option', { selected: true })).toHaveTextContent('Linen, heavy');
    expect(screen.getByText('My own')).toBeVisible();
  });

  it('is narrowed by typing, and taken by keys', async () => {
    const { field, changed } = open('c');
    await userEvent.type(field, 'lin');
    expect(names()).toEqual(['Harbour-blue linen', 'Linen, heavy']);
    await userEvent.keyboard('{ArrowDown}{ArrowDown}{Enter}');
    expect(changed).toHaveBeenCalledWith('b');
    expect(screen.queryByRole('option')).toBeNull();
  });

  it('stays as it was when it is left or closed', async () => {
    const { field, changed } = open();
    await userEvent.type(field, 'voi{Escape}');
    expect(field.value).toBe('Linen, heavy');
    await userEvent.type(field, 'voi');
    await userEvent.click(screen.getByText('Elsewhere'));
    expect(field.value).toBe('Linen, heavy');
    expect(changed).not.toHaveBeenCalled();
  });

  it('can be nothing where that is allowed, and says when nothing is called so', async () => {
    const { field, changed } = open('b', 'not said yet');
    await userEvent.type(field, 'zebra');
    expect(screen.getByText('Nothing is called so.')).toBeVisible();
    await userEvent.clear(field);
    await userEvent.click(screen.getByRole('option', { name: 'not said yet' }));
    expect(changed).toHaveBeenCalledWith(null);
  });

  it.each([
    ['', 'Anything', true],
    ['blue lin', 'Harbour-blue linen', true],
    ['LINEN har', 'Harbour-blue linen', true],
    ['silk', 'Harbour-blue linen', false],
  ])('“%s” in “%s”: %s', (typed, words, expected) => {
    expect(matches(typed, words)).toBe(expected);
  });
});

describe('a cloth', () => {
  it('of one’s own comes first, and hides its twin in the library unless that is chosen', async () => {
    const cloths = [
      { id: 'l1', name: 'Voile', origin: 'library' as const },
      { id: 'l2', name: 'Poplin', origin: 'library' as const },
      { id: 'o1', name: 'voile', origin: 'own' as const },
    ];
    const { rerender } = render(<ClothSelect id="x" value="o1" cloths={cloths} onChange={() => {}} />);
    await userEvent.click(screen.getByRole('combobox'));
    expect(names()).toEqual(['voile', 'Poplin']);
    rerender(<ClothSelect id="x" value="l1" cloths={cloths} onChange={() => {}} />);
    expect(names()).toEqual(['voile', 'Voile', 'Poplin']);
  });
});
