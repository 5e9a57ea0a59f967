import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { ShownRecipe } from '../../src/server/recipe-work';
import { UnitsProvider } from '../../src/ui/units-context';
import FromEdgeDialog from '../../src/views/project/FromEdgeDialog';
import RecipeList from '../../src/views/project/RecipeList';
import { fakeServer } from './fake-server';
import { pick, press, type } from './typing';

/** Half a skirt on its fold: hem, side, waist, centre. */
const piece = {
  ...{ id: 'p', version: 4, projectId: 'x', name: 'Skirt', position: 1, line: 'sew', fold: 3, grain: 0, marks: [] },
  shape: { kind: 'drawn', edges: [{ from: [0, 0] }, { from: [300, 0] }, { from: [240, 500] }, { from: [0, 500] }] },
  allowances: [30, 15, 10, 0],
} as never;
const cut = { id: 'c', pieceId: 'p', duty: 'shell', clothId: 'poplin', count: 2, pairs: false, orientation: 'bias' } as never;
const cloths = [{ id: 'poplin', name: 'Poplin', origin: 'own' }] as never;

function open() {
  const onAdded = vi.fn();
  const sent = fakeServer(() => [201, { pieces: [], cuts: [], jobs: [{ id: 'j' }] }]);
  render(
    <UnitsProvider value="metric">
      <FromEdgeDialog {...{ projectId: 'x', piece, cut, cloths, care: 'hand-wash', onAdded, onClose: vi.fn() }} />
    </UnitsProvider>,
  );
  return { sent, onAdded };
}

describe('what is made from the edges of a piece', () => {
  it('is drawn as edges are touched, never from the fold, and is added with the piece that it follows', async () => {
    const { sent, onAdded } = open();
    expect(screen.getAllByRole('checkbox').map((box) => box.closest('label')?.textContent?.trim())).not.toContain('edge 4');
    expect(screen.getByText(/Touch an edge, and what is made from it/)).toBeVisible();
    await pick('What is made', 'Hem facing');
    await userEvent.click(screen.getByLabelText('edge 1'));
    await type('Depth', '2 in');
    await userEvent.click(screen.getByLabelText('A lining that meets it'));
    await waitFor(() => expect(screen.getByRole('button', { name: 'Add 2 pieces' })).toBeEnabled());
    expect(screen.getByText('60 cm')).toBeVisible();
    await press('Add 2 pieces');
    await waitFor(() => expect(onAdded).toHaveBeenCalledOnce());
    const body = sent.find(({ method }) => method === 'POST')!.body as {
      recipe: object;
      pieces: { name: string; allowances: number[]; cuts: { duty: string; count: number; clothId: string | null; orientation: string; jobs: { wish: object }[] }[] }[];
    }; // prettier-ignore
    expect(body.recipe).toEqual({
      kind: 'edge-hem',
      measures: { depth: 50.8, free: 0, lining: 1, join: 10 },
      source: { pieceId: 'p', edges: [0] },
    });
    expect(body.pieces.map(({ name, cuts }) => [name, cuts[0]!.duty, cuts[0]!.count, cuts[0]!.clothId])).toEqual([
      ['Skirt: hem facing', 'shell', 2, 'poplin'],
      ['Skirt: lining', 'lining', 2, null],
    ]);
    expect(body.pieces[0]!.allowances).toContain(30);
    expect(body.pieces[0]!.cuts[0]).toMatchObject({ orientation: 'bias', jobs: [{ wish: { role: 'hem', care: 'hand-wash' } }] });
  });

  it('says at the measure, or by the edges, what cannot be; nothing is sent', async () => {
    const { sent } = open();
    await userEvent.click(screen.getByLabelText('edge 1'));
    await userEvent.click(screen.getByLabelText('edge 3'));
    expect(screen.getByRole('alert')).toHaveTextContent('The edges must follow each other');
    expect(screen.getByRole('button', { name: 'Add the pieces' })).toBeDisabled();
    await userEvent.click(screen.getByLabelText('edge 3'));
    await type('Depth', 'deep');
    expect(screen.getByRole('button', { name: /^Add/ })).toBeDisabled();
    await type('Depth', '520');
    await waitFor(() => expect(screen.getByText(/must leave the piece in one/)).toBeVisible());
    expect(screen.getByLabelText('Depth')).toHaveValue('520');
    expect(sent.filter(({ method }) => method === 'POST')).toEqual([]);
  });
});

describe('recipes of a project', () => {
  it('name the piece that they follow, and what could not follow', () => {
    const recipe = {
      ...{ id: 'r', name: 'Hem facing', facts: [], notes: [], of: { name: 'Skirt' } },
      told: ['It could not follow “Skirt”: depth must leave the piece in one; 50 mm leaves 0 parts of it.'],
    } as unknown as ShownRecipe;
    render(
      <UnitsProvider value="inch">
        <RecipeList recipes={[recipe]} />
      </UnitsProvider>,
    );
    expect(screen.getByText(/of “Skirt”/)).toBeVisible();
    expect(screen.getByRole('list', { name: 'What did not follow: Hem facing' })).toHaveTextContent(
      /must leave the piece in one; 2 in/,
    );
  });
});
