import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  betweenColours,
  centred,
  clothInPlane,
  finishing,
  hoopLines,
  hoopPreparation,
  hoopOutlines,
  mountPoint,
  sheetRecipe,
  sheetSources,
  stackInPlane,
  STITCH_ROLES,
  turnedBy,
  type Hoop,
  type InPlane,
} from '../../src/core/hoop';
import { usesOf, type ChosenLayer, type Material } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { bounds, polygonArea, transformed, type Outline } from '../../src/core/shape';

const hoop: Hoop = {
  ...{ name: 'Long', shape: 'rectangle', fieldWidth: 120, fieldHeight: 200, outerWidth: 170, outerHeight: 260, clamp: 15 },
  ...{ kind: 'screw', mount: 'arm', mountSide: 'left' },
};
const oval: Hoop = { ...hoop, shape: 'oval' };
const layerOf = (found: (material: Material) => boolean, angle = 0): ChosenLayer => ({
  material: LIBRARY_LAYERS.flatMap(usesOf).find(found)!,
  extent: 'field',
  angle,
});
const tearAway = layerOf(({ family, form }) => family === 'tear-away' && form === 'loose');
const cutAway = layerOf(({ family, form }) => family === 'cut-away' && form === 'loose');
const sticky = layerOf(({ form, family }) => form === 'sticky' && family !== 'topping');
const sprayed = layerOf(({ form }) => form === 'spray-glued');
const topping = layerOf(({ family }) => family === 'topping');
const starch = layerOf(({ family, use }) => family === 'starch' && use?.join === 'damp');
const woven = LIBRARY_CLOTHS.find(({ construction, weave }) => construction === 'woven' && weave === 'plain')!;

describe('finishing', () => {
  const ending = (ends: 'cut' | 'torn' | 'rinsed', more: object = {}) => ({
    material: { ends, family: 'tear-away' as const, form: 'loose' as const, ...more },
  });
  const sheetsOf = (cut: boolean, torn: boolean) => [...(cut ? [ending('cut')] : []), ...(torn ? [ending('torn')] : [])];

  it('is told for everything that is sewn, and each warns where a blade is used', () => {
    for (const role of STITCH_ROLES)
      for (const cut of [false, true])
        for (const torn of [false, true]) {
          const steps = finishing(role, sheetsOf(cut, torn));
          expect(steps.some(({ title }) => title.startsWith('Tear'))).toBe(torn);
          for (const { title, safety } of steps) if (title.startsWith('Trim')) expect(safety).toMatch(/Cut away from the hand/);
        }
  });

  it('tears before it trims; an appliqué is laid on and trimmed while it is sewn, before its border', () => {
    expect(finishing('applique', sheetsOf(true, true)).map(({ title }) => title.split(' ')[0])).toEqual(['Tear', 'Trim']);
    expect(betweenColours('applique').map(({ title }) => title.split(' ')[0])).toEqual(['Lay', 'Trim']);
    for (const { safety } of betweenColours('applique')) expect(safety).toBeTruthy();
    expect(betweenColours('embroidery')).toEqual([]);
    expect(finishing('embroidery', [])).toEqual([]);
  });

  it('leaves the sheet in a quilt block, and trims a badge with all its layers', () => {
    expect(finishing('quilt-piece', sheetsOf(true, false)).map(({ title }) => title)).toEqual(['Leave the sheet in the block']);
    const badge = finishing('badge', sheetsOf(true, false));
    expect(badge.map(({ title }) => title)).toEqual(['Trim all layers together', 'Seal the edge']);
    expect(badge[1]!.safety).toMatch(/away from sprays/);
  });

  it('leaves nothing in a quilt block whose only sheet was torn away', () => {
    expect(finishing('quilt-piece', sheetsOf(false, true)).map(({ title }) => title)).toEqual(['Tear the sheet away']);
    expect(finishing('quilt-piece', []).map(({ title }) => title)).toEqual(['Leave the sheet in the block']);
  });

  it('irons away what melts, sheet or film, with its warning, whatever is made; and takes a film off before the sheet is trimmed', () => {
    const melts = (family: string) => ({
      material: { ends: 'melted' as const, family: family as never, form: 'loose' as const },
    });
    for (const role of STITCH_ROLES)
      for (const family of ['topping', 'heat-away']) {
        const steps = finishing(role, [melts(family), ...sheetsOf(true, false)]);
        const ironed = steps.filter(({ title }) => /melt/.test(title));
        expect(ironed).toHaveLength(1);
        expect(ironed[0]!.safety).toMatch(/burns/);
        expect(ironed[0]!.detail).toMatch(/leaflet/);
      }
    const film = (ends: 'cut' | 'torn') => ending(ends, { family: 'topping' });
    const titles = (role: (typeof STITCH_ROLES)[number], ends: 'cut' | 'torn') =>
      finishing(role, [film(ends), ...sheetsOf(true, false)]).map(({ title }) => title);
    expect(titles('embroidery', 'cut')[0]).toMatch(/^Cut the film off/);
    expect(titles('embroidery', 'torn')[0]).toMatch(/^Tear the film off/);
    // All layers of a badge are trimmed together, its film too.
    expect(titles('badge', 'cut')).toEqual(['Trim all layers together', 'Seal the edge']);
  });

  it('rinses out starch and topping, but does not tear a topping as if it were the sheet', () => {
    const titles = finishing('embroidery', [ending('torn', { family: 'topping' }), ending('rinsed', { form: 'liquid' })]);
    expect(titles.map(({ title }) => title)).toEqual(['Tear the film off the stitches', 'Rinse out what is meant to go']);
  });
});

describe('hooping, step by step', () => {
  const napkin: Outline = [[0, 0], [500, 0], [500, 500], [0, 500]]; // prettier-ignore
  const prepared = (layers: ChosenLayer[], floats = false, of: Hoop = hoop, angle = 0) =>
    hoopPreparation({
      ...{
        fabric: woven,
        part: { role: 'embroidery', cut: 'straight', stretch: 'any', care: 'wash-warm' },
        layers,
        hoop: of,
        floats,
      },
      ...{ at: { x: 250, y: 250, angle }, ground: { outline: napkin, obstacles: [], marks: false, strips: [] }, count: 1 },
      schools: DEFAULT_SCHOOLS,
    });
  const ids = (floats: boolean, layers: ChosenLayer[]) => prepared(layers, floats).map(({ id }) => id);

  it('has the steps that the stack asks for, in working order', () => {
    expect(ids(false, [cutAway])).toEqual(['cross', 'hoop', 'mount']);
    expect(ids(false, [tearAway])).toEqual(['cross', 'hoop', 'mount', 'slide']);
    expect(ids(true, [sticky])).toEqual(['cross', 'hoop', 'float', 'mount']);
    // Wetted and pressed round after round, and only then folded.
    expect(ids(false, [starch, topping, cutAway]).slice(-4)).toEqual(['cross', 'hoop', 'topping', 'mount']);
    expect(ids(false, [starch, topping, cutAway])).toHaveLength(4 + 3 * 2);
    // A sheet with glue is joined before anything is hooped.
    expect(ids(false, [sticky]).map((id) => id.split('-').at(-1))).toEqual(['join', 'cross', 'hoop', 'mount']);
    // A sheet that is slid under lies loose; beside one that is hooped it is hooped too.
    expect(ids(false, [tearAway, cutAway])).toEqual(['cross', 'hoop', 'mount']);
  });

  it('warns of spray where it is sprayed, and of the moving hoop always', () => {
    const floated = (layers: ChosenLayer[]) => prepared(layers, true).find(({ id }) => id === 'float')!;
    expect(floated([sprayed]).safety).toMatch(/away from flames/);
    expect(floated([sticky]).safety).toBeUndefined();
    for (const layers of [[], [tearAway], [sticky], [sprayed, topping]])
      expect(prepared(layers).at(-1)!.safety).toMatch(/moving hoop/);
  });

  it('speaks of a sheet only where there is one', () => {
    const words = (layers: ChosenLayer[]) => JSON.stringify(prepared(layers));
    expect(words([])).not.toMatch(/sheet/);
    expect(words([sticky])).toMatch(/Hoop cloth and sheet together/);
    expect(words([sticky])).toMatch(/The sheet reaches past the field/);
  });

  it('says how the hoop is turned on the cloth, quarters too: its mount comes to lie elsewhere', () => {
    const cross = (tilt: number) => prepared([], false, hoop, tilt).find(({ id }) => id === 'cross')!.detail;
    expect(cross(0)).not.toMatch(/turned/);
    expect(cross(360)).not.toMatch(/turned/);
    expect(cross(30)).toMatch(/turned by 30° counter-clockwise\.$/);
    expect(cross(90)).toMatch(/turned by 90° counter-clockwise\.$/);
    expect(cross(315)).toMatch(/turned by 45° clockwise\.$/);
    expect(cross(180)).toMatch(/turned by 180°\.$/);
  });

  it('speaks of the hoop that is used', () => {
    const words = (more: Partial<Hoop>) => JSON.stringify(prepared([], false, { ...hoop, ...more }));
    expect(words({})).toMatch(/finger tight, never with a tool/);
    expect(words({ kind: 'magnetic' })).toMatch(/fingers clear/);
    expect(words({ mount: 'bar', mountSide: 'top' })).toMatch(/Hang the hoop on the bar.*mount is on the top/);
  });
});

describe('sheets', () => {
  const need = (layer: ChosenLayer, floats = false, count = 1) => sheetRecipe(hoop, [layer], floats, count)[0]!;

  it('are told by how they come to lie under the motif', () => {
    expect(need(topping).how).toBe('laid on top');
    expect(need(topping)).toMatchObject({ width: 150, height: 230 });
    expect(need(sticky).how).toBe('stuck to the wrong side, hooped with it');
    expect(need(sprayed).how).toMatch(/^misted with glue/);
    expect(need(cutAway).how).toBe('laid under the cloth, hooped with it');
    expect(need(cutAway)).toMatchObject({ width: 210, height: 300 });
    expect(sheetRecipe(hoop, [starch], false, 1)).toEqual([]);
  });

  it('that are turned take the room of their box on the roll', () => {
    const { rollWidth } = cutAway.material;
    fc.assert(
      fc.property(fc.integer({ min: -180, max: 180 }), fc.integer({ min: 1, max: 30 }), (angle, count) => {
        const { width, height, rollLength } = need({ ...cutAway, angle }, false, count);
        const box = bounds(transformed([[0, 0], [width, 0], [width, height], [0, height]], false, angle)); // prettier-ignore
        const [w, h] = [box.maxX - box.minX, box.maxY - box.minY];
        const rows = (across: number, along: number) => Math.ceil(count / Math.floor((rollWidth + 1e-6) / across)) * along;
        expect(rollLength).toBeCloseTo(Math.min(rows(w, h), rows(h, w)), 3);
      }),
    );
  });

  it('too wide for the roll are not counted off it', () => {
    const narrow = { ...cutAway, material: { ...cutAway.material, rollWidth: 150 } };
    expect(need(narrow).rollLength).toBe(0);
    expect(need({ ...cutAway, material: { ...cutAway.material, rollWidth: 0 } }).rollLength).toBe(0);
  });

  it('are cut from the smallest kept piece with room either way round, whatever its outline', () => {
    const cornerless: Outline = [[0, 0], [400, 0], [400, 400], [200, 400], [200, 200], [0, 200]]; // prettier-ignore
    const triangle: Outline = [[0, 0], [330, 0], [0, 330]]; // prettier-ignore
    const piece = (id: string, width: number, length: number, outline: Outline | null = null, kind = 'leftover') => ({ id, kind, width, length, outline }); // prettier-ignore
    const kept = [
      piece('large', 900, 900),
      piece('across', 320, 215),
      piece('narrow', 200, 900),
      piece('triangle', 330, 330, triangle),
      piece('corner', 400, 400, cornerless),
      piece('roll', 900, 5000, null, 'roll'),
    ];
    // So many are asked for that every piece gives what it can.
    const ids = ({ width, height }: { width: number; height: number }) =>
      sheetSources([{ materialId: 'm', angle: 0, count: 99, width, height }], () => kept, () => 0)[0]!.from.map(({ piece: { id } }) => id); // prettier-ignore
    expect(ids(need(cutAway))).toEqual(['across', 'large']);
    // The L has room for it beside the corner that is missing.
    expect(ids({ width: 195, height: 390 })).toEqual(['corner', 'large'].concat(['narrow']).sort((a, b) => area(a) - area(b)));
    function area(id: string): number {
      const { width, length } = kept.find((each) => each.id === id)!;
      return width * length;
    }
    // Half of a square is no place for more than a quarter of it.
    expect(ids({ width: 160, height: 160 })).toContain('triangle');
    expect(ids({ width: 170, height: 170 })).not.toContain('triangle');
  });
});

describe('a hoop', () => {
  it('that is oval holds an ellipse in an ellipse', () => {
    const { field, inner, outer } = hoopOutlines(oval);
    expect(polygonArea(field)).toBeCloseTo((Math.PI / 4) * 120 * 200, -3);
    expect(polygonArea(field) / ((Math.PI / 4) * 120 * 200)).toBeGreaterThan(0.995);
    for (const [x, y] of inner) expect((x / 70) ** 2 + (y / 115) ** 2).toBeCloseTo(1, 9);
    expect(bounds(outer)).toMatchObject({ minX: -85, maxX: 85 });
    expect(polygonArea(outer)).toBeLessThan(polygonArea(hoopOutlines(hoop).outer));
  });

  it('is carried at the middle of the side with its mount, wherever it lies', () => {
    const middle = { left: [-85, 0], right: [85, 0], top: [0, 130], bottom: [0, -130] } as const;
    for (const [mountSide, place] of Object.entries(middle))
      expect(mountPoint({ ...hoop, mountSide: mountSide as Hoop['mountSide'] }, { x: 0, y: 0, angle: 0 })).toEqual(place);
    const [x, y] = mountPoint(hoop, { x: 10, y: 20, angle: 90 });
    expect([x, y]).toEqual([expect.closeTo(10, 9), expect.closeTo(20 - 85, 9)]);
  });

  it('is put on the upright or the level line through the middle of the cloth, or both', () => {
    const cloth: Outline = [[0, 0], [300, 0], [300, 100], [0, 160]]; // prettier-ignore
    expect(centred(cloth, { x: 5, y: 7 }, 'x')).toEqual({ x: 150, y: 7 });
    expect(centred(cloth, { x: 5, y: 7 }, 'y')).toEqual({ x: 5, y: 80 });
    expect(centred(cloth, { x: 5, y: 7 }, 'both')).toEqual({ x: 150, y: 80 });
  });
});

describe('a sheet in its own plane', () => {
  const stiffness = fc.double({ min: 0.05, max: 20, noNaN: true });
  const sheet: fc.Arbitrary<InPlane> = fc
    .record({ xx: stiffness, yy: stiffness, nu: fc.double({ min: 0, max: 0.45, noNaN: true }), shear: stiffness })
    .map(({ xx, yy, nu, shear }) => ({ xx, yy, xy: nu * Math.sqrt(xx * yy), shear }));
  const angle = fc.double({ min: -360, max: 360, noNaN: true });
  /** Work per area of a strain. */
  const work = (c: InPlane, ex: number, ey: number, g: number) =>
    (c.xx * ex * ex + c.yy * ey * ey + 2 * c.xy * ex * ey + c.shear * g * g) / 2;

  it('is the same again after half a turn, and changes ends after a quarter', () => {
    fc.assert(
      fc.property(sheet, angle, (c, t) => {
        const [once, again] = [turnedBy(c, t), turnedBy(c, t + 180)];
        for (const key of ['xx', 'yy', 'xy', 'shear'] as const) expect(again[key]).toBeCloseTo(once[key], 6);
        const quarter = turnedBy(c, 90);
        expect([quarter.xx, quarter.yy]).toEqual([expect.closeTo(c.yy, 9), expect.closeTo(c.xx, 9)]);
      }),
    );
  });

  it('takes the same work to stretch evenly all round, however it is turned', () => {
    fc.assert(
      fc.property(sheet, angle, (c, t) => {
        // An even stretch looks the same from every direction; so does the sum of what resists shear and squash.
        expect(work(turnedBy(c, t), 1, 1, 0)).toBeCloseTo(work(c, 1, 1, 0), 6);
        const turned = turnedBy(c, t);
        expect(turned.shear - turned.xy).toBeCloseTo(c.shear - c.xy, 6);
      }),
    );
  });

  it('never gives work back, turned or not', () => {
    fc.assert(
      fc.property(sheet, angle, angle, (c, t, direction) => {
        const turned = turnedBy(c, t);
        const a = (direction * Math.PI) / 180;
        expect(work(turned, Math.cos(a), Math.sin(a), 0.3)).toBeGreaterThanOrEqual(-1e-9);
      }),
    );
  });

  it('is held by starch against shear first, and no further than an even sheet would be', () => {
    const bare = clothInPlane(woven);
    const starched = stackInPlane(woven, [starch]);
    expect(starched.shear).toBeGreaterThan(bare.shear);
    expect([starched.xx, starched.yy, starched.xy]).toEqual([bare.xx, bare.yy, bare.xy]);
    const soaked = stackInPlane(woven, [{ ...starch, material: { ...starch.material, stiffening: 1e6 } }]);
    expect(soaked.shear).toBeCloseTo(Math.sqrt(bare.xx * bare.yy) / 2.5, 9);
  });

  it('takes part by what joins it to the cloth, and a topping not at all', () => {
    const joined = (form: Material['form']) => stackInPlane(woven, [{ ...cutAway, material: { ...cutAway.material, form } }]).xx;
    const bare = clothInPlane(woven).xx;
    const order = (['loose', 'sew-in', 'spray-glued', 'sticky', 'fusible'] as const).map(joined);
    expect(order[0]).toBeGreaterThan(bare);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(stackInPlane(woven, [topping])).toEqual(clothInPlane(woven));
  });

  it('gives more on the bias the more the cloth gives there', () => {
    const shear = (biasGive: number) => clothInPlane({ ...woven, biasGive }).shear;
    expect(shear(4)).toBeGreaterThan(shear(12));
    expect(shear(12)).toBeGreaterThan(shear(40));
    expect(clothInPlane(woven)).toEqual(clothInPlane({ ...woven, biasGive: 12 }));
  });
});

describe('the place of the hoop on a piece', () => {
  const lines = (construction: string) =>
    hoopLines(
      {
        ground: [[0, 0], [400, 0], [400, 300], [0, 300]],
        edges: [
          { edge: 0, distance: 90, half: false },
          { edge: 3, distance: 200, half: true },
        ],
      },
      LIBRARY_CLOTHS.find((each) => each.construction === construction)!,
      (mm) => `${mm} mm`,
    ); // prettier-ignore

  it('is folded where a crease goes out again', () => {
    expect(lines('woven')).toEqual({
      ...{ title: 'Fold for the hoop', called: 'folds' },
      each: ['Fold 90 mm from the lower edge.', 'Fold it in half, the left edge onto the right edge (200 mm).'],
      labels: ['Fold: 90 mm from the lower edge', 'Fold in half: 200 mm'],
    });
  });

  const kept = [...new Set(LIBRARY_CLOTHS.map(({ construction }) => construction))].filter((each) => /leather|coated/.test(each));
  it.each(kept)('is chalked, never folded, on what keeps every crease: %s', (construction) => {
    const { called, each, labels } = lines(construction);
    expect(called).toBe('lines');
    expect([...each, ...labels].join(' ')).not.toMatch(/fold|crease/i);
    expect(each.join(' ')).toContain('half-way between the left edge and the right edge (200 mm)');
  });
});
