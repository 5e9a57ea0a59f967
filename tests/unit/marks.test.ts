import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  edgeRuns,
  MARK_KINDS,
  markLines,
  newMark,
  openPiece,
  plainPiece,
  quarterMarks,
  snapMark,
  type Mark,
} from '../../src/core/pieces';
import type { PieceShape, Point } from '../../src/core/shape';

const square: PieceShape = {
  kind: 'rectangle',
  width: 200,
  height: 100,
  corners: [false, false, false, false],
  corner: 10,
};
const piece = openPiece(plainPiece(square, 10));
const [left, bottom] = piece.outline.reduce(([x, y], [px, py]) => [Math.min(x, px), Math.min(y, py)] as Point, [
  Infinity,
  Infinity,
] as Point);
const at = (x: number, y: number): Point => [left + x, bottom + y];
const apart = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const close = (a: Point, b: Point) => expect(apart(a, b)).toBeLessThan(1e-9);

describe('a mark that somebody puts down', () => {
  it('of the centre front lies exactly on the centre when it was touched near it, and where it was touched otherwise', () => {
    close(newMark('centre-front', piece, at(108, 30)).at, at(100, 30));
    close(newMark('centre-back', piece, at(60, 30)).at, at(60, 30));
  });

  it('of any kind goes onto an axis that it nearly lies on, and no farther', () => {
    close(newMark('drill', piece, at(104, 52)).at, at(100, 50));
    close(newMark('drill', piece, at(112, 44)).at, at(112, 44));
  });

  it('on an edge is a notch or the mouth of a dart, which points inward', () => {
    close(newMark('notch', piece, at(40, 7)).at, at(40, 0));
    for (const [place, mouth, tip] of [
      [at(40, 7), at(40, 0), at(40, 40)],
      [at(196, 60), at(200, 60), at(160, 60)],
      [at(80, 99), at(80, 100), at(80, 60)],
      [at(2, 30), at(0, 30), at(40, 30)],
    ] as const) {
      const dart = newMark('dart', piece, place);
      close(dart.at, mouth);
      close(dart.to!, tip);
    }
  });

  it('as a fold line runs from edge to edge at its height, as a zip window lies with its middle there', () => {
    const fold = newMark('fold-line', piece, at(30, 20));
    close(fold.at, at(0, 20));
    close(fold.to!, at(200, 20));
    const zip = newMark('zip', piece, at(101, 70));
    close([(zip.at[0] + zip.to![0]) / 2, (zip.at[1] + zip.to![1]) / 2], at(100, 70));
  });
});

describe('the lines of a mark', () => {
  it('are two equally long legs of a dart, as far apart at its mouth as it is wide', () => {
    fc.assert(
      fc.property(fc.tuple(fc.integer(), fc.integer()), fc.integer({ min: 1, max: 80 }), ([x, y], width) => {
        const to: Point = [(x % 300) + 0.5, y % 300];
        const [legs] = markLines({ kind: 'dart', at: [0, 0], to, width }) as [[Point, Point, Point]];
        expect(legs).toHaveLength(3);
        expect(legs[1]).toEqual(to);
        expect(apart(legs[0], to)).toBeCloseTo(apart(legs[2], to), 6);
        expect(apart(legs[0], legs[2])).toBeCloseTo(width, 6);
        close([(legs[0][0] + legs[2][0]) / 2, (legs[0][1] + legs[2][1]) / 2], [0, 0]);
      }),
    );
  });

  it('are the frame of a zip window, closed', () => {
    const [frame] = markLines({ kind: 'zip', at: [10, 20], to: [110, 20], width: 10 });
    expect(frame!.at(-1)).toEqual(frame![0]);
    expect(frame!.slice(0, 4).map(([x, y]) => `${x} ${y}`).sort()).toEqual(['10 15', '10 25', '110 15', '110 25'].sort()); // prettier-ignore
  });

  it('are none where a mark is a place, or says no other end', () => {
    expect(markLines({ kind: 'notch', at: [0, 0] })).toEqual([]);
    expect(markLines({ kind: 'fold-line', at: [0, 0] })).toEqual([]);
    expect(markLines({ kind: 'dart', at: [3, 3], to: [3, 3], width: 20 })).toEqual([]);
  });
});

describe('a mark drawn to an axis or an edge', () => {
  const dart: Mark = { kind: 'dart', at: at(40, 0), to: at(44, 50), width: 20 };

  it('moves as a whole', () => {
    const moved = snapMark(dart, piece, 'edge-middle');
    close(moved.at, at(100, 0));
    close(moved.to!, at(104, 50));
    expect(moved.width).toBe(20);
  });

  it('lies on the centre line, half-way up, or on the nearest edge exactly', () => {
    const point: Mark = { kind: 'snap', at: at(37.3, 12.7) };
    close(snapMark(point, piece, 'centre').at, at(100, 12.7));
    close(snapMark(point, piece, 'half-way').at, at(37.3, 50));
    close(snapMark(point, piece, 'edge').at, at(37.3, 0));
    const zip: Mark = { kind: 'zip', at: at(20, 20), to: at(100, 20), width: 10 };
    close(snapMark(zip, piece, 'centre').at, at(60, 20));
  });

  it('of a piece on the fold lies on the fold, though only half of it was drawn', () => {
    const onFold = openPiece({ ...plainPiece(square, 10), fold: 1, allowances: [10, 0, 10, 10] });
    const foldX = onFold.fold![0][0];
    expect(snapMark({ kind: 'drill', at: [foldX - 30, 40] }, onFold, 'centre').at[0]).toBeCloseTo(foldX, 9);
  });
});

describe('quarter points', () => {
  it('part an edge in four', () => {
    const marks = quarterMarks(piece, at(70, 2));
    expect(marks.map(({ kind }) => kind)).toEqual(['quarter', 'quarter', 'quarter']);
    [50, 100, 150].forEach((x, i) => close(marks.map(({ at: place }) => place).sort((a, b) => a[0] - b[0])[i]!, at(x, 0)));
  });

  it('of a round edge are four, equally far from each other', () => {
    const round = openPiece(plainPiece({ kind: 'circle', diameter: 200 } as PieceShape, 10));
    const places = quarterMarks(round, round.outline[0]!).map(({ at: place }) => place);
    expect(places).toHaveLength(4);
    places.forEach((place, i) => expect(apart(place, places[(i + 1) % 4]!)).toBeCloseTo(100 * Math.SQRT2, 0));
  });
});

describe('a mark of a piece on the fold', () => {
  const spec = { ...plainPiece(square, 10), fold: 1, allowances: [10, 0, 10, 10] };
  const foldX = openPiece(spec).fold![0][0];

  it('comes twice, with both its ends mirrored', () => {
    const dart: Mark = { kind: 'dart', at: [foldX - 120, 0], to: [foldX - 110, 40], width: 20 };
    const { marks } = openPiece({ ...spec, marks: [dart] });
    expect(marks).toHaveLength(2);
    close(marks[1]!.at, [foldX + 120, 0]);
    close(marks[1]!.to!, [foldX + 110, 40]);
  });

  it('comes once where it lies on the fold, or crosses it squarely at its half', () => {
    const along: Mark = { kind: 'fold-line', at: [foldX, 10], to: [foldX, 60] };
    const across: Mark = { kind: 'zip', at: [foldX - 50, 30], to: [foldX + 50, 30], width: 10 };
    const leaning: Mark = { kind: 'zip', at: [foldX - 50, 30], to: [foldX + 50, 44], width: 10 };
    expect(openPiece({ ...spec, marks: [along] }).marks).toHaveLength(1);
    expect(openPiece({ ...spec, marks: [across] }).marks).toHaveLength(1);
    expect(openPiece({ ...spec, marks: [leaning] }).marks).toHaveLength(2);
  });
});

it('every kind of mark can be put into any piece, and stays in it or on its border', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...MARK_KINDS),
      fc.double({ min: 1, max: 199, noNaN: true }),
      fc.double({ min: 1, max: 99, noNaN: true }),
      (kind, x, y) => {
        const mark = newMark(kind, piece, at(x, y));
        expect(mark.kind).toBe(kind);
        const held = ([px, py]: Point) => px >= left && px <= left + 200 && py >= bottom && py <= bottom + 100;
        expect(held(mark.at) || kind === 'zip').toBe(true);
        if (kind === 'dart') expect(held(mark.to!)).toBe(true);
      },
    ),
  );
});

it('the border falls into its edges, each whole, and openings', () => {
  const runs = edgeRuns(piece);
  expect(runs.map(({ edge }) => edge).sort()).toEqual([0, 1, 2, 3]);
  runs.forEach(({ points, closed }) => {
    expect(closed).toBe(false);
    expect([100, 200]).toContain(Math.round(apart(points[0]!, points.at(-1)!)));
  });
});
