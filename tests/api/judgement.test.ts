import { usedOf } from '../../src/core/layers';
import { describe, expect, it } from 'vitest';
import type { RankedStack } from '../../src/core/choose';
import { groupAnswers } from '../../src/views/choose/answers';
import { PRACTISED, type PractisedCase } from '../files/judgement-cases';
import { FABRIC, post, send } from './client';

/*
 * What a practised sewist or embroiderer would say of sixty pairs of cloth and part, written down from the trade
 * and never used for tuning. `best` is what the first answer may be; `never` is what must not be offered at all.
 */
interface Layer {
  family: string;
  form: string;
  extent: string;
}
interface Case {
  words: string;
  fabric: Record<string, unknown>;
  part: Record<string, unknown>;
  /** Families that the first answer may contain; one of them is enough. */
  best?: string[];
  /** Forms that the first answer's lasting layers may have. */
  form?: string[];
  /** No answer has a layer like this. */
  never?: (layer: Layer) => boolean;
  /** Some layer of every answer is like this. */
  always?: (layer: Layer) => boolean;
}

const wool = [{ fibre: 'wool', percent: 100 }];
const silk = [{ fibre: 'silk', percent: 100 }];
const polyester = [{ fibre: 'polyester', percent: 100 }];
const jersey = { construction: 'knit', weave: 'jersey', arealDensity: 170, stretchLength: 15, stretchCross: 40 };
const fused = ({ form }: Layer) => form === 'fusible' || form === 'fusible-both';
const liquid = ({ form }: Layer) => form === 'liquid';
const family =
  (...names: string[]) =>
  ({ family: each }: Layer) =>
    names.includes(each);
const washed = { care: 'wash-warm' };
const cleaned = { care: 'dry-clean' };
const unwashed = { care: 'none' };

const CASES: Case[] = [
  {
    words: 'voile collar',
    fabric: { arealDensity: 65, sheer: 'veiled' },
    part: { role: 'collar' },
    best: ['nonwoven', 'woven', 'organza', 'organdy'],
  },
  {
    words: 'poplin shirt collar, crisp',
    fabric: { arealDensity: 120 },
    part: { role: 'collar', hand: 'crisp' },
    best: ['nonwoven', 'woven'],
  },
  { words: 'oxford cuff', fabric: { arealDensity: 155 }, part: { role: 'cuff' }, best: ['nonwoven', 'woven'] },
  {
    words: 'chambray button band',
    fabric: { arealDensity: 130 },
    part: { role: 'button-band' },
    best: ['nonwoven', 'woven', 'weft'],
  },
  {
    words: 'buttonhole in jersey',
    fabric: jersey,
    part: { role: 'buttonhole', stretch: 'stop' },
    best: ['weft', 'woven', 'nonwoven', 'organdy', 'organza'],
  },
  {
    words: 'linen neck facing',
    fabric: { arealDensity: 180, fibres: [{ fibre: 'linen', percent: 100 }] },
    part: { role: 'neck-facing' },
    best: ['nonwoven', 'woven', 'tricot'],
  },
  {
    words: 'jersey neck facing keeps its stretch',
    fabric: jersey,
    part: { role: 'neck-facing', stretch: 'keep' },
    best: ['stretch-knit', 'tricot'],
    never: family('woven', 'weft', 'nonwoven', 'organza', 'organdy', 'cloth-underlining'),
  },
  {
    words: 'crepe blouse armhole',
    fabric: { weave: 'crepe', fibres: polyester, arealDensity: 95, ironDots: 1 },
    part: { role: 'armhole-facing' },
    best: ['tricot', 'nonwoven', 'stretch-knit', 'woven', 'organza'],
  },
  { words: 'straight skirt waistband', fabric: { arealDensity: 220 }, part: { role: 'waistband' }, best: ['waistband-strip'] },
  {
    words: 'curved waistband',
    fabric: { arealDensity: 220 },
    part: { role: 'curved-waistband' },
    best: ['tricot', 'stretch-knit'],
    never: family('weft', 'waistband-strip'),
  },
  {
    words: 'wool hem',
    fabric: { fibres: wool, arealDensity: 260, ironDots: 2, weave: 'twill' },
    part: { role: 'hem', ...cleaned },
    best: ['woven', 'tricot', 'weft', 'organza', 'hair-canvas', 'stretch-knit'],
  },
  {
    words: 'pocket flap in drill',
    fabric: { weave: 'twill', arealDensity: 250 },
    part: { role: 'pocket-flap' },
    best: ['nonwoven', 'woven', 'weft'],
  },
  {
    words: 'welt in suiting',
    fabric: { weave: 'twill', fibres: wool, arealDensity: 250, ironDots: 2 },
    part: { role: 'welt', ...cleaned },
    best: ['nonwoven', 'woven', 'weft'],
  },
  {
    words: 'zip in jersey',
    fabric: jersey,
    part: { role: 'zip-area', stretch: 'stop' },
    best: ['stay-tape', 'weft', 'nonwoven'],
    never: family('stretch-knit', 'tricot'),
  },
  { words: 'shoulder seam of a tee', fabric: jersey, part: { role: 'shoulder-seam', stretch: 'stop' }, best: ['stay-tape'] },
  {
    words: 'tailored lapel',
    fabric: { weave: 'twill', fibres: wool, arealDensity: 420, ironDots: 2 },
    part: { role: 'lapel', ...cleaned },
    best: ['hair-canvas', 'weft'],
  },
  {
    words: 'undercollar of a coat',
    fabric: { weave: 'twill', fibres: wool, arealDensity: 420, ironDots: 2 },
    part: { role: 'undercollar', ...cleaned },
    best: ['hair-canvas'],
  },
  {
    words: 'hair canvas is never washed',
    fabric: { weave: 'twill', fibres: wool, arealDensity: 420, ironDots: 2 },
    part: { role: 'lapel', ...washed },
    never: family('hair-canvas'),
  },
  {
    words: 'jacket front',
    fabric: { weave: 'twill', fibres: wool, arealDensity: 280, ironDots: 2 },
    part: { role: 'jacket-front', ...cleaned },
    best: ['weft', 'hair-canvas'],
  },
  {
    words: 'chiffon bodice',
    fabric: { weave: 'crepe', fibres: silk, arealDensity: 40, ironDots: 1, water: 'spots', sheer: 'sheer' },
    part: { role: 'bodice', ...cleaned },
    best: ['organza'],
    never: liquid,
  },
  {
    words: 'open cotton panel wants a lining cloth',
    fabric: { weave: 'loose', arealDensity: 80, sheer: 'veiled' },
    part: { role: 'whole-panel' },
    best: ['cloth-underlining', 'organza', 'tricot'],
  },
  {
    words: 'godet slash',
    fabric: { arealDensity: 150 },
    part: { role: 'godet-slash' },
    best: ['organza', 'organdy', 'woven', 'nonwoven', 'tricot'],
  },
  { words: 'inner corner', fabric: { arealDensity: 140 }, part: { role: 'inner-corner' }, best: ['organdy', 'organza'] },
  { words: 'flared hem stands', fabric: { arealDensity: 200 }, part: { role: 'flare-hem' }, best: ['braid'] },
  { words: 'hat tip', fabric: { arealDensity: 220 }, part: { role: 'hat-tip', ...unwashed }, best: ['buckram'] },
  {
    words: 'hat side band',
    fabric: { arealDensity: 220 },
    part: { role: 'hat-band', ...unwashed },
    best: ['buckram', 'firm-nonwoven'],
  },
  {
    words: 'washable sun hat brim',
    fabric: { arealDensity: 200 },
    part: { role: 'hat-brim', ...washed },
    best: ['firm-nonwoven'],
    never: family('buckram'),
  },
  {
    words: 'quilting cotton tote',
    fabric: { arealDensity: 145 },
    part: { role: 'bag-panel', ...washed },
    best: ['foam', 'fleece', 'wadding', 'firm-nonwoven'],
  },
  {
    words: 'bag base',
    fabric: { arealDensity: 300 },
    part: { role: 'bag-base', ...unwashed },
    best: ['stiff-core', 'firm-nonwoven'],
  },
  {
    words: 'cotton bag lining',
    fabric: { arealDensity: 130 },
    part: { role: 'bag-lining' },
    best: ['woven', 'nonwoven', 'weft'],
  },
  {
    words: 'bag flap',
    fabric: { arealDensity: 200 },
    part: { role: 'bag-flap', ...unwashed },
    best: ['firm-nonwoven', 'foam', 'fleece'],
  },
  {
    words: 'bag strap',
    fabric: { arealDensity: 160 },
    part: { role: 'bag-strap' },
    best: ['woven', 'firm-nonwoven', 'fleece', 'nonwoven'],
  },
  { words: 'tab', fabric: { arealDensity: 160 }, part: { role: 'tab' }, best: ['woven', 'nonwoven', 'firm-nonwoven', 'weft'] },
  {
    words: 'fabric box',
    fabric: { arealDensity: 150 },
    part: { role: 'box-panel', ...unwashed },
    best: ['stiff-core', 'firm-nonwoven'],
  },
  {
    words: 'quilt pieces not cut yet',
    fabric: { arealDensity: 142 },
    part: { role: 'quilt-piece' },
    best: ['pressing-spray', 'starch', 'liquid-stabilizer'],
  },
  {
    words: 'quilt pieces cut already',
    fabric: { arealDensity: 142 },
    part: { role: 'quilt-piece', cutAlready: true },
    best: ['pressing-spray'],
  },
  {
    words: 'bias skirt panel',
    fabric: { arealDensity: 120 },
    part: { role: 'bias-piece', cut: 'bias', stretch: 'keep' },
    best: ['stretch-knit', 'tricot', 'pressing-spray', 'starch', 'liquid-stabilizer'],
  },
  { words: 'rolling jersey strip', fabric: jersey, part: { role: 'knit-binding', stretch: 'keep' }, best: ['edge-stiffener'] },
  {
    words: 'tee panel for a quilt',
    fabric: jersey,
    part: { role: 'knit-panel-quilt', stretch: 'stop' },
    best: ['nonwoven', 'weft', 'woven'],
    never: family('stretch-knit'),
  },
  { words: 'appliqué on shirting', fabric: { arealDensity: 130 }, part: { role: 'applique' }, best: ['tear-away'] },
  { words: 'embroidery on shirting', fabric: { arealDensity: 130 }, part: { role: 'embroidery' }, best: ['tear-away'] },
  {
    words: 'embroidery on a tee',
    fabric: jersey,
    part: { role: 'embroidery' },
    best: ['cut-away', 'mesh'],
    never: family('tear-away'),
  },
  {
    words: 'embroidery on sweatshirt fleece',
    fabric: { construction: 'knit', weave: 'fleece', arealDensity: 290, stretchLength: 10, stretchCross: 25, surface: ['lofty'] },
    part: { role: 'embroidery' },
    best: ['cut-away'],
    always: family('topping'),
  },
  {
    words: 'embroidery on a towel',
    fabric: { weave: 'terry', arealDensity: 420, surface: ['looped'] },
    part: { role: 'embroidery' },
    best: ['cut-away', 'mesh'],
    always: family('topping'),
  },
  {
    words: 'embroidery on velvet floats',
    fabric: { weave: 'pile', arealDensity: 280, ironDots: 1, surface: ['pile'], tone: 'dark' },
    part: { role: 'embroidery' },
    never: (l) => fused(l) || (l.form === 'loose' && l.family !== 'topping'),
  },
  {
    words: 'embroidery on denim',
    fabric: { weave: 'twill', arealDensity: 380, tone: 'dark' },
    part: { role: 'embroidery' },
    best: ['cut-away'],
  },
  {
    words: 'embroidery on net',
    fabric: { construction: 'net', weave: 'other', arealDensity: 25, sheer: 'sheer', surface: ['openwork'], ironDots: 1 },
    part: { role: 'embroidery' },
    best: ['wash-away', 'heat-away'],
    never: fused,
  },
  {
    words: 'embroidery on a light blouse',
    fabric: { arealDensity: 70, sheer: 'veiled' },
    part: { role: 'embroidery' },
    best: ['mesh', 'wash-away', 'tear-away'],
  },
  { words: 'badge', fabric: { arealDensity: 250 }, part: { role: 'badge' }, best: ['mesh', 'cut-away'] },
  {
    words: 'free-motion on cotton',
    fabric: { arealDensity: 140 },
    part: { role: 'free-stitching' },
    best: ['liquid-stabilizer', 'tear-away', 'starch'],
  },
  {
    words: 'printing on cotton',
    fabric: { arealDensity: 140 },
    part: { role: 'printing', ...unwashed },
    best: ['liquid-stabilizer'],
  },
  {
    words: 'modelling in cotton',
    fabric: { arealDensity: 120 },
    part: { role: 'modelling', ...unwashed },
    best: ['liquid-stabilizer', 'starch'],
  },
];

/** What no answer may hold, whatever else is wished: every hard stop of the trade. */
const STOPPED: Case[] = [
  {
    words: 'no iron, nothing fused',
    fabric: { ironDots: 0, construction: 'net', surface: ['beaded'], fibres: polyester },
    part: { role: 'neck-facing' },
    never: fused,
  },
  {
    words: 'cool iron: nothing hotter',
    fabric: { ironDots: 1, fibres: polyester, arealDensity: 120 },
    part: { role: 'collar' },
    never: () => false,
  },
  {
    words: 'steam on silk that spots',
    fabric: { fibres: silk, water: 'spots', ironDots: 2 },
    part: { role: 'collar', ...cleaned },
    never: liquid,
  },
  {
    words: 'pile is not pressed',
    fabric: { weave: 'pile', surface: ['pile'], arealDensity: 250 },
    part: { role: 'collar' },
    never: fused,
  },
  {
    words: 'crinkle is not pressed',
    fabric: { surface: ['crinkled'], arealDensity: 125 },
    part: { role: 'collar' },
    never: fused,
    form: ['sew-in'],
  },
  { words: 'beads are not pressed', fabric: { surface: ['beaded'], arealDensity: 200 }, part: { role: 'bodice' }, never: fused },
  {
    words: 'coated cloth: no glue',
    fabric: { construction: 'coated', surface: ['coated'], water: 'resists', arealDensity: 220 },
    part: { role: 'bag-panel' },
    never: (l) => fused(l) || liquid(l),
  },
  {
    words: 'leather: no glue',
    fabric: { construction: 'leather', weave: 'other', arealDensity: 450 },
    part: { role: 'tab', ...unwashed },
    never: fused,
  },
  {
    words: 'leather is floated',
    fabric: { construction: 'leather', weave: 'other', arealDensity: 450 },
    part: { role: 'embroidery', ...unwashed },
    never: (l) => l.form === 'loose',
  },
  {
    words: 'holes: no glue',
    fabric: { weave: 'eyelet', surface: ['openwork'], arealDensity: 110 },
    part: { role: 'collar' },
    never: fused,
  },
  {
    words: 'stretch kept: no layer that does not give',
    fabric: { construction: 'knit', weave: 'rib', arealDensity: 240, stretchLength: 20, stretchCross: 80 },
    part: { role: 'cuff', stretch: 'keep' },
    never: family('woven', 'weft', 'nonwoven', 'organza', 'organdy', 'hair-canvas'),
  },
  {
    words: 'stretch stopped: no layer that gives',
    fabric: jersey,
    part: { role: 'button-band', stretch: 'stop' },
    never: family('tricot', 'stretch-knit'),
  },
  {
    words: 'hot wash: only what stands it',
    fabric: { arealDensity: 130 },
    part: { role: 'collar', care: 'wash-hot' },
    never: family('hair-canvas', 'tricot', 'weft', 'buckram'),
  },
  {
    words: 'washed: nothing for dry cleaning only',
    fabric: { fibres: wool, arealDensity: 300, ironDots: 2 },
    part: { role: 'jacket-front', ...washed },
    never: family('hair-canvas', 'buckram'),
  },
  {
    words: 'dry cleaning: nothing that must be rinsed',
    fabric: { fibres: wool, arealDensity: 200, ironDots: 2 },
    part: { role: 'embroidery', ...cleaned },
    never: family('wash-away'),
  },
  {
    words: 'cut already: no soaking',
    fabric: { arealDensity: 140 },
    part: { role: 'printing', cutAlready: true, ...unwashed },
    never: (l) => l.family === 'starch' && l.extent === 'soaked',
  },
  { words: 'no fusibles when asked', fabric: {}, part: { role: 'collar', avoid: ['fusible'] }, never: fused },
  { words: 'no liquids when asked', fabric: {}, part: { role: 'quilt-piece', avoid: ['liquid'] }, never: liquid },
  {
    words: 'no spray glue when asked',
    fabric: {},
    part: { role: 'embroidery', avoid: ['spray-glue'] },
    never: (l) => l.form === 'spray-glued',
  },
];

async function ask({ fabric, part }: Case) {
  const { status, body } = await post('/api/choose', {
    fabric: { ...FABRIC, ...fabric },
    part: { cut: 'straight', stretch: 'any', care: 'wash-warm', ...part },
    limit: 200,
  });
  expect(status).toBe(200);
  return body as { ranked: { title: string; layers: (Layer & { material: string; materialId: string })[] }[] };
}

/** What is wrong with an answer, in words; empty when it holds. */
function faults(each: Case, ranked: Awaited<ReturnType<typeof ask>>['ranked']): string[] {
  const found: string[] = [];
  const first = ranked[0];
  if (!first) return [`${each.words}: no answer`];
  const lasting = first.layers.filter((layer) => layer.family !== 'topping' && layer.form !== 'liquid');
  if (each.best && !first.layers.some((layer) => each.best!.includes(layer.family)))
    found.push(`${each.words}: first is ${first.title}`);
  if (each.form && !lasting.every((layer) => each.form!.includes(layer.form)))
    found.push(`${each.words}: first is ${first.title}, ${lasting.map(({ form }) => form).join()}`);
  for (const { title, layers } of ranked) {
    if (each.never && layers.some(each.never)) found.push(`${each.words}: offers ${title}`);
    if (each.always && !layers.some(each.always)) found.push(`${each.words}: ${title} lacks what it needs`);
  }
  return found;
}

/** Kinds of answer that stand on the first screen, and among which a combination may stand. */
const SEEN = 3;
const NEAR = 6;

/** What is wrong with an answer to a further case, in words; empty when it holds. */
function practisedFaults({ best, together, notFirst, form }: PractisedCase, ranked: readonly RankedStack[]): string[] {
  const kinds = groupAnswers(ranked).map((group) => group.best);
  const [first] = kinds;
  if (!first) return ['no answer'];
  const found: string[] = [];
  const has = (stack: RankedStack, name: string) => stack.layers.some((layer) => layer.family === name);
  const lasting = first.layers.filter((layer) => layer.family !== 'topping' && layer.form !== 'liquid');
  if (best && !best.some((name) => has(first, name))) found.push(`first is ${first.title}`);
  if (form && !lasting.every((layer) => form.includes(layer.form))) found.push(`first is ${first.title}, put on otherwise`);
  for (const stack of kinds.slice(0, SEEN))
    for (const name of notFirst ?? []) if (has(stack, name)) found.push(`${stack.title} stands on the first screen`);
  const near = kinds.slice(0, NEAR);
  if (together && !near.some((stack) => together.every((name) => has(stack, name))))
    found.push(`${together.join(' with ')} is not among ${near.map(({ title }) => title).join('; ')}`);
  return found;
}

describe('judgement', () => {
  it('says what a practised hand would say in at least 95 of 100 cases', async () => {
    const wrong: string[] = [];
    for (const each of CASES) {
      const [first] = faults(each, (await ask(each)).ranked);
      if (first) wrong.push(first);
    }
    expect(wrong.length, wrong.join('\n')).toBeLessThanOrEqual(CASES.length * 0.05);
  });

  it('says it in at least 97 of a hundred further cases, together with what belongs together', async () => {
    expect(PRACTISED.length).toBeGreaterThanOrEqual(100);
    const wrong: string[] = [];
    for (const each of PRACTISED) {
      const { fabric, part, wishes, words } = each;
      const { status, body } = await post('/api/choose', {
        ...{ fabric: { ...FABRIC, ...fabric }, limit: 200, ...(wishes ? { wishes } : {}) },
        part: { cut: 'straight', stretch: 'any', care: 'wash-warm', ...part },
      });
      expect(status).toBe(200);
      const [first] = practisedFaults(each, body.ranked as RankedStack[]);
      if (first) wrong.push(`${words}: ${first}`);
    }
    expect(wrong.length, wrong.join('\n')).toBeLessThanOrEqual(PRACTISED.length * 0.03);
  });

  it.each(STOPPED.map((each) => [each.words, each] as const))('holds the hard stop: %s', async (_words, each) => {
    const { ranked } = await ask(each);
    expect(ranked.length).toBeGreaterThan(0);
    expect(faults(each, ranked)).toEqual([]);
  });

  it('never asks more heat than the cloth bears, nor steam where water marks', async () => {
    const { layers } = (await send('GET', '/api/layers')).body as {
      layers: { id: string; leaflet: { ironDots: number; steam: boolean } }[];
    };
    const byId = new Map(layers.map((layer) => [layer.id, layer.leaflet]));
    for (const ironDots of [0, 1, 2, 3]) {
      for (const role of ['collar', 'bodice', 'bag-panel', 'embroidery', 'quilt-piece']) {
        const { ranked } = await ask({ words: '', fabric: { ironDots, water: 'spots' }, part: { role } });
        for (const { layers: stack } of ranked)
          for (const { materialId } of stack) {
            const leaflet = byId.get(usedOf(materialId).materialId)!;
            expect(leaflet.ironDots).toBeLessThanOrEqual(ironDots);
            expect(leaflet.steam).toBe(false);
          }
      }
    }
  });
});
