import { describe, expect, it } from 'vitest';
import { FABRIC, PART, post } from './client';

const jersey = { ...FABRIC, construction: 'knit', weave: 'jersey', arealDensity: 170, stretchLength: 15, stretchCross: 40 };
const wool = { ...FABRIC, weave: 'twill', arealDensity: 450, fibres: [{ fibre: 'wool', percent: 100 }] };

interface Ranked {
  layers: { materialId: string; extent: string; angle: number }[];
}
const named = ({ layers }: Ranked) => layers.map(({ materialId, extent, angle }) => ({ materialId, extent, angle }));

describe('/api/choose/judge', () => {
  it.each([
    ['a collar', { fabric: FABRIC, part: PART }],
    ['a knit facing', { fabric: jersey, part: { ...PART, role: 'neck-facing', stretch: 'keep' } }],
    [
      'a coat front of the cupboard',
      { fabric: wool, part: { ...PART, role: 'jacket-front', care: 'dry-clean' }, clothId: 'tq-harbour-linen' },
    ],
    [
      'a towel to be stitched',
      {
        fabric: { ...FABRIC, weave: 'terry', surface: ['looped'], arealDensity: 400 },
        part: { ...PART, role: 'embroidery', embroidery: { stitches: 8000, width: 90, height: 80 } },
      },
    ],
    ['a brim', { fabric: FABRIC, part: { ...PART, role: 'hat-brim' }, wishes: { lead: 'cost' }, weights: { feel: 3 } }],
    [
      'a bag of one’s own size',
      {
        fabric: FABRIC,
        part: { ...PART, role: 'bag-panel' },
        piece: { width: 260, height: 180, count: 3 },
        schools: { padding: 'wadding' },
      },
    ],
  ])('agrees with choosing to the last digit: %s', async (_, question) => {
    const { body: chosen } = await post('/api/choose', { ...question, limit: 60 });
    expect(chosen.ranked.length).toBeGreaterThan(3);
    for (const ranked of chosen.ranked as Ranked[]) {
      const { body } = await post('/api/choose/judge', { ...question, layers: named(ranked) });
      const { stops, ...judged } = body;
      expect(stops).toEqual([]);
      expect(judged).toEqual(ranked);
    }
  });

  it('takes a cloth of the cupboard, joins as told, and tells the stops', async () => {
    const layers = [
      { materialId: 'light-woven-fusible-45-g', extent: 'full' },
      { clothId: 'cotton-flannel', extent: 'full' },
      { materialId: 'cotton-wadding-130-g', extent: 'net', join: 'spray-glued' },
    ];
    const { status, body } = await post('/api/choose/judge', {
      fabric: { ...FABRIC, ironDots: 1 },
      part: { ...PART, role: 'bag-panel', avoid: ['spray-glue'] },
      layers,
    });
    expect(status).toBe(200);
    expect(body.layers.map(({ form }: { form: string }) => form)).toEqual(['fusible', 'sew-in', 'spray-glued']);
    expect(body.stops.map(({ id, layer }: { id: string; layer: number }) => [id, layer])).toEqual([
      ['too-hot', 0],
      ['avoid-spray', 2],
    ]);
    expect(body.predicted.arealDensity).toBeCloseTo(115 + 45 + 165 + 130, 6);
  });

  it.each([
    ['nothing', [], /layers: must hold at least one/],
    ['neither', [{ extent: 'full' }], /layers\[0\]: must name either/],
    ['both', [{ materialId: 'a', clothId: 'b', extent: 'full' }], /layers\[0\]: must name either/],
    [
      'a material that is not there',
      [{ materialId: 'nothing-such', extent: 'full' }],
      /layers\[0\]\.materialId: must be in the cupboard/,
    ],
    ['a cloth that is not there', [{ clothId: 'nothing-such', extent: 'full' }], /layers\[0\]\.clothId/],
    ['an extent that there is not', [{ materialId: 'light-woven-fusible-45-g', extent: 'half' }], /layers\[0\]\.extent/],
    [
      'a way of joining that cannot be',
      [{ materialId: 'light-woven-fusible-45-g', extent: 'full', join: 'loose' }],
      /layers\[0\]\.join: must be one of fusible/,
    ],
  ])('refuses %s by its field', async (_, layers, words) => {
    const { status, body } = await post('/api/choose/judge', { fabric: FABRIC, part: PART, layers });
    expect(status).toBe(400);
    expect(body.error.message).toMatch(words);
  });
});

describe('wishes that are opposites', () => {
  it('are refused at once, by name', async () => {
    const body = { fabric: FABRIC, part: PART, wishes: { staySheer: true, opaque: true } };
    const answer = await post('/api/choose', body);
    expect([answer.status, answer.body.error.field]).toEqual([400, 'wishes.opaque']);
    expect((await post('/api/choose', { ...body, wishes: { opaque: true } })).status).toBe(200);
  });

  it('judging agrees with choosing when the part must become opaque', async () => {
    const asked = {
      fabric: { ...FABRIC, sheer: 'veiled', arealDensity: 90 },
      part: { ...PART, role: 'bodice' },
      wishes: { opaque: true },
    };
    const { ranked } = (await post('/api/choose', { ...asked, limit: 12 })).body;
    for (const stack of ranked) {
      const layers = stack.layers.map(({ materialId, extent, angle }: Record<string, unknown>) => ({
        materialId,
        extent,
        angle,
      }));
      const judged = (await post('/api/choose/judge', { ...asked, layers })).body;
      expect([judged.score, judged.seeThrough]).toEqual([stack.score, stack.seeThrough]);
    }
  });
});
