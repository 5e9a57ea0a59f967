import { describe, expect, it } from 'vitest';
import { openPiece, plainPiece } from '../../src/core/pieces';
import { carryChart, hoopGauge, layoutSheet, motifPaper, scrapCard, templates, type Template } from '../../src/formats/pdf';
import { hoopOutlines, type Hoop } from '../../src/core/hoop';
import { wordsOf } from '../files/pdf-text';
import { pathsOf } from '../files/pdf-lines';

/** Eighths as a ruler has them, and names of sewists from Oslo, Łódź, Plovdiv and Athens. */
const EIGHTHS = '⅛ ¼ ⅜ ½ ⅝ ¾ ⅞';
const NAMES = ['Żółta łódź', 'Ærfugl, størrelse 40', 'Яка, дясна', 'Ποδιά', 'Möwe № 3'];

const together = async (bytes: Uint8Array) => (await wordsOf(bytes)).join('').replace(/\s+/g, '');
/** Letters may be set one by one: what counts is which they are. */
const letters = (words: string) => words.replace(/\s+/g, '');

describe('prints, read back letter by letter', () => {
  it.each([...NAMES, EIGHTHS])('a template says “%s”', async (name) => {
    const piece = openPiece(plainPiece({ kind: 'rectangle', width: 150, height: 90, corners: [false, false, false, false], corner: 0 }, 10)); // prettier-ignore
    const template: Template = {
      ...{ name, material: name, outline: piece.outline, seam: piece.seam, holes: [], grain: 0, cut: 'straight' },
      ...{ oneWay: false, fold: null, marks: [], words: `Cut 2, ${EIGHTHS} in` },
    };
    const text = await together(await templates('Letters', [template], 'a4'));
    expect(text).toContain(letters(name));
    expect(text).not.toContain('?');
  });

  it.each([...NAMES, EIGHTHS])('a gauge and a chart say “%s”', async (name) => {
    const hoop: Hoop = {
      ...{ name, shape: 'rectangle', fieldWidth: 100, fieldHeight: 100, outerWidth: 140, outerHeight: 150, clamp: 12 },
      ...{ kind: 'screw', mount: 'arm', mountSide: 'left' },
    };
    expect(await together(await hoopGauge(name, hoopOutlines(hoop), 'letter'))).toContain(letters(name));
    const chart = await carryChart(['Light', name], [{ cloth: name, cells: [{ stack: name, share: 0.5 }, { stack: name, share: 1.2 }] }], 'letter'); // prettier-ignore
    expect((await together(chart)).split(letters(name)).length - 1).toBeGreaterThan(2);
    const box = { minX: 0, minY: 0, maxX: 40, maxY: 60 };
    expect(await together(await motifPaper(name, box, { outlines: [], trims: [], apart: [] }, 'letter'))).toContain(
      letters(name),
    );
  });

  it('a layout numbers what is too small for its name, once for all its sources, and says which it is', async () => {
    const strip = (name: string, x: number) => ({
      name,
      outline: [[x, 0], [x + 8, 0], [x + 8, 40], [x, 40]] as [number, number][], // prettier-ignore
    });
    const source = (name: string, placed: ReturnType<typeof strip>[]) => ({
      ...{ name, placed, marks: [] },
      outline: [[0, 0], [900, 0], [900, 3000], [0, 3000]] as [number, number][], // prettier-ignore
    });
    const sources = [source('Roll', [strip('Stay 1', 0), strip('Stay 2', 20)]), source('Kept', [strip('Tape 1', 0)])];
    const words = (await wordsOf(await layoutSheet({ title: 'Laid', words: [], sources }, 'a4'))).join(' ');
    expect(words.replace(/\s+/g, ' ')).toContain('1: Stay 1 · 2: Stay 2 · 3: Tape 1');
  });

  it('a layout shows the holes and stains of a leftover where they are', async () => {
    const square = (x: number, y: number, size: number): [number, number][] => [[x, y], [x + size, y], [x + size, y + size], [x, y + size]]; // prettier-ignore
    const source = { name: 'Kept', outline: square(0, 0, 400), placed: [], marks: [] };
    const drawn = async (spots: [number, number][][]) =>
      pathsOf(await layoutSheet({ title: 'Laid', words: [], sources: [{ ...source, spots }] }, 'a4'))
        .filter(({ lines }) => lines.length === 4)
        .map(({ lines }) => lines.map(({ from }) => from));
    const [cloth] = await drawn([]);
    const [again, spot, ...more] = await drawn([square(100, 300, 40)]);
    // Filled, and its line.
    expect([again, more]).toEqual([cloth, [spot]]);
    const box = (points: readonly (readonly number[])[]) => [0, 1].map((k) => points.map((at) => at[k]!)).map((each) => [Math.min(...each), Math.max(...each)]); // prettier-ignore
    const [[left, right], [low, high]] = box(cloth!) as [[number, number], [number, number]];
    const [[a, b], [c, d]] = box(spot!) as [[number, number], [number, number]];
    // The length runs to the right, the width down the sheet.
    expect([(a - left) / (right - left), (b - left) / (right - left)]).toEqual([
      expect.closeTo(0.75, 3),
      expect.closeTo(0.85, 3),
    ]);
    const down = [(high - d) / (high - low), (high - c) / (high - low)].sort();
    const up = [(c - low) / (high - low), (d - low) / (high - low)].sort();
    expect([down, up].some(([from, to]) => Math.abs(from! - 0.25) < 1e-3 && Math.abs(to! - 0.35) < 1e-3)).toBe(true);
  });

  it('a scrap card says its piece, cloth and stack', async () => {
    const [pieceName, clothName, stackTitle] = NAMES as [string, string, string];
    const plan = { grid: 'seconds' as const, materialId: 'x', width: 150, height: 120, cellWidth: 50, cellHeight: 120, rows: 1, columns: 1, cells: [{ name: 'A1', row: 0, column: 0, setting: { ironDots: 2, seconds: 6, steam: true, cover: 'damp-cloth' as const } }] }; // prettier-ignore
    const card = await scrapCard({ pieceName, clothName, stackTitle, glued: true, sheets: true, plan, predicted: { bendingLength: 31, low: 28, high: 35 }, expectedOverhang: 62, washed: EIGHTHS }, 'a4'); // prettier-ignore
    const text = await together(card);
    for (const words of [pieceName, clothName, stackTitle]) expect(text).toContain(letters(words));
    expect(text).not.toContain('?');
  });
});
