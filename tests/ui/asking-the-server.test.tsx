import { act, render, renderHook, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Toaster } from 'sonner';
import { describe, expect, it } from 'vitest';
import { useAsked, useWrite } from '../../src/ui/query';
import { rowsIn, useNamedRemoval } from '../../src/ui/use-removal';
import { call } from '../../src/ui/api';
import { fakeServer } from './fake-server';
import { press } from './typing';

describe('a question to the server', () => {
  const ask = (start?: number) =>
    renderHook(({ n }) => useAsked<number>('/api/x', { n }, start === undefined ? {} : { start }), { initialProps: { n: 1 } });

  it('shows the answer before until the next is there, and says that it is not its own', async () => {
    let release: () => void = () => {};
    fakeServer(async ({ body }) => {
      if (body['n'] === 2) await new Promise<void>((go) => (release = go));
      return [200, Number(body['n']) * 10];
    });
    const { result, rerender } = ask();
    await waitFor(() => expect(result.current).toMatchObject({ answer: 10, current: true }));
    rerender({ n: 2 });
    await waitFor(() => expect(result.current).toMatchObject({ answer: 10, current: false, busy: true }));
    await act(async () => release());
    await waitFor(() => expect(result.current).toMatchObject({ answer: 20, current: true, busy: false }));
  });

  it('is not asked where the answer came with the page, but with its next change', async () => {
    const sent = fakeServer(({ body }) => [200, Number(body['n']) * 10]);
    const { result, rerender } = ask(10);
    expect(result.current).toMatchObject({ answer: 10, current: true });
    rerender({ n: 3 });
    await waitFor(() => expect(result.current.answer).toBe(30));
    expect(sent.map(({ body }) => body['n'])).toEqual([3]);
  });

  it('is refused with the field, keeps the answer before, and is asked again of itself when nobody answers', async () => {
    const sent = fakeServer(({ body }, count) =>
      body['n'] === 2 ? [400, { error: { message: 'n: must be odd', field: 'n' } }] : count === 2 ? 'away' : [200, 10],
    );
    const { result, rerender } = ask(10);
    rerender({ n: 2 });
    await waitFor(() => expect(result.current.error).toBe('n: must be odd'));
    expect(result.current).toMatchObject({ answer: 10, problem: { field: 'n', status: 400 } });
    rerender({ n: 3 });
    await waitFor(() => expect(result.current).toMatchObject({ current: true, error: undefined }));
    expect(sent).toHaveLength(3);
  });

  it('a write tells what was refused, and is not repeated of itself', async () => {
    const sent = fakeServer(() => 'away');
    const { result } = renderHook(() => useWrite((name: string) => call('POST', '/api/projects', { name })));
    await act(async () => void (await result.current.mutateAsync('Lantern').catch(() => {})));
    await waitFor(() => expect(result.current.error?.status).toBe(0));
    expect(sent).toHaveLength(1);
  });
});

describe('taking a row out', () => {
  function Rows() {
    const [rows, setRows] = useState([{ id: 'a', name: 'Felt' }, { id: 'b', name: 'Duck' }]); // prettier-ignore
    const remove = useNamedRemoval('/api/cloths', rowsIn(setRows));
    return (
      <>
        {rows.map((row) => (
          <button key={row.id} onClick={() => remove(row)}>
            {row.name}
          </button>
        ))}
        <Toaster />
      </>
    );
  }

  it('takes it off the screen before the server has answered, and brings it back by Undo', async () => {
    let release: () => void = () => {};
    const sent = fakeServer(async ({ method }) => {
      if (method === 'DELETE') await new Promise<void>((go) => (release = go));
      return [200, { id: 'a', name: 'Felt', version: 3 }];
    });
    render(<Rows />);
    await press('Felt');
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Felt' })).toBeNull());
    await act(async () => release());
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(await screen.findByRole('button', { name: 'Felt' })).toBeVisible();
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual(['DELETE /api/cloths/a', 'POST /api/cloths/a/restore']);
  });

  it('puts it back when it is refused, says why, and tries again', async () => {
    const sent = fakeServer((_sent, count) =>
      count === 1 ? [409, { error: { message: 'is in use', field: null } }] : [200, {}],
    );
    render(<Rows />);
    await press('Felt');
    expect(await screen.findByText(/could not be deleted. is in use/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Felt' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Felt' })).toBeNull());
    expect(sent).toHaveLength(2);
  });
});
