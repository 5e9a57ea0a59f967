import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bend,
  drawShape,
  edgeMeasures,
  edgePoints,
  endOf,
  mirrorAtEdge,
  moveControl,
  moveCorner,
  polygonArea,
  removeCorner,
  setEdge,
  snapped,
  splitEdge,
  straighten,
  type DrawnEdge,
  type Edited,
  type Point,
} from '../../src/core/shape';

/** A rectangle of 200 × 100 mm with one curved edge on its right. */
const piece = (): Edited => ({
  edges: [
    { from: [0, 0] },
    { from: [200, 0], curve: [[230, 30], [230, 70]] }, // prettier-ignore
    { from: [200, 100] },
    { from: [0, 100] },
  ],
  sources: [0, 1, 2, 3],
});
const areaOf = ({ edges }: Edited) => polygonArea(drawShape({ kind: 'drawn', edges }).outline);
/** Points along one edge, ends included. */
const along = (edited: Edited, edge: number) => edgePoints(edited.edges[edge]!, endOf(edited, edge));
const place = fc.tuple(fc.integer({ min: -50, max: 250 }), fc.integer({ min: -50, max: 150 }));

describe('corners', () => {
  it('are moved, and curves that meet there keep their direction', () => {
    const moved = moveCorner(piece(), 1, [210, -20]);
    expect(moved.edges[1]!.from).toEqual([210, -20]);
    // The control point at the corner went along, the one at the far end stayed.
    expect(moved.edges[1]!.curve).toEqual([[240, 10], [230, 70]]); // prettier-ignore
    expect(endOf(moved, 0)).toEqual([210, -20]);
  });

  it('moved there and back leave the outline as it was', () => {
    fc.assert(
      fc.property(fc.nat(3), place, (corner, to) => {
        const start = piece().edges[corner]!.from;
        const back = moveCorner(moveCorner(piece(), corner, to as Point), corner, start);
        expect(areaOf(back)).toBeCloseTo(areaOf(piece()), 6);
      }),
    );
  });

  it('take the points of a line from a file along, the nearer the more', () => {
    const drawn: Edited = { edges: [{ from: [0, 0], via: [[50, 5], [100, 5], [150, 5]] }, { from: [200, 0] }, { from: [100, 90] }], sources: [0, 1, 2] }; // prettier-ignore
    const { via } = moveCorner(drawn, 1, [200, 40]).edges[0]!;
    expect(via!.map(([, y]) => y)).toEqual([15, 25, 35]);
  });

  it('are put into an edge without changing the outline', () => {
    for (const edge of [0, 1, 2, 3]) {
      const split = splitEdge(piece(), edge);
      expect(split.edges).toHaveLength(5);
      expect(split.sources.filter((source) => source === edge)).toHaveLength(2);
      expect(areaOf(split)).toBeCloseTo(areaOf(piece()), 0);
    }
    const middle = splitEdge(piece(), 1).edges[2]!.from;
    expect(middle).toEqual([222.5, 50]);
  });

  it('put in and taken out again give the straight edge that was there', () => {
    const split = splitEdge(piece(), 0);
    expect(removeCorner(split, 1)).toEqual(piece());
  });

  it('stay when nothing would be left of the outline', () => {
    const triangle: Edited = { edges: [{ from: [0, 0] }, { from: [90, 0] }, { from: [40, 60] }], sources: [0, 1, 2] };
    expect(() => removeCorner(triangle, 2)).toThrow(/at least 3/);
  });
});

describe('edges', () => {
  it('are bent outward, moved by their control points, and straightened', () => {
    const bent = bend(piece(), 0);
    expect(areaOf(bent)).toBeGreaterThan(areaOf(piece()));
    expect(bend(bent, 0)).toEqual(bent);
    const deeper = moveControl(bent, 0, 0, [60, -60]);
    expect(areaOf(deeper)).toBeGreaterThan(areaOf(bent));
    expect(deeper.edges[0]!.curve![1]).toEqual(bent.edges[0]!.curve![1]);
    expect(straighten(deeper, 0)).toEqual(piece());
  });

  it('are given a length and an angle exactly', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        (length, angle) => {
          const found = edgeMeasures(setEdge(piece(), 3, length, angle), 3);
          expect(found.length).toBeCloseTo(length, 2);
          const off = Math.abs(found.angle - angle) % 360;
          // A micrometre at the end of a short edge is a larger angle.
          expect(Math.min(off, 360 - off)).toBeLessThan(0.1);
        },
      ),
    );
    expect(edgeMeasures(piece(), 0)).toEqual({ length: 200, angle: 0 });
    expect(edgeMeasures(piece(), 2)).toEqual({ length: 200, angle: 180 });
    expect(edgeMeasures(piece(), 3).angle).toBe(270);
    expect(() => setEdge(piece(), 0, 0, 0)).toThrow(/^length: /);
  });

  it('mirror a half into a whole twice its area, each edge with its twin', () => {
    const whole = mirrorAtEdge(piece(), 3);
    expect(areaOf(whole)).toBeCloseTo(2 * areaOf(piece()), 3);
    expect(whole.sources).toEqual([0, 1, 2, 2, 1, 0]);
    // Symmetrical about x = 0, curves too.
    const points = whole.edges.flatMap((_, edge) => along(whole, edge));
    for (const [x, y] of points) expect(points.some(([px, py]) => Math.hypot(px + x, py - y) < 0.01)).toBe(true);
  });

  it('of a file, through many points, become few curves that keep to them', () => {
    const via = Array.from({ length: 19 }, (_, i): Point => [10 * (i + 1), 20 * Math.sin(((i + 1) * Math.PI) / 20)]);
    const drawn: Edited = { edges: [{ from: [0, 0], via }, { from: [200, 0] }, { from: [100, 150] }], sources: [0, 1, 2] };
    const curved = bend(drawn, 0);
    const added: DrawnEdge[] = curved.edges.slice(0, curved.edges.length - 2);
    expect(added.every(({ curve }) => curve !== undefined)).toBe(true);
    expect(Math.abs(areaOf(curved) / areaOf(drawn) - 1)).toBeLessThan(0.01);
  });
});

describe('the ruler', () => {
  it('snaps to millimetres and to sixteenths of an inch', () => {
    expect(snapped([12.4, 7.6], 1)).toEqual([12, 8]);
    const [x] = snapped([10, 0], 25.4 / 16);
    expect(x).toBeCloseTo((6 * 25.4) / 16, 2);
    expect(snapped([12.4, 7.6], 0)).toEqual([12.4, 7.6]);
  });
});
