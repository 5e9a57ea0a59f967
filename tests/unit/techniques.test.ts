import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ROLE_PROFILES, ROLES, stackWork, type Part, type Role, type ToldPiece } from '../../src/core/choose';
import { joinedAs, usesOf, type ChosenLayer, type Extent, type Join } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_SCHOOLS, schoolsOf } from '../../src/core/schools';
import { polygonArea, type Outline } from '../../src/core/shape';
import { SEEN_TROUBLES, TECHNIQUES, type Work } from '../../src/core/techniques';
import { layerItems, listedPart } from '../../src/core/cutlist';
import { layerCutOf } from '../../src/core/workpiece';
import { layerOutline, openPiece, plainPiece, type OpenPiece, type Place } from '../../src/core/pieces';
import { underOneSole } from '../../src/core/press';
import { EDGE_RECIPES, edgeRecipeOf, recipeOf, RECIPES } from '../../src/core/recipes';
import { workSteps } from '../../src/core/techniques';

const cloth = (id: string) => LIBRARY_CLOTHS.find((each) => each.id === id)!;
const poplin = cloth('shirting-poplin');
const leather = LIBRARY_CLOTHS.find(({ construction }) => construction === 'coated' || construction === 'leather')!;
const velvet = cloth('cotton-velvet');
const jersey = LIBRARY_CLOTHS.find(({ weave }) => weave === 'jersey')!;
const layer = (family: string, form: string, extent: Extent, more: { join?: Join; angle?: number } = {}): ChosenLayer => ({
  material: joinedAs(
    LIBRARY_LAYERS.find((each) => each.family === family && each.form === form)!,
    more.join,
  ),
  extent,
  angle: more.angle ?? 0,
});
const part = (role: Role, more: Partial<Part> = {}): Part => ({
  role,
  cut: 'straight',
  stretch: 'any',
  care: 'wash-warm',
  ...more,
});
const rectangle = (width: number, height: number): Outline => [[0, 0], [width, 0], [width, height], [0, height]]; // prettier-ignore
interface Told {
  fabric?: typeof poplin;
  of?: Part;
  piece?: ToldPiece;
  count?: number;
  schools?: Parameters<typeof schoolsOf>[0];
}
const work = (role: Role, layers: ChosenLayer[], { fabric = poplin, of = part(role), schools, ...told }: Told = {}): Work =>
  stackWork({ fabric, part: of, layers, schools: schoolsOf(schools ?? {}), ...told });
const amount = ({ amounts }: Work, kind: string, of = 0) =>
  amounts.find((each) => each.layer === of && each.kind === kind)?.amount;
const said = ({ steps }: Work) =>
  steps.map(({ title, detail, safety, checks }) => [title, detail, safety, checks].join(' ')).join('\n');
const names = ({ techniques }: Work) => techniques.map(({ words }) => words);

describe('which technique it is', () => {
  it.each<[string, Role, ChosenLayer[], Told]>([
    ['fused all over', 'collar', [layer('woven', 'fusible', 'trimmed')], {}],
    ['fused together as a sheet', 'welt', [layer('nonwoven', 'fusible', 'full')], { count: 6 }],
    ['fused all over', 'welt', [layer('nonwoven', 'fusible', 'trimmed')], { count: 6, schools: { order: 'fuse-together' } }],
    ['a length pressed by moving', 'collar', [layer('woven', 'fusible', 'full')], { schools: { order: 'fuse-length' } }],
    ['a strip inside an edge', 'hem', [layer('woven', 'fusible', 'strip')], {}],
    ['a stay across a seam', 'shoulder-seam', [layer('stay-tape', 'sew-in', 'strip')], {}],
    ['a stay across a seam', 'neck-facing', [layer('weft', 'fusible', 'strip')], {}],
    ['a zip band', 'zip-area', [layer('nonwoven', 'fusible', 'strip')], {}],
    ['a patch behind an opening', 'buttonhole', [layer('woven', 'fusible', 'patch')], {}],
    ['a waistband strip on its fold', 'waistband', [layer('waistband-strip', 'fusible', 'strip')], {}],
    ['hair canvas, pad-stitched', 'lapel', [layer('hair-canvas', 'sew-in', 'net')], {}],
    ['sewn in at the edge', 'collar', [layer('woven', 'sew-in', 'full')], {}],
    ['underlining', 'bodice', [layer('cloth-underlining', 'sew-in', 'full')], {}],
    ['catch-stitched on pile or crinkle', 'bodice', [layer('organza', 'sew-in', 'full')], { fabric: velvet }],
    ['clipped, for what shows holes', 'bag-panel', [layer('firm-nonwoven', 'sew-in', 'net')], { fabric: leather }],
    ['padding, sprayed', 'bag-panel', [layer('wadding', 'loose', 'net', { join: 'spray-glued' })], {}],
    ['padding, fused', 'bag-panel', [layer('fleece', 'fusible', 'net')], {}],
    ['padding, caught', 'bag-panel', [layer('foam', 'sew-in', 'net')], {}],
    ['braid in a hem', 'flare-hem', [layer('braid', 'sew-in', 'strip')], {}],
    ['an inner corner', 'inner-corner', [layer('organdy', 'sew-in', 'patch')], {}],
    ['base, mulling, cloth and lining of a hat', 'hat-tip', [layer('buckram', 'sew-in', 'net')], {}],
    ['mist and press', 'quilt-piece', [layer('pressing-spray', 'liquid', 'full')], {}],
    ['starch before cutting', 'quilt-piece', [layer('starch', 'liquid', 'full', { join: 'damp' })], {}],
    ['wetted through', 'knit-panel-quilt', [layer('liquid-stabilizer', 'liquid', 'full', { join: 'full' })], {}],
    ['printing on stiffened cloth', 'printing', [layer('liquid-stabilizer', 'liquid', 'full', { join: 'full' })], {}],
    ['modelling in stiffened cloth', 'modelling', [layer('liquid-stabilizer', 'liquid', 'full', { join: 'full' })], {}],
    ['free stitching on stiffened cloth', 'free-stitching', [layer('liquid-stabilizer', 'liquid', 'full', { join: 'full' })], {}],
    ['starch under the hoop', 'embroidery', [layer('starch', 'liquid', 'full', { join: 'damp' })], {}],
    ['edge stiffener in sections', 'knit-binding', [layer('edge-stiffener', 'liquid', 'full')], { fabric: jersey }],
    ['a sheet slid under', 'embroidery', [layer('tear-away', 'loose', 'field')], {}],
    ['hooped together', 'embroidery', [layer('cut-away', 'loose', 'field')], { fabric: jersey }],
    ['floated', 'embroidery', [layer('cut-away', 'sticky', 'field')], { fabric: velvet }],
    ['a badge', 'badge', [layer('mesh', 'loose', 'field')], {}],
  ])('%s, for a %s', (words, role, layers, told) => expect(names(work(role, layers, told))).toEqual([words]));

  it('a slash: its strip and the patch at its point; a godet: a strip on each side', () => {
    const line: ToldPiece = { outline: rectangle(600, 900), place: { kind: 'line', line: [[300, 0], [300, 400]], width: 28 } }; // prettier-ignore
    const slash = work('godet-slash', [layer('organza', 'sew-in', 'strip'), layer('organdy', 'sew-in', 'patch')], {
      piece: line,
    });
    expect(names(slash)).toEqual(['a slash line and its point', 'a slash line and its point']);
    // 14 mm on each side of 400 mm of slash and 20 mm past its point; what lies beyond the hem is no cloth.
    expect(amount(slash, 'area')).toBeCloseTo(28 * 420, 6);
    expect(said(slash)).toMatch(/Cut the slash last of all/);
    expect(slash.steps.filter(({ title }) => title.startsWith('Cut the slash'))).toHaveLength(1);
    // Said from the cut edge it runs no farther than the cloth does: 400 mm and 20 past the point.
    expect(amount(slash, 'length') ?? 420).toBeCloseTo(420, 6);
    const sides: ToldPiece = { outline: rectangle(300, 400), place: { kind: 'edges', edges: [1, 3], width: 25 } };
    expect(names(work('godet-slash', [layer('nonwoven', 'fusible', 'strip')], { piece: sides }))).toEqual(['a godet seam']);
  });

  it('a godet by its recipe has seam lines and no slash; a slash by its recipe runs from the cut edge to 20 mm past its point', () => {
    const strip = [layer('nonwoven', 'fusible', 'strip')];
    const on = (piece: OpenPiece, place: Place) =>
      work('godet-slash', strip, { piece: { outline: piece.outline, allowances: piece.allowances, place } });
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 900 }),
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 3, max: 30 }),
        fc.integer({ min: 0, max: 60 }),
        (slash, share, allowance, hem) => {
          const adds = Math.max(10, (slash * share) / 100);
          const godet = recipeOf(
            RECIPES.find(({ id }) => id === 'godet')!,
            { slash, adds, allowance, hem },
          ).pieces[0]!;
          const piece = openPiece({ ...godet, line: 'sew', fold: null });
          for (const { place } of godet.cuts[0]!.jobs) {
            const told = on(piece, place);
            expect(names(told)).toEqual(['a godet seam']);
            expect(said(told)).not.toMatch(/slash last|point and no further/);
          }
        },
      ),
      { numRuns: 60 },
    );
    const spec = { ...plainPiece({ kind: 'rectangle', width: 600, height: 700, corners: [false, false, false, false], corner: 0 }, 0), line: 'sew' as const, allowances: [40, 15, 10, 15] }; // prettier-ignore
    const kind = EDGE_RECIPES.find(({ id }) => id === 'edge-slashes')!;
    const source = { name: 'Panel', spec, edges: [0], count: 1, pairs: false, orientation: 'straight' as const };
    const { jobs } = edgeRecipeOf(kind, source, { slash: 250, gain: 150, count: 2 }).onSource!;
    for (const { place } of jobs) {
      const told = on(openPiece(spec), place);
      expect(names(told)).toEqual(['a slash line and its point']);
      expect(amount(told, 'length')).toBeCloseTo(40 + 250 + 20, 6);
      expect(amount(told, 'area')).toBeCloseTo(28 * (40 + 250 + 20), 3);
    }
  });

  it('of a slash, a zip and an inner corner is one figure for the work, the Cut stage and the cutting table', () => {
    const shape = { kind: 'rectangle' as const, width: 300, height: 500, corners: [false, false, false, false] as [boolean, boolean, boolean, boolean], corner: 0 }; // prettier-ignore
    const spec = { ...plainPiece(shape, 20), line: 'cut' as const };
    const piece = openPiece(spec);
    const line = (from: [number, number], to: [number, number]): Place => ({ kind: 'line', line: [from, to], width: 28 });
    const lawn = { ...jersey, arealDensity: 70 };
    for (const [role, place, extent, fabric = jersey] of [
      // An opening of 20 mm that nobody measured: 18 mm past it, on fine cloth 10.
      ['buttonhole', { kind: 'usual' }, 'patch'],
      ['buttonhole', { kind: 'usual' }, 'patch', lawn],
      ['godet-slash', line([150, 0], [150, 210]), 'strip'],
      ['godet-slash', line([150, 0], [150, 210]), 'patch'],
      ['zip-area', line([150, 180], [150, 330]), 'strip'],
      ['zip-area', { kind: 'edges', edges: [1], width: 40 }, 'strip'],
      ['inner-corner', { kind: 'usual' }, 'patch'],
    ] as [Role, Place, Extent, typeof jersey?][]) {
      const one = layer('nonwoven', 'fusible', extent);
      const told = amount(
        work(role, [one], { piece: { outline: piece.outline, allowances: piece.allowances, place }, fabric }),
        'area',
      )!;
      if (role === 'buttonhole') expect(Math.abs(told - (fabric === lawn ? 40 * 40 : 56 * 56))).toBeLessThan(90);
      // An allowance of 20 mm and 10 more each way from the sewn point.
      if (role === 'inner-corner') expect(told).toBeCloseTo(60 * 60, 6);
      const stage = layerOutline(
        piece,
        extent,
        one.material,
        layerCutOf({ place, wish: part(role) }, undefined, 6, piece, fabric.arealDensity),
      );
      expect(stage.area, `${role} ${extent}`).toBeCloseTo(told, 6);
      const stack = { layers: [{ materialId: 'm', extent }] };
      const kept = {
        ...spec,
        id: 'w',
        name: 'Panel',
        clothId: 'cloth',
        clothWeight: fabric.arealDensity,
        wish: { role, cut: 'straight' as const },
        place,
        count: 1,
        pairs: false,
        oneWay: false,
        stack,
      };
      const { items } = layerItems([listedPart(kept, () => one.material)], one.material, {
        trim: 6,
        method: 'cut-first',
        glueUp: true,
      });
      expect(
        items.reduce((sum, { outline }) => sum + polygonArea(outline), 0),
        `${role} ${extent}`,
      ).toBeCloseTo(told, 6);
    }
  });

  it('two meshes, the second turned: its square is larger by the diagonal', () => {
    const of = part('embroidery', { embroidery: { stitches: 9000, width: 100, height: 100 } });
    const pair = work('embroidery', [layer('mesh', 'loose', 'field'), layer('mesh', 'loose', 'field', { angle: 45 })], { fabric: jersey, of }); // prettier-ignore
    expect(names(pair)).toEqual(['mesh pair crossed', 'mesh pair crossed']);
    expect(amount(pair, 'area', 1)! / amount(pair, 'area', 0)!).toBeCloseTo(2, 9);
  });
});

describe('what only holds while something is done', () => {
  const GOES = LIBRARY_LAYERS.flatMap(usesOf).filter(({ ends, form }) => ends !== 'stays' && form !== 'liquid');

  it.each(ROLES)('goes again when it is done, whatever it is put behind: %s', (role) => {
    for (const material of GOES) {
      const extent: Extent = ROLE_PROFILES[role].area === 'field' ? 'field' : 'full';
      const { steps } = work(role, [{ material, extent, angle: 0 }], { of: part(role, { embroidery: { stitches: 5000, width: 70, height: 70 } }) }); // prettier-ignore
      const after = steps.filter(({ stage }) => stage === 'finish').map(({ title }) => title);
      const going = /tear|trim|take|cut .* off|iron .*away|rinse|peel|leave the sheet/i;
      const words = `${role}: ${material.name}: ${after.join('; ')}`;
      expect
        .soft(
          after.some((title) => going.test(title)),
          words,
        )
        .toBe(true);
    }
  });

  it('of an appliqué: its cloth is laid on and trimmed between the colours, before the border and before the sheet goes', () => {
    const { steps } = work('applique', [layer('tear-away', 'loose', 'field')], { of: part('applique', { embroidery: { stitches: 5000, width: 70, height: 70 } }) }); // prettier-ignore
    const at = (title: string) => steps.findIndex((step) => step.title.startsWith(title));
    const order = ['Stitch the placing line', 'Lay the appliqué', 'Trim the appliqué', 'Stitch the border', 'Tear the sheet'].map(
      at,
    );
    expect(order.every((place) => place >= 0)).toBe(true);
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });
});

describe('what keeps every hole and crease', () => {
  const kept = LIBRARY_CLOTHS.filter(({ construction }) => construction === 'leather' || construction === 'coated');
  const layers = LIBRARY_LAYERS.flatMap(usesOf).filter(({ form }) => form !== 'liquid');

  it.each(ROLES)('is never pinned, basted, caught or creased: %s', (role) => {
    expect(kept.length).toBeGreaterThan(0);
    const extent = ({ field: 'field', strip: 'strip', patch: 'patch', panel: 'full' } as const)[ROLE_PROFILES[role].area];
    for (const fabric of kept)
      for (const material of layers) {
        // A hat is covered and a hem braided by their own seams.
        if (role.startsWith('hat-') || material.family === 'braid') continue;
        const of = part(role, { care: 'none', embroidery: { stitches: 5000, width: 70, height: 70 } });
        for (const { title, detail } of work(role, [{ material, extent, angle: 0 }], { fabric, of }).steps) {
          expect.soft(title, `${role}, ${material.name}`).not.toMatch(/^(baste|catch|pin) /i);
          expect.soft(detail, `${role}, ${material.name}`).not.toMatch(/crease lightly|pin through|pin in |basting frame/i);
        }
      }
  });

  it('is stuck where a layer sticks: peeled onto its place, and taken off again where it does not stay', () => {
    const sticky = layers.find(({ form, ends }) => form === 'sticky' && ends === 'torn')!;
    const { steps } = work('zip-area', [{ material: sticky, extent: 'strip', angle: 0 }], { fabric: kept[0]! });
    const titles = steps.map(({ title }) => title);
    const put = titles.findIndex((title) => /^Peel .* and smooth it on$/.test(title));
    expect(steps[put]!.detail).toMatch(/^Under the whole opening/);
    expect(titles.findIndex((title) => /^Peel .* off$/.test(title))).toBeGreaterThan(put);
  });
});

describe('what it takes, against plain geometry', () => {
  it('of a collar: two rectangles, 6 mm inside the edge', () => {
    const collar = work('collar', [layer('woven', 'fusible', 'trimmed')], { piece: { outline: rectangle(450, 90), allowances: 10 }, count: 2 }); // prettier-ignore
    expect(amount(collar, 'area')).toBeCloseTo(2 * 438 * 78, 6);
    expect(amount(collar, 'pieces')).toBe(2);
  });

  it('of a clockwise outline the allowances stay with their edges', () => {
    const told = { outline: rectangle(450, 90).reverse(), allowances: [0, 10, 0, 0] };
    // Edge 1 runs from the second corner to the third: up along x = 450 as it is turned round, here down along x = 0 or 450.
    const net = work('collar', [layer('woven', 'fusible', 'net')], { piece: told });
    const [a, b] = [told.outline[1]!, told.outline[2]!];
    const length = Math.hypot(a[0] - b[0], a[1] - b[1]);
    expect(amount(net, 'area')).toBeCloseTo(450 * 90 - 10 * length, 6);
  });

  it('of a braid: the whole sewn hem and one lap', () => {
    const piece: ToldPiece = { outline: rectangle(900, 500), allowances: 10, place: { kind: 'edges', edges: [0], width: 25 } };
    expect(amount(work('flare-hem', [layer('braid', 'sew-in', 'strip')], { piece, count: 4 }), 'length')).toBeCloseTo(
      4 * 880 + 20,
      6,
    );
  });

  it('thread, glue and liquids', () => {
    const sewn = work('collar', [layer('woven', 'sew-in', 'full')], { piece: { outline: rectangle(400, 100) }, count: 3 });
    expect(amount(sewn, 'thread')).toBeCloseTo(3 * 1.15 * 1000, 6);
    const caught = work('collar', [layer('firm-nonwoven', 'sew-in', 'net')], {
      piece: { outline: rectangle(420, 120) },
      count: 3,
    });
    expect(amount(caught, 'thread')).toBeCloseTo(3 * 2.2 * 1000, 6);
    const padded = work('bag-panel', [layer('wadding', 'loose', 'net', { join: 'spray-glued' })], { piece: { outline: rectangle(520, 420) }, count: 2 }); // prettier-ignore
    expect(amount(padded, 'grams')).toBeCloseTo(2 * 0.5 * 0.4 * 20, 9);
    const misted = work('quilt-piece', [layer('pressing-spray', 'liquid', 'full')], {
      piece: { outline: rectangle(500, 400) },
      count: 5,
    });
    expect(amount(misted, 'millilitres')! / (5 * 0.2 * poplin.arealDensity)).toBeGreaterThanOrEqual(0.15);
    expect(amount(misted, 'millilitres')! / (5 * 0.2 * poplin.arealDensity)).toBeLessThanOrEqual(0.25);
    const soaked = work('printing', [layer('liquid-stabilizer', 'liquid', 'full', { join: 'full' })], { piece: { outline: [[0, 0], [400, 0], [0, 300]] } }); // prettier-ignore
    // The length that is treated, not the triangle that is cut from it.
    expect(amount(soaked, 'millilitres')! / (0.12 * poplin.arealDensity)).toBeCloseTo(1, 1);
    // Pressed at a quarter of its dry mass in water: what a scale shows then; a hand’s breadth of cloth is not weighed.
    expect(said(soaked)).not.toMatch(/On a scale/);
    const large = work('printing', [layer('liquid-stabilizer', 'liquid', 'full', { join: 'full' })], { fabric: { ...poplin, arealDensity: 120 }, piece: { outline: rectangle(1000, 2000) } }); // prettier-ignore
    expect(said(large)).toContain('On a scale it is ready at about 300 g: dry it weighs about 240 g.');
  });
});

describe('what goes before what', () => {
  it('the size that a place says goes before the usual one', () => {
    const piece: ToldPiece = { outline: rectangle(300, 600), place: { kind: 'patch', at: [150, 300], size: 80 } };
    expect(amount(work('buttonhole', [layer('woven', 'fusible', 'patch')], { piece }), 'area')).toBeCloseTo(6400, 6);
  });

  it('of a clockwise outline the first edge keeps its allowance', () => {
    const outline: Outline = [[0, 0], [450, 0], [300, 90], [0, 90]]; // prettier-ignore
    const area = (piece: ToldPiece) => amount(work('collar', [layer('woven', 'fusible', 'net')], { piece }), 'area')!;
    // Turned round, its first edge is the third one, from the last corner to the one before.
    const turned = area({ outline: [...outline].reverse(), allowances: [10, 0, 0, 0] });
    expect(turned).toBeCloseTo(area({ outline, allowances: [0, 0, 10, 0] }), 6);
    expect(Math.abs(turned - area({ outline, allowances: [10, 0, 0, 0] }))).toBeGreaterThan(500);
  });

  it('a sheet turned by 30° over a long field is a square that covers it', () => {
    const of = part('embroidery', { embroidery: { stitches: 9000, width: 200, height: 60 } });
    const turned = work('embroidery', [layer('mesh', 'loose', 'field', { angle: 30 })], { fabric: jersey, of });
    const [w, h] = [280, 140];
    expect(Math.sqrt(amount(turned, 'area')!)).toBeCloseTo(w * Math.cos(Math.PI / 6) + h * Math.sin(Math.PI / 6), 6);
  });

  it('starch in rounds takes as much as it has rounds; free stitching has no ring under which it goes', () => {
    const starched = (strongStarch: string) =>
      amount(work('embroidery', [layer('starch', 'liquid', 'full', { join: 'damp' })], { count: 6, schools: { strongStarch } }), 'millilitres')!; // prettier-ignore
    expect(starched('rounds') / starched('pre-spray')).toBeCloseTo(3, 9);
    expect(names(work('free-stitching', [layer('starch', 'liquid', 'full', { join: 'damp' })]))).toEqual([
      'starch before cutting',
    ]);
  });

  it('what is cut and lies on the uncut layer is not cut again before it is fused', () => {
    const of = part('welt', { cutAlready: true });
    const stages = work('welt', [layer('nonwoven', 'fusible', 'full')], { of, count: 6 }).steps.map(({ stage }) => stage);
    expect(stages).not.toContain('cut');
  });

  it('long pieces lie turned under a sole that is long', () => {
    expect(underOneSole(rectangle(200, 60), rectangle(50, 90))).toBe(2);
    expect(underOneSole(rectangle(200, 60), rectangle(90, 50))).toBe(2);
    expect(underOneSole(rectangle(200, 60), rectangle(210, 10))).toBe(0);
  });
});

describe('what is said, and what is never said', () => {
  const notSaid: [string, Role, ChosenLayer[], Told, RegExp][] = [
    ['leather is neither pinned, basted nor creased', 'bag-panel', [layer('firm-nonwoven', 'sew-in', 'net')], { fabric: leather }, /\bpin\b|baste|crease lightly|iron/i],
    ['a misted bottle is not soaked', 'embroidery', [layer('liquid-stabilizer', 'liquid', 'full')], {}, /through|Round|until it feels wet/],
    ['nothing is trimmed under glue', 'welt', [layer('nonwoven', 'fusible', 'full')], { count: 6 }, /trim only the layer/],
    ['a T-shirt panel that was wetted has no bubbles', 'knit-panel-quilt', [layer('liquid-stabilizer', 'liquid', 'full', { join: 'full' })], { fabric: jersey }, /bubble/i],
    ['pile is not pressed', 'bodice', [layer('organza', 'sew-in', 'full')], { fabric: velvet }, /Iron (cool|medium|hot)|Press /],
    ['a patch is found by its mark, not by a margin', 'buttonhole', [layer('woven', 'fusible', 'patch')], {}, /same margin/],
    ['free stitching needs no hoop', 'free-stitching', [layer('liquid-stabilizer', 'liquid', 'full', { join: 'full' })], {}, /Hoop cloth|Hang the hoop/],
    ['nothing is hooped of pile', 'embroidery', [layer('cut-away', 'loose', 'field')], { fabric: velvet }, /Hoop cloth/],
  ]; // prettier-ignore
  it.each(notSaid)('%s', (_words, role, layers, told, never) => expect(said(work(role, layers, told))).not.toMatch(never));

  it('a loose sheet that cloth floats on is sprayed, and the glue is counted', () => {
    const floated = work('embroidery', [layer('cut-away', 'loose', 'field')], { fabric: velvet });
    expect(said(floated)).toMatch(/Mist the sheet with glue/);
    expect(amount(floated, 'grams')).toBeGreaterThan(0);
  });

  it('patches are found by the marks that they are behind', () => {
    const spec = plainPiece({ kind: 'rectangle', width: 200, height: 600, corners: [false, false, false, false], corner: 0 }, 10);
    const marks = [500, 400, 300].map((y) => ({ kind: 'buttonhole' as const, at: [100, y] as [number, number] }));
    const steps = workSteps({
      ...{
        fabric: poplin,
        layers: [layer('woven', 'fusible', 'patch')],
        role: 'buttonhole',
        stitched: false,
        floats: false,
        bias: false,
      },
      ...{ washed: true, cutAlready: false, schools: DEFAULT_SCHOOLS, piece: openPiece({ ...spec, marks }) },
      place: { kind: 'patch', at: [100, 300], size: 56 },
    });
    expect(steps.map(({ detail }) => detail).join()).toMatch(/behind the third buttonhole from the top, about 18 mm past/);
  });

  it('a hat is built from its base outward', () => {
    const titles = work('hat-tip', [layer('mulling', 'sew-in', 'full'), layer('buckram', 'sew-in', 'net')]).steps.map(
      ({ title }) => title,
    );
    const at = (words: RegExp) => titles.findIndex((title) => words.test(title));
    expect(at(/^Mark centre front/)).toBeGreaterThan(-1);
    expect(at(/^Catch .*mulling/)).toBeGreaterThan(at(/^Mark centre front/));
    expect(at(/^Draw the cloth over/)).toBeGreaterThan(at(/^Catch .*mulling/));
  });

  it('an inner corner is clipped to the thread, never through it', () => {
    const corner = said(work('inner-corner', [layer('organdy', 'sew-in', 'patch')]));
    expect(corner).toMatch(/on the right side, its middle on the sewn point/);
    expect(corner).toMatch(/Clip to the thread, not through it/);
  });

  it('rinsing is the last thing, once all is sewn', () => {
    const { steps } = work('quilt-piece', [layer('starch', 'liquid', 'full', { join: 'damp' })]);
    expect(steps.at(-1)).toMatchObject({ stage: 'finish', sewn: true, title: 'Rinse starch out of the finished thing' });
  });

  it('under a flat press nothing is lifted, slid or tacked', () => {
    const steps = workSteps({
      ...{
        fabric: poplin,
        layers: [layer('woven', 'fusible', 'trimmed')],
        stitched: false,
        floats: false,
        bias: false,
        tool: 'press',
      },
      ...{ washed: false, cutAlready: true, schools: DEFAULT_SCHOOLS, width: 900, height: 100 },
    });
    const press = steps.find(({ kind }) => kind === 'press')!;
    expect(`${press.title} ${press.detail}`).toMatch(/close/i);
    expect(`${press.title} ${press.detail}`).not.toMatch(/lift|slide|tack/i);
  });
});

/** Any role with any layer that its profile names, on some cloths. */
const anyWork = fc
  .tuple(
    fc.constantFrom(...ROLES),
    fc.constantFrom(...LIBRARY_CLOTHS),
    fc.array(fc.constantFrom(...LIBRARY_LAYERS.flatMap(usesOf)), { minLength: 1, maxLength: 3 }),
    fc.constantFrom<Extent>('full', 'trimmed', 'net', 'strip', 'patch'),
    fc.integer({ min: 1, max: 12 }),
  )
  .map(([role, fabric, materials, extent, count]) => {
    const stitch = ROLE_PROFILES[role].kind === 'stitch';
    const layers = materials.map((material): ChosenLayer => ({
      material,
      extent: stitch ? (material.form === 'liquid' ? 'full' : 'field') : material.form === 'liquid' ? 'full' : extent,
      angle: 0,
    }));
    return { role, fabric, layers, count };
  });

const BURNS = /\biron (cool|medium|hot)|Plate (low|medium|high)/i;

describe('whatever is asked', () => {
  it('every step that can hurt says so, stages are in order, ids are told apart, nothing is no number', () => {
    fc.assert(
      fc.property(anyWork, ({ role, fabric, layers, count }) => {
        const found = work(role, layers, { fabric, count });
        const order = ['prepare', 'cut', 'apply', 'check', 'finish'];
        const stages = found.steps.map(({ stage }) => order.indexOf(stage));
        expect(stages).toEqual([...stages].sort((a, b) => a - b));
        for (const { title, detail, safety, kind } of found.steps) {
          if (kind === 'press' || BURNS.test(detail)) expect(safety, `${title}: ${detail}`).toBeTruthy();
          if (/^(Cut|Trim|Clip)\b/.test(title)) expect(safety, title).toBeTruthy();
          if (/^(Spray|Mist the sheet|Round \d+ of \d+: spray)/.test(title)) expect(safety, title).toBeTruthy();
          expect(`${title} ${detail}`).not.toMatch(/undefined|NaN|Infinity|  /);
        }
        for (const each of found.amounts) expect(each.amount).toBeGreaterThan(0);
        expect(found.techniques).toHaveLength(layers.length);
        expect(found.minutes.hands).toBeGreaterThan(0);
      }),
      { numRuns: 400, seed: 23 },
    );
  });

  it('a batch takes no longer than its pieces one by one, and all amounts grow with it', () => {
    fc.assert(
      fc.property(anyWork, ({ role, fabric, layers, count }) => {
        const schools = { order: 'cut-first' as const, strongStarch: 'rounds' as const };
        const one = work(role, layers, { fabric, count: 1, schools });
        const all = work(role, layers, { fabric, count, schools });
        expect(all.minutes.hands).toBeLessThanOrEqual(count * one.minutes.hands + count);
        for (const { layer: of, kind, amount: much } of all.amounts)
          if (kind !== 'length') expect(much).toBeCloseTo(count * amount(one, kind, of)!, 4);
      }),
      { numRuns: 200, seed: 24 },
    );
  });

  it('each technique is somebody’s, has an id of its own, and its checks name troubles that are told of', () => {
    expect(new Set(TECHNIQUES.map(({ id }) => id)).size).toBe(TECHNIQUES.length);
    const told = new Set(SEEN_TROUBLES.map(({ id }) => id));
    expect(told.size).toBe(SEEN_TROUBLES.length);
    for (const { causes } of SEEN_TROUBLES) {
      expect(causes.length).toBeGreaterThan(0);
      for (const { why, now, next, avoidedBy } of causes)
        for (const words of [why, now, next, avoidedBy]) expect(words.length).toBeGreaterThan(8);
    }
  });
});
