import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import {
  groundOfCopy,
  hoopCard,
  hoopPreparation,
  hoopScene,
  sheetRecipe,
  type Hoop,
  type HoopScene,
  type HoopWork,
} from '../../src/core/hoop';
import { usesOf, type ChosenLayer } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { bounds, isInside, regionArea, intersection, type Outline, type Point } from '../../src/core/shape';

const hoop: Hoop = {
  ...{ name: 'Middle', shape: 'rectangle', fieldWidth: 100, fieldHeight: 100, outerWidth: 146, outerHeight: 150 },
  ...{ clamp: 14, kind: 'screw', mount: 'arm', mountSide: 'left' },
};
const napkin: Outline = [
  [0, 0],
  [400, 0],
  [400, 400],
  [0, 400],
];
/** A motif without any symmetry, so that a mirrored or turned one is told. */
const hull: Outline = [
  [-20, -10],
  [30, -10],
  [10, 25],
];
const at = { x: 150, y: 120, angle: 30 };
const place = { x: 160, y: 126, angle: 50, flipped: false };

const sheet = (family: string, form = 'loose'): ChosenLayer => ({
  material: LIBRARY_LAYERS.flatMap(usesOf).find((each) => each.family === family && each.form === form)!,
  ...{ extent: 'field', angle: 0 },
});

function prepared(layers: ChosenLayer[], more: Partial<HoopWork> = {}, copy = 0) {
  const card = hoopCard({ outline: napkin, place, hoop: at, pairs: true }, copy);
  const work: HoopWork = {
    ...{
      fabric: LIBRARY_CLOTHS.find(({ weave }) => weave === 'plain')!,
      hoop,
      at: card.hoop,
      floats: false,
      count: 2,
      schools: DEFAULT_SCHOOLS,
    },
    part: { role: 'embroidery', stretch: 'any', cut: 'straight', care: 'wash-warm' } as HoopWork['part'],
    layers,
    ground: groundOfCopy({ outline: napkin, obstacles: [], marks: false }, card),
    ...more,
  };
  const scenes = new Map(hoopPreparation(work).map((step) => [step.id, hoopScene(work, card, hull, step)]));
  const above = (id: string) => scenes.get(id) as Extract<HoopScene, { kind: 'in-hoop' }>;
  return { card, work, scenes, above };
}

const covers = (sheet: Outline, what: Outline) => what.every((corner) => isInside(corner, sheet));

describe('what is drawn of the steps before the first stitch', () => {
  it('folds cross at the middle of the hoop and run from edge to edge of the cloth', () => {
    for (const copy of [0, 1]) {
      const { above, card } = prepared([], {}, copy);
      const { folds, ring } = above('cross');
      expect(ring).toBeNull();
      expect(folds).toHaveLength(2);
      for (const { from, to } of folds) {
        // The hoop's middle lies on the line, and both ends on the border of a square of 400 mm.
        const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
        expect(length).toBeCloseTo(400, 6);
        const off = ((to[0] - from[0]) * (card.hoop.y - from[1]) - (to[1] - from[1]) * (card.hoop.x - from[0])) / length;
        expect(off).toBeCloseTo(0, 6);
      }
    }
  });

  it('a sheet that is hooped shows past the ring on every side, as far as it is cut', () => {
    const { above, work } = prepared([sheet('cut-away')]);
    const { sheets, ring, cloth: ground, brings } = above('hoop');
    expect(ground).toEqual(work.ground.outline);
    expect(brings).toBeNull();
    expect(sheets).toHaveLength(1);
    expect(covers(sheets[0]!, ring!.outer)).toBe(true);
    const [need] = sheetRecipe(hoop, work.layers, false, 1);
    expect(regionArea([sheets[0]!])).toBeCloseTo(need!.width * need!.height, 3);
  });

  it('a sheet that is slid under is not in the ring, and comes when the hoop hangs', () => {
    const { above } = prepared([sheet('tear-away')]);
    expect(above('hoop').sheets).toEqual([]);
    expect(above('mount').sheets).toEqual([]);
    const { sheets, ring, brings } = above('slide');
    expect(brings).toBe('sheet');
    expect(covers(sheets[0]!, ring!.field)).toBe(true);
    expect(covers(sheets[0]!, ring!.outer)).toBe(false);
  });

  it('a floated cloth stays out of the ring until it is laid on the sheet', () => {
    const { above } = prepared([sheet('tear-away', 'sticky')], { floats: true });
    expect(above('hoop').cloth).toBeNull();
    expect(above('hoop').sheets).toHaveLength(1);
    expect(above('float').cloth).not.toBeNull();
    expect(above('float').brings).toBe('cloth');
  });

  it('at the machine the design lies as it lies on the cloth, for random places, copies and mirrored halves', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        number(-180, 180),
        number(-180, 180),
        number(-30, 30),
        number(-30, 30),
        fc.boolean(),
        fc.nat(1),
        (tilt, turn, dx, dy, flipped, copy) => {
          const hoopAt = { x: 200, y: 180, angle: tilt };
          const card = hoopCard(
            { outline: napkin, hoop: hoopAt, place: { x: 200 + dx, y: 180 + dy, angle: turn, flipped }, pairs: true },
            copy,
          );
          const { work } = prepared([]);
          const of: HoopWork = { ...work, at: card.hoop, ground: { ...work.ground, outline: card.ground } };
          const scene = hoopScene(of, card, hull, {
            id: 'mount',
            stage: 'apply',
            kind: 'do',
            act: 'hoop',
            title: '',
            detail: '',
          });
          const { motif } = scene as Extract<HoopScene, { kind: 'in-hoop' }>;
          // By hand: mirrored, turned, moved onto the cloth; then the cloth turned until the hoop stands upright.
          const rotate = ([x, y]: Point, degrees: number): Point => {
            const t = (degrees * Math.PI) / 180;
            return [x * Math.cos(t) - y * Math.sin(t), x * Math.sin(t) + y * Math.cos(t)];
          };
          const half = copy === 1;
          for (const [x, y] of hull) {
            const [px, py] = rotate([flipped ? -x : x, y], turn);
            const onCloth: Point = [200 + dx + px, 180 + dy + py];
            const [hx, hy] = rotate([onCloth[0] - hoopAt.x, onCloth[1] - hoopAt.y], -tilt);
            // A mirrored half is seen in the mirror: hoop, cloth and design.
            const want: Point = half ? [-hx, hy] : [hx, hy];
            expect(Math.min(...motif!.map(([mx, my]) => Math.hypot(mx - want[0], my - want[1])))).toBeLessThan(1e-6);
          }
        },
      ),
    );
  });

  it('what is starched or fused is shown on the cloth, never past its edge', () => {
    const near = { ...at, x: 60, y: 60, angle: 0 };
    const card = hoopCard({ outline: napkin, place: { ...place, x: 60, y: 60 }, hoop: near, pairs: false }, 0);
    const { work } = prepared([sheet('starch', 'liquid'), sheet('mesh', 'fusible')]);
    const of = { ...work, at: near };
    const hands = hoopPreparation(of).flatMap((step) => {
      const scene = hoopScene(of, card, hull, step);
      return scene?.kind === 'by-hand' ? [scene] : [];
    });
    expect(hands.length).toBeGreaterThan(2);
    for (const { region } of hands) {
      expect(region.length).toBeGreaterThan(0);
      const box = bounds(region.flat());
      expect(box.minX).toBeGreaterThanOrEqual(-1e-6);
      expect(regionArea(intersection(region, [napkin]))).toBeCloseTo(regionArea(region), 3);
      // The ring reaches past the corner of the cloth here.
      expect(regionArea(region)).toBeLessThan(206 * 210);
    }
  });
});
