import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { SetNeeds, SetSheets } from '../../src/server/set-needs';
import { UnitsProvider } from '../../src/ui/units-context';
import SetLines, { isShort } from '../../src/views/buy/SetLines';
import DrawnDown from '../../src/views/hooping/DrawnDown';
import InProject from '../../src/views/hooping/InProject';
import DevicesPanel from '../../src/views/settings/DevicesPanel';
import KeptBackups from '../../src/views/settings/KeptBackups';
import { fakeServer } from './fake-server';
import { press } from './typing';

const backup = (day: string) => ({ name: `nembrel-${day}.db`, day, size: 2_400_000 });
const STATE = {
  ...{ folder: '/home/someone/backups', own: true, version: 3, trouble: null, drill: null },
  made: { at: '2026-05-04T06:00:00Z', name: 'nembrel-2026-05-04.db' },
  backups: ['2026-05-04', '2026-05-03', '2026-05-02', '2026-05-01', '2026-04-30', '2026-03-31'].map(backup),
};

describe('backups that are made by themselves', () => {
  it('list the latest, tell in words what has changed, and are brought back one at a time', async () => {
    const sent = fakeServer(({ path, method }) => {
      if (path.endsWith('/changes')) return [200, { count: { projects: 6, cloths: 12, log: 34, motifs: 2 }, changes: ['3 pieces changed', '41 ticks at the bench'] }]; // prettier-ignore
      return method === 'GET' ? [200, STATE] : [500, { error: { message: 'It is not what it was.', field: null } }];
    });
    render(<KeptBackups />);
    await waitFor(() => expect(screen.getByText(/4 May 2026 and looked through/)).toBeVisible());
    expect(screen.getAllByRole('listitem')).toHaveLength(4);
    await press('2 older ones');
    expect(screen.getAllByRole('listitem')).toHaveLength(6);
    await press('What has changed since 1 May 2026');
    await waitFor(() => expect(screen.getByText('41 ticks at the bench')).toBeVisible());
    expect(screen.getByText(/It holds 6 projects, 12 cloths, 34 logbook entries, 2 motifs/)).toBeVisible();
    await press('Bring this one back');
    await waitFor(() => expect(screen.getByRole('alert')).toHaveTextContent('It is not what it was.'));
    expect(sent.at(-1)).toMatchObject({ method: 'POST', path: '/api/backups/nembrel-2026-05-01.db/restore' });
  });

  it('tell what stood in their way, and not while the next one is made', async () => {
    let release: (() => void) | undefined;
    fakeServer(async ({ method }) => {
      if (method === 'POST') await new Promise<void>((go) => (release = go));
      return [200, method === 'POST' ? {} : { ...STATE, trouble: 'No backup could be made (the disk is full).' }];
    });
    render(<KeptBackups />);
    await waitFor(() => expect(screen.getByRole('alert')).toHaveTextContent('the disk is full'));
    await press('Make one now');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByRole('button', { name: 'Making one …' })).toBeDisabled();
    release!();
    await waitFor(() => expect(screen.getByRole('alert')).toBeVisible());
  });

  it('go into another folder, and say which field does not work without losing what was typed', async () => {
    const sent = fakeServer(({ method }) =>
      method === 'PUT'
        ? [400, { error: { message: 'folder cannot be made or written to (ENOENT)', field: 'folder' } }]
        : [200, STATE],
    );
    render(<KeptBackups />);
    await screen.findByRole('button', { name: 'Another folder' });
    await press('Another folder');
    const field = screen.getByRole('textbox');
    expect(field).toHaveValue(STATE.folder);
    await userEvent.clear(field);
    await userEvent.type(field, '/mnt/stick{Enter}');
    await waitFor(() => expect(screen.getByRole('alert')).toHaveTextContent(/cannot be made or written to/));
    expect(field).toHaveValue('/mnt/stick');
    expect(sent.find((each) => each.method === 'PUT')!.body).toEqual({ folder: '/mnt/stick', version: 3 });
  });
});

describe('tablets in the house', () => {
  const device = (id: string, name: string) => ({ id, name, createdAt: '2026-05-01T08:00:00Z', seenAt: '2026-05-04T19:00:00Z' });
  const OPEN = { ...{ available: true, own: null, open: true, fingerprint: 'AA:BB', addresses: [] }, devices: [device('d1', 'Ironing board')] }; // prettier-ignore

  it('are let in by a code for one, and shut out one by one', async () => {
    let devices = OPEN.devices;
    const sent = fakeServer(({ path, method }) => {
      if (path.endsWith('/code')) return [200, { code: '123456', until: new Date(Date.now() + 240_000).toISOString(), url: 'https://192.168.0.9:4310/pair?code=123456', qr: '' }]; // prettier-ignore
      if (method === 'DELETE') devices = [];
      return [200, method === 'DELETE' ? {} : { ...OPEN, devices }];
    });
    render(<DevicesPanel />);
    await waitFor(() => expect(screen.getByText('Ironing board', { selector: 'strong' })).toBeVisible());
    await press('Pair a device');
    await waitFor(() => expect(screen.getByLabelText('Code 1 2 3 4 5 6')).toHaveTextContent('123 456'));
    // The code is not in the address that is read out: somebody looking over a shoulder sees it once.
    expect(screen.getByText('https://192.168.0.9:4310/pair')).toBeVisible();
    await press('Shut out Ironing board');
    await waitFor(() => expect(screen.queryByText('Ironing board')).toBeNull());
    expect(sent.some(({ method, path }) => method === 'DELETE' && path === '/api/devices/d1')).toBe(true);
  });

  it('are asked about at the computer alone', async () => {
    fakeServer(() => [200, { ...OPEN, own: 'Ironing board' }]);
    render(<DevicesPanel />);
    await waitFor(() => expect(screen.getByText(/This is “Ironing board”, a paired device/)).toBeVisible());
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('what a set takes', () => {
  const sheet = (more: Partial<SetSheets>): SetSheets => ({
    ...{ materialId: 'm', name: 'Medium cut-away, 62 g', width: 186, height: 190, how: '', lies: 'in-ring', angle: 0, count: 7 },
    ...{ kept: 0, left: 7, rollLength: 1330, short: 0, elsewhere: false },
    ...more,
  });
  const set = (sheets: SetSheets[]): SetNeeds => ({
    ...{ id: 's', name: 'Napkins', count: 7, sheets, liquid: null, glue: 0 },
    thread: { colours: [9_800, 120_400], bobbins: 2, names: ['#1f4e79'] },
  });
  const lines = (sheets: SetSheets[], units: 'metric' | 'inch' = 'metric') =>
    render(
      <UnitsProvider value={units}>
        <SetLines sets={[set(sheets)]} />
      </UnitsProvider>,
    );

  it('tells kept pieces, the roll, and what is to be bought; sheets that come as sheets are bought as sheets', () => {
    lines([
      sheet({}),
      sheet({ kept: 2, left: 5, rollLength: 950, short: 430, angle: 45 }),
      sheet({ rollLength: 0 }),
      sheet({ elsewhere: true }),
    ]);
    const [there, short, sheets, elsewhere] = screen.getAllByRole('listitem');
    expect(there).toHaveTextContent('7 × 18.6 × 19 cm of Medium cut-away, 62 g; all off the roll that is there: 1.33 m');
    expect(short).toHaveTextContent('turned 45°; 2 from what is kept; the other 5 off a roll: 95 cmBuy 50 cm');
    expect(sheets).toHaveTextContent('Buy 7 sheets of at least this size');
    expect(elsewhere).toHaveTextContent('counted for the projects above');
    expect(screen.getByText('10 m')).toBeVisible();
    expect(screen.getByText('2 wound bobbins')).toBeVisible();
    expect([sheet({}), sheet({ short: 430 }), sheet({ rollLength: 0 }), sheet({ left: 0, rollLength: 0 })].map(isShort)).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });

  it('is told in inches with fractions where the person measures so', () => {
    const { container } = lines([sheet({})], 'inch');
    expect(container).not.toHaveTextContent(/\d (cm|mm)\b/);
    expect(screen.getAllByRole('listitem')[0]).toHaveTextContent(/7 × 7 .*in/);
  });
});

describe('a job of a project, seen from the hoop', () => {
  const layer = { materialId: 'mesh', angle: 0 };
  const stack = { title: 'Mesh', layers: [layer] };
  const shown = (there: { width: number; height: number } | undefined, here: number) =>
    render(
      <InProject
        {...{ hoopingId: 'h', stack, count: 1, frozen: false, onSaveFirst: vi.fn(), onCount: vi.fn() }}
        job={{ id: 'j', projectId: 'p', name: 'Badge', count: 1, stack: { ...stack, layers: [{ ...layer, ...(there ? { sheet: there } : {}) }] } }} // prettier-ignore
        sizes={here > 0 ? new Map([['mesh', { width: here, height: here }]]) : new Map()}
      />,
    );

  it('has the same only where its sheets have the size of this hoop; without a hoop nothing is said of sizes', () => {
    const offer = () => screen.queryByRole('button', { name: 'Put what lies here into the project' });
    const { unmount } = shown({ width: 186, height: 186 }, 186);
    expect(screen.getByText(/has the same under it\./)).toBeVisible();
    expect(offer()).toBeNull();
    unmount();
    const other = shown({ width: 186, height: 186 }, 240);
    expect(screen.getByText(/in sheets of another size/)).toBeVisible();
    expect(offer()).not.toBeNull();
    other.unmount();
    shown(undefined, 0);
    expect(offer()).toBeNull();
  });
});

describe('what was taken out of the cupboard', () => {
  const record = (drawn: object | null) => ({ id: 'h', version: 4, result: { drawn } }) as never;

  it('is put back by one touch, or says why not', async () => {
    let refuse = true;
    const sent = fakeServer(() => (refuse ? [409, { error: { message: 'It was changed in another tab.', field: null } }] : [200, { id: 'h', version: 5 }])); // prettier-ignore
    const onChange = vi.fn();
    const { container } = render(
      <DrawnDown record={record({ stock: [{ id: 'r', by: 300 }], bottle: null })} onChange={onChange} />,
    );
    await press('Put it back');
    await waitFor(() => expect(screen.getByRole('alert')).toHaveTextContent('changed in another tab'));
    refuse = false;
    await press('Put it back');
    await waitFor(() => expect(onChange).toHaveBeenCalledWith({ id: 'h', version: 5 }));
    expect(within(container).queryByRole('alert')).toBeNull();
    expect(sent.map(({ path, body }) => [path, body])).toEqual(Array(2).fill(['/api/hoopings/h/undraw', { version: 4 }]));
  });

  it('is not mentioned where nothing was', () => {
    const { container } = render(<DrawnDown record={record({ stock: [], bottle: null })} onChange={vi.fn()} />);
    expect(container).toBeEmptyDOMElement();
  });
});
