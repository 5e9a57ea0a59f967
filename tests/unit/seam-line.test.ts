import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SeamLine } from '../../src/formats/drawing/seam-line';
import { inset, innermost, type DrawnEdge, type Outline, type Point } from '../../src/core/shape';
import { distanceTo, isInside } from '../files/geometry';

const round = (radius: number, corners: number): Outline =>
  Array.from({ length: corners }, (_, i) => [
    radius * Math.cos((2 * Math.PI * i) / corners),
    radius * Math.sin((2 * Math.PI * i) / corners),
  ]);
const rectangle = (w: number, h: number): Outline => [[0, 0], [w, 0], [w, h], [0, h]]; // prettier-ignore
/** All of an outline as one edge, as a file gives it. */
const oneEdge = ([from, ...via]: Outline): DrawnEdge[] => [{ from: from!, via }];

describe('a seam line', () => {
  it('tells its distance as measuring every segment does, up to the widest allowance', () => {
    const at = fc.double({ min: -300, max: 300, noNaN: true });
    const line = round(200, 90);
    const seam = new SeamLine(line);
    fc.assert(
      fc.property(at, at, (x, y) => {
        expect(seam.distance([x, y])).toBeCloseTo(Math.min(60, distanceTo(line, [x, y])), 9);
      }),
    );
  });

  it('tells the allowance at the longest segment of an edge, to a tenth', () => {
    const seam = new SeamLine(inset(rectangle(200, 100), [7.25, 10, 12, 15]).outlines[0]!);
    expect(seam.allowanceOf([[0, 0], [200, 0]])).toBe(7.3); // prettier-ignore
    // A short end that runs on past the corner is not asked.
    expect(seam.allowanceOf([[-3, 0], [0, 0], [200, 0], [201, 0]])).toBe(7.3); // prettier-ignore
    expect(seam.allowanceOf([[200, 0], [200, 100]])).toBe(10); // prettier-ignore
  });

  it('belongs to a piece that it follows all round, not to one that it only lies in', () => {
    const outline = rectangle(400, 300);
    expect(new SeamLine(inset(outline, 15).outlines[0]!).followsAllRound(outline)).toBe(true);
    expect(new SeamLine(inset(outline, 80).outlines[0]!).followsAllRound(outline)).toBe(false);
    expect(new SeamLine(rectangle(100, 100)).followsAllRound(outline)).toBe(false);
  });

  it('divides an edge where its allowance steps, and nowhere else', () => {
    const allowance = fc.integer({ min: 3, max: 15 });
    fc.assert(
      fc.property(allowance, allowance, fc.integer({ min: 30, max: 60 }), (first, second, half) => {
        const outline = round(150, 2 * half);
        const allowances = outline.map((_, i) => (i < half ? first : second));
        const seam = new SeamLine(inset(outline, allowances).outlines[0]!);
        const edges = seam.divided(oneEdge(outline), outline);
        expect(edges).toHaveLength(first === second ? 1 : 2);
        // No point is lost, none comes twice.
        expect(edges.flatMap(({ from, via = [] }) => [from, ...via])).toEqual(outline);
        if (first === second) return;
        const corner = outline.findIndex(([x, y]) => x === edges[1]!.from[0] && y === edges[1]!.from[1]);
        expect(Math.abs(corner - half)).toBeLessThanOrEqual(Math.ceil((2 * half * 12) / (2 * Math.PI * 150)));
      }),
      { numRuns: 60 },
    );
  });

  it('leaves curves and straight edges as they are', () => {
    const outline = rectangle(200, 100);
    const edges: DrawnEdge[] = [{ from: [0, 0] }, { from: [200, 0], curve: [[210, 30], [210, 70]] }, { from: [200, 100] }, { from: [0, 100] }]; // prettier-ignore
    expect(new SeamLine(inset(outline, 10).outlines[0]!).divided(edges, outline)).toEqual(edges);
  });
});

describe('the innermost point', () => {
  it('lies in the piece, as far from every edge as it says, and no other that is tried lies further', () => {
    const radius = fc.double({ min: 30, max: 120, noNaN: true });
    fc.assert(
      fc.property(fc.array(radius, { minLength: 3, maxLength: 12 }), (radii) => {
        const outline = radii.map((r, i): Point => {
          const t = (2 * Math.PI * i) / radii.length;
          return [r * Math.cos(t), r * Math.sin(t)];
        });
        const { at, distance } = innermost(outline);
        expect(isInside(at, outline)).toBe(true);
        expect(distance).toBeCloseTo(distanceTo(outline, at), 6);
        for (let x = -110; x <= 110; x += 20)
          for (let y = -110; y <= 110; y += 20)
            if (isInside([x, y], outline)) expect(distanceTo(outline, [x, y])).toBeLessThan(distance + 0.6);
      }),
      { numRuns: 60 },
    );
  });

  it('stays out of openings', () => {
    const { at, distance } = innermost(rectangle(300, 100), [[[100, 20], [100, 80], [290, 80], [290, 20]]]); // prettier-ignore
    expect(at[0]).toBeLessThan(60);
    expect(distance).toBeCloseTo(50, 0);
  });
});
