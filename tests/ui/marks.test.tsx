import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import type { Mark } from '../../src/core/pieces';
import { NEW_PIECE, type PieceDraft } from '../../src/ui/piece/piece-draft';
import PieceForm from '../../src/ui/piece/PieceForm';
import { UnitsProvider } from '../../src/ui/units-context';
import { pick, press, type } from './typing';

/** A rectangle of 300 × 120 whose lower left corner lies at `corner`. */
function form(marks: Mark[] = [], errors: Record<string, string> = {}) {
  const seen: { draft: PieceDraft } = { draft: { ...NEW_PIECE, name: 'Flap', marks } };
  const onFault = vi.fn();
  function Held() {
    const [draft, setDraft] = useState(seen.draft);
    seen.draft = draft;
    return (
      <UnitsProvider value="metric">
        <PieceForm draft={draft} onChange={setDraft} errors={errors} onFault={onFault} />
      </UnitsProvider>
    );
  }
  render(<Held />);
  return { marks: () => seen.draft.marks, onFault };
}
const POINT: Mark = { kind: 'drill', at: [37, 20] };
const DART: Mark = { kind: 'dart', at: [60, 0], to: [60, 45], width: 18 };
const open = (name: RegExp) => userEvent.click(screen.getByRole('button', { name, pressed: false }));

describe('a mark', () => {
  it('is typed to a fraction of an inch and kept exactly', async () => {
    const { marks } = form([POINT]);
    await open(/^Point,/);
    await type('From the bottom', '1/2 in');
    expect(marks()[0]!.at[1] - POINT.at[1]).toBeCloseTo(12.7 - 20, 9);
  });

  it('says what cannot be read, and keeps the last place until it can', async () => {
    const { marks, onFault } = form([POINT]);
    await open(/^Point,/);
    await type('From the left', 'far');
    expect(screen.getByLabelText('From the left')).toHaveAttribute('aria-invalid', 'true');
    expect(onFault).toHaveBeenLastCalledWith('marks[0].at[0]', true);
    expect(marks()[0]).toEqual(POINT);
  });

  it('is put onto the centre line exactly', async () => {
    const { marks } = form([POINT]);
    await open(/^Point,/);
    await pick('Put it', 'on the centre line');
    expect(marks()[0]!.at).toEqual([150, 20]);
  });

  it('that is a dart has its point and its width typed, and nothing else moves', async () => {
    const { marks } = form([POINT, DART]);
    await open(/^Dart,/);
    await type('Point: from the bottom', '60 mm');
    await type('Width of its mouth', '24 mm');
    expect(marks()).toEqual([POINT, { ...DART, to: [60, 60], width: 24 }]);
  });

  it('is taken off, and the others stay', async () => {
    const { marks } = form([POINT, DART]);
    await press('Take off the mark point 1');
    expect(marks()).toEqual([DART]);
  });

  it('is told to be wrong beside its own field', async () => {
    form([DART], { 'marks[0].width': 'must be at most 1000' });
    await open(/^Dart,/);
    expect(screen.getByText(/must be at most 1000/)).toBeVisible();
  });

  it('is drawn as what it is: a dart with its legs, a fold line dashed', () => {
    form([DART, { kind: 'fold-line', at: [0, 30], to: [300, 30] }]);
    const signs = [...document.querySelectorAll('svg[role=img] title')].map(({ textContent }) => textContent);
    expect(signs).toEqual(['dart', 'fold line']);
    expect(document.querySelector('svg[role=img] g path[d^="M51"]')).not.toBeNull();
  });

  it('asks for its place when a kind is picked, and nothing is put before the drawing is touched', async () => {
    const { marks } = form();
    await pick('Mark to put on the piece', 'quarter points of an edge');
    expect(screen.getByText('Touch an edge: it is parted in four.')).toBeVisible();
    fireEvent.click(screen.getByLabelText('Name of the piece'));
    expect(marks()).toEqual([]);
  });
});
