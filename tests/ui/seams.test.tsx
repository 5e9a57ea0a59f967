import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { rectangleCut } from './rectangle-cut';
import { seamRuns, walkSeam } from '../../src/core/seams';
import type { JudgedSeam } from '../../src/server/seam-work';
import SeamsView from '../../src/views/seams/SeamsView';
import { fakeServer } from './fake-server';
import { press } from './typing';

const giving = { stretch: 2, held: false };
const [front, edge] = [rectangleCut('front', 320), rectangleCut('edge', 332)];
const judged = (): JudgedSeam => {
  const side = (cut: typeof front) => {
    const [run] = seamRuns(cut, [0]);
    return { name: cut.name, piece: { id: cut.pieceId, version: 1 }, length: run!.length, times: 1, ...giving, pile: [] };
  };
  const [first, second] = [side(front), side(edge)];
  return {
    seam: {
      ...{ id: 's', version: 1, createdAt: '', updatedAt: '', projectId: 'p', note: '' },
      ...{ firstCut: front.id, firstEdges: [0], secondCut: edge.id, secondEdges: [0] },
    },
    ...{ first, second, thicknessKnown: false, fault: null },
    compared: { difference: first.length - second.length, fit: 'ease', gives: 'second', seam: 1, corner: 2, clears: true },
    walk: walkSeam(seamRuns(front, [0])[0]!, seamRuns(edge, [0])[0]!, { first, second }),
  };
};
const open = () =>
  render(<SeamsView project={{ id: 'p', name: 'Bag' }} cuts={[front, edge]} start={[judged()]} units="metric" clearance={6} />);

describe('a seam on its page', () => {
  it('is walked: the place moves along both edges, each told in its own length', async () => {
    open();
    await press('Walk the seam');
    expect(screen.getByText(/From the beginning to the end: 30 cm and 31.2 cm, ease in 12 mm of edge/)).toBeVisible();
    fireEvent.change(screen.getByLabelText('Place along the seam'), { target: { value: '500' } });
    expect(screen.getByText('Along the seam: 15 cm of front, 15.6 cm of edge')).toBeVisible();
    await press('Turn edge over');
    expect(screen.getByRole('button', { name: 'Turn edge over' })).toHaveAttribute('aria-pressed', 'true');
  });

  it('is mended on the side and at the end that is chosen, with the pieces as they are seen', async () => {
    const sent = fakeServer(() => [400, { error: { message: 'at: cannot be reached by moving that end', field: 'at' } }]);
    open();
    await press('Mend it');
    const panel = screen.getByRole('group', { name: 'The edge is changed' });
    within(panel).getByRole('radio', { name: 'where it ends' }).click();
    await press('Shorten edge by 12 mm');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      path: '/api/seams/s/mend',
      body: {
        how: 'length',
        side: 'second',
        at: 'end',
        versions: [
          { id: 'piece-front', version: 1 },
          { id: 'piece-edge', version: 1 },
        ],
      },
    });
  });
});
