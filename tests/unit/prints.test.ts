import { inflateSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { measuringSheet, PAPERS, scrapCard, SHEETS } from '../../src/formats/pdf';

/** Straight lines of a PDF in millimetres, read from its own drawing commands. */
function linesOf(bytes: Uint8Array): { from: [number, number]; to: [number, number] }[] {
  const raw = Buffer.from(bytes);
  const text = raw.toString('latin1');
  const lines: { from: [number, number]; to: [number, number] }[] = [];
  for (const match of text.matchAll(/stream\r?\n/g)) {
    const start = match.index + match[0].length;
    const end = text.indexOf('endstream', start);
    let content: string;
    try {
      content = inflateSync(raw.subarray(start, end)).toString('latin1');
    } catch {
      continue;
    }
    const mm = (points: string) => (Number(points) * 25.4) / 72;
    for (const [, x1, y1, x2, y2] of content.matchAll(/([\d.-]+) ([\d.-]+) m\s+([\d.-]+) ([\d.-]+) l/g))
      lines.push({ from: [mm(x1!), mm(y1!)], to: [mm(x2!), mm(y2!)] });
  }
  return lines;
}

const lengthOf = ({ from, to }: ReturnType<typeof linesOf>[number]) => Math.hypot(to[0] - from[0], to[1] - from[1]);

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
        partName: 'Collar “Möwe” №3',
        clothName: 'Leinen–Baumwolle',
        stackTitle: 'Medium woven fusible, 60 g',
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
});
