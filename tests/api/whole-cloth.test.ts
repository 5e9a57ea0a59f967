import { describe, expect, it } from 'vitest';
import { FABRIC, post, send } from './client';

describe('a cloth that is described', () => {
  it.each([
    ['fibres', { fibres: [{ fibre: 'cotton', percent: 80 }] }, /80 %/],
    ['fibres', { fibres: [{ fibre: 'cotton', percent: 80 }, { fibre: 'silk', percent: 40 }] }, /120 %/],
    ['weave', { construction: 'woven', weave: 'jersey' }, /woven/],
    ['weave', { construction: 'knit', weave: 'satin' }, /knit/],
  ])('is refused by the name of its %s when it cannot be', async (field, change, words) => {
    const { status, body } = await post('/api/cloths', { ...FABRIC, name: 'Cannot be', ...change });
    expect([status, body.error.field]).toEqual([400, field]);
    expect(body.error.message).toMatch(words);
  }); // prettier-ignore

  it.each([
    { fibres: [] },
    { fibres: [{ fibre: 'cotton', percent: 67 }, { fibre: 'linen', percent: 33 }] },
    { construction: 'knit', weave: 'fleece' },
    { construction: 'coated', weave: 'jersey' },
  ])('is taken otherwise: %j', async (change) => {
    const { status, body } = await post('/api/cloths', { ...FABRIC, name: 'Can be', ...change });
    expect([status, body.error]).toEqual([201, undefined]);
    await send('DELETE', `/api/cloths/${body.id}`);
  }); // prettier-ignore
});
