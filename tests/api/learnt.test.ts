import { describe, expect, it } from 'vitest';
import { addWork, chosenStack, FABRIC, PART, post, send } from './client';

const shape = { kind: 'rectangle', width: 300, height: 100, corners: [false, false, false, false], corner: 0 };

/** A cloth of one's own, with a finished piece of which the overhang was read so often. */
async function measured(overhangs: number[]) {
  const cloth = (await post('/api/cloths', { name: `Learnt ${overhangs.join()}`, ...FABRIC })).body as { id: string };
  const { id } = (await post('/api/projects', { name: 'Learnt' })).body as { id: string };
  const stack = await chosenStack();
  const piece = {
    name: 'Front',
    shape,
    allowances: [10, 10, 10, 10],
    fold: null,
    clothId: cloth.id,
    count: 1,
    wish: PART,
    stack,
  };
  const job = (await addWork(id, piece)).body;
  const layerIds = stack.layers.map(({ materialId }: { materialId: string }) => materialId);
  for (const overhang of overhangs) {
    const entry = {
      ...{ jobId: job.id, doneOn: '2026-01-02', title: 'Front', clothId: cloth.id, clothName: 'Learnt', stackTitle: stack.title },
      ...{ layerIds, settings: { ironDots: 1, seconds: 10, steam: false, cover: 'none' }, outcome: 'good', note: '', overhang },
      checks: { held: [], failed: [] },
    };
    expect((await post('/api/log', entry)).status).toBe(201);
  }
  const asked = async () => {
    const layers = stack.layers;
    const { body } = await post('/api/choose/judge', { fabric: FABRIC, part: PART, clothId: cloth.id, layers });
    return body.predicted as { bendingLength: number };
  };
  const learnt = async () =>
    (
      (await send('GET', '/api/learnt')).body.learnt as { subject: string; now: number; before: number; readings: unknown[] }[]
    ).find(({ subject }) => subject.includes(cloth.id));
  return { asked, learnt };
}

describe('what the house has learnt', () => {
  it('is the figure that choosing reckons with, from the readings that are told', async () => {
    const { asked, learnt } = await measured([90, 94]);
    const [judged, told] = [await asked(), await learnt()];
    expect(told!.readings).toHaveLength(2);
    expect(told!.now).toBeCloseTo(judged.bendingLength, 6);
    expect(Math.abs(told!.now - 46)).toBeLessThan(Math.abs(told!.before - 46));
  });

  it('is forgotten, learnt anew, and remembered again', async () => {
    const { asked, learnt } = await measured([120]);
    const { subject, before } = (await learnt())!;
    const forgotten = await post('/api/learnt', { subject, forgotten: true });
    expect([forgotten.status, forgotten.body.forgotten.includes(subject)]).toEqual([200, true]);
    expect(await learnt()).toBeUndefined();
    expect((await asked()).bendingLength).toBeCloseTo(before, 6);
    expect((await post('/api/learnt', { subject, forgotten: false })).status).toBe(200);
    expect((await asked()).bendingLength).toBeGreaterThan(before + 3);
    const unknown = await post('/api/learnt', { subject: 'hang/none/none', forgotten: true });
    expect([unknown.status, unknown.body.error.field]).toEqual([400, 'subject']);
  });
});
