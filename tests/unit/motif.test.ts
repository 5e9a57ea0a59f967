import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boxGap,
  COLOUR,
  cutApartLines,
  densityMap,
  islandsOf,
  JUMP,
  motifFigures,
  movedMotif,
  peakOf,
  runningSeconds,
  STITCH,
  stitchedMotif,
  TRIM,
  trimOutlines,
  type Motif,
} from '../../src/core/motif';
import { polygonArea, type Outline } from '../../src/core/shape';
import { mappedMotif, readMotif, writeExchange, writeStitchTable } from '../../src/formats/stitches';
import { distanceTo } from '../files/geometry';
import { exchangeFile, rowsOf, visits, type Entry } from '../files/exchange-writer';

const square = (x: number, y: number, side: number): Outline => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
];
const fill = (outlines: Outline[], spacing = 0.4, angle = 0) =>
  ({ outlines, stitching: { kind: 'fill', spacing, stitchLength: 3, angle } }) as const;
const read = (entries: Entry[], options = {}) => readMotif(exchangeFile(entries, options));
const records = ({ x, y, command }: Motif) => [...command].map((c, i) => [c, x[i], y[i]]);

describe('the three-byte exchange format', () => {
  it('reads what an independent writer wrote: counts, bounds, thread', () => {
    const first = rowsOf(0, 0, 30, 20, 0.5, 3);
    const second = rowsOf(60, 5, 12, 12, 0.4, 2);
    const entries: Entry[] = [...visits(first), ['colour', 0, 0], ...visits(second, first.at(-1)!)];
    const { motif, incomplete } = read(entries);
    const figures = motifFigures(motif);
    expect(incomplete).toBe(false);
    expect(figures.stitches).toBe(first.length + second.length);
    expect(figures.colourChanges).toBe(1);
    // One travel from the first to the second, in several jumps.
    expect([figures.jumps, figures.trims]).toEqual([1, 0]);
    expect(figures.bounds).toEqual({ minX: 0, minY: 0, maxX: 72, maxY: 20 });
    const sewn = (places: [number, number][]) =>
      places.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - places[i]![0], y - places[i]![1]), 0);
    expect(figures.threadLength).toBeGreaterThan(0.99 * (sewn(first) + sewn(second)));
    expect(figures.threadLength).toBeLessThan(1.01 * (sewn(first) + sewn(second)) + 12.1);
    expect(figures.blocks.map(({ stitches }) => stitches)).toEqual([first.length, second.length]);
  });

  it('comes back exactly, record by record', () => {
    const move = fc.record({
      kind: fc.constantFrom<Entry[0]>('stitch', 'jump', 'colour'),
      dx: fc.integer({ min: -121, max: 121 }),
      dy: fc.integer({ min: -121, max: 121 }),
    });
    fc.assert(
      fc.property(fc.array(move, { minLength: 1, maxLength: 60 }), (moves) => {
        const motif = read(moves.map(({ kind, dx, dy }): Entry => [kind, dx, dy])).motif;
        expect(records(readMotif(writeExchange(motif)).motif)).toEqual(records(motif));
      }),
    );
  });

  it('keeps cuts and the name', () => {
    const motif: Motif = {
      name: 'Lantern 12',
      x: Float64Array.from([1, 1, 40, 41]),
      y: Float64Array.from([2, 2, -30, -30]),
      command: Uint8Array.from([STITCH, TRIM, JUMP, STITCH]),
    };
    const back = readMotif(writeExchange(motif)).motif;
    expect(back.name).toBe('Lantern 12');
    const figures = motifFigures(back);
    expect([figures.stitches, figures.bounds!.maxX, figures.bounds!.minY]).toEqual([2, 41, -30]);
    expect(motifFigures(back).trims).toBeGreaterThanOrEqual(1);
    expect([...back.command].filter((c) => c === TRIM)).toHaveLength(1);
  });

  it.each<[string, Uint8Array, RegExp]>([
    ['nothing', new Uint8Array(), /empty/],
    ['half a header', exchangeFile([]).subarray(0, 300), /ends inside its header/],
    ['noise', Uint8Array.from({ length: 4000 }, (_, i) => (i * 7919 + (i >> 3)) % 256), /no stitch file/],
    ['a picture', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, ...Array<number>(900).fill(7)]), /no stitch file/],
    [
      'a header and noise',
      new Uint8Array([...exchangeFile([], { end: false }), ...Array<number>(300).fill(0x10)]),
      /damaged at record 1/,
    ],
    ['some text', new TextEncoder().encode('Dear all,\nthe lantern is too dense.\n'), /begins with the headings/],
  ])('refuses %s clearly', (_, bytes, message) => {
    expect(() => readMotif(bytes)).toThrow(message);
  });

  it('gives what it could read of a file that was cut short, and says so', () => {
    const whole = exchangeFile(visits(rowsOf(0, 0, 20, 20, 0.5, 2)));
    const cut = readMotif(whole.subarray(0, 512 + 3 * 200 + 1));
    expect(cut.incomplete).toBe(true);
    expect(cut.motif.command).toHaveLength(200);
    expect(cut.warnings[0]).toMatch(/may be missing/);
  });

  it('never fails without a named reason, whatever is damaged', () => {
    const whole = exchangeFile(visits(rowsOf(0, 0, 8, 8, 0.5, 2)));
    fc.assert(
      fc.property(fc.nat(whole.length - 1), fc.nat(255), fc.nat(whole.length), (at, value, length) => {
        const bytes = whole.slice(0, length);
        if (at < bytes.length) bytes[at] = value;
        try {
          mappedMotif(readMotif(bytes));
        } catch (error) {
          expect((error as Error).message).toMatch(/^file: /);
        }
      }),
    );
  });
});

describe('the table of stitches', () => {
  it('comes back exactly', () => {
    const place = fc.double({ min: -500, max: 500, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 0, max: 3 }), place, place), { minLength: 1 }), (list) => {
        const motif: Motif = {
          name: 'Tern',
          x: Float64Array.from(list, ([, x]) => x + 0),
          y: Float64Array.from(list, ([, , y]) => y + 0),
          command: Uint8Array.from(list, ([c]) => c),
        };
        const back = readMotif(new TextEncoder().encode(writeStitchTable(motif))).motif;
        expect(back.name).toBe('Tern');
        expect(
          records(back)
            .flat()
            .map((v) => v! + 0),
        ).toEqual(
          records(motif)
            .flat()
            .map((v) => v! + 0),
        );
      }),
    );
  });

  it('reads what others may write: semicolons, a mark at the start, other words', () => {
    const text = '\ufeffx_mm; y_mm; command\r\n1;2;stitch\r\n3;2;move\r\n3;2;Stop\r\n';
    const { motif, incomplete } = readMotif(new TextEncoder().encode(text), 'tern wing.csv');
    expect([...motif.command]).toEqual([STITCH, JUMP, COLOUR]);
    expect([motif.name, incomplete]).toEqual(['tern wing', true]);
  });

  it.each([
    ['x_mm,y_mm,command\n1,2,dance\n', /unknown command in line 2/],
    ['x_mm,y_mm,command\n1,NaN,stitch\n', /y_mm of line 2/],
    ['x_mm,y_mm,command\n1,,stitch\n', /y_mm of line 2/],
    ['x_mm,y_mm,command\n1e9,0,stitch\n', /x_mm of line 2/],
  ])('names the line that is wrong', (text, message) => {
    expect(() => readMotif(new TextEncoder().encode(text))).toThrow(message);
  });
});

describe('figures of a motif', () => {
  it('find the density of a fill, whatever the cell', () => {
    for (const cell of [1, 2, 3.3, 5]) {
      const { density, peak } = mappedMotif(read(visits(rowsOf(0, 0, 40, 40, 0.5, 2.5))), cell);
      expect(density.values).toHaveLength(density.columns * density.rows);
      // A hole every 0.5 × 2.5 mm.
      expect(peak.value).toBeGreaterThan(0.95 * 80);
      expect(peak.value).toBeLessThan(1.05 * 80);
    }
  });

  it('find the denser of two blocks', () => {
    const first = rowsOf(0, 0, 20, 20, 0.8, 4);
    const second = rowsOf(40, 0, 16, 16, 0.4, 2.5);
    const { peak, islands, narrowestGap } = mappedMotif(read([...visits(first), ...visits(second, first.at(-1)!)]));
    expect(Math.abs(peak.value / 100 - 1)).toBeLessThan(0.1);
    expect(peak.x).toBeGreaterThan(42);
    expect(islands).toBe(2);
    expect(narrowestGap).toBeCloseTo(20, 6);
  });

  it('count islands by what hangs together, in the order of sewing', () => {
    const rings = stitchedMotif('rings', [
      fill([square(60, 0, 10)]),
      fill([square(0, 0, 20), square(5, 5, 10)]),
      { outlines: [square(8, 8, 4)], stitching: { kind: 'running', stitchLength: 2 } },
    ]);
    const figures = motifFigures(rings);
    const islands = islandsOf(rings, figures.bounds!);
    expect(islands.reduce((sum, each) => sum + each.stitches, 0)).toBe(figures.stitches);
    expect(islands.map(({ number, bounds: box }) => [number, Math.round(box.minX)])).toEqual([
      [1, 60],
      [2, 0],
      [3, 8],
    ]);
    const areas = islands.map(({ outlines }) => polygonArea(outlines[0]!));
    expect(areas[0]).toBeGreaterThan(95);
    expect(areas[0]).toBeLessThan(150);
    expect(boxGap(islands[0]!.bounds, islands[1]!.bounds)).toBeGreaterThan(39);
    // The running stitches lie inside the ring, whose sheet stays whole.
    const trims = trimOutlines(islands, 4);
    expect(trims).toHaveLength(2);
    expect(Math.max(...trims.map(polygonArea))).toBeGreaterThan(28 * 28 - 40);
  });

  it('know directions, lengths and holes', () => {
    const figures = motifFigures(stitchedMotif('level', [fill([square(0, 0, 20)])]));
    const total = figures.directions.reduce((a, b) => a + b, 0);
    expect(figures.directions[0]! / total).toBeGreaterThan(0.85);
    expect(total).toBeCloseTo(figures.threadLength, 6);
    expect(figures.longest).toBeLessThan(4);
    const pinned = read([...Array<Entry>(7).fill(['stitch', 0, 0]), ['stitch', 100, 0], ['stitch', 2, 0]]).motif;
    expect(motifFigures(pinned)).toMatchObject({ veryShort: 8, veryLong: 1, holes: { count: 7, x: 0, y: 0 } });
  });

  it('do not change when the motif is moved, turned or mirrored', () => {
    const motif = stitchedMotif('tern', [fill([square(0, 0, 15)], 0.5, 30), { ...fill([square(40, 5, 8)]), newColour: true }]);
    const moved = movedMotif(motif, true, 90, 12, -7);
    const [before, after] = [motifFigures(motif), motifFigures(moved)];
    expect(after.threadLength).toBeCloseTo(before.threadLength, 1);
    expect([after.stitches, after.colourChanges]).toEqual([before.stitches, before.colourChanges]);
    expect(after.bounds!.maxY - after.bounds!.minY).toBeCloseTo(before.bounds!.maxX - before.bounds!.minX, 6);
    expect(runningSeconds(motif, before, 700)).toBeGreaterThan((60 * before.stitches) / 700);
  });

  it('of a map sum up to the stitches, but for what lies beyond the edge', () => {
    const motif = stitchedMotif('block', [fill([square(0, 0, 60)])]);
    const { bounds, stitches } = motifFigures(motif);
    const { values, cell } = densityMap(motif, bounds!, 2);
    const sum = (values.reduce((a, b) => a + b, 0) * cell * cell) / 100;
    expect(sum / stitches).toBeGreaterThan(0.9);
    expect(sum / stitches).toBeLessThanOrEqual(1.001);
  });

  it('refuse a motif that no hoop takes', () => {
    const far: Motif = {
      name: '',
      x: Float64Array.from([0, 3000]),
      y: Float64Array.from([0, 0]),
      command: Uint8Array.from([0, 0]),
    };
    expect(() => motifFigures(far)).toThrow(/3000 mm wide/);
    expect(peakOf({ cell: 1, columns: 1, rows: 1, minX: 0, minY: 0, values: [3] }).value).toBe(3);
  });
});

describe('stitches for outlines', () => {
  it('fill an area with rows as dense as asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 180, noNaN: true }),
        (spacing, angle) => {
          const { density } = mappedMotif({
            motif: stitchedMotif('f', [fill([square(0, 0, 40)], spacing, angle)]),
            incomplete: false,
            warnings: [],
          });
          const middle = density.values[Math.floor(density.rows / 2) * density.columns + Math.floor(density.columns / 2)]!;
          expect(Math.abs(middle / (100 / (3 * spacing)) - 1)).toBeLessThan(0.1);
        },
      ),
      { numRuns: 15 },
    );
  });

  it('stay inside the outline, and out of its openings', () => {
    const motif = stitchedMotif('ring', [fill([square(0, 0, 30), square(10, 10, 10)], 0.5, 20)]);
    for (let i = 0; i < motif.command.length; i++) {
      if (motif.command[i] !== STITCH) continue;
      const [x, y] = [motif.x[i]!, motif.y[i]!];
      expect(Math.min(x, y, 30 - x, 30 - y)).toBeGreaterThan(-1e-6);
      expect(Math.max(Math.abs(x - 15), Math.abs(y - 15))).toBeGreaterThan(5 - 1e-6);
    }
  });

  it('refuse spacings that are none', () => {
    expect(() => stitchedMotif('x', [fill([square(0, 0, 9)], 0)])).toThrow(/^areas\[0\]\.stitching\.spacing/);
  });
});

describe('lines between islands', () => {
  const at = (x: number, y: number, size = 20): Outline => square(x, y, size);

  it('are none for one island, nor for very many', () => {
    expect(cutApartLines([at(0, 0)], 10)).toEqual([]);
    expect(
      cutApartLines(
        Array.from({ length: 61 }, (_, i) => at(30 * i, 0)),
        10,
      ),
    ).toEqual([]);
  });

  it('run straight half way between two, from rim to rim of the sheet', () => {
    const lines = cutApartLines([at(0, 0), at(60, 0)], 10);
    expect(lines).toHaveLength(1);
    const [from, to] = [lines[0]![0]!, lines[0]!.at(-1)!];
    for (const [x] of lines[0]!) expect(Math.abs(x - 40)).toBeLessThan(1.2);
    expect(Math.abs(to[1] - from[1])).toBeGreaterThan(38);
  });

  it('keep as far from one as from the other, and meet in one point between three', () => {
    const islands = [at(0, 0), at(70, 5, 25), at(30, 70, 15)];
    const lines = cutApartLines(islands, 12);
    expect(lines).toHaveLength(3);
    const meeting = lines.flatMap((line) => [line[0]!, line.at(-1)!]).filter((p, _, all) => all.filter((q) => q[0] === p[0] && q[1] === p[1]).length === 3); // prettier-ignore
    expect(meeting).toHaveLength(3);
    for (const point of lines.flat()) {
      const [first, second] = islands.map((outline) => distanceTo(outline, point)).sort((a, b) => a - b);
      expect(second! - first!).toBeLessThan(3);
      expect(first!).toBeGreaterThan(10);
    }
  });

  it('go round an island that others surround', () => {
    const ring = [at(0, 0), at(60, 0), at(120, 0), at(0, 60), at(120, 60), at(0, 120), at(60, 120), at(120, 120)];
    const lines = cutApartLines([...ring, at(60, 60)], 10);
    const near = lines.flat().filter((point) => distanceTo(at(60, 60), point) < 35);
    for (const point of near) expect(distanceTo(at(60, 60), point)).toBeGreaterThan(15);
    // The lines on its four sides meet at its corners.
    for (const [x, y] of [
      [40, 40],
      [100, 40],
      [40, 100],
      [100, 100],
    ] as const)
      // prettier-ignore
      expect(near.some(([px, py]) => Math.hypot(px - x, py - y) < 3)).toBe(true);
  });

  it('leave what lies inside a ring to the ring', () => {
    const ring = stitchedMotif('ring', [
      fill([square(0, 0, 60), square(10, 10, 40)]),
      fill([square(26, 26, 8)]),
      fill([square(90, 20, 20)]),
    ]);
    const { bounds } = motifFigures(ring);
    const trims = trimOutlines(islandsOf(ring, bounds!), 4);
    expect(trims).toHaveLength(2);
    expect(cutApartLines(trims, 12)).toHaveLength(1);
  });
});
