import { PDFDocument } from 'pdf-lib';
import { describe, expect, it } from 'vitest';
import {
  carryChart,
  hoopGauge,
  measuringSheet,
  motifPaper,
  PAPERS,
  scrapCard,
  SHEETS,
  templates,
  type Paper,
  type Template,
} from '../../src/formats/pdf';
import { hoopOutlines, type Hoop } from '../../src/core/hoop';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { candidatesPlan, sprayPlan } from '../../src/core/scrap';
import type { Outline, PieceShape } from '../../src/core/shape';
import { grainEnds } from '../../src/formats/dxf/write-dxf';
import { isInside } from '../files/geometry';
import { openPiece, plainPiece } from '../../src/core/pieces';
import { lengthOf, linesOf, pathsOf } from '../files/pdf-lines';

describe.each(SHEETS.flatMap((sheet) => (['a4', 'letter'] as const).map((paper) => [sheet, paper] as const)))(
  '%s on %s',
  (sheet, paper) => {
    it('is one page of the right size with a square of exactly 50 mm, and nothing runs off the paper', async () => {
      const bytes = await measuringSheet(sheet, paper);
      const text = Buffer.from(bytes).toString('latin1');
      expect(text.startsWith('%PDF-')).toBe(true);
      const lines = linesOf(bytes);
      const [width, height] = PAPERS[paper];
      for (const { from, to } of lines) {
        for (const [x, y] of [from, to]) {
          expect(x).toBeGreaterThan(4);
          expect(x).toBeLessThan(width - 4);
          expect(y).toBeGreaterThan(4);
          expect(y).toBeLessThan(height - 4);
        }
      }
      const sides = lines.filter((line) => Math.abs(lengthOf(line) - 50) < 0.001);
      const upright = sides.filter(({ from, to }) => Math.abs(from[0] - to[0]) < 0.001);
      const level = sides.filter(({ from, to }) => Math.abs(from[1] - to[1]) < 0.001);
      expect(upright.length).toBeGreaterThanOrEqual(2);
      expect(level.length).toBeGreaterThanOrEqual(2);
    });

    it('is the same file each time', async () => {
      expect(Buffer.from(await measuringSheet(sheet, paper)).equals(Buffer.from(await measuringSheet(sheet, paper)))).toBe(true);
    });
  },
);

describe('the jig', () => {
  it('slopes at 41.5 degrees on both cheeks', async () => {
    const slopes = linesOf(await measuringSheet('jig', 'a4')).filter((line) => Math.abs(lengthOf(line) - 150) < 0.01);
    expect(slopes.length).toBe(2);
    for (const { from, to } of slopes) {
      const angle = (Math.atan2(Math.abs(to[1] - from[1]), Math.abs(to[0] - from[0])) * 180) / Math.PI;
      expect(angle).toBeCloseTo(41.5, 4);
    }
  });
});

describe('the swatch', () => {
  it('is 100 mm square, and the strip 25 mm wide', async () => {
    const lengths = linesOf(await measuringSheet('swatch', 'a4')).map(lengthOf);
    expect(lengths.filter((each) => Math.abs(each - 100) < 0.001).length).toBeGreaterThanOrEqual(4);
    expect(lengths.filter((each) => Math.abs(each - 25) < 0.001).length).toBeGreaterThanOrEqual(2);
  });
});

describe('the scrap card', () => {
  it('has a line for every field and takes words beyond Latin letters', async () => {
    const bytes = await scrapCard(
      {
        pieceName: 'Collar “Möwe” №3',
        clothName: 'Leinen–Baumwolle',
        stackTitle: 'Medium woven fusible, 60 g',
        glued: true,
        sheets: true,
        plan: {
          grid: 'seconds',
          materialId: 'medium-woven-fusible-60-g',
          width: 150,
          height: 120,
          cellWidth: 50,
          cellHeight: 120,
          rows: 1,
          columns: 3,
          cells: [6, 10, 15].map((seconds, column) => ({
            name: `A${column + 1}`,
            row: 0,
            column,
            setting: { ironDots: 2, seconds, steam: true, cover: 'damp-cloth' },
          })),
        },
        predicted: { bendingLength: 31, low: 28, high: 35 },
        expectedOverhang: 62,
        washed: 'washed warm',
      },
      'letter',
    );
    expect(linesOf(bytes).length).toBeGreaterThan(12);
  });

  const poplin = LIBRARY_CLOTHS.find(({ name }) => name === 'Shirting poplin')!;
  const layer = (id: string) => LIBRARY_LAYERS.find((each) => each.id === id)!;
  const stack = {
    layers: [{ material: layer('medium-woven-fusible-60-g'), extent: 'full' as const, angle: 0 }],
    schools: DEFAULT_SCHOOLS,
  };
  it.each([
    ['doses by rounds', sprayPlan(poplin, layer('starch'), 3), false],
    ['four stacks side by side', candidatesPlan(poplin, [stack, stack, stack, stack]), true],
  ])('of %s has a row for each piece, and its table stays on every paper', async (_, plan, glued) => {
    for (const paper of ['a4', 'letter'] as const) {
      const bytes = await scrapCard(
        {
          ...{ pieceName: 'Collar', clothName: 'Poplin', stackTitle: 'Starch', glued, sheets: glued, plan },
          ...{ stackTitles: Array(4).fill('Brushed cotton mulling, 130 g + Two-ply buckram, 430 g') as string[] },
          ...{ predicted: { bendingLength: 31, low: 28, high: 35 }, expectedOverhang: 62, washed: 'washed warm' },
        },
        paper,
      );
      const lines = linesOf(bytes);
      for (const [x, y] of lines.flatMap(({ from, to }) => [from, to])) {
        expect(x).toBeGreaterThan(10);
        expect(x).toBeLessThan(PAPERS[paper][0] - 10);
        expect(y).toBeGreaterThan(10);
      }
      // A line below each row, and one above the first.
      const level = lines.filter(({ from, to }) => Math.abs(from[1] - to[1]) < 0.001);
      expect(level).toHaveLength(plan.cells.length + 1);
    }
  });
});

describe('templates', () => {
  const piece = openPiece(plainPiece({ kind: 'sector', inner: 150, outer: 480, angle: 90 }, 10));
  const template: Template = {
    name: 'Cape panel',
    material: 'Medium woven fusible, 60 g',
    outline: piece.outline,
    seam: piece.seam,
    holes: [],
    grain: 0,
    cut: 'straight',
    oneWay: false,
    fold: null,
    marks: [],
    words: 'Cut 3.',
  };

  it.each(['a4', 'letter', 'a3', 'single'] as const)('carry a square of exactly 50 mm on %s', async (paper) => {
    const sides = linesOf(await templates('Cape', [template], paper)).filter((line) => Math.abs(lengthOf(line) - 50) < 0.001);
    expect(sides.length).toBeGreaterThanOrEqual(4);
  });

  it.each([
    ['a hat’s tip', { kind: 'ellipse', width: 168, height: 202 }, 1],
    ['a brim with its opening', { kind: 'ring', outer: 185, inner: 60 }, 1],
    [
      'what fills the sheet but for its middle',
      { kind: 'rectangle', width: 184, height: 270, corners: [false, false, false, false], corner: 0 },
      1,
    ],
    [
      'a long narrow piece, square and writing beside it',
      { kind: 'rectangle', width: 60, height: 270, corners: [false, false, false, false], corner: 0 },
      1,
    ],
    [
      'what is full of marks: the square has a sheet of its own',
      { kind: 'rectangle', width: 186, height: 272, corners: [false, false, false, false], corner: 0 },
      2,
    ],
  ] as const)('keep the square clear of every line: %s', async (_, shape, sheets) => {
    const opened = openPiece(plainPiece(shape as PieceShape, 8));
    const round = {
      ...template,
      outline: opened.outline,
      seam: opened.seam,
      holes: opened.holes.map(({ outline }) => outline),
      grain: null,
      marks:
        sheets === 1
          ? []
          : Array.from({ length: 40 }, (_, k) => ({
              kind: 'drill' as const,
              at: [20 + 35 * (k % 5), 18 + 33 * Math.floor(k / 5)] as [number, number],
            })),
    };
    const bytes = await templates('Round', [round], 'a4');
    expect((await PDFDocument.load(bytes)).getPageCount()).toBe(sheets);
    const lines = linesOf(bytes);
    const sides = lines.filter((line) => Math.abs(lengthOf(line) - 50) < 0.001);
    const corners = sides.flatMap(({ from, to }) => [from, to]);
    if (sheets === 2) return;
    const [minX, maxX] = [Math.min(...corners.map(([x]) => x)), Math.max(...corners.map(([x]) => x))];
    const [minY, maxY] = [Math.min(...corners.map(([, y]) => y)), Math.max(...corners.map(([, y]) => y))];
    const inside = ([x, y]: [number, number]) => x > minX - 2 && x < maxX + 2 && y > minY - 2 && y < maxY + 2;
    const others = lines.filter((line) => !sides.includes(line));
    const sampled = others.flatMap(({ from, to }) =>
      Array.from({ length: 40 }, (_, k): [number, number] => [
        from[0] + ((to[0] - from[0]) * k) / 39,
        from[1] + ((to[1] - from[1]) * k) / 39,
      ]),
    );
    expect(sampled.filter(inside)).toEqual([]);
  });

  it('draw the piece at full size on one sheet', async () => {
    const lines = linesOf(await templates('Cape', [template], 'single'));
    const straight = lines.filter((line) => Math.abs(lengthOf(line) - 330) < 0.01);
    expect(straight.length).toBe(2);
  });

  it('carry the lengths that are read when the piece is pressed, at their true size', async () => {
    const lengths = [
      { from: [0, 200] as [number, number], to: [123, 200] as [number, number], words: '123 mm' },
      { from: [0, 200] as [number, number], to: [0, 277] as [number, number], words: '77 mm' },
    ];
    const drawn = async (piece: Template) => linesOf(await templates('Cape', [piece], 'single')).map(lengthOf);
    const [bare, checked] = [await drawn(template), await drawn({ ...template, lengths })];
    for (const mm of [123, 77]) {
      const count = (all: number[]) => all.filter((each) => Math.abs(each - mm) < 0.001).length;
      expect(count(checked) - count(bare)).toBe(1);
    }
  });

  it('mark a notch with an upright cross, anything else with a leaning one, where it lies', async () => {
    const marks = [
      { kind: 'notch', at: [0, 300] },
      { kind: 'buttonhole', at: [0, 400] },
      { kind: 'drill', at: [60, 350] },
    ] as const;
    const marked = { ...template, marks: marks.map(({ kind, at }) => ({ kind, at: [at[0], at[1]] as [number, number] })) };
    const crosses = async (length: number) =>
      linesOf(await templates('Cape', [marked], 'single')).filter((line) => Math.abs(lengthOf(line) - length) < 1e-3);
    const bare = linesOf(await templates('Cape', [template], 'single'));
    const before = (length: number) => bare.filter((line) => Math.abs(lengthOf(line) - length) < 1e-3).length;
    expect((await crosses(5)).length - before(5)).toBe(2);
    expect((await crosses(Math.hypot(4, 4))).length - before(Math.hypot(4, 4))).toBe(4);
  });

  it('cover the whole piece with sheets that overlap by 10 mm', async () => {
    const bytes = await templates('Cape', [template], 'a4');
    const [width, height] = [2 * 480 * Math.sin(Math.PI / 4), 480 - 150 * Math.cos(Math.PI / 4)];
    const sheets = (w: number, h: number) => Math.ceil((w - 10) / 180) * Math.ceil((h - 10) / 267);
    const pages = (await PDFDocument.load(bytes)).getPageCount();
    expect(pages).toBe(Math.min(sheets(width, height), sheets(height, width)));
  });
});

describe('sheets for the hoop', () => {
  const hoop: Hoop = {
    ...{ name: 'Tall', shape: 'rectangle', fieldWidth: 130, fieldHeight: 180, outerWidth: 180, outerHeight: 236, clamp: 16 },
    ...{ kind: 'screw', mount: 'arm', mountSide: 'left' },
  };
  const square = (half: number): Outline => [[-half, -half], [half, -half], [half, half], [-half, half]]; // prettier-ignore
  const papers = Object.keys(PAPERS) as Paper[];
  const sizes = (bytes: Uint8Array) =>
    PDFDocument.load(bytes).then((document) =>
      document.getPages().map((page) => [page.getWidth(), page.getHeight()].map((points) => (points * 25.4) / 72)),
    );
  const hasSquare = (bytes: Uint8Array) => linesOf(bytes).filter((line) => Math.abs(lengthOf(line) - 50) < 0.001).length >= 4;
  /** Lines that leave their page by more than a hair. */
  async function strays(bytes: Uint8Array): Promise<number> {
    const [[width, height]] = (await sizes(bytes)) as [[number, number]];
    return linesOf(bytes).filter(({ from, to }) =>
      [from, to].some(([x, y]) => x < -0.1 || y < -0.1 || x > width + 0.1 || y > height + 0.1),
    ).length;
  }

  it.each(papers)('a motif on %s is drawn at full size, its cross through the middle, its trim line round it', async (paper) => {
    const box = { minX: -30, minY: -30, maxX: 30, maxY: 30 };
    const bytes = await motifPaper('Star', box, { outlines: [square(30)], trims: [square(34)], apart: [] }, paper);
    const lines = linesOf(bytes);
    expect(hasSquare(bytes)).toBe(true);
    expect(await strays(bytes)).toBe(0);
    const long = (mm: number) => lines.filter((line) => Math.abs(lengthOf(line) - mm) < 0.01).length;
    // Four sides of the motif, four of the trim line, and both lines of the cross, 12 mm past the motif.
    expect(long(60)).toBeGreaterThanOrEqual(4);
    expect(long(68)).toBe(4);
    expect(long(84)).toBe(2);
  });

  it('dashes run on along a curve and round its corners, where a sheet is trimmed and cut apart', async () => {
    const box = { minX: -30, minY: -30, maxX: 30, maxY: 30 };
    const round: Outline = Array.from({ length: 60 }, (_, i) => [34 * Math.cos(i / 9.55), 34 * Math.sin(i / 9.55)]);
    const apart: Outline = [[-40, 0], [0, 5], [40, 0]]; // prettier-ignore
    const dashed = pathsOf(await motifPaper('Round', box, { outlines: [], trims: [round], apart: [apart] }, 'a4')).filter(
      ({ dash }) => dash.length > 0,
    );
    expect(dashed.map(({ lines }) => lines.length)).toEqual([60, 2]);
    expect(dashed[0]!.dash[0]).toBeCloseTo(2, 6);
    expect(dashed[1]!.dash).toHaveLength(4);
    expect(dashed[1]!.lines.reduce((sum, line) => sum + lengthOf(line), 0)).toBeCloseTo(2 * Math.hypot(40, 5), 3);
  });

  it('a motif that is larger than the paper is tiled onto sheets that a printer takes', async () => {
    const box = { minX: 0, minY: 0, maxX: 400, maxY: 60 };
    const sheets = await sizes(await motifPaper('Border', box, { outlines: [], trims: [], apart: [] }, 'a4'));
    expect(sheets.length).toBeGreaterThan(2);
    for (const sheet of sheets) expect([...sheet].sort((a, b) => a - b).map(Math.round)).toEqual([210, 297]);
  });

  it.each(papers)('a gauge on %s has ring and field at full size', async (paper) => {
    const bytes = await hoopGauge('Tall', hoopOutlines(hoop), paper);
    const lines = linesOf(bytes);
    expect(hasSquare(bytes)).toBe(true);
    expect(await strays(bytes)).toBe(0);
    const upright = lines.filter(({ from, to }) => Math.abs(from[0] - to[0]) < 1e-6);
    // The sides of the field, and the upright line of the cross through the whole ring.
    expect(upright.filter((line) => Math.abs(lengthOf(line) - 180) < 0.01)).toHaveLength(2);
    expect(upright.filter((line) => Math.abs(lengthOf(line) - 236) < 0.01)).toHaveLength(1);
  });

  it.each(papers)('the chart on %s stays on one page, however many cloths there are', async (paper) => {
    const rows = Array.from({ length: 60 }, (_, i) => ({
      cloth: `A cloth with a rather long name, number ${i + 1}`,
      cells: [0.4, 0.9, 1.3, 2].map((share) => ({ stack: 'Light starch, sprayed + medium tear-away, spray-glued, 42 g', share })),
    }));
    const bytes = await carryChart(['Light', 'Medium', 'Dense', 'Solid'], rows, paper);
    expect(await sizes(bytes)).toHaveLength(1);
    expect(await strays(bytes)).toBe(0);
  });
});

describe('a grain arrow', () => {
  it.each([
    ['a brim', { kind: 'ring', outer: 340, inner: 190 }, 45],
    ['a crescent facing', { kind: 'half-moon', width: 420, height: 260, neckWidth: 240, neckDepth: 200 }, 0],
    ['a flare', { kind: 'sector', inner: 200, outer: 260, angle: 170 }, 0],
    ['a rectangle', { kind: 'rectangle', width: 200, height: 90, corners: [false, false, false, false], corner: 0 }, 90],
  ] as const)('lies on the cloth of %s, as it leans', (_, shape, grain) => {
    const { outline, holes } = openPiece(plainPiece(shape as PieceShape, 6));
    const openings = holes.map((hole) => hole.outline);
    const [a, b] = grainEnds({ outline, holes: openings }, grain);
    for (let k = 0; k <= 20; k++) {
      const point: [number, number] = [a[0] + ((b[0] - a[0]) * k) / 20, a[1] + ((b[1] - a[1]) * k) / 20];
      expect(isInside(point, outline)).toBe(true);
      for (const opening of openings) expect(isInside(point, opening, -0.02)).toBe(false);
    }
    const leans = (Math.atan2(-(b[0] - a[0]), b[1] - a[1]) * 180) / Math.PI;
    expect(Math.abs(leans - grain) % 180).toBeCloseTo(0, 6);
    expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeGreaterThan(20);
  });
});
