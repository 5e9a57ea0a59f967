import { describe, expect, inject, it } from 'vitest';
import { readCodes } from '../files/pdf-codes';
import { addWork, chosenStack, PART, post, send } from './client';

const shape = { kind: 'rectangle', width: 300, height: 100, corners: [false, false, false, false], corner: 0 };
const PIECE = {
  name: 'Front',
  shape,
  allowances: [10, 10, 10, 10],
  fold: null,
  clothId: 'shirting-poplin',
  count: 2,
  wish: PART,
};
const project = async (more: object) => (await post('/api/projects', { name: 'Tool rolls', ...more })).body as { id: string };

const moves = (id: string, move: object) => ({ moves: [{ id, at: '2026-01-02T18:00:00.000Z', move }] });

describe('the bags of a project', () => {
  it('hold one thing each, with its layers until they are filed', async () => {
    const { id } = await project({ makes: 2, notions: [{ name: 'zip', count: 1, there: true }] });
    const stack = await chosenStack();
    const work = (await addWork(id, { ...PIECE, stack })).body;
    const names = async (copy: number) =>
      (await send('GET', `/api/projects/${id}/kits`)).body.kits[copy - 1].items.map(({ group }: { group: string }) => group);
    expect(await names(1)).toEqual(['cloth', ...stack.layers.map((): string => 'layer'), 'notion', 'pattern']);
    expect(await names(2)).toEqual(['cloth', ...stack.layers.map((): string => 'layer'), 'notion']);
    const entry = {
      ...{ jobId: work.id, doneOn: '2026-01-02', title: 'Front', clothName: 'Poplin', stackTitle: 'A layer', layerIds: [] },
      ...{ settings: { ironDots: 1, seconds: 10, steam: false, cover: 'none' }, outcome: 'good', note: '' },
      checks: { held: [], failed: [] },
    };
    expect((await post('/api/log', entry)).status).toBe(201);
    expect(await names(2)).toEqual(['cloth', 'notion']);
  });

  it('leave layers out once the run that put them on is finished, and hold them again when it is done anew', async () => {
    const { id } = await project({});
    const stack = await chosenStack();
    const work = (await addWork(id, { ...PIECE, stack })).body;
    const layers = async () =>
      (await send('GET', `/api/projects/${id}/kits`)).body.kits[0].items.filter(
        ({ group }: { group: string }) => group === 'layer',
      );
    const run = (await send('POST', `/api/jobs/${work.id}/bench`)).body;
    expect(await layers()).toHaveLength(stack.layers.length);
    expect((await post(`/api/bench/${run.id}/moves`, moves('kit-run-done', { kind: 'finish' }))).status).toBe(200);
    expect(await layers()).toEqual([]);
    expect((await send('POST', `/api/jobs/${work.id}/bench`)).status).toBeLessThan(300);
    expect(await layers()).toHaveLength(stack.layers.length);
  });

  it('have labels whose codes lead back to them, at the address by which the house was asked', async () => {
    const { id } = await project({ makes: 2 });
    await addWork(id, PIECE);
    const bytes = new Uint8Array(await (await fetch(`${inject('base')}/api/projects/${id}/kits/labels.pdf`)).arrayBuffer());
    expect(readCodes(bytes)).toEqual([1, 2].map((copy) => `${inject('base')}/projects/${id}/kits/${copy}`));
  });

  it('are packed by two tablets at once, and every move counts once', async () => {
    const { id } = await project({ makes: 3 });
    const path = `/api/projects/${id}/kits/3`;
    const both = [
      post(`${path}/moves`, moves(`${id}-1`, { kind: 'put', keys: ['cut/a'], state: 'packed' })),
      post(`${path}/moves`, moves(`${id}-2`, { kind: 'put', keys: ['cut/b'], state: 'missing' })),
    ];
    for (const { status } of await Promise.all(both)) expect(status).toBe(200);
    await post(`${path}/moves`, moves(`${id}-3`, { kind: 'put', keys: ['cut/b'], state: null }));
    // The answer was lost and it is sent once more.
    await post(`${path}/moves`, moves(`${id}-2`, { kind: 'put', keys: ['cut/b'], state: 'missing' }));
    await post(`${path}/moves`, moves(`${id}-4`, { kind: 'place', place: 'blue basket' }));
    expect((await send('GET', path)).body).toMatchObject({ states: { 'cut/a': 'packed' }, place: 'blue basket', version: 4 });
    expect((await send('GET', `/api/projects/${id}/kits/2`)).body).toEqual({ states: {}, place: '', version: 0 });
  });

  it.each([
    ['a bag that is not made', '4', { kind: 'place', place: '' }, 'copy'],
    ['a state that is none', '1', { kind: 'put', keys: ['x'], state: 'lost' }, 'moves[0].move.state'],
    ['nothing named', '1', { kind: 'put', keys: [], state: null }, 'moves[0].move.keys'],
    ['another kind', '1', { kind: 'constructor' }, 'moves[0].move.kind'],
  ])('refuse %s', async (_words, copy, move, field) => {
    const { id } = await project({ makes: 3 });
    const answer = await post(`/api/projects/${id}/kits/${copy}/moves`, moves(`${id}-x`, move));
    expect([answer.status, answer.body.error.field]).toEqual([400, field]);
  });
});
