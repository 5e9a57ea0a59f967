import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  COLOUR,
  islandsOf,
  ISLAND_GAP,
  JUMP,
  motifFigures,
  movedMotif,
  outlinesBox,
  STITCH,
  stitchedMotif,
  trimOutlines,
  widerBox,
  type Motif,
} from '../../src/core/motif';
import { polygonArea, type Outline, type Point } from '../../src/core/shape';
import { distanceTo, isInside } from '../files/geometry';

const square = (x: number, y: number, side: number): Outline => [[x, y], [x + side, y], [x + side, y + side], [x, y + side]]; // prettier-ignore
const filled = (...all: Outline[]): Motif =>
  stitchedMotif(
    'blocks',
    all.map((outline) => ({
      outlines: [outline],
      stitching: { kind: 'fill' as const, spacing: 0.5, stitchLength: 3, angle: 0 },
    })),
  );
const found = (motif: Motif) => islandsOf(motif, motifFigures(motif).bounds!);
/** Where the needle goes in. */
const holes = ({ x, y, command }: Motif): Point[] =>
  [...command].flatMap((each, i): Point[] => (each === STITCH ? [[x[i]!, y[i]!]] : []));
const motifOf = (records: [command: number, x: number, y: number][]): Motif => ({
  name: 'points',
  command: Uint8Array.from(records, ([command]) => command),
  x: Float64Array.from(records, ([, x]) => x),
  y: Float64Array.from(records, ([, , y]) => y),
});

describe('ground that is stitched', () => {
  it('of a filled square is the square and about a millimetre around it', () => {
    const [island] = found(filled(square(0, 0, 40)));
    expect(island!.area).toBeGreaterThan(40 * 40);
    expect(island!.area).toBeLessThan(43 * 43);
  });

  it('of an outline is the line, not what it goes round', () => {
    const round = motifOf(
      Array.from({ length: 201 }, (_, i): [number, number, number] => {
        const angle = (i / 200) * 2 * Math.PI;
        return [STITCH, 40 + 40 * Math.cos(angle), 40 + 40 * Math.sin(angle)];
      }),
    );
    const [island] = found(round);
    // 251 mm of line, drawn in over two or three millimetres.
    expect(island!.area).toBeGreaterThan(1.5 * 251);
    expect(island!.area).toBeLessThan(3.5 * 251);
    expect(found(filled(square(0, 0, 20), square(60, 0, 20))).map(({ area }) => area > 400 && area < 23 * 23)).toEqual([
      true,
      true,
    ]);
  });
});

describe('islands of stitching', () => {
  it('are one where the gap is small, two where it is not', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 8, noNaN: true }), (gap) => {
        const count = found(filled(square(0, 0, 12), square(12 + gap, 0, 12))).length;
        // As squares fall, up to twice the gap may be bridged.
        if (gap < ISLAND_GAP - 0.8) expect(count).toBe(1);
        if (gap > 2 * ISLAND_GAP + 0.1) expect(count).toBe(2);
      }),
      { numRuns: 60 },
    );
  });

  it('hold every stitch and all of the thread, however the motif lies', () => {
    const motif = filled(square(0, 0, 10), square(30, 5, 14), square(5, 40, 8));
    const islands = found(motif);
    expect(islands.map(({ number }) => number)).toEqual([1, 2, 3]);
    expect(islands.reduce((sum, { stitches }) => sum + stitches, 0)).toBe(holes(motif).length);
    for (const [dx, dy] of [
      [-300, 12.3],
      [0.07, -0.41],
    ] as const) {
      // prettier-ignore
      const moved = found(movedMotif(motif, false, 0, dx, dy));
      expect(moved.map(({ stitches }) => stitches)).toEqual(islands.map(({ stitches }) => stitches));
      moved.forEach(({ threadLength }, i) => expect(threadLength).toBeCloseTo(islands[i]!.threadLength, 6));
    }
  });

  it('have outlines that hold their stitches and not much more', () => {
    const motif = filled(square(0, 0, 20), square(40, 0, 20));
    const islands = found(motif);
    for (const hole of holes(motif)) {
      const own = islands.find(({ outlines }) => outlines.some((outline) => isInside(hole, outline, 0.4)));
      expect(own).toBeDefined();
    }
    for (const { outlines } of islands) {
      expect(polygonArea(outlines[0]!)).toBeGreaterThan(19 * 19);
      expect(polygonArea(outlines[0]!)).toBeLessThan(22 * 22);
    }
  });

  it('of a single stitch have room round them all the same', () => {
    const motif = motifOf([[STITCH, 0, 0], [JUMP, 20, 0], [COLOUR, 20, 0], [STITCH, 20, 0]]); // prettier-ignore
    const islands = found(motif);
    expect(islands.map(({ stitches, threadLength }) => [stitches, threadLength])).toEqual([[1, 0], [1, 0]]); // prettier-ignore
    for (const { outlines } of islands) expect(polygonArea(outlines[0]!)).toBeGreaterThan(0);
  });

  it('are not outlined when nobody asks', () => {
    const motif = filled(square(0, 0, 10));
    expect(islandsOf(motif, motifFigures(motif).bounds!, false)[0]!.outlines).toEqual([]);
  });
});

describe('where a sheet is trimmed', () => {
  it('keeps its distance from every stitch, and joins islands that are near', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 8, noNaN: true }), fc.double({ min: 3, max: 30, noNaN: true }), (distance, gap) => {
        const motif = filled(square(0, 0, 10), square(10 + gap, 0, 10));
        const trims = trimOutlines(found(motif), distance);
        for (const hole of holes(motif)) {
          const own = trims.find((outline) => isInside(hole, outline));
          expect(own).toBeDefined();
          // Squares of half a millimetre blur the rim.
          expect(distanceTo(own!, hole)).toBeGreaterThan(distance - 0.8);
        }
        if (gap < 2 * distance - 1.5) expect(trims).toHaveLength(1);
        if (gap > 2 * distance + 1.5) expect(trims).toHaveLength(2);
      }),
      { numRuns: 40 },
    );
  });

  it('is told by boxes too', () => {
    expect(widerBox({ minX: 0, minY: 1, maxX: 2, maxY: 3 }, 5)).toEqual({ minX: -5, minY: -4, maxX: 7, maxY: 8 });
    expect(outlinesBox([square(0, 0, 3), square(-4, 10, 2)])).toEqual({ minX: -4, minY: 0, maxX: 3, maxY: 12 });
  });
});
