import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { useKeptFocus } from '../../src/ui/use-kept-focus';

function Shelf() {
  useKeptFocus();
  const [rows, setRows] = useState(['linen', 'lawn', 'duck']);
  return (
    <main>
      <button type="button">Add</button>
      <ul>
        {rows.map((row) => (
          <li key={row}>
            <button type="button">Open {row}</button>
            <button type="button" onClick={() => setRows(rows.filter((each) => each !== row))}>
              Delete {row}
            </button>
          </li>
        ))}
      </ul>
    </main>
  );
}

const deleted = (row: string) => {
  const button = screen.getByRole('button', { name: `Delete ${row}` });
  button.focus();
  fireEvent.click(button);
};

describe('the focus after a deletion', () => {
  it('goes to what stands in the place of the row, from the last one to the one before, and at the end to what is left', async () => {
    render(<Shelf />);
    deleted('linen');
    await waitFor(() => expect(screen.getByRole('button', { name: 'Delete lawn' })).toHaveFocus());
    deleted('duck');
    await waitFor(() => expect(screen.getByRole('button', { name: 'Delete lawn' })).toHaveFocus());
    deleted('lawn');
    await waitFor(() => expect(screen.getByRole('button', { name: 'Add' })).toHaveFocus());
  });
});
