import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import type { BenchSheet, BenchStep } from '../../src/core/bench';
import BoardView from '../../src/views/bench/BoardView';
import CheckBoxes from '../../src/views/bench/CheckBoxes';
import SheetDrawing from '../../src/views/bench/SheetDrawing';
import Together from '../../src/views/project/Together';
import { fakeServer } from './fake-server';
import { press } from './typing';

const square = (x: number, size: number): [number, number][] => [[x, 0], [x + size, 0], [x + size, size], [x, size]]; // prettier-ignore

describe('jobs of one cut, counted together', () => {
  const cloth = { ...LIBRARY_CLOTHS[0]!, arealDensity: 200 } as never;
  const full = { ...LIBRARY_LAYERS.find(({ form }) => form === 'fusible')!, arealDensity: 50 };
  const patch = { ...LIBRARY_LAYERS.find(({ family }) => family === 'organdy')!, arealDensity: 100 };
  const work = (name: string, role: string, place: object, materialId: string, extent: string) => ({
    ...{ shape: { kind: 'rectangle', width: 500, height: 200, corners: [false, false, false, false], corner: 0 }, line: 'cut' },
    ...{ allowances: [10, 10, 10, 10], own: null, fold: null, grain: 0, marks: [] },
    ...{ job: { name }, name: 'Piece', place, wish: { role }, stack: { layers: [{ materialId, extent, angle: 0 }] } },
  });

  it('says what a piece weighs and where layers lie on each other, by what the jobs are', () => {
    const works = [
      work('', 'neck-facing', { kind: 'whole' }, full.id, 'full'),
      work('top buttonhole', 'buttonhole', { kind: 'patch', at: [250, 100], size: 100 }, patch.id, 'patch'),
    ];
    render(<Together works={works as never} cloth={cloth} materials={[full, patch] as never} trim={6} />);
    // 0.1 m² of 200 and of 50 g/m², and 0.01 m² of 100.
    expect(screen.getByText(/One piece weighs about 26 g, of which 20 g are cloth/)).toBeVisible();
    expect(screen.getByRole('listitem')).toHaveTextContent(
      /^Neck facing and top buttonhole lie on each other on (9[89]|10[0-2]) cm².*about 350 g\/m²/,
    );
  });
});

describe('the board with a flat press', () => {
  const board = {
    runs: [],
    toFile: [],
    ready: [{ projectId: 'p', project: 'Bags', jobs: [{ id: 'j', name: 'Flap', stackTitle: 'Firm', count: 4, uncut: '' }] }],
  };
  const start = async (tool?: string) => {
    vi.stubGlobal('location', { assign: vi.fn() });
    const sent = fakeServer(() => [201, { id: 'run' }]);
    await userEvent.click(screen.getByRole('checkbox', { name: /Flap/ }));
    if (tool) await userEvent.click(screen.getByRole('radio', { name: tool }));
    await press('Start it at the bench');
    return sent[0]!.body;
  };

  it('begins under the press, or with the iron where that is wanted', async () => {
    const { unmount } = render(<BoardView board={board} press />);
    expect(await start()).toEqual({ jobIds: ['j'], tool: 'press' });
    unmount();
    render(<BoardView board={board} press />);
    expect(await start('with the iron')).toEqual({ jobIds: ['j'], tool: 'iron' });
  });

  it('is not asked where there is none', async () => {
    render(<BoardView board={board} press={false} />);
    expect(screen.queryByRole('radio')).toBeNull();
    expect(await start()).toEqual({ jobIds: ['j'], tool: 'iron' });
  });
});

describe('a sheet at the bench', () => {
  const sheet: BenchSheet = {
    outline: square(0, 300),
    pieces: [{ name: 'Flap 1', workId: 'j', outline: square(0, 100) }, { name: 'Flap 2', workId: 'j', outline: square(120, 100) }],
  }; // prettier-ignore
  const step = { id: 's', kind: 'press', title: '', detail: '', stops: [{ x: 50, y: 50, rotation: 0 }, { x: 170, y: 50, rotation: 0 }] } as unknown as BenchStep; // prettier-ignore

  it('is drawn with every piece by name, and says which stop is next', () => {
    render(<SheetDrawing sheet={sheet} step={step} plate={square(-50, 100)} current={1} />);
    expect(screen.getByRole('img', { name: '2 pieces on the layer: Flap 1, Flap 2; stop 2 of 2 is next' })).toBeVisible();
    expect(screen.getByText('Flap 2')).toBeVisible();
  });

  it('of many pieces is ticked by one touch, and what was ticked stays', async () => {
    const ticked = vi.fn();
    const checks = ['a', 'b', 'c', 'd'];
    const { rerender } = render(<CheckBoxes checks={checks} ticked={[]} onTick={ticked} narrow />);
    await press('All 4 are right');
    expect(ticked.mock.calls).toEqual(checks.map((check) => [check, true]));
    rerender(<CheckBoxes checks={checks} ticked={['b']} onTick={ticked} narrow />);
    await press('The rest is right too');
    expect(ticked.mock.calls.slice(4).map(([check]) => check)).toEqual(['a', 'c', 'd']);
    rerender(<CheckBoxes checks={checks} ticked={checks} onTick={ticked} narrow />);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
