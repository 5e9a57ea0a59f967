import { render, screen, waitFor } from '@testing-library/react';
import { Suspense } from 'react';
import { Toaster } from 'sonner';
import { describe, expect, it } from 'vitest';
import { fetched } from '../../src/ui/fetched';

const shown = (Part: React.ComponentType<{ words: string }>) =>
  render(
    <>
      <p>The rest of the page</p>
      <Suspense>
        <Part words="A form" />
      </Suspense>
      <Toaster />
    </>,
  );
const Form = ({ words }: { words: string }) => <p>{words}</p>;

describe('a part of a page that is fetched', () => {
  it('is shown when it comes, at the second try too', async () => {
    let tries = 0;
    shown(fetched(async () => (++tries === 1 ? Promise.reject(new Error('no network')) : { default: Form })));
    expect(await screen.findByText('A form')).toBeDefined();
    expect(tries).toBe(2);
  });

  it('that does not come says so, and the page stays', async () => {
    let tries = 0;
    shown(
      fetched<{ words: string }>(async () => {
        tries++;
        throw new Error('no network');
      }),
    );
    await waitFor(() => expect(screen.getByText(/could not be fetched/)).toBeDefined());
    expect(screen.getByRole('button', { name: 'Load the page again' })).toBeDefined();
    expect(screen.getByText('The rest of the page')).toBeDefined();
    expect(tries).toBe(2);
  });
});
