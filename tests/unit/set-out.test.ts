import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { openPiece, plainPiece, setOut, type OpenPiece } from '../../src/core/pieces';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { isInside, polygonArea } from '../../src/core/shape';
import { jobRegion, laidCut, type LayeredJob } from '../../src/core/workpiece';

const boxes = fc.array(fc.record({ width: fc.integer({ min: 5, max: 1200 }), height: fc.integer({ min: 5, max: 1200 }) }), {
  minLength: 1,
  maxLength: 24,
});

describe('pieces set out on a board', () => {
  it('lie clear of each other, in reading order, inside what is told', () => {
    fc.assert(
      fc.property(boxes, fc.double({ min: 0.5, max: 3, noNaN: true }), (all, ratio) => {
        const gap = 10;
        const { at, width, height } = setOut(all, ratio, gap);
        expect(at).toHaveLength(all.length);
        at.forEach(([x, y], i) => {
          const { width: w, height: h } = all[i]!;
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x + w).toBeLessThanOrEqual(width + 1e-6);
          expect(y).toBeLessThanOrEqual(0);
          expect(h - y).toBeLessThanOrEqual(height + 1e-6);
          for (let k = 0; k < i; k++) {
            const [[ox, oy], other] = [at[k]!, all[k]!];
            const apart = ox + other.width + gap <= x + 1e-6 || x + w + gap <= ox + 1e-6 || oy - other.height - gap >= y - 1e-6;
            expect(apart).toBe(true);
          }
        });
      }),
    );
  });

  it('are never smaller than all in one row or one column', () => {
    fc.assert(
      fc.property(boxes, fc.double({ min: 0.5, max: 3, noNaN: true }), (all, ratio) => {
        const { width, height } = setOut(all, ratio, 0);
        const size = Math.max(width / ratio, height);
        const sum = (of: 'width' | 'height') => all.reduce((s, each) => s + each[of], 0);
        const most = (of: 'width' | 'height') => Math.max(...all.map((each) => each[of]));
        expect(size).toBeLessThanOrEqual(Math.max(sum('width') / ratio, most('height')) + 1e-6);
      }),
    );
  });
});

describe('a cut laid down to be looked at', () => {
  it('keeps corners, edges and size of an outline that is finer than a picture, with far fewer points', () => {
    const n = 9000;
    const round = Array.from({ length: n }, (_, i): [number, number] => {
      const t = (2 * Math.PI * i) / n;
      return [500 + 500 * Math.cos(t), 300 + 300 * Math.sin(t)];
    });
    const shape = {
      ...{ kind: 'drawn' as const, holes: [[[450, 250], [450, 350], [550, 350], [550, 250]] as [number, number][]] },
      edges: [
        { from: round[0]!, via: round.slice(1, n / 2) },
        { from: round[n / 2]!, via: round.slice(n / 2 + 1) },
      ],
    }; // prettier-ignore
    const piece = { shape, line: 'cut' as const, allowances: [10, 12, 0], fold: null, grain: 0, marks: [] };
    const { open, width, height, turned } = laidCut(piece, { own: null })!;
    expect(open.outline.length).toBeLessThan(1000);
    expect([Math.round(width), Math.round(height), turned]).toEqual([1000, 600, false]);
    expect(new Set(open.edges)).toEqual(new Set([0, 1]));
    expect(open.holes).toHaveLength(1);
    expect(polygonArea(open.outline)).toBeCloseTo(Math.PI * 500 * 300, -3);
  });
});

describe('the region of a job', () => {
  const piece: OpenPiece = openPiece(
    plainPiece({ kind: 'rectangle', width: 300, height: 100, corners: [false, false, false, false], corner: 0 }, 10),
  );
  const job = (more: Partial<LayeredJob>): LayeredJob & { clothWeight: number | null } => ({
    ...{ clothWeight: null, name: '', place: { kind: 'usual' }, wish: { role: 'collar' }, layers: [] },
    ...more,
  });
  const area = (of: ReturnType<typeof job>) =>
    jobRegion(of, piece, 6)
      .flat()
      .reduce((sum, outline) => sum + Math.abs(polygonArea(outline)), 0);

  it('is the place before anything is chosen: inside the seam, along edges, round a corner', () => {
    // It is cut 300 × 100 mm, 10 mm of that are allowance on each side.
    expect(area(job({}))).toBeCloseTo(280 * 80, 3);
    expect(area(job({ place: { kind: 'patch', at: [0, 0], size: 20 } }))).toBeLessThanOrEqual(20 * 20 + 1e-6);
    const along = area(job({ place: { kind: 'edges', edges: [0], width: 30 }, wish: { role: 'hem' } }));
    expect(along).toBeGreaterThan(300 * 25);
    expect(along).toBeLessThan(320 * 35);
  });

  it('lies on its piece', () => {
    for (const place of [{ kind: 'whole' }, { kind: 'edges', edges: [1, 2], width: 20 }, { kind: 'usual' }] as const)
      for (const outline of jobRegion(job({ place: { ...place } as LayeredJob['place'] }), piece, 6).flat())
        for (const [x, y] of outline)
          expect(isInside([x * 0.999 + 0.001 * 150, y * 0.999 + 0.001 * 50], piece.outline)).toBe(true);
  });

  it('is told layer by layer: two of a kind that lie on each other are two', () => {
    const mesh = LIBRARY_LAYERS.find(({ family }) => family === 'mesh')!;
    const layers = [mesh, mesh].map((material) => ({ material, extent: 'net' as const }));
    const [first, second] = jobRegion(job({ layers }), piece, 6);
    expect(first).toHaveLength(1);
    expect(second).toEqual(first);
  });

  it('is nothing where it cannot be drawn, and throws nothing', () => {
    expect(jobRegion(job({ place: { kind: 'edges', edges: [77], width: 30 } }), piece, 6).flat()).toEqual([]);
  });
});
