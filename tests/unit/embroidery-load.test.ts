import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { embroideryLoad, motifDensity, stitchedField, traitsOf, type Part } from '../../src/core/choose';
import { typicalDensity } from '../../src/core/choose/embroidery-load';
import type { Fabric } from '../../src/core/cloth';
import type { ChosenLayer, Family, Form, Material } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';

const part: Part = { role: 'embroidery', cut: 'straight', stretch: 'any', care: 'wash-warm' };
const lawn = LIBRARY_CLOTHS.find(({ id }) => id === 'cotton-lawn')!;
const sheet = (family: Family, form: Form = 'loose', more: Partial<Material> = {}): Material => ({
  ...LIBRARY_LAYERS.find((each) => each.family === family)!,
  family,
  form,
  ...more,
});
const under = (material: Material, angle = 0): ChosenLayer => ({ material, extent: 'field', angle });
const motif = motifDensity({ stitches: 5000, width: 100, height: 80, threadLength: 15_000 });
const load = (fabric: Fabric, layers: ChosenLayer[], factor = 1, own: Part = part) =>
  embroideryLoad(fabric, traitsOf(fabric, own), layers, motif, factor);

describe('what a motif lays on its ground', () => {
  it('is counted per square centimetre of its rectangle', () => {
    expect(motif.stitches).toBeCloseTo(62.5, 9);
    expect(motif.thread).toBeCloseTo(187.5, 9);
    expect(motif.pull).toBeCloseTo(62.5, 9);
  });

  it('pulls by its thread where stitches are long, and never by less than their number', () => {
    const long = motifDensity({ stitches: 1000, width: 50, height: 50, threadLength: 9000 });
    expect(long.pull).toBeCloseTo(3 * long.stitches, 9);
    const short = motifDensity({ stitches: 1000, width: 50, height: 50, threadLength: 1000 });
    expect(short.pull).toBe(short.stitches);
    // Without a length an ordinary one is assumed.
    expect(motifDensity({ stitches: 1000, width: 50, height: 50 }).pull).toBeCloseTo(40, 9);
  });

  it('is assumed where no motif is given, most for a badge, nothing for what is not stitched on', () => {
    expect(typicalDensity('badge')).toBeGreaterThan(typicalDensity('embroidery')!);
    expect(typicalDensity('collar')).toBeUndefined();
  });
});

describe('what cloth and sheets carry', () => {
  it('is more for heavier cloth, less for cloth that stretches, is loose or a net', () => {
    const carries = (more: Partial<Fabric>) => load({ ...lawn, ...more }, []).cloth;
    expect(carries({ arealDensity: 200 })).toBeGreaterThan(carries({ arealDensity: 80 }));
    expect(carries({ stretchCross: 20 })).toBeLessThan(carries({ stretchCross: 2 }));
    expect(carries({ weave: 'loose' })).toBeLessThan(carries({ weave: 'plain' }));
    expect(carries({ construction: 'net' })).toBeLessThan(carries({}));
    // A stable weave of 150 g/m² is the yardstick.
    expect(carries({ arealDensity: 150, stretchLength: 0, stretchCross: 0, weave: 'plain' })).toBeCloseTo(45, 9);
  });

  it('on leather and film is never more than their needle holes allow, whatever lies under them', () => {
    const film = { ...lawn, construction: 'coated' as const, weave: 'other' as const, arealDensity: 400 };
    const many = Array.from({ length: 6 }, () => under(sheet('cut-away', 'sticky', { arealDensity: 100 })));
    const { share, carried, holes } = load(film, many);
    expect(carried).toBeGreaterThan(5 * motif.pull);
    // A hole of a 75 needle takes 0.44 mm²; of 100 mm² at most 0.75 × 0.3 may go.
    const borne = (100 * 0.75 * 0.3) / ((Math.PI / 4) * 0.75 ** 2);
    expect(holes).toBeCloseTo(borne, 6);
    expect(share).toBeCloseTo(62.5 / borne, 6);
    expect(load(lawn, many).holes).toBeUndefined();
  });

  it('of a quilt block is on all of the block: it is worked and trimmed whole', () => {
    const [motifSize, piece] = [
      { stitches: 900, width: 60, height: 50 },
      { width: 320, height: 300 },
    ];
    expect(stitchedField({ role: 'quilt-piece', embroidery: motifSize }, piece)).toEqual(piece);
    expect(stitchedField({ role: 'badge', embroidery: motifSize }, piece)).toEqual({ width: 60, height: 50 });
  });

  it('of a block its wadding is part of', () => {
    const bare = load(lawn, [under(sheet('mesh'))]).carried;
    expect(load(lawn, [under(sheet('wadding')), under(sheet('mesh'))]).carried).toBeGreaterThan(bare);
  });

  it('adds up, sheet upon sheet, and nothing is taken away by one more', () => {
    const sheets = LIBRARY_LAYERS.filter(({ family }) =>
      ['tear-away', 'cut-away', 'mesh', 'wash-away', 'heat-away', 'topping', 'starch'].includes(family),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...LIBRARY_CLOTHS),
        fc.array(fc.constantFrom(...sheets), { maxLength: 3 }),
        fc.constantFrom(...sheets),
        (fabric, some, more) => {
          const few = load(fabric, some.map((material) => under(material))); // prettier-ignore
          const many = load(fabric, [...some, more].map((material) => under(material))); // prettier-ignore
          expect(many.carried).toBeGreaterThanOrEqual(few.carried - 1e-9);
          expect(few.carried).toBeGreaterThan(0);
          if (few.holes === undefined) expect(few.share * few.carried).toBeCloseTo(motif.pull, 6);
          else expect(few.share * few.carried).toBeGreaterThan(motif.pull);
        },
      ),
    );
  });

  it('is more where cloth and sheet are joined, most where they are fused', () => {
    const forms: Form[] = ['loose', 'spray-glued', 'sticky', 'fusible'];
    const carried = forms.map((form) => load(lawn, [under(sheet('cut-away', form))]).carried);
    expect([...carried].sort((a, b) => a - b)).toEqual(carried);
    expect(new Set(carried).size).toBe(forms.length);
  });

  it('counts less for a torn sheet under cloth that gives, and for any sheet under thin cloth', () => {
    const jersey = LIBRARY_CLOTHS.find(({ construction }) => construction === 'knit')!;
    const adds = (fabric: Fabric, family: Family) => {
      const { carried, cloth } = load(fabric, [under(sheet(family, 'loose', { arealDensity: 60 }))]);
      return carried - cloth;
    };
    expect(adds(jersey, 'tear-away') / adds(jersey, 'cut-away')).toBeLessThan(
      0.5 * (adds(lawn, 'tear-away') / adds(lawn, 'cut-away')),
    );
    expect(adds({ ...lawn, arealDensity: 30 }, 'cut-away')).toBeLessThan(adds({ ...lawn, arealDensity: 150 }, 'cut-away'));
    // On the bias even lawn gives.
    const bias = load(lawn, [under(sheet('tear-away'))], 1, { ...part, cut: 'bias' });
    expect(bias.carried).toBeLessThanOrEqual(load(lawn, [under(sheet('tear-away'))]).carried);
  });

  it('gains by two meshes across one another, by starch, and by what was found', () => {
    const mesh = sheet('mesh');
    expect(load(lawn, [under(mesh), under(mesh, 45)]).carried).toBeGreaterThan(load(lawn, [under(mesh), under(mesh)]).carried);
    const starch = LIBRARY_LAYERS.find(({ family }) => family === 'starch')!;
    expect(load(lawn, [under(starch)]).carried).toBeGreaterThan(load(lawn, []).carried);
    expect(load(lawn, [under(mesh)], 1.4).carried).toBeCloseTo(1.4 * load(lawn, [under(mesh)]).carried, 9);
  });

  it('says so when it is the thread that pulls', () => {
    const satin = motifDensity({ stitches: 1000, width: 50, height: 50, threadLength: 9000 });
    expect(embroideryLoad(lawn, traitsOf(lawn, part), [], satin).thread).toBeCloseTo(360, 9);
    expect('thread' in load(lawn, [])).toBe(false);
  });
});

describe('what follows from a cloth', () => {
  const traits = (more: Partial<Fabric>, own: Partial<Part> = {}) =>
    traitsOf({ ...lawn, surface: [], ...more }, { ...part, ...own });

  it('is a topping for loops and loft, floating for what a hoop would mark', () => {
    expect(traits({ surface: ['looped'] }).needsTopping).toBe(true);
    expect(traits({ weave: 'terry' }).needsTopping).toBe(true);
    expect(traits({}).needsTopping).toBe(false);
    expect(traits({ surface: ['pile'] })).toMatchObject({ hoopMarks: true, needsTopping: true, ruinedByPressing: true });
    expect(traits({ construction: 'leather' })).toMatchObject({ hoopMarks: true, sealed: true });
    expect(traits({ surface: ['coated'] }).sealed).toBe(true);
    expect(traits({}).hoopMarks).toBe(false);
  });

  it('is give on the bias, whatever the cloth, by what was measured where it was', () => {
    expect(traits({}, { cut: 'bias' })).toMatchObject({ gives: true, maxStretch: 12 });
    expect(traits({ biasGive: 21 }, { cut: 'bias' }).maxStretch).toBe(21);
    expect(traits({ stretchLength: 2, stretchCross: 1 }).gives).toBe(false);
    expect(traits({ stretchLength: 2, stretchCross: 9 })).toMatchObject({ gives: true, maxStretch: 9, minStretch: 2 });
  });

  it('is openwork that glue comes through, and fibres that soak up water', () => {
    expect(traits({ surface: ['openwork'] }).open).toBe(true);
    expect(traits({ construction: 'net' }).open).toBe(true);
    expect(traits({ fibres: [{ fibre: 'linen', percent: 55 }, { fibre: 'polyester', percent: 45 }] } as Partial<Fabric>).natural).toBeCloseTo(0.55, 9); // prettier-ignore
  });
});
