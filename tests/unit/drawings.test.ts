import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readOutlines, type FoundPiece } from '../../src/formats/drawing';
import { writeDxf, writtenPiece, type WrittenPiece } from '../../src/formats/dxf';
import { writeSvg } from '../../src/formats/svg';
import { openPiece, plainPiece, type PieceSpec } from '../../src/core/pieces';
import {
  bounds,
  drawShape,
  nearestEdge,
  polygonArea,
  SHAPE_KINDS,
  type Outline,
  type PieceShape,
  type Point,
} from '../../src/core/shape';

const read = (text: string) => readOutlines(new TextEncoder().encode(text));
const svg = (body: string, head = 'width="200mm" height="200mm" viewBox="0 0 200 200"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`;
const areaOf = ({ shape }: FoundPiece) => polygonArea(drawShape(shape).outline);
const sizeOf = ({ shape }: FoundPiece) => {
  const { minX, minY, maxX, maxY } = bounds(drawShape(shape).outline);
  return [maxX - minX, maxY - minY];
};

/** Largest distance of one outline's points from the other line, both ways, corners at the origin. mm. */
function apart(a: Outline, b: Outline): number {
  const home = (outline: Outline): Outline => {
    const { minX, minY } = bounds(outline);
    return outline.map(([x, y]): Point => [x - minX, y - minY]);
  };
  const [p, q] = [home(a), home(b)];
  const far = (from: Outline, to: Outline) => Math.max(...from.map((point) => nearestEdge([[...to, to[0]!]], point).distance));
  return Math.max(far(p, q), far(q, p));
}

describe('reading SVG', () => {
  it.each<[string, string, number[], number]>([
    ['a polygon', '<polygon points="10,10 110,10 110,70 10,70"/>', [100, 60], 6000],
    ['a rectangle', '<rect x="5" y="5" width="80" height="40"/>', [80, 40], 3200],
    ['a rounded rectangle', '<rect width="80" height="40" rx="10"/>', [80, 40], 3200 - (4 - Math.PI) * 100],
    ['a circle', '<circle cx="50" cy="50" r="40"/>', [80, 80], Math.PI * 1600],
    ['an ellipse', '<ellipse cx="50" cy="50" rx="40" ry="20"/>', [80, 40], Math.PI * 800],
    ['relative lines', '<path d="m10 10 h100 v60 h-100 z"/>', [100, 60], 6000],
    ['curves', '<path d="M0 0C0 50 100 50 100 0Z"/>', [100, 37.5], 3000],
    ['a quadratic curve', '<path d="M0 0Q50 60 100 0Z"/>', [100, 30], 2000],
    ['an arc', '<path d="M0 50A50 50 0 0 1 100 50Z"/>', [100, 50], (Math.PI * 2500) / 2],
    [
      'nested transforms',
      '<g transform="translate(5 5) scale(2)"><g transform="rotate(90)"><rect width="30" height="20"/></g></g>',
      [40, 60],
      2400,
    ],
    ['a matrix', '<rect width="30" height="20" transform="matrix(1 0 0.5 1 3 4)"/>', [40, 20], 600],
    [
      'a nested drawing',
      '<svg x="10" y="10" width="100" height="100" viewBox="0 0 50 50"><rect width="25" height="10"/></svg>',
      [50, 20],
      1000,
    ],
    ['a closed line without Z', '<polyline points="0,0 100,0 100,50 0,50 0,0"/>', [100, 50], 5000],
  ])('%s', (_words, body, size, area) => {
    const { pieces, warnings } = read(svg(body));
    expect(warnings).toEqual([]);
    expect(pieces).toHaveLength(1);
    sizeOf(pieces[0]!).forEach((side, i) => expect(side).toBeCloseTo(size[i]!, 1));
    expect(areaOf(pieces[0]!) / area).toBeCloseTo(1, 2);
  });

  it.each<[string, string, number, boolean]>([
    ['millimetres and a view box', 'width="100mm" height="100mm" viewBox="0 0 200 200"', 0.5, true],
    ['inches', 'width="2in" height="2in" viewBox="0 0 200 200"', 0.254, true],
    ['centimetres without a view box', 'width="20cm" height="20cm"', 25.4 / 96, true],
    ['points', 'width="72pt" height="72pt" viewBox="0 0 72 72"', 25.4 / 72, true],
    ['nothing', '', 25.4 / 96, false],
    ['pixels', 'width="200" height="200" viewBox="0 0 200 200"', 25.4 / 96, false],
    ['per cent', 'width="100%" viewBox="0 0 200 200"', 25.4 / 96, false],
  ])('knows its unit by %s', (_words, head, scale, said) => {
    const { pieces, unit } = read(svg('<rect x="20" y="20" width="150" height="100"/>', head));
    expect(unit.said).toBe(said);
    expect(sizeOf(pieces[0]!)[0]).toBeCloseTo(150 * scale, 6);
  });

  it('keeps the corners as edges and smooth runs in one, and does not mirror', () => {
    const points = Array.from(
      { length: 40 },
      (_, i) => `${100 * Math.cos((i * Math.PI) / 39)},${-100 * Math.sin((i * Math.PI) / 39)}`,
    );
    const { pieces } = read(svg(`<g transform="translate(100 120)"><polygon points="${points.join(' ')} -100,40 60,40"/></g>`));
    expect(pieces[0]!.shape.edges).toHaveLength(3);
    // The slanting edge is at the lower right, as in the drawing.
    const { outline } = drawShape(pieces[0]!.shape);
    const lowest = outline.filter(([, y]) => y < 1).map(([x]) => x);
    expect(Math.max(...lowest)).toBeCloseTo(160, 0);
  });

  it('takes what lies inside for openings, and a line that runs along for the seam', () => {
    const cut = '<rect width="100" height="80"/>';
    const opening = read(svg(`${cut}<circle cx="50" cy="40" r="10"/>`)).pieces[0]!;
    expect(opening.shape.holes).toHaveLength(1);
    expect(opening.allowances).toEqual([0, 0, 0, 0, 0]);
    const sewn = read(svg(`${cut}<rect x="10" y="15" width="80" height="50"/>`)).pieces[0]!;
    expect(sewn.shape.holes).toBeUndefined();
    expect(sewn.allowances.sort((a, b) => a - b)).toEqual([10, 10, 15, 15]);
  });

  it('draws what is used again, moved, turned and scaled as the drawing says', () => {
    const kept = '<defs><g id="flap"><rect width="40" height="30"/></g></defs>';
    const { pieces, warnings } = read(
      svg(
        `${kept}<use href="#flap"/><use xlink:href="#flap" x="60" y="10"/><use href="#flap" transform="translate(150 0) rotate(90) scale(2)" x="5"/>`,
      ),
    );
    expect(warnings).toEqual([]);
    expect(pieces.map((piece) => sizeOf(piece).map(Math.round))).toEqual([
      [60, 80],
      [40, 30],
      [40, 30],
    ]);
  });

  it('fits a symbol into the room that its use gives it', () => {
    const { pieces } = read(
      svg(
        '<symbol id="cuff" viewBox="0 0 10 5"><path d="M0 0H10V5H0Z"/></symbol><use href="#cuff" width="80" height="40"/><use href="#cuff" y="50"/>',
      ),
    );
    expect(pieces.map((piece) => sizeOf(piece).map(Math.round))).toEqual([
      [80, 40],
      [10, 5],
    ]);
  });

  it('makes two pieces of one that is used twice, each with its own lines', () => {
    const piece =
      '<g id="p" data-piece="p"><title>Flap</title><rect width="60" height="40" data-line="cut"/><rect x="10" y="10" width="40" height="20" data-line="sew"/></g>';
    const { pieces } = read(svg(`<defs>${piece}</defs><use href="#p"/><use href="#p" x="100"/>`));
    expect(pieces).toHaveLength(2);
    for (const { name, allowances } of pieces) {
      expect(name).toBe('Flap');
      expect(allowances).toEqual([10, 10, 10, 10]);
    }
  });

  it.each([
    ['stands for itself', '<g id="a"><rect width="40" height="30"/><use href="#a" x="50"/></g>', 2],
    [
      'stands for one that stands for it',
      '<g id="a"><use href="#b"/></g><g id="b"><rect width="40" height="30"/><use href="#a"/></g>',
      4,
    ],
    ['stands for another file', '<rect width="40" height="30"/><use href="other.svg#a"/>', 1],
    ['stands for nothing', '<rect width="40" height="30"/><use/>', 1],
  ])('says so where a use %s', (_, drawn, count) => {
    const { pieces, warnings } = read(svg(drawn));
    expect(pieces.length).toBeGreaterThanOrEqual(1);
    expect(pieces.length).toBeLessThanOrEqual(count);
    expect(warnings.map(({ code }) => code)).toContain('use');
  });

  it('refuses a drawing that uses grow beyond all bounds', () => {
    const levels = Array.from({ length: 9 }, (_, k) => `<g id="l${k + 1}">${`<use href="#l${k}"/>`.repeat(10)}</g>`);
    expect(() =>
      read(svg(`<defs><g id="l0"><rect width="40" height="30"/></g>${levels.join('')}</defs><use href="#l7"/>`)),
    ).toThrow(/at most/);
  });

  it('leaves out what cannot be cut, and says so', () => {
    const { pieces, warnings } = read(
      svg(
        '<path d="M0 0L50 50"/><polygon points="0,0 50,50 50,0 0,50"/><circle r="1"/><rect width="90" height="90" display="none"/><defs><rect width="50" height="50"/></defs><use href="#a"/><rect width="60" height="30"/>',
      ),
    );
    expect(pieces).toHaveLength(1);
    expect(warnings.map(({ code }) => code).sort()).toEqual(['crossing', 'open', 'speck', 'use']);
  });
});

describe('reading DXF', () => {
  const dxf = (...pairs: (string | number)[]) => `${pairs.join('\n')}\n`;
  const head = (unit: number) => [0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, unit, 0, 'ENDSEC'];
  const body = (...pairs: (string | number)[]) => [0, 'SECTION', 2, 'ENTITIES', ...pairs, 0, 'ENDSEC', 0, 'EOF'];
  const polyline = (points: [number, number, number?][]) => [
    0,
    'LWPOLYLINE',
    8,
    'A',
    90,
    points.length,
    70,
    1,
    ...points.flatMap(([x, y, bulge]) => [10, x, 20, y, ...(bulge === undefined ? [] : [42, bulge])]),
  ];
  const line = (x1: number, y1: number, x2: number, y2: number, layer = 'A') => [
    0,
    'LINE',
    8,
    layer,
    10,
    x1,
    20,
    y1,
    11,
    x2,
    21,
    y2,
  ];

  it('reads closed lines, bulges, circles and lines that meet, in the units that it says', () => {
    const square = read(
      dxf(
        ...head(5),
        ...body(
          ...polyline([
            [0, 0],
            [10, 0],
            [10, 6],
            [0, 6],
          ]),
        ),
      ),
    );
    expect(sizeOf(square.pieces[0]!)).toEqual([100, 60]);
    expect(square.unit.said).toBe(true);
    const round = read(
      dxf(
        ...head(4),
        ...body(
          ...polyline([
            [0, 0, 1],
            [100, 0, 1],
          ]),
        ),
      ),
    );
    expect(areaOf(round.pieces[0]!) / (Math.PI * 2500)).toBeCloseTo(1, 2);
    const circle = read(dxf(...head(4), ...body(0, 'CIRCLE', 8, 'A', 10, 5, 20, 5, 40, 30)));
    expect(areaOf(circle.pieces[0]!) / (Math.PI * 900)).toBeCloseTo(1, 2);
    const loose = read(
      dxf(
        ...head(1),
        ...body(...line(0, 0, 4, 0), ...line(0, 3, 0, 0), ...line(4, 0, 4, 3), ...line(0, 3, 4, 3), ...line(9, 9, 10, 10)),
      ),
    );
    expect(sizeOf(loose.pieces[0]!).map((side) => Math.round(side * 10) / 10)).toEqual([101.6, 76.2]);
    expect(loose.warnings.map(({ code }) => code)).toEqual(['open']);
    expect(
      read(
        dxf(
          ...body(
            ...polyline([
              [0, 0],
              [10, 0],
              [10, 6],
            ]),
          ),
        ),
      ).unit.said,
    ).toBe(false);
  });

  it('reads a spline', () => {
    const spline = [0, 'SPLINE', 8, 'A', 70, 1, 71, 3, 72, 8, 73, 4, 74, 0, ...[0, 0, 0, 0, 1, 1, 1, 1].flatMap((k) => [40, k])];
    const points = [
      [0, 0],
      [0, 60],
      [100, 60],
      [100, 0],
    ].flatMap(([x, y]) => [10, x!, 20, y!]);
    const { pieces } = read(dxf(...head(4), ...body(...spline, ...points)));
    expect(areaOf(pieces[0]!) / (0.6 * 100 * 60)).toBeCloseTo(1, 1);
  });

  it('reads apparel layers: name, quantity, seam, grain, notches, fold', () => {
    const block = [
      0,
      'SECTION',
      2,
      'BLOCKS',
      0,
      'BLOCK',
      8,
      1,
      2,
      'FRONT',
      70,
      0,
      10,
      0,
      20,
      0,
      3,
      'FRONT',
      0,
      'TEXT',
      8,
      1,
      10,
      0,
      20,
      0,
      40,
      1,
      1,
      'Piece Name: Left front',
      0,
      'TEXT',
      8,
      1,
      10,
      0,
      20,
      0,
      40,
      1,
      1,
      'Quantity: 1,1',
      ...[
        ...polyline([
          [0, 0],
          [120, 0],
          [120, 200],
          [0, 200],
        ]),
      ].map((value, i) => (i === 3 ? '1' : value)),
      ...[
        ...polyline([
          [12, 12],
          [120, 12],
          [120, 188],
          [12, 188],
        ]),
      ].map((value, i) => (i === 3 ? '14' : value)),
      ...line(60, 50, 90, 150, '7'),
      ...line(120, 20, 120, 180, '6'),
      0,
      'POINT',
      8,
      4,
      10,
      60,
      20,
      0,
      0,
      'POINT',
      8,
      13,
      10,
      70,
      20,
      90,
      0,
      'ENDBLK',
      8,
      1,
      0,
      'ENDSEC',
    ];
    const insert = [0, 'TEXT', 8, 1, 10, 0, 20, 0, 40, 1, 1, 'Units: METRIC', 0, 'INSERT', 8, 1, 2, 'FRONT', 10, 500, 20, 500];
    const { pieces, unit } = read(dxf(...block, ...body(...insert)));
    expect(unit).toMatchObject({ scale: 1, said: true });
    expect(pieces).toHaveLength(1);
    const [front] = pieces;
    expect(front).toMatchObject({ name: 'Left front', count: 2 });
    expect(front!.grain).toBeCloseTo((-Math.atan2(30, 100) * 180) / Math.PI, 6);
    expect(front!.marks).toEqual([
      { kind: 'notch', at: [60, 0] },
      { kind: 'drill', at: [70, 90] },
    ]);
    expect(front!.shape.edges[front!.fold!]!.from[0]).toBe(120);
    expect([...front!.allowances].sort((a, b) => a - b)).toEqual([0, 12, 12, 12]);
  });
});

describe('round trips', () => {
  const specs: [string, PieceSpec][] = SHAPE_KINDS.map((kind) => {
    const shape = kind.start as PieceShape;
    return [kind.words, { ...plainPiece(shape, 12), grain: 20, marks: [{ kind: 'notch', at: drawShape(shape).outline[0]! }] }];
  });
  const written = (name: string, spec: PieceSpec): WrittenPiece =>
    writtenPiece(name, openPiece(spec), { cut: 'straight', grain: spec.grain }, 3);

  it.each(specs)('%s is the same within 0.01 mm after DXF and SVG', (words, spec) => {
    const piece = written(words, spec);
    const sheet = {
      name: 'sheet',
      outline: [
        [0, 0],
        [900, 0],
        [900, 900],
        [0, 900],
      ] as Outline,
    };
    const placed = [{ index: 0, placement: { id: 'a', copy: 0, rotation: 0, flipped: false, x: 450, y: 450 } }];
    for (const text of [writeDxf([piece]), writeSvg(words, [piece], [{ ...sheet, placed }])]) {
      const found = read(text);
      expect(found.warnings).toEqual([]);
      expect(found.pieces).toHaveLength(1);
      const [back] = found.pieces;
      expect(back!.name).toBe(words);
      expect(apart(drawShape(back!.shape).outline, piece.outline)).toBeLessThan(0.01);
      expect(back!.grain).toBeCloseTo(20, 3);
      expect(back!.marks).toHaveLength(1);
      expect(back!.shape.holes?.length ?? 0).toBe(piece.holes.length);
      // Once more, from what was read.
      const again = read(
        writeDxf([
          written(words, {
            ...spec,
            shape: back!.shape,
            allowances: back!.allowances,
            grain: back!.grain,
            marks: [],
            fold: null,
          }),
        ]),
      );
      expect(apart(drawShape(again.pieces[0]!.shape).outline, piece.outline)).toBeLessThan(0.01);
    }
  });

  it('a layout keeps every copy where it lies', () => {
    const piece = written(
      'Flap',
      plainPiece({ kind: 'angled', width: 120, height: 60, corners: [true, false, false, false], corner: 30 }, 5),
    );
    const placed = [
      { index: 0, placement: { id: 'a', copy: 0, rotation: 0, flipped: false, x: 0, y: 0 } },
      { index: 0, placement: { id: 'a', copy: 1, rotation: 90, flipped: true, x: 300, y: 200 } },
    ];
    const { pieces } = read(
      writeSvg(
        'Flaps',
        [piece],
        [
          {
            name: 'Roll',
            outline: [
              [0, 0],
              [500, 0],
              [500, 400],
              [0, 400],
            ],
            placed,
          },
        ],
      ),
    );
    expect(pieces.map(({ name }) => name).sort()).toEqual(['Flap', 'Flap 2']);
    const turned = pieces.find(({ name }) => name === 'Flap 2')!;
    sizeOf(turned).forEach((side, i) => expect(side).toBeCloseTo([60, 120][i]!, 6));
    expect(writeDxf([piece], placed).match(/INSERT/g)).toHaveLength(2);
    // All copies of a piece in a DXF are one piece with its quantity.
    expect(read(writeDxf([piece], placed)).pieces).toHaveLength(1);
  });
});

describe('broken files', () => {
  const whole = svg('<polygon points="10,10 110,10 110,70 10,70"/>');
  it.each<[string, string]>([
    ['nothing', ''],
    ['words', 'hello there'],
    ['a page', '<!doctype html><html><body></body></html>'],
    ['a truncated SVG', whole.slice(0, -40)],
    [
      'an entity bomb',
      `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><svg xmlns="http://www.w3.org/2000/svg"><text>&b;</text></svg>`,
    ],
    ['an unknown entity', svg('<text>&boom;</text>')],
    ['numbers that are none', svg('<polygon points="0,0 1e999,0 50,50"/>')],
    ['a far away point', svg('<polygon points="0,0 9e9,0 50,50"/>')],
    ['deep nesting', svg(`${'<g>'.repeat(400)}${'</g>'.repeat(400)}`)],
    [
      'too many points',
      svg(`<polygon points="${Array.from({ length: 210_000 }, (_, i) => `${i % 500},${i % 300}`).join(' ')}"/>`),
    ],
    ['a truncated DXF', '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n8\n'],
    ['a binary DXF', 'Any Binary DXF\r\n\u001a\u0000'],
  ])('%s gets a clear answer', (_words, text) => {
    let message = '';
    try {
      const { pieces } = read(text);
      expect(pieces).toEqual([]);
    } catch (error) {
      message = (error as Error).message;
      expect((error as { field?: string }).field).toBe('file');
      expect(message).toMatch(/^file: \S/);
      expect(message).not.toMatch(/undefined\b(?! entity)|\[object|at \S+:\d+:\d+/);
    }
  });

  it('runs no script and takes nothing but geometry', () => {
    const { pieces } = read(
      svg('<script>alert(1)</script><style>@import url(x)</style><rect width="50" height="50" onload="alert(1)"/>'),
    );
    expect(JSON.stringify(pieces)).not.toMatch(/alert|import/);
    expect(pieces).toHaveLength(1);
  });

  it('never throws anything but a named error on random damage', () => {
    const texts = [
      whole,
      writeDxf([
        writtenPiece('Piece', openPiece(plainPiece({ kind: 'circle', diameter: 100 }, 5)), { cut: 'straight', grain: 0 }, 1),
      ]),
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...texts),
        fc.nat(),
        fc.nat({ max: 60 }),
        fc.string({ maxLength: 12 }),
        (text, at, cut, put) => {
          const from = at % text.length;
          const damaged = text.slice(0, from) + put + text.slice(from + cut);
          try {
            readOutlines(new TextEncoder().encode(damaged));
          } catch (error) {
            expect((error as { field?: string }).field).toBe('file');
          }
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe('a seam line that steps often', () => {
  /** Uneven pieces whose seam steps at nearly every corner, always the same for a seed. */
  function stepped(seed: number): { outer: Outline; inner: Outline } {
    const random = () => {
      seed = (seed + 0x6d2b79f5) | 0;
      let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
      t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
      return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
    };
    const corners = 20 + Math.floor(random() * 24);
    const radius = 20 + random() * 300;
    const uneven = random() * 0.4;
    const outer = Array.from({ length: corners }, (_, i): Point => {
      const far = radius * (1 + uneven * (random() - 0.5));
      const angle = (i / corners) * 2 * Math.PI;
      return [far * Math.cos(angle), far * Math.sin(angle)];
    });
    const inner = outer.map(([x, y]): Point => {
      const share = Math.max(0.1, 1 - ([0, 3, 6, 10, 15, 25, 40][Math.floor(random() * 7)]! / radius) * (1 + random() * 0.1));
      return [x * share, y * share];
    });
    return { outer, inner };
  }
  const polyline = (layer: string, points: Outline) => [
    ...['0', 'POLYLINE', '8', layer, '66', '1', '70', '1'],
    ...points.flatMap(([x, y]) => ['0', 'VERTEX', '8', layer, '10', String(x), '20', String(y)]),
    ...['0', 'SEQEND'],
  ];

  it.each([1634, 5931, 5947, 11170])('is read, an allowance for every edge (%i)', (number) => {
    const { outer, inner } = stepped(number * 7919);
    const text = [
      ...['0', 'SECTION', '2', 'BLOCKS', '0', 'BLOCK', '8', '1', '2', 'P', '70', '0', '10', '0', '20', '0'],
      ...polyline('1', outer),
      ...polyline('14', inner),
      ...['0', 'ENDBLK', '0', 'ENDSEC', '0', 'EOF'],
    ].join('\n');
    const { pieces } = read(text);
    expect(pieces).toHaveLength(1);
    expect(pieces[0]!.allowances).toHaveLength(pieces[0]!.shape.edges.length);
    expect(pieces[0]!.allowances.every((each) => each >= 0 && each <= 60)).toBe(true);
    expect(polygonArea(drawShape(pieces[0]!.shape).outline)).toBeCloseTo(polygonArea(outer), 3);
  });

  it('does not take a grain line of no length for a direction', () => {
    const piece = (line: string) => svg(`<g data-piece="a"><path data-line="cut" d="M0 0H80V80H0Z"/>${line}</g>`);
    const grain = (line: string) => read(piece(line)).pieces[0]!.grain;
    expect(grain('<path data-line="grain" d="M10 10L10 10"/>')).toBe(0);
    expect(grain('<path data-line="grain" d="M10 10L10 10"/><path data-line="grain" d="M10 40L50 40"/>')).toBe(90);
  });
});
