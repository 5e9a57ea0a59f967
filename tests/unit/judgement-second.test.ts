import { libraryLayer } from '../files/library-layer';
import { describe, expect, it } from 'vitest';
import { choose, type Asking, type Part } from '../../src/core/choose';
import { embroideryLoad, motifDensity } from '../../src/core/choose/embroidery-load';
import { seeThrough } from '../../src/core/choose/see-through';
import { traitsOf } from '../../src/core/part';
import type { Fabric } from '../../src/core/cloth';
import { LIBRARY_LAYERS } from '../../src/core/library';

const cotton: Fabric = {
  ...{ construction: 'woven', weave: 'plain', fibres: [{ fibre: 'cotton', percent: 100 }], arealDensity: 120 },
  ...{
    stretchLength: 1,
    stretchCross: 2,
    ironDots: 3,
    water: 'safe',
    sheer: 'opaque',
    tone: 'light',
    surface: [],
    fray: 'medium',
  },
} as Fabric;
const part = (role: Part['role'], more: Partial<Part> = {}): Part => ({
  role,
  cut: 'straight',
  stretch: 'any',
  care: 'wash-warm',
  ...more,
});
const ask = (fabric: Partial<Fabric>, of: Part, asking: Asking = {}) => choose({ ...cotton, ...fabric }, of, LIBRARY_LAYERS, { limit: 40, ...asking } as never).ranked; // prettier-ignore
const families = (stack: { layers: { family: string }[] } | undefined) => stack?.layers.map(({ family }) => family) ?? [];

describe('become opaque', () => {
  const eyelet: Partial<Fabric> = { weave: 'eyelet', surface: ['openwork'], arealDensity: 110 };
  const thin: Partial<Fabric> = { arealDensity: 65, sheer: 'veiled' };

  it.each([
    ['eyelet', eyelet],
    ['thin cotton', thin],
  ])('%s gets a plain cotton behind it, never organza first', (_, fabric) => {
    for (const role of ['bodice', 'whole-panel'] as const) {
      const ranked = ask(fabric, part(role), { wishes: { opaque: true } });
      expect(families(ranked[0])).toContain('cloth-underlining');
      expect(ranked[0]!.seeThrough!.backed.opacity).toBeGreaterThan(93);
      for (const stack of ranked.filter(({ score }) => score >= 80)) expect(families(stack)).not.toContain('organza');
      expect(ranked[0]!.criteria.find(({ id }) => id === 'opacity')!.why).toMatch(/^Opaque: \d+ %/);
    }
  });

  it('is not asked of by itself, and then organza may lead under what is sheer', () => {
    const ranked = ask(
      { arealDensity: 40, sheer: 'sheer', fibres: [{ fibre: 'silk', percent: 100 }] },
      part('bodice', { care: 'dry-clean' }),
    );
    expect(ranked.every(({ criteria }) => criteria.every(({ id }) => id !== 'opacity'))).toBe(true);
    expect(families(ranked[0])).toContain('organza');
  });

  it('backed is never more seen through than bare, and holes let through', () => {
    const sheet = (extent: 'full' | 'strip') =>
      LIBRARY_LAYERS.filter(({ form, ends }) => form !== 'liquid' && ends === 'stays').map((material) => ({
        material,
        extent,
        angle: 0,
      }));
    for (const layer of sheet('full')) {
      const { bare, backed } = seeThrough({ ...cotton, ...thin }, [layer]);
      expect(backed.opacity).toBeGreaterThanOrEqual(bare.opacity - 1e-9);
    }
    const [strip] = sheet('strip');
    const both = seeThrough({ ...cotton, ...thin }, [strip!]);
    expect(both.backed).toEqual(both.bare);
    expect(seeThrough({ ...cotton, ...eyelet }, []).bare.opacity).toBeLessThan(seeThrough(cotton, []).bare.opacity);
  });
});

describe('wrong in kind', () => {
  it('is not rescued by being light and cheap: what few would reach for stays below 80', () => {
    for (const role of ['collar', 'bodice', 'curved-waistband', 'bag-base', 'quilt-piece', 'shoulder-seam', 'hat-brim'] as const)
      for (const stack of ask({}, part(role)))
        if (stack.criteria.some(({ id, score }) => id === 'purpose' && score < 65)) expect(stack.score).toBeLessThan(80);
  });

  it('too weak for the stitches stays below 80', () => {
    for (const stack of ask({}, part('embroidery', { embroidery: { stitches: 26_000, width: 100, height: 100 } })))
      if (stack.load!.share > 1) expect(stack.score).toBeLessThan(80);
  });

  it('fused layers in a quilt piece stay below 60; spray and starch lead', () => {
    const ranked = ask({ arealDensity: 142 }, part('quilt-piece'));
    expect(['pressing-spray', 'starch']).toContain(families(ranked[0])[0]);
    for (const stack of ranked.filter(({ layers }) => layers.some(({ form }) => form === 'fusible')))
      expect(stack.score).toBeLessThan(60);
  });

  it('a bias piece that is only handled gets a spray or starch first, and permanent layers when a feel is asked', () => {
    expect(['pressing-spray', 'starch', 'liquid-stabilizer']).toContain(
      families(ask({}, part('bias-piece', { cut: 'bias' }))[0])[0],
    );
  });
});

describe('knits take knit layers', () => {
  const jersey: Partial<Fabric> = { construction: 'knit', weave: 'jersey', arealDensity: 170, stretchLength: 15, stretchCross: 40, fibres: [{ fibre: 'viscose', percent: 100 }] }; // prettier-ignore
  it.each(['collar', 'neck-facing', 'cuff'] as const)('a limp jersey %s', (role) => {
    expect(['tricot', 'stretch-knit']).toContain(families(ask(jersey, part(role))[0])[0]);
  });
  it('unless the stretch must stop', () => {
    expect(['weft', 'woven', 'nonwoven', 'stay-tape']).toContain(
      families(ask(jersey, part('button-band', { stretch: 'stop' }))[0])[0],
    );
  });
});

describe('cloth that gives at all gets a sheet that stays', () => {
  it.each([
    ['flannel', { surface: ['lofty'], arealDensity: 160, stretchCross: 3 }],
    ['terry', { weave: 'terry', surface: ['looped'], arealDensity: 420 }],
    ['twill', { weave: 'twill', arealDensity: 260 }],
    ['a loose weave', { weave: 'loose', arealDensity: 150 }],
    ['jersey', { construction: 'knit', weave: 'jersey', stretchCross: 35, arealDensity: 170 }],
  ] as [string, Partial<Fabric>][])('%s, even under a light motif', (_, fabric) => {
    const [first] = ask(fabric, part('embroidery', { embroidery: { stitches: 1800, width: 60, height: 60 } }));
    expect(families(first).some((family) => family === 'cut-away' || family === 'mesh')).toBe(true);
    expect(first!.load!.share).toBeLessThan(1);
  });

  it('a stable weave starches and tears away; a hundred to a hundred and fifty stitches are daily practice there', () => {
    const [first] = ask({ arealDensity: 142 }, part('embroidery', { embroidery: { stitches: 4000, width: 80, height: 80 } }));
    expect(families(first)).toContain('tear-away');
    const sheet = LIBRARY_LAYERS.find(
      ({ family, form, arealDensity }) => family === 'tear-away' && form === 'loose' && arealDensity >= 40,
    )!;
    const starch = libraryLayer('starch__damp');
    const quilting = { ...cotton, arealDensity: 142 };
    const under = (count: number) => [starch, ...Array.from({ length: count }, () => sheet)].map((material) => ({ material, extent: 'field' as const, angle: 0 })); // prettier-ignore
    const carried = (count: number) =>
      embroideryLoad(
        quilting,
        traitsOf(quilting, part('embroidery')),
        under(count),
        motifDensity({ stitches: 1, width: 10, height: 10 }),
      ).carried;
    expect(carried(1)).toBeGreaterThan(100);
    expect(carried(2)).toBeGreaterThan(150);
  });
});

describe('no sentence contradicts its stack', () => {
  it('a sheer layer hides nothing, and behind holes nothing is unseen', () => {
    for (const fabric of [
      { sheer: 'sheer', arealDensity: 40 },
      { weave: 'eyelet', surface: ['openwork'] },
    ] as Partial<Fabric>[])
      for (const stack of ask(fabric, part('bodice'))) {
        const opaque = stack.layers.some(
          ({ materialId }) => LIBRARY_LAYERS.find(({ id }) => id === materialId)!.opacity === 'opaque',
        );
        const said = [...stack.reasons, ...stack.criteria.map(({ why }) => why)].join(' ');
        if (!opaque) expect(stack.reasons.join(' ')).not.toMatch(/hides? (the )?seams/);
        if (fabric.weave === 'eyelet') expect(said).not.toContain('Nothing of it should be seen');
      }
  });

  it('leaving it bare is only fair when nothing but feel is asked', () => {
    const bare = (of: Part, asking: Asking = {}) =>
      choose({ ...cotton, arealDensity: 140 }, of, LIBRARY_LAYERS, asking as never).bare.words;
    expect(bare(part('whole-panel', { hand: 'soft' }))).toMatch(/fair choice/);
    expect(bare(part('whole-panel', { hand: 'soft' }), { wishes: { opaque: true } })).not.toMatch(/fair choice/);
    expect(bare(part('quilt-piece', { hand: 'soft' }))).not.toMatch(/fair choice/);
    expect(bare(part('bias-piece', { hand: 'soft', cut: 'bias' }))).not.toMatch(/fair choice/);
  });
});
