import { beforeAll, describe, expect, it } from 'vitest';
import { addWork, chosenStack, FABRIC, PART, post, send } from './client';

interface Found {
  id: string;
  kind: string;
  title: string;
  detail: string;
  href: string;
  again?: string;
}
const found = async (q: string, more = '') => {
  const { status, body } = await send('GET', `/api/search?${new URLSearchParams({ q })}${more}`);
  expect(status, JSON.stringify(body)).toBe(200);
  return (body as { found: Found[] }).found;
};

describe('search over everything that is kept', () => {
  let project: { id: string; version: number };
  let cloth: { id: string; name: string; version: number };
  let job: string;
  beforeAll(async () => {
    project = (await post('/api/projects', { name: 'Regatta pinafore', note: '' })).body;
    cloth = (await post('/api/cloths', { ...FABRIC, name: 'Cobalt regatta poplin', note: 'from the pier market' })).body;
    const shape = { kind: 'rectangle', width: 300, height: 90, corners: [false, false, false, false], corner: 0 };
    const added = await addWork(project.id, {
      ...{ name: 'Sailor collar', shape, line: 'cut', allowances: [10, 10, 10, 10], fold: null, marks: [] },
      ...{ clothId: cloth.id, count: 1, wish: PART, stack: await chosenStack() },
    });
    job = added.body.id;
    await post('/api/log', {
      ...{ jobId: job, kind: 'piece', doneOn: '2026-07-11', title: 'Sailor collar', clothId: cloth.id, clothName: cloth.name },
      ...{ stackTitle: 'Light woven fusible', layerIds: [], settings: { ironDots: 2, seconds: 12, steam: false, cover: 'none' } },
      ...{ checks: { held: [], failed: [] }, outcome: 'good', note: 'lay flat at once' },
    });
  });

  it.each([
    ['pinafore', 'project', 'Regatta pinafore'],
    ['cobalt poplin', 'cloth', 'Cobalt regatta poplin'],
    // By its note, by a word that is only begun, with a letter wrong.
    ['pier market', 'cloth', 'Cobalt regatta poplin'],
    ['pinaf', 'project', 'Regatta pinafore'],
    ['pinafroe', 'project', 'Regatta pinafore'],
    ['What was behind the sailor collar in July?', 'log', 'Sailor collar'],
    ['bubbles after pressing', 'remedy', 'Bubbles'],
    ['pair a tablet', 'place', 'Settings: tablets in the house'],
    ['inches', 'place', 'Settings: measures and look'],
    ['mulling', 'layer', 'mulling'],
  ])('“%s” finds the %s first', async (q, kind, title) => {
    const [first] = await found(q);
    expect([first?.kind, first?.title]).toEqual([kind, expect.stringMatching(new RegExp(title, 'i'))]);
  });

  it('leads to the job itself, what lay behind it is told at once, and it can be sewn again', async () => {
    const all = await found('sailor collar');
    const own = all.find(({ kind }) => kind === 'job')!;
    expect(own).toMatchObject({ href: `/projects/${project.id}?job=${job}&stage=choose`, again: project.id });
    expect(own.detail).toContain('Cobalt regatta poplin');
    expect(all.find(({ kind }) => kind === 'log')!.detail).toContain('Light woven fusible');
    const again = await post(`/api/projects/${own.again}/again`, undefined);
    expect(again.status).toBe(200);
    expect((await found('regatta pinafore again'))[0]!.href).toBe(`/projects/${again.body.id}`);
  });

  it('knows at once what was renamed, deleted and taken back', async () => {
    const { id } = (await post('/api/projects', { name: 'Quokka bunting', note: '' })).body;
    expect((await found('quokka'))[0]!.title).toBe('Quokka bunting');
    await send('PUT', `/api/projects/${id}`, { name: 'Numbat bunting', note: '', version: 1 });
    expect((await found('numbat'))[0]!.title).toBe('Numbat bunting');
    expect((await found('quokka')).filter((each) => each.id.endsWith(id))).toEqual([]);
    await send('DELETE', `/api/projects/${id}`);
    expect((await found('numbat')).filter((each) => each.id.endsWith(id))).toEqual([]);
    await post(`/api/projects/${id}/restore`, undefined);
    expect((await found('numbat'))[0]!.title).toBe('Numbat bunting');
  });

  it('a project that is renamed is renamed where its jobs are told; a deleted one takes them along', async () => {
    const { body: kept } = await send('GET', `/api/projects/${project.id}`);
    const renamed = await send('PUT', `/api/projects/${project.id}`, {
      name: 'Harvest pinafore',
      note: '',
      version: kept.version,
    });
    expect((await found('sailor collar harvest')).map(({ kind }) => kind)).toContain('job');
    await send('DELETE', `/api/projects/${project.id}`);
    expect((await found('sailor collar')).filter(({ id }) => id === `job/${job}`)).toEqual([]);
    await post(`/api/projects/${project.id}/restore`, undefined);
    expect((await found('sailor collar')).some(({ id }) => id === `job/${job}`)).toBe(true);
    expect(renamed.status).toBe(200);
  });

  it('knows of a cloth that is renamed where its jobs are told, of a piece whose only job goes, and of a project that an entry led to', async () => {
    const { body: kept } = await send('GET', `/api/cloths/${cloth.id}`);
    const renamed = await send('PUT', `/api/cloths/${cloth.id}`, {
      ...FABRIC,
      name: 'Indigo regatta poplin',
      version: kept.version,
    });
    expect(renamed.status, JSON.stringify(renamed.body)).toBe(200);
    expect((await found('sailor collar')).find(({ id }) => id === `job/${job}`)!.detail).toContain('Indigo regatta poplin');
    const piece = async () => (await found('sailor collar')).filter(({ kind }) => kind === 'piece');
    expect(await piece()).toEqual([]);
    await send('DELETE', `/api/jobs/${job}`);
    expect(await piece()).toHaveLength(1);
    await post(`/api/jobs/${job}/restore`, undefined);
    expect(await piece()).toEqual([]);
    const entry = async () => (await found('sailor collar')).find(({ kind }) => kind === 'log')!;
    await send('DELETE', `/api/projects/${project.id}`);
    expect([(await entry()).href, (await entry()).again]).toEqual(['/logbook?find=Sailor%20collar', undefined]);
    await post(`/api/projects/${project.id}/restore`, undefined);
    expect((await entry()).href).toContain(`/projects/${project.id}`);
  });

  it.each([
    ['', 'q'],
    ['x'.repeat(201), 'q'],
  ])('refuses %j by its name', async (q, field) => {
    const { status, body } = await send('GET', `/api/search?${new URLSearchParams({ q })}`);
    expect([status, body.error.field]).toEqual([400, field]);
  });

  it('refuses a limit that is none, and keeps to one that is', async () => {
    expect((await send('GET', '/api/search?q=a&limit=many')).body.error.field).toBe('limit');
    expect(await found('cloth', '&limit=3')).toHaveLength(3);
    expect(await found('"><script> OR 1=1 --')).toEqual(expect.any(Array));
  });
});
