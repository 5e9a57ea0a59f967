import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import SeveralDialog from '../../src/views/project/SeveralDialog';
import { changesOf, type RowChange } from '../../src/views/project/several';
import type { Rows } from '../../src/views/project/worked';
import Notions from '../../src/views/project/Notions';
import { pick, press, type } from './typing';

const STACK = { title: 'Two layers', layers: [] };
const cut = (id: string, clothId: string | null, done = false) => ({ id, pieceId: `${id}-piece`, position: 1, duty: 'shell', clothId, count: 2, done }); // prettier-ignore
const job = (id: string, cutId: string, stack: object | null, care = 'wash-warm') => ({ id, cutId, position: 1, name: '', wish: { role: 'collar', stretch: 'any', care }, stack, cutDone: stack !== null }); // prettier-ignore
const rows = {
  pieces: ['a', 'b', 'c'].map((id, position) => ({ id: `${id}-piece`, name: `Piece ${id}`, position })),
  cuts: [cut('a', 'poplin'), cut('b', 'linen', true), cut('c', null)],
  jobs: [job('a1', 'a', STACK), job('a2', 'a', null), job('b1', 'b', STACK, 'dry-clean')],
} as unknown as Rows;
const told = (changes: RowChange[]) => changes.map(({ level, row, change }) => [level, row.id, change]);

describe('a change of several', () => {
  it('of cloth lets jobs with layers choose again, on the changed cuts alone', () => {
    const changes = changesOf(rows, new Set(['a', 'b']), { kind: 'cloth', clothId: 'linen' });
    expect(told(changes)).toEqual([
      ['cuts', 'a', { clothId: 'linen' }],
      ['jobs', 'a1', { stack: null, cutDone: false }],
    ]);
    expect(changes[1]!.before).toEqual({ stack: STACK, cutDone: true });
  });

  it('of care keeps the rest of each wish, and touches no cut that was not chosen', () => {
    const changes = changesOf(rows, new Set(['a', 'b']), { kind: 'care', care: 'dry-clean' });
    expect(told(changes)).toEqual([
      ['jobs', 'a1', { wish: { role: 'collar', stretch: 'any', care: 'dry-clean' } }],
      ['jobs', 'a2', { wish: { role: 'collar', stretch: 'any', care: 'dry-clean' } }],
    ]);
  });

  it('of what is cut tells cloth and layers apart, and no job without layers has them cut', () => {
    const every = new Set(['a', 'b', 'c']);
    expect(told(changesOf(rows, every, { kind: 'cloth-cut', done: true })).map(([, id]) => id)).toEqual(['a', 'c']);
    expect(told(changesOf(rows, every, { kind: 'layer-cut', done: false })).map(([, id]) => id)).toEqual(['a1', 'b1']);
    expect(changesOf(rows, every, { kind: 'layer-cut', done: true })).toEqual([]);
  });
});

describe('notions', () => {
  const zip = { name: 'zip, 30 cm', count: 2, there: false };
  const show = (notions = [zip, { ...zip, name: 'thread', there: true }]) => {
    const onChange = vi.fn(async () => {});
    render(<Notions notions={notions} onChange={onChange} />);
    return onChange;
  };

  it('say how many there are and how many are there; each is ticked and taken off by itself', async () => {
    const onChange = show();
    await userEvent.click(screen.getByText('2 notions, 1 there'));
    await userEvent.click(screen.getByRole('checkbox', { name: '2 × zip, 30 cm' }));
    expect(onChange).toHaveBeenLastCalledWith([{ ...zip, there: true }, expect.objectContaining({ name: 'thread' })]);
    await press('Take thread off the list');
    expect(onChange).toHaveBeenLastCalledWith([zip]);
  });

  it('are added with their number, never without a name', async () => {
    const onChange = show([]);
    await userEvent.click(screen.getByText('Notions: none noted'));
    await press('Add it');
    expect(screen.getByRole('alert')).toHaveTextContent('Say what it is.');
    expect(onChange).not.toHaveBeenCalled();
    await type('Number', '3');
    await type('Notion', ' ring, 25 mm ');
    await press('Add it');
    expect(onChange).toHaveBeenCalledWith([{ name: 'ring, 25 mm', count: 3, there: false }]);
  });
});

describe('the dialog', () => {
  const show = () => {
    const onChange = vi.fn();
    render(
      <SeveralDialog rows={rows} cloths={[]} clothName={(id) => id ?? 'no cloth yet'} onChange={onChange} onClose={() => {}} />,
    );
    return onChange;
  };
  const button = () => screen.getByText(/^(Change \d|Nothing to change)/);

  it('does nothing before something is chosen that would change', async () => {
    show();
    expect(button()).toBeDisabled();
    await pick('Change', 'whether the cloth is cut');
    await userEvent.click(screen.getByRole('checkbox', { name: /Piece b/, hidden: true }));
    expect(button()).toBeDisabled();
    await userEvent.click(screen.getByRole('checkbox', { name: /Piece a/, hidden: true }));
    expect(button()).toHaveTextContent('Change 1 cut');
  });

  it('changes all of them, and says how many', async () => {
    const onChange = show();
    await pick('Change', 'how they are washed');
    await pick('Care', 'dry-clean');
    await press('All of them');
    await userEvent.click(button());
    const [changes, words] = onChange.mock.calls[0] as [RowChange[], string];
    expect(changes.map(({ row }) => row.id)).toEqual(['a1', 'a2']);
    expect(words).toBe('Changed for 1 cut.');
  });
});
