import { describe, expect, it } from 'vitest';
import { clothInPlane, hoopCard, troublesAt, type Hoop } from '../../src/core/hoop';
import { carryFactor } from '../../src/core/learn/carry-factor';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import { densityMap, motifFigures, stitchedMotif } from '../../src/core/motif';
import { layoutFaults } from '../../src/core/nesting/layout-faults';
import { cutOfRole, edgeRuleOf, type Role } from '../../src/core/part';
import { DEFAULT_LAYER_OUTLINE, layerOutline, openPiece, plainPiece } from '../../src/core/pieces';
import { edgesByRule } from '../../src/core/pieces/strip-edges';
import type { Outline, PieceShape, Point } from '../../src/core/shape';
import { joinedLines } from '../../src/formats/dxf/joined-lines';

const square = (side: number, x = 0, y = 0): Outline => [[x, y], [x + side, y], [x + side, y + side], [x, y + side]]; // prettier-ignore

describe('a layout that is checked', () => {
  const faults = (b: { x: number; y: number }, gap = 0, cloth?: Outline) =>
    layoutFaults({
      ...{ outlines: new Map([['a', square(100)]]), gap, width: 400, length: 400, cloth },
      placements: [
        { id: 'a', copy: 0, rotation: 0, flipped: false, x: 0, y: 0 },
        { id: 'a', copy: 1, rotation: 90, flipped: true, ...b },
      ],
    });
  // Flipped and turned by a quarter, the square reaches from −100 to 0 both ways.
  it.each([
    ['touching is no fault', { x: 200, y: 100 }, 0, []],
    ['ten millimetres on each other', { x: 190, y: 100 }, 0, [{ kind: 'overlap', by: 1000 }]],
    ['a sliver of a tenth', { x: 199.9, y: 100 }, 0, [{ kind: 'overlap', by: 10 }]],
    ['nearer than the gap', { x: 205, y: 100 }, 8, [{ kind: 'gap', by: 5 }]],
    ['as far as the gap', { x: 208, y: 100 }, 8, []],
  ] as const)('%s', (_, at, gap, wanted) => {
    expect(faults(at, gap).map(({ kind, by }) => ({ kind, by: Math.round(by * 1000) / 1000 }))).toEqual(wanted);
  });

  it('what lies beside a leftover is told by its area', () => {
    const [fault, ...more] = faults({ x: 300, y: 100 }, 0, square(250));
    expect(more).toEqual([]);
    expect(fault).toMatchObject({ kind: 'outside', index: 1 });
    expect(fault!.by).toBeCloseTo(5000, 3);
    expect(faults({ x: 240, y: 100 }, 0, square(250))).toEqual([]);
  });
});

describe('the base of a hat', () => {
  const area = (role: Role, shape: PieceShape, family: 'buckram' | 'wadding') =>
    layerOutline(openPiece(plainPiece(shape, 10)), 'full', { rollWidth: 900, family }, { ...DEFAULT_LAYER_OUTLINE, ...cutOfRole(role) }).area; // prettier-ignore
  const ring: PieceShape = { kind: 'ring', outer: 340, inner: 190 };
  const band: PieceShape = { kind: 'rectangle', width: 600, height: 100, corners: [false, false, false, false], corner: 0 };
  const disc: PieceShape = { kind: 'circle', diameter: 200 };
  const round = (d: number) => (Math.PI * d * d) / 4;

  it.each([
    ['a tip: its outside is the seam', 'hat-tip', disc, round(200)],
    ['a brim: inside into the seam, outside to the seam line', 'hat-brim', ring, round(320) - round(190)],
    ['a band: only its ends are joined over', 'hat-band', band, 600 * 80],
    ['any other piece: all of it', 'bag-panel', band, 600 * 100],
  ] as const)('%s', (_, role, shape, wanted) => {
    expect(area(role, shape, 'buckram') / wanted).toBeCloseTo(1, 2);
  });

  it('what is soft runs into every seam', () => {
    expect(area('hat-brim', ring, 'wadding') / (round(340) - round(190))).toBeCloseTo(1, 2);
    expect(area('hat-band', band, 'wadding')).toBeCloseTo(60_000, 0);
  });
});

describe('where a strip runs by itself', () => {
  it.each([
    ['hem', 'hem'],
    ['flare-hem', 'hem'],
    ['shoulder-seam', 'longest'],
    ['zip-area', 'longest'],
    ['knit-binding', 'longest'],
    ['neck-facing', 'hollow'],
    ['armhole-facing', 'hollow'],
    ['waistband', 'fold'],
    ['collar', 'top'],
  ] as const)('%s: by the rule %s', (role, rule) => {
    expect(edgeRuleOf(role)).toBe(rule);
  });

  it('the hollow edge is the one that turns inward, not the one that bulges', () => {
    const bow = (from: Point, to: Point, deep: number): Point[] =>
      Array.from({ length: 11 }, (_, i) => {
        const t = (i + 1) / 12;
        return [from[0] + t * (to[0] - from[0]), from[1] + deep * Math.sin(Math.PI * t)];
      });
    const corners: Point[] = [[0, 0], [300, 0], [300, 200], [0, 200]]; // prettier-ignore
    const edges = (low: number, high: number) => [
      { from: corners[0]!, via: bow(corners[0]!, corners[1]!, low) },
      { from: corners[1]! },
      { from: corners[2]!, via: bow(corners[2]!, corners[3]!, high) },
      { from: corners[3]! },
    ];
    const piece = (low: number, high: number) =>
      openPiece({ shape: { kind: 'drawn', edges: edges(low, high) }, line: 'cut', allowances: [10, 10, 10, 10], fold: null, grain: 0, marks: [] } as never); // prettier-ignore
    // Below, up is inward; above, down is.
    expect(edgesByRule(piece(40, 30), 'hollow')).toEqual([0]);
    expect(edgesByRule(piece(-40, -30), 'hollow')).toEqual([2]);
  });
});

describe('the hoop', () => {
  const hoop: Hoop = {
    ...{ name: 'Small', shape: 'rectangle', fieldWidth: 100, fieldHeight: 100, outerWidth: 146, outerHeight: 150, clamp: 14 },
    ...{ kind: 'screw', mount: 'arm', mountSide: 'left' },
  } as Hoop;

  it('says what lies under the needle, and nothing of what lies beside', () => {
    const motif = square(40, -20, -20);
    const at = (x: number) =>
      troublesAt(motif, hoop, { outline: square(400), obstacles: [square(10, x, 195)], marks: false, strips: [] } as never, { x: 200, y: 200, angle: 0, flipped: false }, { x: 200, y: 200, angle: 0 }).map(({ kind }) => kind); // prettier-ignore
    expect(at(195)).toEqual(['obstacle-under-needle']);
    expect(at(235)).toEqual([]);
  });

  it('is turned the other way on a mirrored copy', () => {
    const set = { outline: square(400), place: { x: 200, y: 200, angle: 15, flipped: false }, hoop: { x: 200, y: 200, angle: 15 }, pairs: true }; // prettier-ignore
    const [one, other] = [0, 1].map((copy) => hoopCard(set as never, copy));
    expect(one!.tilt).not.toBe(0);
    expect((one!.tilt + other!.tilt) % 90).toBeCloseTo(0, 6);
  });

  it('pulls harder where the cloth gives less', () => {
    const poplin = LIBRARY_CLOTHS.find(({ id }) => id === 'shirting-poplin')!;
    const { xx, yy, shear } = clothInPlane({ ...poplin, stretchLength: 1, stretchCross: 20 });
    expect(yy / xx).toBeGreaterThan(3);
    expect(clothInPlane({ ...poplin, biasGive: 30 }).shear).toBeLessThan(clothInPlane({ ...poplin, biasGive: 6 }).shear);
    expect(shear).toBeGreaterThan(0);
  });
});

describe('what is sewn', () => {
  it('is counted to its rim: cells add up to the stitches', () => {
    const column: Outline = [[0, 0], [6, 0], [6, 60], [0, 60]]; // prettier-ignore
    const motif = stitchedMotif('Bar', [
      { outlines: [column], stitching: { kind: 'satin', spacing: 0.5, width: 4 }, newColour: false },
    ]);
    const { bounds, stitches } = motifFigures(motif);
    const { cell, values } = densityMap(motif, bounds!);
    expect((values.reduce((sum, value) => sum + value, 0) * cell * cell) / 100 / stitches).toBeCloseTo(1, 1);
  });

  it('teaches what a pair carries: held above its load it bears more, failed below it less', () => {
    expect(carryFactor([{ share: 1.5, held: true }])).toBeGreaterThan(1.15);
    expect(carryFactor([{ share: 0.8, held: false }])).toBeLessThan(0.9);
    expect(carryFactor([{ share: 0.5, held: true }])).toBeCloseTo(1, 1);
  });
});

describe('lines of a drawing', () => {
  it('are joined where their ends meet, on either side of a square of the grid', () => {
    const sides: Outline[] = [
      [[0.04, 0], [100, 0]],
      [[100.04, -0.03], [100, 50]],
      [[0.01, 49.97], [99.97, 50.04]],
      [[-0.02, 50.01], [-0.03, 0.02]],
    ]; // prettier-ignore
    const [chain, ...more] = joinedLines(sides, 0.1);
    expect(more).toEqual([]);
    expect(chain!.length).toBeGreaterThanOrEqual(5);
    expect(joinedLines([sides[0]!, sides[2]!], 0.1)).toHaveLength(2);
  });
});
