import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readOutlines, type FoundPiece } from '../../src/formats/drawing';
import { writeDxf, writtenPiece } from '../../src/formats/dxf';
import { writeSvg } from '../../src/formats/svg';
import { MARK_KINDS, openPiece, type Mark, type PieceSpec } from '../../src/core/pieces';
import {
  bounds,
  drawShape,
  polygonArea,
  regionArea,
  requireOutline,
  type DrawnEdge,
  type Outline,
  type Point,
} from '../../src/core/shape';
import { distanceTo } from '../files/geometry';

const coordinate = fc.double({ min: -1, max: 1, noNaN: true });

/** Pieces with corners all round a middle, straight and curved edges, sometimes an opening, marks and allowances of every kind. */
const anyPiece: fc.Arbitrary<PieceSpec> = fc
  .record({
    spokes: fc.array(fc.record({ r: fc.double({ min: 160, max: 260, noNaN: true }), curved: fc.boolean(), bow: coordinate }), {
      minLength: 3,
      maxLength: 9,
    }),
    opening: fc.boolean(),
    line: fc.constantFrom('cut', 'sew' as const),
    allowances: fc.array(fc.integer({ min: 0, max: 15 }), { minLength: 10, maxLength: 10 }),
    grain: fc.integer({ min: -89, max: 90 }),
    marks: fc.array(
      fc.record({
        kind: fc.constantFrom(...MARK_KINDS),
        x: coordinate,
        y: coordinate,
        dx: coordinate,
        width: fc.integer({ min: 1, max: 40 }),
      }),
      { maxLength: 6 },
    ),
  })
  .map(({ spokes, opening, line, allowances, grain, marks }) => {
    const corner = (i: number): Point => {
      const t = (2 * Math.PI * i) / spokes.length;
      const { r } = spokes[i % spokes.length]!;
      return [r * Math.cos(t), r * Math.sin(t)];
    };
    const edges = spokes.map(({ curved, bow }, i): DrawnEdge => {
      const [a, b] = [corner(i), corner(i + 1)];
      if (!curved) return { from: a };
      const out: Point = [0.12 * bow * (b[1] - a[1]), -0.12 * bow * (b[0] - a[0])];
      const at = (t: number): Point => [a[0] + t * (b[0] - a[0]) + out[0], a[1] + t * (b[1] - a[1]) + out[1]];
      return { from: a, curve: [at(0.3), at(0.7)] };
    });
    const holes: Outline[] = opening ? [[[-30, -25], [30, -25], [30, 25], [-30, 25]]] : []; // prettier-ignore
    return {
      shape: { kind: 'drawn' as const, edges, ...(opening ? { holes } : {}) },
      line,
      allowances: allowances.slice(0, edges.length + holes.length),
      fold: null,
      grain,
      marks: marks.map(({ kind, x, y, dx, width }): Mark => ({
        kind,
        at: [40 * x, 40 * y],
        ...(['dart', 'fold-line', 'zip', 'slash'].includes(kind) ? { to: [40 * x + 30 * dx, 40 * y + 20] as Point } : {}),
        ...(['dart', 'zip'].includes(kind) ? { width } : {}),
      })),
    };
  })
  .filter(({ shape }) => {
    try {
      requireOutline(drawShape(shape).outline);
      return true;
    } catch {
      return false;
    }
  });
const anyName = fc
  .string({ unit: fc.constantFrom(...'abcXYZ 019-_.,()äßé½“”&<>"\'#%漢'), minLength: 1, maxLength: 30 })
  .map((name) => name.trim().replace(/\s+/g, ' '))
  .filter((name) => name !== '');

const read = (text: string) => readOutlines(new TextEncoder().encode(text));
/** Largest distance of a corner of either outline from the other. */
const apart = (a: Outline, b: Outline) =>
  Math.max(...a.map((point) => distanceTo(b, point)), ...b.map((point) => distanceTo(a, point)));

function expectSame(back: FoundPiece, spec: PieceSpec, name: string, count: number) {
  const piece = openPiece(spec);
  // A piece comes back with its lower left corner at the origin.
  const { minX, minY } = bounds(piece.outline);
  const home = ([x, y]: Point): Point => [x - minX, y - minY];
  expect(back.name).toBe(name);
  expect(back.count).toBe(count);
  expect(apart(drawShape(back.shape).outline, piece.outline.map(home))).toBeLessThan(0.01);
  expect(Math.abs(Math.sin(((back.grain - spec.grain) * Math.PI) / 180))).toBeLessThan(1e-4);
  expect(back.shape.holes?.length ?? 0).toBe(piece.holes.length);
  piece.holes.forEach((hole, i) => expect(apart(back.shape.holes![i]!, hole.outline.map(home))).toBeLessThan(0.01));
  expect(back.marks.map(({ kind }) => kind).sort()).toEqual(spec.marks.map(({ kind }) => kind).sort());
  const away = (a: Point, b: Point) => Math.hypot(a[0] - home(b)[0], a[1] - home(b)[1]);
  for (const { kind, at, to, width } of spec.marks) {
    const near = back.marks
      .filter((mark) => mark.kind === kind)
      .map((mark) => away(mark.at, at) + (to ? away(mark.to!, to) : 0) + Math.abs((mark.width ?? 0) - (width ?? 0)));
    expect(Math.min(...near)).toBeLessThan(0.02);
  }
  const again = openPiece({ ...spec, shape: back.shape, line: 'cut', allowances: back.allowances, marks: [] });
  // Allowances come in to a tenth of a millimetre.
  expect(Math.abs(regionArea(again.seam) - regionArea(piece.seam))).toBeLessThan(0.005 * polygonArea(piece.outline));
}

describe('any piece', () => {
  it('is the same after DXF, with its name, quantity, grain, openings, marks and seams', () => {
    fc.assert(
      fc.property(anyPiece, anyName, fc.integer({ min: 1, max: 40 }), (spec, name, count) => {
        const { pieces, warnings } = read(
          writeDxf([writtenPiece(name, openPiece(spec), { cut: 'straight', grain: spec.grain }, count)]),
        );
        expect(warnings).toEqual([]);
        expect(pieces).toHaveLength(1);
        expectSame(pieces[0]!, spec, name, count);
      }),
      { numRuns: 100 },
    );
  });

  it('is the same after SVG, wherever it lies on the sheet', () => {
    fc.assert(
      fc.property(anyPiece, anyName, coordinate, coordinate, (spec, name, x, y) => {
        const sheet = { name: 'sheet', outline: [[0, 0], [2000, 0], [2000, 2000], [0, 2000]] as Outline }; // prettier-ignore
        const placement = { id: 'a', copy: 0, rotation: 0, flipped: false, x: 1000 + 500 * x, y: 1000 + 500 * y };
        const piece = writtenPiece(name, openPiece(spec), { cut: 'straight', grain: spec.grain }, 1);
        const { pieces } = read(writeSvg(name, [piece], [{ ...sheet, placed: [{ index: 0, placement }] }]));
        expect(pieces).toHaveLength(1);
        expectSame(pieces[0]!, spec, name, 1);
      }),
      { numRuns: 100 },
    );
  });
});

describe('a piece of ten thousand points', () => {
  const ring = (radius: number, corners: number) =>
    Array.from({ length: corners }, (_, i) => {
      const t = (2 * Math.PI * i) / corners;
      return `${(500 + radius * Math.cos(t)).toFixed(4)},${(500 + radius * Math.sin(t)).toFixed(4)}`;
    }).join(' ');
  const drawing = (corners: number, ...radii: number[]) =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="1000mm" height="1000mm" viewBox="0 0 1000 1000">${radii.map((radius) => `<polygon points="${ring(radius, corners)}"/>`).join('')}</svg>`;

  it('comes in with its seam, also when the seam is drawn on the outline itself', () => {
    for (const [corners, inner, allowance] of [
      [9900, 388, 12],
      [3000, 400, 0],
    ] as const) {
      const { pieces } = read(drawing(corners, 400, inner));
      expect(pieces).toHaveLength(1);
      expect(new Set(pieces[0]!.allowances)).toEqual(new Set([allowance]));
      expect(pieces[0]!.inner).toBe(0);
    }
  });
});
