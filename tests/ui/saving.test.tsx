import { act, renderHook, screen, waitFor } from '@testing-library/react';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useCallback, useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import Notices from '../../src/ui/Notices';
import { differences } from '../../src/ui/saving/differences';
import { Saver } from '../../src/ui/saving/saver';
import { savingWords } from '../../src/ui/saving/SavingWords';
import { allUnsaved, findUnsaved, keepUnsaved } from '../../src/ui/saving/unsaved';
import StaleDialog from '../../src/ui/StaleDialog';
import { undoToast } from '../../src/ui/undo-toast';
import { useKept } from '../../src/ui/use-kept';
import ProjectHeading from '../../src/views/project/ProjectHeading';
import { fakeServer, savesAll } from './fake-server';

interface Piece {
  id: string;
  version: number;
  name: string;
  width: number;
}
const PIECE: Piece = { id: 'p', version: 3, name: 'Collar', width: 40 };
const saverOf = () => new Saver<Piece>({ ...PIECE }, { base: '/api/parts' });

describe('what is saved by itself', () => {
  beforeEach(() => void vi.useFakeTimers());

  it('is one save for what is typed key by key', async () => {
    const sent = fakeServer(savesAll);
    const saver = saverOf();
    for (const width of [8, 8.5, 85]) {
      saver.change({ width });
      await vi.advanceTimersByTimeAsync(200);
    }
    expect(sent).toHaveLength(0);
    await vi.advanceTimersByTimeAsync(600);
    expect(sent).toMatchObject([{ method: 'PUT', path: '/api/parts/p', body: { width: 85, version: 3, name: 'Collar' } }]);
    expect(saver.state).toMatchObject({ unsaved: false, saving: false, record: { version: 4 } });
  });

  it('is never sent while the save before it is on its way, and carries the version that came back', async () => {
    let release = () => {};
    const sent = fakeServer(async (one, count) => {
      if (count === 1) await new Promise<void>((resolve) => (release = resolve));
      return savesAll(one, count);
    });
    const saver = saverOf();
    saver.change({ width: 50 });
    await vi.advanceTimersByTimeAsync(600);
    saver.change({ name: 'Band' });
    await vi.advanceTimersByTimeAsync(2000);
    expect(sent).toHaveLength(1);
    release();
    await vi.advanceTimersByTimeAsync(10);
    expect(sent.map(({ body }) => [body['version'], body['width'], body['name']])).toEqual([
      [3, 50, 'Collar'],
      [4, 50, 'Band'],
    ]);
    expect(saver.state.unsaved).toBe(false);
  });

  it('is asked again when the server is back, and kept in the browser until then', async () => {
    const sent = fakeServer((one, count) => (count < 4 ? 'away' : savesAll(one, count)));
    const saver = saverOf();
    saver.change({ width: 60 });
    await vi.advanceTimersByTimeAsync(600);
    expect(saver.state).toMatchObject({ away: true, unsaved: true });
    expect(savingWords(saver.state)).toContain('saved when it is back');
    expect(findUnsaved('/api/parts/p')?.body).toMatchObject({ width: 60, version: 3 });
    await vi.advanceTimersByTimeAsync(8000);
    expect(sent).toHaveLength(4);
    expect(saver.state).toMatchObject({ away: false, unsaved: false, record: { width: 60 } });
    expect(allUnsaved()).toEqual([]);
  });

  it('stays where it is when it is refused, and is tried again once it is changed', async () => {
    const refusal = { error: { code: 'bad-input', message: 'width: must be at most 5000', field: 'width' } };
    const sent = fakeServer((one, count) => (count === 1 ? [400, refusal] : savesAll(one, count)));
    const saver = saverOf();
    saver.change({ width: 9000 });
    await vi.advanceTimersByTimeAsync(20_000);
    expect(sent).toHaveLength(1);
    expect(saver.state.error).toMatchObject({ field: 'width' });
    expect(saver.current?.width).toBe(9000);
    saver.change({ width: 900 });
    await vi.advanceTimersByTimeAsync(600);
    expect(saver.state).toMatchObject({ error: undefined, record: { width: 900 } });
  });

  it('shows both versions of a conflict, and saves mine over it only when told to', async () => {
    const theirs = { ...PIECE, version: 7, name: 'Cuff' };
    const sent = fakeServer((one, count) => (count === 1 ? [409, { error: {}, current: theirs }] : savesAll(one, count)));
    const saver = saverOf();
    saver.change({ width: 70 });
    await vi.advanceTimersByTimeAsync(20_000);
    expect(sent).toHaveLength(1);
    expect(saver.state.conflict).toMatchObject({ mine: { width: 70, name: 'Collar' }, theirs });
    saver.settle('mine');
    await vi.advanceTimersByTimeAsync(10);
    expect(sent[1]!.body).toMatchObject({ width: 70, version: 7 });
    expect(saver.state.conflict).toBeUndefined();
  });

  it('is dropped for the other version when told to, here and in the browser', async () => {
    const theirs = { ...PIECE, version: 7, name: 'Cuff' };
    const sent = fakeServer(() => [409, { error: {}, current: theirs }]);
    const saver = saverOf();
    saver.change({ width: 70 });
    await vi.advanceTimersByTimeAsync(600);
    saver.settle('theirs');
    await vi.advanceTimersByTimeAsync(5000);
    expect([sent.length, saver.current, allUnsaved()]).toEqual([1, theirs, []]);
  });

  it('goes along when the page is left, and asks first where it cannot', async () => {
    const sent = fakeServer(savesAll);
    const saver = saverOf();
    expect(saver.leave()).toBe(false);
    saver.change({ width: 33 });
    expect(saver.leave()).toBe(false);
    await vi.advanceTimersByTimeAsync(10);
    expect(sent).toMatchObject([{ method: 'PUT', body: { width: 33 } }]);
    saver.change({ name: 'x'.repeat(70_000) });
    expect(saver.leave()).toBe(true);
  });
});

describe('a record on the screen', () => {
  it('is the same until something of it is changed: a page that shows it comes to rest', async () => {
    fakeServer(savesAll);
    const saver = saverOf();
    const before = saver.current;
    expect(saver.current).toBe(before);
    saver.change({ width: 50 });
    const changed = saver.current;
    expect(changed).toMatchObject({ name: 'Collar', width: 50 });
    expect(saver.current).toBe(changed);
    await saver.save();
    expect(saver.current).toMatchObject({ width: 50, version: 4 });
    expect(saver.current).toBe(saver.current);
    // Whoever passes on what is shown is called for each change, not at every turn.
    const told: unknown[] = [];
    const project = { id: 'p', version: 1, name: 'Banner', note: '', makes: 1, variant: '', care: null, notions: [] };
    function Page() {
      const [shown, setShown] = useState<unknown>(project);
      const onChange = useCallback((now: unknown) => (told.push(now), setShown(now)), []);
      return <ProjectHeading project={project as never} onChange={shown ? onChange : () => {}} />;
    }
    render(<Page />);
    await act(() => new Promise((rested) => setTimeout(rested, 50)));
    expect(told.length).toBeLessThan(4);
  });

  it('waits with its save while it is being worked on, then saves what stands there', async () => {
    vi.useFakeTimers();
    const sent = fakeServer(savesAll);
    const { result, rerender } = renderHook(
      ({ body, hold }: { body: object; hold?: 'working' | 'unsound' }) =>
        useKept<Piece>('/api/tables', '/api/projects/x/tables', { ...PIECE }, body, hold),
      { initialProps: { body: { width: 1 }, hold: 'unsound' } as { body: object; hold?: 'working' | 'unsound' } },
    );
    act(() => result.current.change());
    await act(() => vi.advanceTimersByTimeAsync(3000));
    expect([sent.length, result.current.held, result.current.unsaved]).toEqual([0, true, true]);
    rerender({ body: { width: 2 } });
    await act(() => vi.advanceTimersByTimeAsync(3000));
    expect(sent).toMatchObject([{ body: { width: 2, version: 3 } }]);
    expect(result.current.unsaved).toBe(false);
  });

  it('is first kept where it belongs, then under its own address', async () => {
    const sent = fakeServer(({ method, body }) => [200, { ...body, id: 'new', version: method === 'POST' ? 1 : 2 }]);
    const { result } = renderHook(() => useKept<Piece>('/api/tables', '/api/projects/x/tables', null, { width: 5 }));
    await act(async () => void (await result.current.save()));
    act(() => result.current.change());
    await act(async () => void (await result.current.save()));
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual(['POST /api/projects/x/tables', 'PUT /api/tables/new']);
  });
});

describe('where two versions differ', () => {
  it('is worked out from the fields, nested ones included, and leaves out what every save changes', () => {
    const mine = { ...PIECE, version: 1, cut: { trim: 3, edges: [1] }, layers: [{ title: 'A', extent: 'full' }] };
    const theirs = { ...PIECE, version: 2, cut: { trim: 4, edges: [1] }, layers: [{ title: 'A', extent: 'strip' }] };
    expect(differences(mine, theirs)).toEqual([
      { field: 'Cut, trimmed by', mine: '3 mm', theirs: '4 mm' },
      { field: 'Layers 1, extent', mine: 'full', theirs: 'strip' },
    ]);
    expect(differences(mine, { ...mine, version: 9 })).toEqual([]);
    expect(differences({ seamAllowance: 10 }, { seamAllowance: 12 }, { seamAllowance: 'Allowance' })[0]!.field).toBe('Allowance');
  });

  it('is shown; going back closes this dialog and not the form that it stands in', async () => {
    const [closed, outer, mine, theirs] = [vi.fn(), vi.fn(), vi.fn(), vi.fn()];
    render(
      <dialog open onClose={outer}>
        <StaleDialog conflict={{ mine: { width: 40 }, theirs: { width: 45 } }} onMine={mine} onTheirs={theirs} onClose={closed} />
      </dialog>,
    );
    expect(screen.getByRole('row', { name: 'Width 40 mm 45 mm' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Save mine over it' }));
    await userEvent.click(screen.getByRole('button', { name: 'Keep the other, drop mine' }));
    expect([mine.mock.calls.length, theirs.mock.calls.length]).toEqual([1, 1]);
    await userEvent.click(screen.getByRole('button', { name: 'Go back to my form' }));
    expect([closed.mock.calls.length, outer.mock.calls.length]).toEqual([1, 0]);
  });
});

describe('what an earlier page could not get confirmed', () => {
  const kept = { address: '/api/parts/part-77', body: { width: 50, version: 3 } };

  it('is sent again and told', async () => {
    const sent = fakeServer(savesAll);
    keepUnsaved(kept);
    render(<Notices />);
    expect(await screen.findByText('A change that had not reached Nembrel is saved now.')).toBeInTheDocument();
    expect(sent).toMatchObject([{ method: 'PUT', path: '/api/parts/part-77', body: kept.body }]);
    expect(allUnsaved()).toEqual([]);
  });

  it('counts as saved when it had arrived after all', async () => {
    fakeServer(() => [409, { error: { message: 'stale' }, current: { width: 50, name: 'x', version: 4 } }]);
    keepUnsaved(kept);
    render(<Notices />);
    expect(await screen.findByText(/is saved now/)).toBeInTheDocument();
    expect(allUnsaved()).toEqual([]);
  });

  it('is offered, not forced, when the same was changed elsewhere', async () => {
    const sent = fakeServer((one, count) =>
      count === 1 ? [409, { error: { message: 'stale' }, current: { width: 99, version: 8 } }] : savesAll(one, count),
    );
    keepUnsaved(kept);
    render(<Notices />);
    await userEvent.click(await screen.findByRole('button', { name: 'Save mine over it' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]!.body).toEqual({ width: 50, version: 8 });
  });

  it('stays kept while the server is away, and can be dropped when it is refused', async () => {
    fakeServer(() => 'away');
    keepUnsaved(kept);
    const { unmount } = render(<Notices />);
    await act(() => new Promise((resolve) => setTimeout(resolve, 20)));
    expect(allUnsaved()).toHaveLength(1);
    unmount();
    fakeServer(() => [404, { error: { message: 'part not found', field: null } }]);
    render(<Notices />);
    await userEvent.click(await screen.findByRole('button', { name: 'Drop it' }));
    expect(allUnsaved()).toEqual([]);
  });
});

it('an undo that fails says why and can be tried again', async () => {
  let working = false;
  const takeBack = vi.fn(async () => {
    if (!working) throw new Error('Nembrel is not answering.');
  });
  fakeServer(savesAll);
  render(<Notices />);
  act(() => undoToast('Gone.', takeBack));
  await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(await screen.findByText('That could not be taken back. Nembrel is not answering.')).toBeVisible();
  working = true;
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(takeBack).toHaveBeenCalledTimes(2));
});
