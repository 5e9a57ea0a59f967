import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { clothMaterial, fingerprint, tableList, usualOptions } from '../../src/core/cutlist';
import type { Placement } from '../../src/core/nesting';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import type { CutTable } from '../../src/store/cut-tables';
import type { KeptPart } from '../../src/core/cutlist';
import type { Treatment } from '../../src/core/pieces';
import type { Settings } from '../../src/store/settings';
import type { Stock } from '../../src/store/stock';
import TableView from '../../src/views/cutting-table/TableView';
import { fakeServer, savesAll, type Sent } from './fake-server';

const linen = LIBRARY_CLOTHS.find(({ construction, weave }) => construction === 'woven' && weave === 'plain')!;
const material = clothMaterial({ ...linen, rollWidth: 1400 });
const settings = { units: 'metric', currency: '€', trim: 6 } as Settings;
const part = {
  ...{ id: 'p', name: 'Flap', projectId: 'x', cutDone: false, clothId: linen.id, count: 2, pairs: false, oneWay: false },
  ...{ wish: { role: 'tab', cut: 'straight', stretch: 'any', care: 'wash-warm' }, stack: null, glueUp: false, version: 1 },
  ...{ shape: { kind: 'rectangle', width: 200, height: 100, corners: [false, false, false, false], corner: 0 } },
  ...{ line: 'cut', allowances: [0, 0, 0, 0], fold: null, grain: 0, marks: [] },
} as unknown as KeptPart;
const roll = {
  ...{ id: 'r', kind: 'roll', ofKind: 'cloth', ofId: linen.id, width: 1400, length: 3000, count: 1, outline: null },
  ...{ place: 'shelf', note: '', version: 1, usedBy: null },
} as unknown as Stock;
const options = { ...usualOptions(material, [roll]), gap: 0, margin: 0, squaring: 0, stockIds: ['r'] };
const { items } = tableList([part], material, options, null, settings.trim);
const [item] = items;
const placement = (copy: number, x: number, y: number): Placement => ({ id: item!.id, copy, rotation: 0, flipped: false, x, y });

function open(placements = [placement(0, 100, 100), placement(1, 500, 100)], treatment: Treatment | null = null) {
  const table = {
    ...{ id: 't', version: 1, projectId: 'x', ofKind: 'cloth', ofId: linen.id, options, locked: [], done: null },
    ...{ laid: [{ sourceId: 'r', placements, length: 300, density: 0.1 }], fingerprint: fingerprint(items), workIds: ['p'] },
  } as unknown as CutTable;
  render(
    <TableView
      {...{ project: { id: 'x', name: 'Bags' }, material, works: [part], treatment, method: 'cut-first' }}
      {...{ stock: [roll], table, settings }}
    />,
  );
}
const key = (code: string, more: object = {}) => {
  fireEvent.keyDown(document.body, { key: code, code, ...more });
  fireEvent.keyUp(document.body, { key: code, code, ...more });
};
const take = (copy: number) => fireEvent.focus(screen.getAllByRole('button', { name: /^Flap/ })[copy]!);
type Laid = [{ placements: Placement[] }];
const kept = async (sent: Sent[], count: number): Promise<Placement> => {
  await waitFor(() => expect(sent).toHaveLength(count));
  return (sent.at(-1)!.body['laid'] as Laid)[0].placements[0]!;
};

describe('cloth that is wetted heavily', () => {
  beforeEach(() => {
    vi.stubGlobal('Worker', class {
      addEventListener() {}
      postMessage() {}
      terminate() {}
    }); // prettier-ignore
    fakeServer(savesAll);
  });

  it('is wetted whole before it is cut: as much as comes off the roll for what is laid', () => {
    open(undefined, { when: 'before', length: 0.25, cross: 0 });
    expect(screen.getByText('Wet the cloth whole before you cut.')).toBeVisible();
    // 300 mm are laid: of a cloth that loses a quarter that is 400.
    expect(screen.getByText(/Treat at least 40.cm of it/)).toBeVisible();
  });

  it('after cutting asks for larger pieces, and one that is not wetted for nothing', () => {
    open(undefined, { when: 'after', length: 0.025, cross: 0.01 });
    expect(screen.getByText(/2.5.% along the grain and 1.% across/)).toBeVisible();
  });
});

describe('a piece in the hand, by keyboard', () => {
  let sent: Sent[];
  beforeEach(() => {
    vi.stubGlobal('Worker', class {
      addEventListener() {}
      postMessage() {}
      terminate() {}
    }); // prettier-ignore
    sent = fakeServer(savesAll);
  });

  it.each([
    ['ArrowRight', {}, 100, 101],
    ['ArrowLeft', {}, 100, 99],
    ['ArrowDown', {}, 101, 100],
    ['ArrowUp', {}, 99, 100],
    ['ArrowUp', { shiftKey: true }, 90, 100],
  ])('goes where %s points on the screen, along which the length runs', async (code, more, x, y) => {
    open();
    take(0);
    key(code, more);
    expect(await kept(sent, 1)).toMatchObject({ x, y });
  });

  it('is turned with its middle where it was, and taken back and done again', async () => {
    open();
    take(0);
    key('r', { code: 'KeyR' });
    const turned = await kept(sent, 1);
    expect(turned.rotation).toBe(180);
    expect([turned.x, turned.y].map(Math.round)).not.toEqual([100, 100]);
    key('z', { code: 'KeyZ', ctrlKey: true });
    expect(await kept(sent, 2)).toMatchObject({ rotation: 0, x: 100, y: 100 });
    key('z', { code: 'KeyZ', ctrlKey: true, shiftKey: true });
    expect(await kept(sent, 3)).toEqual(turned);
  });

  it('stays where it is locked', async () => {
    open();
    take(0);
    key('k', { code: 'KeyK' });
    await kept(sent, 1);
    expect(sent[0]!.body['locked']).toHaveLength(1);
    key('ArrowRight');
    key('r', { code: 'KeyR' });
    key('k', { code: 'KeyK' });
    expect(await kept(sent, 2)).toMatchObject({ rotation: 0, x: 100, y: 100 });
    expect(sent[1]!.body['locked']).toEqual([]);
  });

  it('that lies on another is told, and nothing is kept, cut or printed by it until it is moved', async () => {
    open([placement(0, 100, 100), placement(1, 300, 100)]);
    take(0);
    // One millimetre away is free; one towards the other is not.
    const towards = (sentX: number) => (sentX > 0 ? 'ArrowDown' : 'ArrowUp');
    const towardsOther = item!.outline.some(([x]) => x >= 199) ? towards(1) : 'ArrowRight';
    for (let i = 0; i < 3; i++) key(towardsOther, { shiftKey: true });
    expect(await screen.findByText(/2 pieces in the way/)).toBeVisible();
    expect(screen.getByText('Not kept while a piece lies on another or beside the cloth.')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Everything is cut' })).toBeDisabled();
    await new Promise((resolve) => setTimeout(resolve, 900));
    expect(sent).toEqual([]);
    key('z', { code: 'KeyZ', ctrlKey: true });
    expect(await kept(sent, 1)).toMatchObject({ x: 100, y: 100 });
  });

  it('beside the cloth is told too', async () => {
    open([placement(0, 0, 100), placement(1, 500, 100)]);
    take(0);
    key('ArrowUp', { shiftKey: true });
    expect(await screen.findByText(/1 piece in the way of another or beside the cloth/)).toBeVisible();
  });
});

it('what is cut is told to the server with the leftovers that were ticked and where they lie', async () => {
  const sent = fakeServer((one, count) =>
    one.path.endsWith('/done')
      ? [200, { id: 't', version: 2, done: { doneOn: '2026-11-27', drawn: [], keptIds: ['l'] }, options, laid: [], locked: [] }]
      : savesAll(one, count),
  );
  open();
  await userEvent.click(screen.getByRole('button', { name: 'Everything is cut' }));
  const places = await screen.findAllByPlaceholderText('second drawer');
  const boxes = screen.getAllByRole('checkbox', { name: /^Keep / });
  expect(boxes.length).toBeGreaterThan(0);
  await userEvent.type(places[0]!, 'blue box');
  for (const box of boxes.slice(1)) if ((box as HTMLInputElement).checked) await userEvent.click(box);
  await userEvent.click(screen.getByRole('button', { name: 'It is cut' }));
  await waitFor(() => expect(sent.some(({ path }) => path === '/api/tables/t/done')).toBe(true));
  const { body } = sent.find(({ path }) => path === '/api/tables/t/done')!;
  expect(body['keep']).toHaveLength(1);
  expect(body['keep']).toMatchObject([{ place: 'blue box' }]);
});
