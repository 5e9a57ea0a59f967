import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { FAMILIES } from '../../src/core/layers';
import { openPiece, plainPiece, type Place } from '../../src/core/pieces';
import type { PieceShape } from '../../src/core/shape';
import LengthField from '../../src/ui/LengthField';
import { UnitsProvider } from '../../src/ui/units-context';
import type { Worked } from '../../src/views/project/worked';
import type { Settings } from '../../src/store/settings';
import ClothForm from '../../src/views/cupboard/ClothForm';
import LayerForm from '../../src/views/cupboard/LayerForm';
import StockForm from '../../src/views/cupboard/StockForm';
import LogForm from '../../src/views/logbook/LogForm';
import LayerCutOptions from '../../src/views/project/LayerCutOptions';
import PlaceFields from '../../src/views/project/PlaceFields';
import WashForm from '../../src/views/scrap/WashForm';
import SettingsView from '../../src/views/settings/SettingsView';
import { fakeServer, savesAll } from './fake-server';
import { pick, press, type } from './typing';

describe('a length', () => {
  function Length({
    heard,
    start = 260,
    system = 'metric',
  }: {
    heard: (mm: number) => void;
    start?: number;
    system?: 'metric' | 'inch';
  }) {
    const [value, setValue] = useState(start);
    return (
      <UnitsProvider value={system}>
        <LengthField label="Width" value={value} min={5} onChange={(mm) => (setValue(mm), heard(mm))} />
      </UnitsProvider>
    );
  }

  it('typed bare counts in the unit that stood there', async () => {
    const heard = vi.fn();
    render(<Length heard={heard} />);
    const shown = (screen.getByLabelText('Width') as HTMLInputElement).value;
    await type('Width', '31');
    expect(shown).toMatch(/^26(0)? ?(mm|cm)$/);
    expect(heard).toHaveBeenLastCalledWith(shown.endsWith('cm') ? 310 : 31);
  });

  it('in inches is kept exactly, however it is shown', async () => {
    const heard = vi.fn();
    render(<Length heard={heard} system="inch" />);
    await type('Width', '1/2');
    expect(heard).toHaveBeenLastCalledWith(12.7);
    await userEvent.tab();
    expect(screen.getByLabelText('Width')).toHaveValue('½ in');
  });

  it('that cannot be read stays as typed, says so and changes nothing', async () => {
    const heard = vi.fn();
    render(<Length heard={heard} />);
    await type('Width', 'wide');
    await userEvent.tab();
    const field = screen.getByLabelText('Width');
    expect([(field as HTMLInputElement).value, field.getAttribute('aria-invalid')]).toEqual(['wide', 'true']);
    await type('Width', '1 mm');
    expect(screen.getByText(/must be at least 5 mm/)).toBeVisible();
  });
});

describe('a new layer', () => {
  const open = () => {
    const [saved, closed] = [vi.fn(), vi.fn()];
    render(<LayerForm layer={undefined} onSaved={saved} onClose={closed} />);
    return { saved, closed };
  };

  it('leaves what was not measured to the law of its family, and shows it as estimated', async () => {
    const sent = fakeServer(savesAll);
    const { saved } = open();
    await type('Name', 'Stiff one');
    await pick('Family', 'firm-nonwoven');
    await type('Weight', '200 g/m²');
    const placeholder = screen.getByLabelText(/^Bending length/).getAttribute('placeholder')!;
    expect(Number(placeholder.replace('about ', ''))).toBeGreaterThan(60);
    await type(/^Thickness/, '1.1');
    await press('Save');
    await waitFor(() => expect(saved).toHaveBeenCalled());
    expect(sent[0]).toMatchObject({ method: 'POST', path: '/api/layers', body: { arealDensity: 200, thickness: 1.1 } });
    expect(sent[0]!.body).not.toHaveProperty('bendingLength');
    expect(sent[0]!.body).not.toHaveProperty('membraneStiffness');
  });

  it.each([
    [/^Seconds a stop/, 'ten', /Seconds a stop/],
    [/^Minutes to cool/, 'x', /Minutes to cool/],
    [/^Thickness/, 'thin', /Thickness/],
    [/^Weight/, 'heavy', /Weight/],
  ])('says under %s what is wrong there, and keeps what was typed', async (label, wrong, marked) => {
    const sent = fakeServer(savesAll);
    open();
    await type('Name', 'Slip');
    await type('Weight', '40 g/m²');
    await type(label, wrong);
    await press('Save');
    expect(sent).toHaveLength(0);
    expect(screen.getByLabelText(marked)).toHaveValue(wrong);
    expect(screen.getByLabelText(marked)).toHaveAttribute('aria-invalid', 'true');
    expect(screen.getByLabelText('Name')).toHaveAttribute('aria-invalid', 'false');
  });

  it('names what is refused though it has no field here: nothing above could be marked', async () => {
    fakeServer(() => [400, { error: { message: 'stackable: is unknown', field: 'stackable' } }]);
    open();
    await type('Name', 'Slip');
    await type('Weight', '40 g/m²');
    await press('Save');
    expect(
      await screen.findByText(/^Not saved yet: stackable .*is unknown\. Everything you typed is still here\.$/i),
    ).toBeVisible();
  });

  it('shows under its own field what the server refuses', async () => {
    fakeServer(() => [400, { error: { message: 'leaflet.coolMinutes: must be at most 240', field: 'leaflet.coolMinutes' } }]);
    open();
    await type('Name', 'Slip');
    await type('Weight', '40 g/m²');
    await press('Save');
    await waitFor(() => expect(screen.getByLabelText(/^Minutes to cool/)).toHaveAttribute('aria-invalid', 'true'));
    expect(screen.getByLabelText(/^Seconds a stop/)).toHaveAttribute('aria-invalid', 'false');
  });

  it('has every family to choose from', () => {
    open();
    expect(within(screen.getByLabelText('Family')).getAllByRole('option')).toHaveLength(FAMILIES.length);
  });
});

describe('a form whose record was changed elsewhere', () => {
  const layer = {
    ...{ id: 'l', version: 2, name: 'Light web', note: '', origin: 'own', family: 'nonwoven', form: 'fusible' },
    ...{ arealDensity: 40, thickness: 0.2, bendingLength: 28, membraneStiffness: 900, stretchLength: 2, stretchCross: 4 },
    ...{ tones: ['light'], opacity: 'opaque', rollWidth: 900, glue: 'dots', wash: 'warm', dryClean: true, preShrink: false },
    leaflet: { ironDots: 2, seconds: 10, steam: false, cover: 'cloth', coolMinutes: 5 },
    ...{ grain: false, ends: 'stays', stiffening: 1, pricePerMetre: 500, inStock: true, estimated: ['thickness'] },
  } as unknown as Parameters<typeof LayerForm>[0]['layer'] & object;

  it('stays open with all that was typed when one goes back to it', async () => {
    const sent = fakeServer((one, count) =>
      count === 1 ? [409, { error: {}, current: { ...layer, version: 5, name: 'Renamed' } }] : savesAll(one, count),
    );
    const closed = vi.fn();
    render(<LayerForm layer={layer} onSaved={vi.fn()} onClose={closed} />);
    await type('Name', 'My own name');
    await press('Save');
    await userEvent.click(await screen.findByRole('button', { name: 'Go back to my form' }));
    expect(closed).not.toHaveBeenCalled();
    expect(screen.getByLabelText('Name')).toHaveValue('My own name');
    expect(sent).toHaveLength(1);
  });

  it('is saved over the other with the other’s version when told to', async () => {
    const sent = fakeServer((one, count) =>
      count === 1 ? [409, { error: {}, current: { ...layer, version: 5, name: 'Renamed' } }] : savesAll(one, count),
    );
    const saved = vi.fn();
    render(<LayerForm layer={layer} onSaved={saved} onClose={vi.fn()} />);
    await type('Price of a metre', '7.25');
    await press('Save');
    await userEvent.click(await screen.findByRole('button', { name: 'Save mine over it' }));
    await waitFor(() => expect(saved).toHaveBeenCalled());
    expect(sent[1]!.body).toMatchObject({ version: 5, pricePerMetre: 725, arealDensity: 40 });
    // Only estimated so far, and left so.
    expect(sent[1]!.body).not.toHaveProperty('thickness');
    expect(sent[1]!.body).toMatchObject({ bendingLength: 28 });
  });
});

it('a cloth is saved as it was typed: share of fibres, weight, price and overhang', async () => {
  const sent = fakeServer(savesAll);
  const saved = vi.fn();
  render(<ClothForm cloth={undefined} onSaved={saved} onClose={vi.fn()} />);
  await type('Name', 'Poplin');
  await type(/Made of|Fibres/, '97 cotton, 3 elastane');
  await type('Weight', '120 g/m²');
  await type(/overhang/i, '66 mm');
  await type(/Price/, '12.90');
  await press('Save');
  await waitFor(() => expect(saved).toHaveBeenCalled());
  expect(sent[0]!.body).toMatchObject({
    ...{ name: 'Poplin', arealDensity: 120, overhang: 66, pricePerMetre: 1290 },
    fibres: [
      { fibre: 'cotton', percent: 97 },
      { fibre: 'elastane', percent: 3 },
    ],
  });
});

describe('a roll, sheets or a leftover', () => {
  const materials = [
    { kind: 'cloth' as const, id: 'c', name: 'Linen', rollWidth: 1400 },
    { kind: 'layer' as const, id: 'l', name: 'Web', rollWidth: 900 },
  ];

  it('counts a bare number in the unit beside the field', async () => {
    const sent = fakeServer(savesAll);
    render(<StockForm entry={undefined} materials={materials} onSaved={vi.fn()} onClose={vi.fn()} />);
    await pick('It is', 'sheet');
    await pick('Of', 'Web');
    await type('Width', '21 cm');
    await type('Length', '297 mm');
    await type('How many sheets', '6');
    await type('Where it is kept', 'top drawer');
    await press('Save');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ kind: 'sheet', ofKind: 'layer', ofId: 'l', width: 210, length: 297, count: 6 });
  });

  it('of nothing is refused, and nothing is guessed for it', async () => {
    const sent = fakeServer(savesAll);
    render(<StockForm entry={undefined} materials={materials} onSaved={vi.fn()} onClose={vi.fn()} />);
    await type('Width', '20 cm');
    await type('Length', '30 cm');
    await press('Save');
    expect(sent).toHaveLength(0);
    expect(screen.getByLabelText('Of')).toHaveAccessibleDescription(/say what it is of/);
  });

  it('keeps clear of a hole that is put down by its figures, and forgets one that is touched again', async () => {
    const sent = fakeServer(savesAll);
    render(<StockForm entry={undefined} materials={materials} onSaved={vi.fn()} onClose={vi.fn()} />);
    await pick('Of', 'Linen');
    await type('Width', '40 cm');
    await type('Length', '30 cm');
    await press('It has a hole or a stain');
    await type('Width of a spot', '2 cm');
    await type('From the left', '10 cm');
    await type('From below', '5 cm');
    await press('Put it there');
    await type('From the left', '30 cm');
    await press('Put it there');
    expect(screen.getByText(/^2 spots in/)).toBeInTheDocument();
    // The same place again takes it away.
    await press('Put it there');
    await press('Done');
    await press('Save');
    await waitFor(() => expect(sent).toHaveLength(1));
    const { spots } = sent[0]!.body as { spots: [number, number][][] };
    expect(spots).toHaveLength(1);
    for (const [x, y] of spots[0]!) expect(Math.hypot(x - 100, y - 50)).toBeCloseTo(10, 6);
  });

  it('of no size is refused under its field', async () => {
    const sent = fakeServer(savesAll);
    render(<StockForm entry={undefined} materials={materials} onSaved={vi.fn()} onClose={vi.fn()} />);
    await pick('Of', 'Linen');
    await type('Width', '0');
    await type('Length', '30 cm');
    await press('Save');
    expect(sent).toHaveLength(0);
    expect(screen.getByLabelText('Width')).toHaveAttribute('aria-invalid', 'true');
  });
});

const start = {
  ...{ jobId: 'p', benchRunId: 'r', kind: 'piece' as const, title: 'Collar', clothId: 'c', clothName: 'Poplin' },
  ...{ stackTitle: 'Web', layerIds: ['l'], predicted: { bendingLength: 40, low: 33, high: 47 } },
  settings: { ironDots: 2, seconds: 12, steam: false, cover: 'cloth' },
} as unknown as Parameters<typeof LogForm>[0]['start'];

describe('how it went', () => {
  it('is filed with what was ticked as held and the rest as failed', async () => {
    const sent = fakeServer(savesAll);
    const filed = vi.fn();
    render(
      <LogForm start={start} checks={['flat', 'no bubbles', 'corners hold']} ticked={['flat']} causes={[]} onFiled={filed} />,
    );
    await userEvent.click(screen.getByLabelText('It is passable'));
    await userEvent.click(screen.getByLabelText('corners hold'));
    await type(/^Seconds a stop/, '14');
    await type(/^Overhang/, '2 in');
    await press('File it in the logbook');
    await waitFor(() => expect(filed).toHaveBeenCalled());
    expect(sent[0]!.body).toMatchObject({
      outcome: 'fair',
      checks: { held: ['flat', 'corners hold'], failed: ['no bubbles'] },
      settings: { seconds: 14 },
      overhang: 50.8,
      predictedLow: 33,
      predictedHigh: 47,
    });
  });

  it('waits while the reading cannot be read', async () => {
    render(<LogForm start={start} checks={[]} ticked={[]} causes={[]} onFiled={vi.fn()} />);
    await type(/^Overhang/, 'far');
    expect(screen.getByRole('button', { name: 'File it in the logbook' })).toBeDisabled();
  });

  it('after the wash is filed too, with its shrinkage and overhang; peel is asked only of what is glued', async () => {
    const saved = vi.fn(async () => {});
    const { rerender } = render(<WashForm scrapId="s" glued onSave={saved} />);
    await pick('All in all', 'poor');
    await pick('Peel a corner', '2');
    await pick('Bubbles', 'much');
    await type('Overhang', '55');
    await type('Marks apart before', '200');
    await type('The same marks now', '195');
    expect(screen.getByText('It shrank by 2.5 %.')).toBeVisible();
    await press('File the wash');
    await waitFor(() => expect(saved).toHaveBeenCalled());
    const [wash] = saved.mock.calls[0] as unknown as [{ shrink: number }];
    expect(wash).toEqual({ peel: 2, bubbles: 'much', shrink: expect.closeTo(2.5, 9), overhang: 55, outcome: 'poor', note: '' });
    await type('The same marks now', 'a lot');
    await press('File the wash');
    expect(saved).toHaveBeenCalledTimes(1);
    expect(await screen.findByText(/write a length/)).toBeVisible();
    rerender(<WashForm scrapId="s" glued={false} onSave={saved} />);
    expect(screen.queryByLabelText('Peel a corner')).toBeNull();
  });
});

describe('where a job is done', () => {
  const shape: PieceShape = { kind: 'rectangle', width: 300, height: 80, corners: [false, false, false, false], corner: 0 };
  const open = (place: Place, clothWeight: number | null = null) => {
    const changed = vi.fn();
    // The upper edge lies on the fold.
    const fields = { shape, outer: [0, 1, 3], marks: [], usual: 'all of it', clothWeight, onChange: changed };
    render(<PlaceFields place={place} {...fields} />);
    return changed;
  };

  it('is offered along edges that lie outside, never along a fold; one kept from before can be taken away', () => {
    open({ kind: 'edges', edges: [0], width: 30 });
    expect(screen.getAllByRole('checkbox').map((box) => box.getAttribute('aria-label') ?? box.closest('label')!.textContent)).toEqual(['bottom', 'right', 'left']); // prettier-ignore
    cleanup();
    open({ kind: 'edges', edges: [0, 2], width: 30 });
    expect(screen.getByLabelText('top')).toBeChecked();
  });

  it('begins a patch as large as its cloth wants it', async () => {
    for (const [clothWeight, size] of [[70, 40], [150, 56], [null, 56]] as const) {
      const changed = open({ kind: 'usual' }, clothWeight);
      await userEvent.selectOptions(screen.getByLabelText('Where'), 'a patch around a point');
      expect(changed).toHaveBeenCalledWith({ kind: 'patch', at: [150, 40], size });
      cleanup();
    }
  }); // prettier-ignore
});

describe('how far a layer reaches', () => {
  const rectangle: PieceShape = { kind: 'rectangle', width: 300, height: 80, corners: [false, false, false, false], corner: 0 };
  const work = { shape: rectangle } as Worked;
  const open = (props: Partial<Parameters<typeof LayerCutOptions>[0]>) => {
    const [changed, placed] = [vi.fn(), vi.fn()];
    render(
      <LayerCutOptions
        {...{
          work,
          extent: 'full',
          cut: undefined,
          edges: [2],
          trim: 6,
          usual: { width: 30, size: 40 },
          past: 3,
          placing: false,
          onPlacing: placed,
          onChange: changed,
        }}
        {...props}
      />,
    );
    return { changed, placed };
  };

  it('is chosen, and its trim starts from the usual one', async () => {
    const { changed } = open({ extent: 'trimmed' });
    expect((screen.getByLabelText('Trimmed by') as HTMLInputElement).value).toMatch(/^6 mm|0\.6 cm/);
    await type('Trimmed by', '8.5 mm');
    expect(changed).toHaveBeenLastCalledWith({ cut: { trim: 8.5 } });
    await pick('It reaches', 'strip');
    expect(changed).toHaveBeenLastCalledWith({ extent: 'strip' });
  });

  it('as a strip runs along the edges that are ticked, and the last one stays', async () => {
    const { changed } = open({ extent: 'strip' });
    expect(screen.getByText(/Proposed for this job/)).toBeVisible();
    const boxes = screen.getAllByRole('checkbox');
    expect(boxes.map((box) => (box as HTMLInputElement).checked)).toEqual([false, false, true, false]);
    await userEvent.click(boxes[0]!);
    expect(changed).toHaveBeenLastCalledWith({ cut: { edges: [2, 0] } });
    await userEvent.click(boxes[2]!);
    expect(changed).toHaveBeenLastCalledWith({ cut: { edges: [2] } });
  });

  it('as a patch is put where the drawing is touched', async () => {
    const { placed } = open({ extent: 'patch' });
    await press(/put it elsewhere/);
    expect(placed).toHaveBeenCalledWith(true);
  });
});

describe('settings', () => {
  const settings: Settings = {
    ...{
      units: 'metric',
      theme: 'workroom',
      currency: '€',
      soleLength: 205,
      ironSteam: true,
      ironWeight: 1400,
      soleWidth: 115,
      stopOverlap: 15,
      boardLength: 1200,
      boardWidth: 380,
      pressLength: 0,
      pressWidth: 0,
      mlPerPull: 0.9,
      airTemperature: 20,
      airHumidity: 50,
      airSpeed: 0,
    },
    ...{ machineClearance: 6, trim: 6, sound: true, schools: {} },
  };
  const open = () => render(<SettingsView start={{ settings, version: 3 }} />);
  /** What the panels beside the form ask for. */
  const house: Record<string, [number, object]> = {
    '/api/devices': [
      200,
      { available: true, own: null, open: false, addresses: [], fingerprint: '', devices: [], codeUntil: null },
    ],
    '/api/backups': [200, { folder: '/backups', own: false, version: 0, made: null, trouble: null, drill: null, backups: [] }],
    '/api/bin': [200, { deleted: [] }],
  };
  const serving = () => fakeServer(({ path, body }) => house[path] ?? [200, { settings: body['settings'], version: 4 }]);
  const sentSettings = (sent: ReturnType<typeof fakeServer>) => sent.find(({ method }) => method === 'PUT')!.body;

  it.each<[keyof Settings, () => Promise<unknown>, unknown]>([
    ['units', () => pick('Measures', 'inch'), 'inch'],
    ['theme', () => pick('Look', 'lamplight'), 'lamplight'],
    ['currency', () => type('Currency sign', 'kr'), 'kr'],
    ['sound', () => userEvent.click(screen.getByLabelText('Sound at the bench')), false],
    ['soleLength', () => type(/^Length of the sole/, '240 mm'), 240],
    ['ironWeight', () => type('It weighs, g', '900'), 900],
    ['soleWidth', () => type(/^Width of the sole/, '120 mm'), 120],
    ['stopOverlap', () => type(/^Overlap of neighbouring/, '20 mm'), 20],
    ['machineClearance', () => type(/^Clears under/, '9 mm'), 9],
    ['trim', () => type(/^Trimmed layers/, '4 mm'), 4],
  ])('keep %s, and nothing else changes with it', async (field, change, expected) => {
    const sent = serving();
    open();
    await change();
    await press('Save the settings');
    expect(await screen.findByText('Saved.')).toBeVisible();
    expect(sentSettings(sent)).toEqual({ settings: { ...settings, [field]: expected }, version: 3 });
  });

  it('keep a way of working', async () => {
    const sent = serving();
    open();
    const section = screen.getByRole('heading', { name: 'Ways of working' }).closest('section')!;
    const select = within(section).getAllByRole('combobox')[0] as HTMLSelectElement;
    const other = [...select.options].find(({ selected }) => !selected)!;
    await userEvent.selectOptions(select, other.value);
    await press('Save the settings');
    await screen.findByText('Saved.');
    expect(Object.values((sentSettings(sent)['settings'] as Settings).schools)).toEqual([other.value]);
  });

  it('cannot be saved with a length that cannot be read', async () => {
    serving();
    open();
    await type(/^Width of the sole/, 'wide');
    expect(screen.getByRole('button', { name: 'Save the settings' })).toBeDisabled();
    await type(/^Width of the sole/, '100 mm');
    expect(screen.getByRole('button', { name: 'Save the settings' })).toBeEnabled();
  });

  it('take back what was deleted', async () => {
    const deleted = [
      { kind: 'layer', id: 'l', name: 'Old web', of: null, deletedAt: '2026-11-20T10:00:00Z', restore: '/api/layers/l/restore' },
    ];
    let asked = 0;
    const sent = fakeServer(({ path }) =>
      path === '/api/bin' ? [200, { deleted: asked++ === 0 ? deleted : [] }] : (house[path] ?? [200, {}]),
    );
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Take back Old web' }));
    expect(await screen.findByText('Nothing was deleted lately.')).toBeVisible();
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toContain('POST /api/layers/l/restore');
  });
});

describe('the shape of a piece that was fused', () => {
  it('is held against the pattern as it is typed, and filed as what it shrank', async () => {
    const sent = fakeServer(() => [200, { id: 'e' }]);
    const piece = openPiece(
      plainPiece({ kind: 'rectangle', width: 300, height: 200, corners: [false, false, false, false], corner: 0 }, 10),
    );
    render(
      <UnitsProvider value="metric">
        <LogForm start={start} checks={[]} ticked={[]} causes={[]} piece={piece} onFiled={vi.fn()} />
      </UnitsProvider>,
    );
    await type('1 Along the grain', '20.3');
    await type('2 Along the grain', '203 mm');
    expect(await screen.findByText(/came out up to 3 mm too long/)).toBeVisible();
    await type('3 Across', '29.7 cm');
    expect(await screen.findByText(/pulled out of shape/)).toBeVisible();
    await press('File it in the logbook');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body['shape']).toEqual({ along: expect.closeTo(-1.5, 9), across: expect.closeTo(1, 9), bias: null });
  });
});
