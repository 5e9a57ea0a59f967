import { libraryLayer } from '../files/library-layer';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  choose,
  CRITERIA,
  CRITERION_IDS,
  lastingLayers,
  questionFor,
  ROLES,
  sensitivity,
  typicalPiece,
  whatIf,
  type Part,
} from '../../src/core/choose';
import { PREFERENCES, preferencesFor } from '../../src/core/choose/preferences';
import { clothBendingLength, clothThickness, type Fabric } from '../../src/core/cloth';
import { scaleMaterial, stackStiffness, usesOf, type ChosenLayer } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_SCHOOLS, SCHOOLS, schoolsOf } from '../../src/core/schools';
import { orderOfWork, pressSetting, type FoundSetting, stepsForCopies } from '../../src/core/steps';
import { workSteps, type WorkJob } from '../../src/core/techniques';

const cloth = (name: string): Fabric => LIBRARY_CLOTHS.find((each) => each.name === name)!;
const layer = libraryLayer;
const part = (role: Part['role'], more: Partial<Part> = {}): Part => ({
  role,
  cut: 'straight',
  stretch: 'any',
  care: 'wash-warm',
  ...more,
});
const poplin = cloth('Shirting poplin');
const ALL = { limit: 10_000 };

describe('weights of the criteria', () => {
  it('leave out what weighs nothing, and count everything else for more', () => {
    const { ranked } = choose(poplin, part('collar'), LIBRARY_LAYERS, { weights: { feel: 0 } });
    expect(ranked[0]!.criteria.find(({ id }) => id === 'feel')!.share).toBe(0);
    expect(ranked[0]!.criteria.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  });

  it('turn the order: what matters most leads', () => {
    const light = choose(poplin, part('bag-panel'), LIBRARY_LAYERS, { weights: { cost: 4, purpose: 0, feel: 0, effort: 0 } })
      .ranked[0]!;
    const usual = choose(poplin, part('bag-panel'), LIBRARY_LAYERS).ranked[0]!;
    expect(light.needs.cost).toBeLessThan(usual.needs.cost);
  });

  it('never bring back what a hard stop took out', () => {
    const heavy = Object.fromEntries(CRITERION_IDS.map((id) => [id, 4]));
    const usual = new Set(choose(cloth('Cotton velvet'), part('collar'), LIBRARY_LAYERS, ALL).ranked.map(({ id }) => id));
    for (const { id } of choose(cloth('Cotton velvet'), part('collar'), LIBRARY_LAYERS, { ...ALL, weights: heavy }).ranked)
      expect(usual.has(id)).toBe(true);
  });

  it('make all stacks equal when everything is left out', () => {
    const none = Object.fromEntries(CRITERION_IDS.map((id) => [id, 0]));
    const { ranked } = choose(poplin, part('collar'), LIBRARY_LAYERS, { ...ALL, weights: none });
    expect(new Set(ranked.map(({ score }) => score))).toEqual(new Set([50]));
  });

  it('have a name and an id of their own each', () => {
    expect(CRITERIA.map(({ id }) => id).sort()).toEqual([...CRITERION_IDS].sort());
    expect(new Set(CRITERIA.map(({ name }) => name)).size).toBe(CRITERIA.length);
  });
});

describe('wishes', () => {
  it('cheapest first: the first of the answers costs no more than the best fit', () => {
    for (const role of ['collar', 'bag-panel', 'hem', 'embroidery'] as const) {
      const fit = choose(poplin, part(role), LIBRARY_LAYERS).ranked[0]!;
      const cheap = choose(poplin, part(role), LIBRARY_LAYERS, { wishes: { lead: 'cost' } }).ranked[0]!;
      expect(cheap.needs.cost).toBeLessThanOrEqual(fit.needs.cost);
    }
  });

  it('quickest first: the first of the answers takes no longer than the best fit', () => {
    for (const role of ['collar', 'bag-panel', 'lapel', 'bodice'] as const) {
      const fit = choose(poplin, part(role), LIBRARY_LAYERS).ranked[0]!;
      const quick = choose(poplin, part(role), LIBRARY_LAYERS, { wishes: { lead: 'effort' } }).ranked[0]!;
      expect(quick.needs.minutes).toBeLessThanOrEqual(fit.needs.minutes);
    }
  });

  it('stays sheer: nothing less see-through than the cloth', () => {
    const { ranked, ruledOut } = choose(cloth('Silk organza'), part('collar', { care: 'dry-clean' }), LIBRARY_LAYERS, {
      ...ALL,
      wishes: { staySheer: true },
    });
    expect(ranked.length).toBeGreaterThan(0);
    for (const { layers } of ranked) for (const { materialId } of layers) expect(layer(materialId).opacity).toBe('sheer');
    expect(ruledOut.some(({ group }) => group === 'You asked that it stays sheer')).toBe(true);
  });

  it('uses what is in the cupboard and says why the rest is out', () => {
    const atHand = new Set(['light-woven-fusible-45-g', 'medium-non-woven-fusible-50-g']);
    const { ranked, ruledOut } = choose(poplin, part('collar'), LIBRARY_LAYERS, { ...ALL, atHand, wishes: { useMine: true } });
    expect(ranked.map(({ id }) => id).sort()).toEqual([...atHand].sort());
    expect(ruledOut.find(({ id }) => id === 'medium-woven-fusible-60-g')!.why).toContain('not in your cupboard');
  });

  it('prefers what is at hand when all else is equal, without ruling anything out', () => {
    const usual = choose(poplin, part('collar'), LIBRARY_LAYERS, ALL);
    const second = usual.ranked[3]!;
    const atHand = new Set(second.layers.map(({ materialId }) => materialId));
    const mine = choose(poplin, part('collar'), LIBRARY_LAYERS, { ...ALL, atHand });
    expect(mine.judged).toBe(usual.judged);
    expect(mine.ranked.findIndex(({ id }) => id === second.id)).toBeLessThan(3);
    expect(mine.ranked.find(({ id }) => id === second.id)!.criteria.find(({ id }) => id === 'at-hand')!.score).toBe(100);
  });
});

describe('schools of practice', () => {
  it('have a default each, the first option, and reasons for all', () => {
    for (const { id, options } of SCHOOLS) {
      expect(DEFAULT_SCHOOLS[id]).toBe(options[0].id);
      expect(new Set(options.map((option) => option.id)).size).toBe(options.length);
      for (const { words, why } of options) expect(Math.min(words.length, why.length)).toBeGreaterThan(3);
    }
  });

  it('lay a part’s own switches over the settings', () => {
    expect(schoolsOf({ heat: 'damp', seam: 'full' }, { seam: 'net' })).toMatchObject({
      heat: 'damp',
      seam: 'net',
      order: 'by-shape',
    });
  });

  const extents = (seam: string) =>
    new Set(
      choose(poplin, part('collar'), LIBRARY_LAYERS, { ...ALL, schools: { seam } })
        .ranked.flatMap(({ layers }) => layers)
        .filter(({ form, family }) => form !== 'liquid' && family !== 'stay-tape')
        .map(({ extent }) => extent),
    );
  it.each([
    ['full', 'full'],
    ['trimmed', 'trimmed'],
    ['net', 'net'],
  ])('seam %s: all layers are cut so', (school, extent) => {
    expect([...extents(school)].filter((each) => each !== 'full' || extent === 'full')).toEqual([extent]);
  });

  it('cores and foam stay out of the seam whatever the school', () => {
    const { ranked } = choose(poplin, part('bag-base', { care: 'none' }), LIBRARY_LAYERS, { ...ALL, schools: { seam: 'full' } });
    for (const { layers } of ranked)
      for (const { family, extent } of layers) if (family === 'stiff-core' || family === 'foam') expect(extent).toBe('net');
  });

  it('never starch: no starch in any answer, and it says why', () => {
    const { ranked, ruledOut } = choose(poplin, part('quilt-piece'), LIBRARY_LAYERS, { ...ALL, schools: { starch: 'never' } });
    expect(ranked.some(({ layers }) => layers.some(({ family }) => family === 'starch'))).toBe(false);
    expect(ruledOut.some(({ why }) => why.includes('never starch'))).toBe(true);
  });

  const fusible = layer('medium-woven-fusible-60-g');
  it.each([
    ['leaflet', 'safe', fusible.leaflet.seconds, fusible.leaflet.steam],
    ['short-lifts', 'safe', 5, false],
    ['ten-dry', 'safe', 10, false],
    ['damp', 'safe', 12, true],
    ['long', 'safe', 18, true],
    ['long', 'spots', fusible.leaflet.seconds, fusible.leaflet.steam],
  ] as const)('heat %s where water is %s: %d s, steam %s', (heat, water, seconds, steam) => {
    expect(pressSetting(fusible, { water }, schoolsOf({ heat }))).toMatchObject({
      seconds,
      steam,
      ironDots: fusible.leaflet.ironDots,
    });
  });

  const input: WorkJob = {
    fabric: poplin,
    layers: [{ material: fusible, extent: 'full', angle: 0 }],
    stitched: false,
    floats: false,
    bias: false,
    washed: true,
    cutAlready: false,
    schools: DEFAULT_SCHOOLS,
  };
  const words = (change: Partial<WorkJob>) =>
    workSteps({ ...input, ...change })
      .map(({ title, detail }) => `${title} ${detail}`)
      .join('\n');
  it.each([
    [{ order: 'fuse-together' }, 'Lay the pieces side by side'],
    [{ order: 'fuse-length' }, 'Lay a length of cloth that takes all pieces'],
    [{ moving: 'tack' }, 'touch it down in a few places'],
    [{ moving: 'creep' }, 'creep on'],
    [{ cover: 'paper' }, 'under baking paper'],
    [{ cover: 'shoe' }, 'shoe on the iron'],
    [{ starch: 'always' }, 'Starch the cloth before you cut it'],
  ])('%j shows in the steps', (schools, sentence) => {
    const order = orderOfWork(schoolsOf(schools).order, input.layers, false);
    expect(words({ schools: schoolsOf(schools), order })).toContain(sentence);
    expect(words({})).not.toContain(sentence);
  });

  it('tacks a piece longer than three irons first', () => {
    expect(words({ width: 900, height: 10 })).toContain('touch it down');
  });

  it('a setting found on a scrap goes before leaflet and school', () => {
    const steps = workSteps({
      ...input,
      schools: schoolsOf({ heat: 'long' }),
      found: [{ materialId: fusible.id, ironDots: 2, seconds: 7, steam: false, cover: 'paper' }],
    });
    expect(steps.find(({ kind }) => kind === 'press')).toMatchObject({ seconds: 7 });
  });
});

describe('a setting that was found, in a stack of several layers', () => {
  const woven = layer('medium-woven-fusible-60-g');
  const fleece = LIBRARY_LAYERS.find(({ family, form }) => family === 'fleece' && form === 'fusible')!;
  const pressed = (found?: FoundSetting) =>
    workSteps({
      fabric: poplin,
      layers: [woven, fleece].map((material) => ({ material, extent: 'full' as const, angle: 0 })),
      stitched: false,
      floats: false,
      bias: false,
      washed: true,
      cutAlready: false,
      schools: DEFAULT_SCHOOLS,
      ...(found ? { found: [found] } : {}),
    })
      .filter(({ kind }) => kind === 'press')
      .map(({ seconds }) => seconds);

  it('is for its own layer; the other keeps its leaflet', () => {
    expect(pressed()).toEqual([woven.leaflet.seconds, fleece.leaflet.seconds]);
    expect(pressed({ materialId: woven.id, ironDots: 2, seconds: 7, steam: true, cover: 'damp-cloth' })).toEqual([
      7,
      fleece.leaflet.seconds,
    ]);
    expect(pressed({ materialId: fleece.id, ironDots: 2, seconds: 18, steam: true, cover: 'damp-cloth' })).toEqual([
      woven.leaflet.seconds,
      18,
    ]);
    expect(pressed({ materialId: 'another', ironDots: 2, seconds: 18, steam: true, cover: 'damp-cloth' })).toEqual(pressed());
  });

  it('a liquid that is pressed dry follows its leaflet, whatever the school of heat', () => {
    const starch = layer('starch');
    const [step] = workSteps({
      fabric: poplin,
      layers: [{ material: starch, extent: 'full', angle: 0 }],
      stitched: false,
      floats: false,
      bias: false,
      washed: true,
      cutAlready: false,
      schools: schoolsOf({ heat: 'long' }),
      yardage: 2e6,
    }).filter(({ title }) => title.startsWith('Press it dry'));
    // A length is one step with its area and a time, not a stop for every hand's breadth.
    expect(step).toMatchObject({ kind: 'do', title: 'Press it dry and smooth: 2.0 m², about 10 minutes' });
    expect(step!.detail).toContain('no steam');
  });
});

describe('the order of work', () => {
  const sheer = layer('veil-non-woven-fusible-18-g');
  const canvas = LIBRARY_LAYERS.find(({ form, family }) => form === 'sew-in' && family === 'hair-canvas')!;
  const one = (extent: 'full' | 'net' | 'strip', material = sheer): ChosenLayer[] => [{ material, extent, angle: 0 }];
  it.each([
    ['small and full, by shape', 'by-shape', one('full'), true, 'fuse-together'],
    ['small, not reaching the edge', 'by-shape', one('net'), true, 'cut-first'],
    ['few or large', 'by-shape', one('full'), false, 'cut-first'],
    ['asked for', 'fuse-together', one('full'), false, 'fuse-together'],
    ['asked for, but it would have to be trimmed under the glue', 'fuse-together', one('net'), false, 'cut-first'],
    ['a length', 'fuse-length', one('full'), false, 'fuse-length'],
    ['a length takes no strip', 'fuse-length', one('strip'), false, 'cut-first'],
    ['cut first, whatever the shape', 'cut-first', one('full'), true, 'cut-first'],
    ['what is sewn in lies on nothing uncut', 'fuse-together', one('full', canvas), true, 'cut-first'],
    ['nor does a strip', 'fuse-together', one('strip'), true, 'cut-first'],
  ] as const)('%s', (_words, school, layers, small, expected) => {
    expect(orderOfWork(school, layers, small)).toBe(expected);
  });

  const steps = (order: 'cut-first' | 'fuse-together' | 'fuse-length', extent: 'full' | 'net' = 'full') =>
    workSteps({
      fabric: poplin,
      layers: one(extent),
      stitched: false,
      floats: false,
      bias: false,
      washed: true,
      cutAlready: false,
      schools: schoolsOf({}),
      order,
    });

  it('on an uncut layer never cuts the layer to the pattern, nor lays it on top of the cloth', () => {
    for (const order of ['fuse-together', 'fuse-length'] as const) {
      const words = steps(order).map(({ title, detail }) => `${title}. ${detail}`);
      expect(words.join('\n')).not.toMatch(/to the pattern|face down, and the layer on it/);
      const at = (pattern: RegExp) => words.findIndex((each) => pattern.test(each));
      expect(at(/^Press .*s a stop/)).toBeGreaterThan(at(/glue side up/));
      expect(at(/^(Cut the pieces loose|Mark the pieces)/)).toBeGreaterThan(at(/^Press /));
    }
    expect(steps('fuse-together')[2]!.title).toBe('Cut the cloth pieces; leave the layer whole');
    expect(
      steps('cut-first')
        .map(({ detail }) => detail)
        .join(' '),
    ).toContain('Cut the cloth pieces too');
  });
});

describe('a set', () => {
  const sheer = layer('veil-non-woven-fusible-18-g');
  const one = workSteps({
    ...{ fabric: poplin, layers: [{ material: sheer, extent: 'full', angle: 0 }], stitched: false, floats: false },
    ...{ bias: false, washed: true, cutAlready: false, schools: schoolsOf({}) },
  });
  it('is worked copy by copy: each is laid and pressed, the cooling comes once, each is ticked', () => {
    const set = stepsForCopies(one, 3);
    const pressed = set.filter(({ kind }) => kind === 'press');
    expect(pressed.map(({ title }) => title.slice(0, 12))).toEqual(['Piece 1 of 3', 'Piece 2 of 3', 'Piece 3 of 3']);
    expect(set.filter(({ kind }) => kind === 'wait')).toHaveLength(1);
    expect(set.findIndex(({ kind }) => kind === 'wait')).toBeGreaterThan(set.indexOf(pressed[2]!));
    expect(set.at(-1)!.checks).toEqual(['Piece 1 of 3', 'Piece 2 of 3', 'Piece 3 of 3']);
    expect(new Set(set.map(({ id }) => id)).size).toBe(set.length);
    expect(stepsForCopies(one, 1)).toEqual(one);
  });
  it('forgets no copy, however many there are', () => {
    for (const count of [2, 24, 61, 500, 1000]) {
      const pressed = stepsForCopies(one, count).filter(({ kind }) => kind === 'press');
      expect(pressed.reduce((sum, { copies }) => sum + (copies ?? 0), 0)).toBe(count);
      expect(pressed.length).toBeLessThanOrEqual(60);
    }
  });
  it('on one sheet is laid and cut out once', () => {
    const set = stepsForCopies(
      workSteps({
        ...{ fabric: poplin, layers: [{ material: sheer, extent: 'full', angle: 0 }], stitched: false, floats: false },
        ...{ bias: false, washed: true, cutAlready: false, schools: schoolsOf({}), order: 'fuse-together' },
      }),
      5,
    );
    expect(set.filter(({ id }) => id.endsWith('-lay'))).toHaveLength(1);
    expect(set.filter(({ kind }) => kind === 'press')).toHaveLength(1);
  });
});

describe('the school that hoops the sheet', () => {
  const wish = part('embroidery', { embroidery: { stitches: 3000, width: 80, height: 80 } });
  const titles = (hooping: string) =>
    choose(poplin, wish, LIBRARY_LAYERS, { ...ALL, schools: { hooping } }).ranked.map(({ layers, steps }) => ({
      holds: layers.some(({ form }) => form === 'sticky' || form === 'spray-glued'),
      floats: steps.includes('Hoop the sheet alone, drum tight'),
    }));

  it('floats the cloth on sheets that hold it by themselves, and on no others', () => {
    for (const { holds, floats } of titles('sheet')) expect(floats).toBe(holds);
    for (const { floats } of titles('cloth')) expect(floats).toBe(false);
  });
});

describe('layers that last', () => {
  it('are those that are there in the end; what treats a piece counts while it is worked', () => {
    const starch = layer('starch');
    const sheet = LIBRARY_LAYERS.find(({ family }) => family === 'tear-away')!;
    const woven = layer('medium-woven-fusible-60-g');
    expect(lastingLayers('embroidery', [starch, sheet])).toEqual([]);
    expect(lastingLayers('collar', [starch, woven])).toEqual([woven]);
    expect(lastingLayers('quilt-piece', [starch])).toEqual([starch]);
  });
});

describe('what a stack takes', () => {
  it('grows with the pieces', () => {
    const one = choose(poplin, part('collar'), LIBRARY_LAYERS, { piece: { width: 400, height: 100, count: 1 } });
    const ten = choose(poplin, part('collar'), LIBRARY_LAYERS, { piece: { width: 400, height: 100, count: 10 } });
    const id = one.ranked[0]!.id;
    const more = ten.ranked.find((stack) => stack.id === id)!;
    expect(more.needs.cost).toBeGreaterThan(one.ranked[0]!.needs.cost);
    expect(more.needs.minutes).toBeGreaterThanOrEqual(one.ranked[0]!.needs.minutes);
  });

  it('counts rows on the roll: two collars of 400 mm side by side on 900 mm', () => {
    const { ranked } = choose(poplin, part('collar'), LIBRARY_LAYERS, {
      ...ALL,
      piece: { width: 400, height: 100, count: 4, grain: 0 },
    });
    const stack = ranked.find(({ id }) => id === 'cotton-woven-fusible-70-g')!;
    // Trimmed by 6 mm all round: two of 388 × 88 mm in a row between the selvedges, two rows, 3 mm between them.
    expect(stack.needs.layers[0]!.length).toBe(179);
    expect(stack.needs.cost).toBeCloseTo(0.179 * layer('cotton-woven-fusible-70-g').pricePerMetre, 6);
  });

  it('is a finite figure for every role and every stack', () => {
    for (const role of ROLES) {
      expect(typicalPiece(role).count).toBeGreaterThan(0);
      for (const { needs } of choose(poplin, part(role), LIBRARY_LAYERS, ALL).ranked) {
        expect(Number.isFinite(needs.cost) && needs.cost >= 0).toBe(true);
        expect(Number.isFinite(needs.minutes) && needs.minutes > 0).toBe(true);
        for (const { length } of needs.layers) expect(Number.isFinite(length) && length > 0).toBe(true);
      }
    }
  });
});

describe('what if', () => {
  const best = choose(poplin, part('collar'), LIBRARY_LAYERS).ranked[0]!;
  const changes = whatIf(poplin, part('collar'), LIBRARY_LAYERS, {}, best.id);

  it('puts changes that move the answer first and agrees with asking anew', () => {
    const flags = changes.map(({ bestChanges }) => bestChanges);
    expect(flags).toEqual([...flags].sort((a, b) => Number(b) - Number(a)));
    const hotter = changes.find(({ id }) => id === 'hotter')!;
    const anew = choose(poplin, part('collar', { care: 'wash-hot' }), LIBRARY_LAYERS);
    expect(hotter.best!.id).toBe(anew.ranked[0]!.id);
  });

  it('says why the stack in hand would be out', () => {
    const steamed = choose(poplin, part('collar'), LIBRARY_LAYERS, ALL).ranked.find(
      ({ layers }) => layer(layers[0]!.materialId).leaflet.steam,
    )!;
    const spots = whatIf(poplin, part('collar'), LIBRARY_LAYERS, {}, steamed.id).find(({ id }) => id === 'spots')!;
    expect(spots.stack).toEqual({ why: expect.stringContaining('water marks') as string });
  });

  it('asks of the motif where something is stitched', () => {
    const wish = part('embroidery', { embroidery: { stitches: 9000, width: 80, height: 80 } });
    const ids = whatIf(poplin, wish, LIBRARY_LAYERS, {}, 'none').map(({ id }) => id);
    expect(ids).toContain('denser');
    expect(ids).not.toContain('crisper');
  });
});

describe('sensitivity', () => {
  it('names only what was not measured, the most telling first', () => {
    const jersey = cloth('Light cotton jersey');
    const all = sensitivity(jersey, part('neck-facing'), LIBRARY_LAYERS, {});
    expect(all.length).toBeGreaterThan(0);
    const chances = all.map(({ chance }) => chance);
    expect(chances).toEqual([...chances].sort((a, b) => b - a));
    for (const { chance, other, now } of all) {
      expect(chance > 0 && chance <= 1).toBe(true);
      expect(other).not.toBe(now);
    }
    const known = sensitivity(jersey, part('neck-facing'), LIBRARY_LAYERS, {}, [all[0]!.property]);
    expect(known.some(({ property }) => property === all[0]!.property)).toBe(false);
  });

  it('has nothing to say of a stiffness that is measured', () => {
    const measured = { ...poplin, overhang: 44 };
    expect(sensitivity(measured, part('collar'), LIBRARY_LAYERS, {}).some(({ property }) => property === 'overhang')).toBe(false);
  });

  it('is silent where nothing can be offered', () => {
    expect(sensitivity(poplin, part('collar'), [], {})).toEqual([]);
  });
});

describe('thread of a motif', () => {
  const motif = (threadLength?: number) =>
    part('embroidery', { embroidery: { stitches: 4000, width: 80, height: 80, ...(threadLength ? { threadLength } : {}) } });
  const share = (wish: Part) => choose(poplin, wish, LIBRARY_LAYERS).ranked[0]!.load!.share;

  it('ordinary stitches need no thread length; long ones pull harder', () => {
    expect(share(motif(12_000))).toBeCloseTo(share(motif()), 9);
    const id = choose(poplin, motif(), LIBRARY_LAYERS).ranked[0]!.id;
    const long = choose(poplin, motif(36_000), LIBRARY_LAYERS, ALL).ranked.find((stack) => stack.id === id)!;
    const plain = choose(poplin, motif(), LIBRARY_LAYERS, ALL).ranked.find((stack) => stack.id === id)!;
    expect(long.load!.share).toBeCloseTo(3 * plain.load!.share, 6);
  });

  it('says by how much a motif must be lighter or larger', () => {
    const dense = part('embroidery', { embroidery: { stitches: 30_000, width: 80, height: 80 } });
    const { cautions } = choose(cloth('Silk chiffon'), { ...dense, care: 'dry-clean' }, LIBRARY_LAYERS).ranked[0]!;
    expect(cautions[0]).toMatch(/about \d+ % fewer stitches, or the same stitches drawn \d+ % larger/);
  });
});

describe('preferences', () => {
  it('have an id of their own, words, and a weight that tells', () => {
    expect(new Set(PREFERENCES.map(({ id }) => id)).size).toBe(PREFERENCES.length);
    for (const { points, words } of PREFERENCES) {
      expect(Math.abs(points)).toBeGreaterThanOrEqual(2);
      expect(words).toMatch(
        /^(is|are|keeps|stays|looks|dulls|settles|lies|moves|does|holds|hangs|gives|takes|stops|goes|hardly|suits|flattens|turns|cracks|costs|needs|lets|leaves|shows|adds|makes|steadies) /,
      );
    }
  });

  it('are each met by some cloth, part and layer', () => {
    const met = new Set<string>();
    for (const each of LIBRARY_CLOTHS) {
      for (const role of ROLES) {
        for (const stretch of ['keep', 'stop', 'any'] as const) {
          for (const cut of ['straight', 'bias'] as const) {
            const embroidery = { stitches: 10_000, width: 80, height: 80, nearEdge: true };
            for (const padding of ['fleece', 'wadding']) {
              const question = questionFor(each, part(role, { stretch, cut, embroidery }), {
                schools: { padding, hooping: 'sheet' },
                wishes: { opaque: padding === 'wadding' },
              });
              const preferences = preferencesFor(question);
              for (const material of LIBRARY_LAYERS.flatMap(usesOf)) for (const { id } of preferences(material)) met.add(id);
            }
          }
        }
      }
    }
    expect(PREFERENCES.map(({ id }) => id).filter((id) => !met.has(id))).toEqual([]);
  });

  it('are told as the reason of the first criterion', () => {
    const stack = choose(cloth('Light cotton jersey'), part('neck-facing', { stretch: 'keep' }), LIBRARY_LAYERS).ranked[0]!;
    expect(stack.criteria[0]!.why).toMatch(/It (moves|gives) with/);
  });
});

describe('monotone', () => {
  const anyCloth = fc.constantFrom(...LIBRARY_CLOTHS);
  const worn = LIBRARY_LAYERS.filter(({ form, ends }) => form !== 'liquid' && ends === 'stays');

  it('a heavier layer of the same kind is never less rigid', () => {
    fc.assert(
      fc.property(anyCloth, fc.constantFrom(...worn), fc.double({ min: 1, max: 3, noNaN: true }), (fabric, material, factor) => {
        const light = stackStiffness(fabric, [material]).rigidity;
        expect(stackStiffness(fabric, [scaleMaterial(material, factor)]).rigidity).toBeGreaterThanOrEqual(light * (1 - 1e-9));
      }),
    );
  });

  it('sewn in is never stiffer than the same layer glued', () => {
    fc.assert(
      fc.property(anyCloth, fc.constantFrom(...worn), (fabric, material) => {
        const sewn = stackStiffness(fabric, [{ ...material, form: 'sew-in', glue: 'none' }]).rigidity;
        for (const glue of ['dots', 'film'] as const)
          expect(stackStiffness(fabric, [{ ...material, form: 'fusible', glue }]).rigidity).toBeGreaterThanOrEqual(sewn);
      }),
    );
  });

  it('less measured, wider: leaving out overhang or thickness never narrows the range', () => {
    fc.assert(
      fc.property(anyCloth, fc.constantFrom(...worn), (fabric, material) => {
        const { overhang: _o, ...described } = fabric;
        const full: Fabric = {
          ...described,
          thickness: fabric.thickness ?? 0.4,
          overhang: 2 * clothBendingLength(described).value,
        };
        const spread = (f: Fabric) => {
          const { low, high } = stackStiffness(f, [material]);
          return Math.log(high / low);
        };
        const { overhang: _1, ...noOverhang } = full;
        const { thickness: _2, ...noThickness } = full;
        expect(spread(noOverhang)).toBeGreaterThanOrEqual(spread(full) * 0.999);
        // The same thickness, once as a guess and once as a reading.
        const guessed = clothThickness(noThickness).value;
        expect(spread(noThickness)).toBeGreaterThanOrEqual(spread({ ...full, thickness: guessed }));
      }),
    );
  });
});
