import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import { CLOTH_TESTS } from '../../src/core/measure';
import type { LengthSystem } from '../../src/core/units';
import { UnitsProvider } from '../../src/ui/units-context';
import CsvView from '../../src/views/csv/CsvView';
import HoopForm from '../../src/views/hoop/HoopForm';
import ProjectHeading from '../../src/views/project/ProjectHeading';
import ProjectsView from '../../src/views/projects/ProjectsView';
import ReadingForm from '../../src/views/scrap/ReadingForm';
import TestPanel from '../../src/views/test-bench/TestPanel';
import { fakeServer, savesAll } from './fake-server';
import { pick, press, type } from './typing';

describe('a piece of the scrap', () => {
  const read = (glued: boolean, sprayed = false, system: LengthSystem = 'metric') => {
    const kept = vi.fn(async () => {});
    render(
      <UnitsProvider value={system}>
        <ReadingForm
          draftKey="scrap s A1"
          start={undefined}
          bare={{ overhangBefore: 44, biasBefore: 12, curlBefore: null }}
          sprayed={sprayed}
          glued={glued}
          expected={{ low: 25, high: 35 }}
          onSave={kept}
        />
      </UnitsProvider>,
    );
    return kept;
  };

  it('is kept as it was tapped and typed', async () => {
    const kept = read(true);
    await userEvent.click(screen.getByRole('radio', { name: /^3 / }));
    await userEvent.click(within(screen.getByRole('group', { name: 'Bubbles' })).getByLabelText('a few'));
    await type('Overhang of this piece', '6 cm');
    expect(screen.getByText('Bending length 30 mm; expected 25 to 35.')).toBeVisible();
    await type('The same marks now', '98,5 mm');
    await press('Keep this piece');
    await waitFor(() => expect(kept).toHaveBeenCalled());
    const [seen] = kept.mock.calls[0] as unknown as [object];
    expect(seen).toMatchObject({
      peel: 3,
      bubbles: 'some',
      overhangBefore: 44,
      overhangAfter: 60,
      shrink: expect.closeTo(1.5, 9),
    });
  });

  it('that is not glued is not asked how it peels', () => {
    read(false);
    expect(screen.queryByText(/Peel a corner/)).toBeNull();
    expect(screen.queryByText('Bubbles')).toBeNull();
  });

  it('that was sprayed is pulled and looked at, and says at once whether the dose holds', async () => {
    const kept = read(false, true);
    expect(screen.getByLabelText('Bare: bias pulled')).toHaveValue('12 mm');
    await type('Now: bias pulled', '9');
    expect(screen.getByRole('status')).toHaveTextContent('still gives or rolls too much');
    await type('Now: bias pulled', '4');
    expect(screen.getByRole('status')).toHaveTextContent('This dose holds.');
    await type('Bare: edge rolls', '2 cm');
    await type('Now: edge rolls', '12');
    expect(screen.getByRole('status')).toHaveTextContent('still gives or rolls too much');
    await press('Keep this pair');
    await waitFor(() => expect(kept).toHaveBeenCalled());
    expect((kept.mock.calls[0] as unknown as [object])[0]).toMatchObject({
      ...{ biasBefore: 12, biasAfter: 4, curlBefore: 20, curlAfter: 12, shrink: null, peel: null },
    });
  });

  it('that was sprayed is read in inches too, and refuses what cannot be', async () => {
    const kept = read(false, true, 'inch');
    await type('Now: bias pulled', '1/8');
    await type('Now: edge rolls', '9 in');
    await press('Keep this pair');
    expect(await screen.findByText(/must be from 0 to 3 .{1,6} in/)).toBeVisible();
    await type('Now: edge rolls', '0');
    await press('Keep this pair');
    await waitFor(() => expect(kept).toHaveBeenCalled());
    expect((kept.mock.calls[0] as unknown as [object])[0]).toMatchObject({ biasAfter: 3.175, curlAfter: 0 });
  });

  it('says under its field what cannot be read, and keeps it there', async () => {
    const kept = read(true);
    await type('Overhang of this piece', 'long');
    await press('Keep this piece');
    expect(screen.getByLabelText('Overhang of this piece')).toHaveAttribute('aria-invalid', 'true');
    expect(screen.getByLabelText('Overhang of this piece')).toHaveValue('long');
    expect(kept).not.toHaveBeenCalled();
  });
});

describe('a test of a cloth', () => {
  const cloth = { ...LIBRARY_CLOTHS[0]!, tests: {}, version: 3, own: true } as never;
  const open = (id: string) => {
    const [saved, stale] = [vi.fn(), vi.fn()];
    render(
      <UnitsProvider value="metric">
        <TestPanel
          path="/api/cloths/voile/tests"
          record={cloth}
          test={CLOTH_TESTS.find((test) => test.id === id)!}
          onSaved={saved}
          onStale={stale}
        />
      </UnitsProvider>,
    );
    return { saved, stale };
  };

  it('tells what the readings mean at once, and keeps them with the version', async () => {
    const sent = fakeServer(savesAll);
    const { saved } = open('weight');
    await type('Mass', '1.5 g');
    expect(await screen.findByText('150 g/m²')).toBeVisible();
    await press('Keep these readings');
    await waitFor(() => expect(saved).toHaveBeenCalled());
    expect(sent[0]).toMatchObject({ method: 'PUT', body: { version: 3 } });
  });

  it('is not sent while a reading is missing, and says which', async () => {
    const sent = fakeServer(savesAll);
    open('weight');
    await press('Keep these readings');
    expect(screen.getAllByText(/is missing/).length).toBeGreaterThan(0);
    expect(sent).toHaveLength(0);
  });

  it('that was changed elsewhere hands on what stands there', async () => {
    fakeServer(() => [409, { error: { message: 'changed' }, current: { id: 'other' } }]);
    const { stale } = open('fray');
    const radios = screen.getAllByRole('radio');
    await userEvent.click(radios[0]!);
    await press('Keep these readings');
    await waitFor(() => expect(stale).toHaveBeenCalledWith({ id: 'other' }));
  });
});

describe('a hoop', () => {
  const open = (system: 'metric' | 'inch') => {
    const sent = fakeServer(savesAll);
    render(
      <UnitsProvider value={system}>
        <HoopForm hoop={undefined} onSaved={() => {}} onClose={() => {}} />
      </UnitsProvider>,
    );
    return sent;
  };
  const fill = async (sizes: [string, string][]) => {
    for (const [label, text] of sizes) await type(label, text);
  };

  it('is kept in millimetres, typed in inches with fractions', async () => {
    const sent = open('inch');
    await fill([['Name', 'Square'], ['Field, width', '4'], ['Field, height', '4'], ['Outside, width', '5 3/4'], ['Outside, height', '6'], [ 'Clamp', '1/2']]); // prettier-ignore
    await pick('Held by', 'magnetic');
    await press('Save');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ name: 'Square', fieldWidth: 101.6, clamp: 12.7, kind: 'magnetic' });
    expect(sent[0]!.body['outerWidth']).toBeCloseTo(146.05, 9);
  });

  it('without a size is not sent, and its field is marked', async () => {
    const sent = open('metric');
    await fill([['Name', 'Square'], ['Field, width', 'some']]); // prettier-ignore
    await press('Save');
    expect(screen.getByLabelText('Field, width')).toHaveAttribute('aria-invalid', 'true');
    expect(screen.getByLabelText('Field, width')).toHaveValue('some');
    expect(sent).toHaveLength(0);
  });
});

describe('a project', () => {
  const project = {
    ...{ id: 'p', name: 'Banner', note: 'two of them', version: 2, createdAt: '', updatedAt: '' },
    ...{ makes: 1, variant: '', care: null, notions: [], archived: false },
  };
  const Heading = () => <ProjectHeading project={project} onChange={() => {}} />;

  it('is renamed with its version', async () => {
    const sent = fakeServer(savesAll);
    render(<Heading />);
    await press('Rename or make more');
    await type('Name', ' Large banner ');
    await press('Save');
    expect(await screen.findByRole('heading', { name: 'Large banner' })).toBeVisible();
    expect(sent[0]).toMatchObject({ method: 'PUT', body: { name: 'Large banner', note: 'two of them', version: 2 } });
  });

  it('keeps what was typed when it cannot be saved', async () => {
    fakeServer(() => 'away');
    render(<Heading />);
    await press('Rename or make more');
    await type('Name', 'Flag');
    await press('Save');
    expect(await screen.findByText(/does not answer/)).toBeVisible();
    expect(screen.getByLabelText('Name')).toHaveValue('Flag');
  });

  it('keeps the tick of a notion while the server is away, and sends it by itself', async () => {
    let away = true;
    const sent = fakeServer((one, count) => (away ? 'away' : savesAll(one, count)));
    const notions = [{ name: 'zip', count: 1, there: false }];
    render(<ProjectHeading project={{ ...project, notions }} onChange={() => {}} />);
    await userEvent.click(screen.getByLabelText('1 × zip'));
    expect(screen.getByLabelText('1 × zip')).toBeChecked();
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    // A reload would find it here.
    expect(JSON.stringify(localStorage)).toContain('there');
    away = false;
    await waitFor(() => expect(JSON.stringify(localStorage)).not.toContain('nembrel-unsaved'));
    expect(sent.at(-1)!.body).toMatchObject({ notions: [{ name: 'zip', there: true }] });
  });

  it('needs a name to begin with; n leads to its field', async () => {
    const sent = fakeServer(() => [200, { id: 'new' }]);
    const gone = vi.fn();
    vi.stubGlobal('location', { assign: gone });
    render(<ProjectsView start={{ rows: [], total: 0, page: 1, size: 24 } as never} />);
    await userEvent.keyboard('n');
    expect(screen.getByLabelText('New project')).toHaveFocus();
    await press('Start it');
    expect(screen.getByRole('alert')).toHaveTextContent('Give the project a name');
    expect(sent.filter(({ method }) => method === 'POST')).toHaveLength(0);
    await userEvent.type(screen.getByLabelText('New project'), 'Flags{Enter}');
    await waitFor(() => expect(gone).toHaveBeenCalledWith('/projects/new?stage=pieces'));
  });
});

describe('a table from elsewhere', () => {
  const preview = (faulty: number) => ({
    headings: ['stuff', 'g'],
    fields: [
      { field: 'name', header: 'name', required: true },
      { field: 'arealDensity', header: 'weight', required: true },
    ],
    mapping: { name: 'stuff', arealDensity: 'g' },
    sound: 2,
    faulty,
    rows: [
      { row: 2, name: 'Harbour check', record: { arealDensity: 165 }, faults: [] },
      ...(faulty
        ? [{ row: 3, name: 'Slip', faults: [{ field: 'arealDensity', message: 'is “heavy”; a number is needed' }] }]
        : []),
    ],
  });
  const open = (faulty: number) => {
    const sent = fakeServer(({ path }) =>
      path.endsWith('preview') ? [200, preview(faulty)] : [200, { added: 2, leftOut: faulty, sameName: 0, ids: ['a', 'b'] }],
    );
    render(<CsvView startKind="cloths" />);
    return sent;
  };

  it('is shown before it is kept, with its columns matched by hand, and taken back', async () => {
    const sent = open(0);
    await userEvent.click(screen.getByLabelText(/Or paste it here/));
    await userEvent.paste('stuff;g');
    await screen.findByText('Harbour check');
    await userEvent.selectOptions(screen.getByLabelText('weight (needed)'), 'stuff');
    await waitFor(() =>
      expect(sent.at(-1)!.body).toMatchObject({ mapping: { name: 'stuff', arealDensity: 'stuff' }, text: 'stuff;g' }),
    );
    await waitFor(() => expect(screen.getByRole('button', { name: 'Bring in 2 cloths' })).toBeEnabled());
    await press('Bring in 2 cloths');
    expect(await screen.findByText('2 cloths brought in.')).toBeVisible();
    await press('Undo');
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ path: '/api/csv/undo', body: { kind: 'cloths', ids: ['a', 'b'] } }));
  });

  it('with a faulty row waits until it is left out', async () => {
    const sent = open(1);
    // In one go: letter by letter a slow machine is asked about half of it.
    await userEvent.click(screen.getByLabelText(/Or paste it here/));
    await userEvent.paste('stuff;g');
    expect(await screen.findByText(/is “heavy”/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Bring in 2 cloths' })).toBeDisabled();
    await userEvent.click(screen.getByLabelText('leave the faulty rows out'));
    await waitFor(() => expect(screen.getByRole('button', { name: 'Bring in 2 cloths' })).toBeEnabled());
    await press('Bring in 2 cloths');
    await waitFor(() => expect(sent.at(-1)!.body).toMatchObject({ skipFaulty: true }));
    // The table was asked about once, as it was pasted, and never as the empty field before it.
    expect(sent.filter(({ path }) => path.endsWith('preview')).map(({ body }) => body['text'])).toEqual(['stuff;g']);
  });
});
