import { render, screen, waitFor } from '@testing-library/react';
import { renderToString } from 'react-dom/server';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import ProjectsView from '../../src/views/projects/ProjectsView';
import ClothForm from '../../src/views/cupboard/ClothForm';
import LayerForm from '../../src/views/cupboard/LayerForm';
import { UnitsProvider } from '../../src/ui/units-context';
import { LIBRARY_LAYERS } from '../../src/core/library';
import type { Layer } from '../../src/store/layers';
import { fakeServer, savesAll } from './fake-server';
import { press, type } from './typing';

beforeEach(() => {
  localStorage.clear();
  HTMLDialogElement.prototype.showModal = function (this: HTMLDialogElement) {
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function (this: HTMLDialogElement) {
    this.open = false;
    this.dispatchEvent(new Event('close'));
  };
});
const open = (form: React.ReactNode) => render(<UnitsProvider value="metric">{form}</UnitsProvider>);
const NOTICE = 'What you typed before is here again, not saved yet.';
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);

describe('what is typed in a form', () => {
  it('is there again after a reload, and can be given up for what is saved', async () => {
    const first = open(<ClothForm cloth={undefined} onSaved={() => {}} onClose={() => {}} />);
    await type('Name', 'Market linen');
    first.unmount();
    open(<ClothForm cloth={undefined} onSaved={() => {}} onClose={() => {}} />);
    await waitFor(() => expect(field('Name').value).toBe('Market linen'));
    expect(screen.getByText(NOTICE)).toBeVisible();
    await press('Begin with what is saved');
    expect(field('Name').value).toBe('');
    expect(localStorage.length).toBe(0);
  });

  it('is kept through a server that does not answer, and forgotten once it is saved', async () => {
    let away = true;
    fakeServer((sent, ...more) => (away ? [500, { error: { message: 'broken', field: null } }] : savesAll(sent, ...more)));
    const saved = vi.fn();
    open(<ClothForm cloth={undefined} onSaved={saved} onClose={() => {}} />);
    await type('Name', 'Market linen');
    await type('Weight', '180');
    await press('Save');
    expect(await screen.findByRole('alert')).toBeVisible();
    expect(field('Name').value).toBe('Market linen');
    expect(localStorage.length).toBe(1);
    away = false;
    await press('Save');
    await waitFor(() => expect(saved).toHaveBeenCalled());
    expect(localStorage.length).toBe(0);
  });

  it('over an older version is not put over a newer one', async () => {
    const layer = {
      ...LIBRARY_LAYERS[0]!,
      note: '',
      estimated: [],
      fibres: [],
      tests: {},
      inStock: true,
      version: 1,
    } as unknown as Layer;
    const first = open(<LayerForm layer={layer} onSaved={() => {}} onClose={() => {}} />);
    await type('Note', 'stiff');
    first.unmount();
    open(<LayerForm layer={{ ...layer, version: 2, note: 'soft' }} onSaved={() => {}} onClose={() => {}} />);
    expect(field('Note').value).toBe('soft');
    expect(screen.queryByText(NOTICE)).toBeNull();
  });

  it('is given up by the button that says so', async () => {
    const closed = vi.fn();
    open(<ClothForm cloth={undefined} onSaved={() => {}} onClose={closed} />);
    await type('Name', 'Nothing');
    await press('Leave it as it was');
    expect(closed).toHaveBeenCalled();
    expect(localStorage.length).toBe(0);
  });
});

describe('a layer like another', () => {
  it('begins with its figures under a name of its own, and is a new one', async () => {
    const sent = fakeServer(savesAll);
    const like = { ...LIBRARY_LAYERS[0]!, note: '', estimated: ['thickness'], fibres: [{ fibre: 'viscose', percent: 100 }], tests: {}, version: 4 } as unknown as Layer; // prettier-ignore
    const saved = vi.fn();
    open(<LayerForm layer={undefined} like={like} onSaved={saved} onClose={() => {}} />);
    expect(field('Name').value).toBe(`${like.name}, mine`);
    expect(field('Made of').value).toBe('100 viscose');
    expect(field('Thickness, mm').value).toBe('');
    await type('Weight', '52');
    await press('Save');
    await waitFor(() => expect(saved).toHaveBeenCalled());
    expect(sent.at(-1)).toMatchObject({ method: 'POST', path: '/api/layers', body: { arealDensity: 52, family: like.family } });
    expect(sent.at(-1)!.body).not.toHaveProperty('thickness');
  });

  it('is taken over when it was typed before the page came alive', async () => {
    const form = (
      <UnitsProvider value="metric">
        <ProjectsView start={{ rows: [], total: 0, page: 0, size: 24 }} />
      </UnitsProvider>
    );
    const container = document.body.appendChild(document.createElement('div'));
    container.innerHTML = renderToString(form);
    field('New project').value = 'Harbour supper';
    const sent = fakeServer(() => [200, { id: 'p' }]);
    vi.stubGlobal('location', { assign: vi.fn() });
    render(form, { container, hydrate: true });
    expect(field('New project').value).toBe('Harbour supper');
    await press('Start it');
    await waitFor(() => expect(sent.map(({ body }) => body)).toEqual([{ name: 'Harbour supper' }]));
  });
});
