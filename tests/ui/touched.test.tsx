import { act, render, screen } from '@testing-library/react';
import { Suspense, use, useState } from 'react';
import { describe, expect, it } from 'vitest';
import { useTouched } from '../../src/ui/use-touched';

describe('what is touched', () => {
  it('is marked at once, while what follows from it is still being painted; a second touch goes before the first', async () => {
    const ready = new Map<string, () => void>();
    const slow = new Map(['b', 'c'].map((id) => [id, new Promise<void>((done) => ready.set(id, done))]));
    function Shown({ id }: { id: string }) {
      const waits = slow.get(id);
      if (waits) use(waits);
      return <p>this is {id}</p>;
    }
    function Marks({ current, onChange }: { current: string; onChange: (id: string) => void }) {
      const { shown, waiting, touch } = useTouched(current, onChange);
      return (
        <>
          {['a', 'b', 'c'].map((id) => (
            <button key={id} aria-current={id === shown ? 'step' : undefined} onClick={() => touch(id)}>
              {id}
            </button>
          ))}
          {waiting && <p>painting</p>}
        </>
      );
    }
    function View() {
      const [id, setId] = useState('a');
      return (
        <Suspense>
          <Marks current={id} onChange={setId} />
          <Shown id={id} />
        </Suspense>
      );
    }
    render(<View />);
    const marked = () => screen.getByRole('button', { current: 'step' }).textContent;
    const touch = (id: string) => act(async () => screen.getByRole('button', { name: id }).click());
    await touch('b');
    expect([marked(), screen.getByText(/^this is/).textContent]).toEqual(['b', 'this is a']);
    expect(screen.getByText('painting')).toBeVisible();
    await touch('c');
    expect(marked()).toBe('c');
    await act(async () => ready.get('c')!());
    expect(await screen.findByText('this is c')).toBeVisible();
    expect(marked()).toBe('c');
    expect(screen.queryByText('painting')).toBeNull();
  });
});
