import { act, fireEvent, render, renderHook, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import Pager from '../../src/ui/Pager';
import { useHistory } from '../../src/ui/use-history';
import { usePage } from '../../src/ui/use-page';
import ProjectsView from '../../src/views/projects/ProjectsView';
import { fakeServer } from './fake-server';

describe('what can be taken back', () => {
  it('is done again in the order in which it was done, until something else is done', () => {
    const { result } = renderHook(() => useHistory(1));
    for (const each of [2, 3, 4]) act(() => result.current.set(each));
    act(() => result.current.undo());
    act(() => result.current.undo());
    expect([result.current.now, result.current.canRedo]).toEqual([2, true]);
    act(() => result.current.redo());
    expect(result.current.now).toBe(3);
    act(() => result.current.redo());
    expect([result.current.now, result.current.canRedo]).toEqual([4, false]);
    act(() => result.current.undo());
    act(() => result.current.set(9));
    expect([result.current.now, result.current.canRedo]).toEqual([9, false]);
  });

  it('counts steps of one name in a row as one', () => {
    const { result } = renderHook(() => useHistory(0));
    for (const each of [1, 2, 3]) act(() => result.current.set(each, 'drag'));
    act(() => result.current.set(4, 'turn'));
    act(() => result.current.undo());
    expect(result.current.now).toBe(3);
    act(() => result.current.undo());
    expect([result.current.now, result.current.canUndo]).toEqual([0, false]);
  });
});

describe('a list by pages', () => {
  interface Row {
    id: string;
    name: string;
  }
  const row = (id: string): Row => ({ id, name: id });
  const start = { rows: [row('a'), row('b')], total: 5, page: 0, size: 2 };
  beforeEach(() => void vi.useFakeTimers());
  const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

  it('is asked for what is shown, a search from its first page and only once it stands', async () => {
    const sent = fakeServer(({ path }) => [
      200,
      { ...start, rows: [row('c')], page: Number(new URL(path, 'http://x').searchParams.get('page')) },
    ]);
    const { result, rerender } = renderHook(({ search }) => usePage('/api/layers', start, { search, family: '' }), {
      initialProps: { search: '' },
    });
    expect(result.current.pages).toBe(3);
    await pass(1000);
    expect(sent).toEqual([]);
    act(() => result.current.go(2));
    await pass(10);
    for (const search of ['w', 'we', 'web']) {
      rerender({ search });
      await pass(50);
    }
    await pass(400);
    expect(sent.map(({ path }) => path)).toEqual(['/api/layers?page=2', '/api/layers?search=web&page=0']);
  });

  it('shows the last answer asked for, however late the one before it comes', async () => {
    fakeServer(async ({ path }) => {
      if (path.endsWith('page=1')) await new Promise((resolve) => setTimeout(resolve, 500));
      return [200, { ...start, rows: [row(path.slice(-1))] }];
    });
    const { result } = renderHook(() => usePage('/api/layers', start, {}));
    act(() => result.current.go(1));
    act(() => result.current.go(2));
    await pass(2000);
    expect(result.current.rows).toEqual([row('2')]);
    expect(result.current.busy).toBe(false);
  });

  it('shows a row that was saved, a new one first, and none that was deleted', async () => {
    const { result } = renderHook(() => usePage<Row>('/api/layers', start, {}));
    act(() => result.current.put({ id: 'b', name: 'changed' }));
    act(() => result.current.put({ id: 'n', name: 'new' }));
    act(() => result.current.drop('a'));
    await pass(10);
    expect(result.current.rows).toEqual([row('n'), row('b')].map(({ id }) => ({ id, name: id === 'n' ? 'new' : 'changed' })));
    expect(result.current.total).toBe(5);
  });

  it('keeps a deleted row out, and shows one that came back, whatever a search that is on its way says', async () => {
    let there = true;
    fakeServer(async () => {
      const rows = there ? [row('a')] : [];
      await new Promise((resolve) => setTimeout(resolve, 300));
      return [200, { ...start, rows, total: rows.length }];
    });
    const { result, rerender } = renderHook(({ search }) => usePage<Row>('/api/layers', start, { search }), {
      initialProps: { search: '' },
    });
    rerender({ search: 'a' });
    const before = result.current;
    await pass(200);
    // The search was asked while it was there, and is answered after it went.
    act(() => before.drop('a'));
    there = false;
    await pass(400);
    expect([result.current.rows, result.current.total]).toEqual([[], 0]);
    rerender({ search: 'aa' });
    await pass(200);
    // Now one is on its way that does not know of its return.
    there = true;
    act(() => before.put(row('a')));
    await pass(1000);
    expect([result.current.rows, result.current.total]).toEqual([[row('a')], 1]);
  });

  it('says what went wrong and keeps what is shown', async () => {
    fakeServer(() => 'away');
    const { result } = renderHook(() => usePage('/api/layers', start, {}));
    act(() => result.current.go(1));
    // It is asked again by itself before it is told.
    await pass(10);
    expect(result.current.error).toBeUndefined();
    await pass(1000);
    expect(result.current.error).toContain('not answering');
    expect(result.current.rows).toHaveLength(2);
  });

  it('is turned over by its buttons, which end at both ends', () => {
    const go = vi.fn();
    const { rerender } = render(<Pager page={0} pages={3} words="5 layers" busy={false} onGo={go} />);
    expect(screen.getByRole('button', { name: 'Before' })).toBeDisabled();
    fireEvent.click(screen.getByRole('button', { name: 'Next' }));
    expect(go).toHaveBeenLastCalledWith(1);
    rerender(<Pager page={2} pages={3} words="5 layers" busy={false} onGo={go} />);
    expect(screen.getByRole('button', { name: 'Next' })).toBeDisabled();
    expect(screen.getByText('Page 3 of 3, 5 layers')).toBeVisible();
    rerender(<Pager page={0} pages={1} words="5 layers" busy={false} onGo={go} />);
    expect(screen.queryByRole('navigation')).toBeNull();
  });
});

describe('projects in their order', () => {
  const project = (id: string) => ({
    ...{ id, name: `Project ${id}`, note: '', jobs: 0, chosen: 0, cut: 0, filed: 0 },
    version: 1,
  });
  const start = { rows: ['a', 'b', 'c'].map(project), total: 3, page: 0, size: 24 } as never;
  const names = () => screen.getAllByRole('heading', { level: 2 }).map((each) => each.textContent);
  const move = async (id: string, key: string) => {
    screen.getByRole('button', { name: `Drag Project ${id}, or move it with the arrow keys` }).focus();
    await userEvent.keyboard(key);
  };

  it('are moved by keys, at once on the screen and then for good', async () => {
    const sent = fakeServer(() => [200, {}]);
    render(<ProjectsView start={start} />);
    await move('a', '{ArrowRight}');
    await waitFor(() => expect(names()).toEqual(['Project b', 'Project a', 'Project c']));
    await move('c', '{ArrowUp}');
    await waitFor(() => expect(names()).toEqual(['Project b', 'Project c', 'Project a']));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent.map(({ method, path, body }) => [method, path, body])).toEqual([
      ['PUT', '/api/projects/a/place', { before: 'c' }],
      ['PUT', '/api/projects/a/place', { before: null }],
    ]);
  });

  it('jump back when it cannot be kept', async () => {
    fakeServer(() => [500, { error: { message: 'The disk is full.', field: null } }]);
    render(<ProjectsView start={start} />);
    await move('c', '{ArrowUp}');
    await waitFor(() => expect(names()).toEqual(['Project a', 'Project b', 'Project c']));
  });
});
