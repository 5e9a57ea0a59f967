import { encode } from 'jpeg-js';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  CARD_IDS,
  isWhite,
  readCode,
  straightened,
  stripSeen,
  swatchSeen,
  tracedPieces,
  tracedTogether,
  type Picture,
} from '../../src/core/photo';
import { drawShape, drawnThrough } from '../../src/core/shape';
import { orientationOf, readPhoto, upright } from '../../src/formats/photo';
import type { At, Light } from '../../scripts/photo-scene';
import { boxWithStrip, CORNER_CARDS, coveredFields, tabletop } from '../files/photo-scenes';
import { distanceTo } from '../files/geometry';

const areaOf = (outline: readonly (readonly [number, number])[]) =>
  Math.abs(outline.reduce((sum, [x, y], i) => sum + x * outline[(i + 1) % outline.length]![1] - y * outline[(i + 1) % outline.length]![0], 0)) / 2; // prettier-ignore
const circle = (x: number, y: number, r: number): At[] =>
  Array.from({ length: 240 }, (_, i) => [x + r * Math.cos((i * Math.PI) / 120), y + r * Math.sin((i * Math.PI) / 120)]);
const HOLLOW: At[] = [[122, 133], [303, 121], [321, 243], [222, 252], [213, 334], [131, 318]]; // prettier-ignore
const ROUND = circle(432, 252, 78);
const LONG: At[] = [[184, 27], [443, 19], [446, 79], [183, 88]]; // prettier-ignore
const LONG_BOX: At[] = [[0, 0], [160, 0], [160, 40], [0, 40]]; // prettier-ignore
const WHITE: Light = [0.8, 0.78, 0.74];

/** The rigid motion that lays the found cards on where they were put, from their middles. */
function laidOn(cards: { id: number; corners: At[] }[], put = CORNER_CARDS): (at: At) => At {
  const pairs = cards.map(({ id, corners }) => ({
    from: [(corners[0]![0] + corners[2]![0]) / 2, (corners[0]![1] + corners[2]![1]) / 2] as At,
    to: put.find((card) => card.id === id)!.at,
  }));
  const middle = (of: 'from' | 'to') =>
    [0, 1].map((k) => pairs.reduce((sum, pair) => sum + pair[of][k]!, 0) / pairs.length) as At;
  const [a, b] = [middle('from'), middle('to')];
  let [dot, cross] = [0, 0];
  for (const { from, to } of pairs) {
    const [x, y, u, v] = [from[0] - a[0], from[1] - a[1], to[0] - b[0], to[1] - b[1]];
    dot += x * u + y * v;
    cross += x * v - y * u;
  }
  const turn = Math.atan2(cross, dot);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return ([x, y]) => [b[0] + (x - a[0]) * cos - (y - a[1]) * sin, b[1] + (x - a[0]) * sin + (y - a[1]) * cos];
}

function expectTraced(picture: Picture, wanted: At[][]) {
  const { pieces, cards, residual, warnings } = tracedPieces(picture, 60);
  expect(warnings).toEqual([]);
  expect(cards.map(({ id }) => id)).toEqual([1, 2, 3, 4]);
  expect(residual).toBeLessThan(0.15);
  expect(pieces).toHaveLength(wanted.length);
  const lay = laidOn(cards);
  // Never mirrored: card 1 runs round as it is printed, clockwise with y up.
  const [p, q, r] = cards[0]!.corners;
  expect((q[0] - p[0]) * (r[1] - q[1]) - (q[1] - p[1]) * (r[0] - q[0])).toBeLessThan(0);
  const sorted = [...wanted].sort((a, b) => areaOf(b) - areaOf(a));
  pieces.forEach(({ outline }, i) => {
    expect(Math.abs(areaOf(outline) / areaOf(sorted[i]!) - 1)).toBeLessThan(0.006);
    const laid = outline.map(lay);
    expect(Math.max(...laid.map((at) => distanceTo(sorted[i]!, at)))).toBeLessThan(1);
    expect(Math.max(...sorted[i]!.map((at) => distanceTo(laid, at)))).toBeLessThan(1);
  });
  return pieces;
}

describe('pieces on a table, photographed', () => {
  it('come out to a millimetre on wood, through a lens that bends, in light that falls off, beside a hard shadow', () => {
    const shadow = ([x, y]: At) => ((x - 60) / 500 + (y - 470) / 60 > 0 ? 0.55 : 1);
    const pieces = expectTraced(
      tabletop({
        table: 'wood',
        across: 1000,
        shadow,
        pieces: [HOLLOW, ROUND, LONG].map((outline) => ({ outline, colour: WHITE })),
      }),
      [HOLLOW, ROUND, LONG],
    );
    // Corners are corners, straight edges straight, and a round one has none.
    expect(pieces.map(({ corners, outline }) => [corners.length, outline.length > 20])).toEqual([[6, false], [0, true], [4, false]]); // prettier-ignore
    const round = drawShape(drawnThrough(pieces[1]!.outline, pieces[1]!.corners)).outline;
    expect(areaOf(round) / areaOf(ROUND)).toBeCloseTo(1, 2);
  });

  it('come out on dark cloth with the camera upside down, and dark on a mat with lines', () => {
    expectTraced(
      tabletop({ table: 'dark', across: 1000, k: -0.06, roll: 168, pieces: [{ outline: HOLLOW, colour: [0.4, 0.06, 0.07] }] }),
      [HOLLOW],
    );
    expectTraced(tabletop({ table: 'mat', across: 1000, lean: [-200, 120], pieces: [{ outline: HOLLOW, colour: WHITE }] }), [
      HOLLOW,
    ]);
  });

  it('are not seen where there is only a shadow, and one that is cut off is told and left out', () => {
    const soft = ([x, y]: At) => 1 - 0.5 * Math.exp(-(((x - 300) / 70) ** 2 + ((y - 220) / 60) ** 2));
    const only = tracedPieces(tabletop({ table: 'white', across: 900, shadow: soft, pieces: [] }), 60);
    expect([only.pieces.length, only.warnings.join()]).toEqual([
      0,
      expect.stringMatching(/taken for a shadow.*No piece was found/),
    ]);
    const off: At[] = [[200, 150], [400, 150], [400, -300], [200, -300]]; // prettier-ignore
    const cut = tracedPieces(tabletop({ table: 'wood', across: 900, pieces: [{ outline: off, colour: WHITE }] }), 60);
    expect([cut.pieces.length, cut.warnings.join()]).toEqual([0, expect.stringMatching(/picture’s edge/)]);
  });

  it('are twice as large where the cards are said to be', () => {
    const picture = readPhoto(readFileSync(new URL('../../public/samples/pieces.jpg', import.meta.url)));
    const [once, twice] = [60, 120].map((marker) => tracedPieces(picture, marker).pieces.map(({ outline }) => areaOf(outline)));
    expect(once).toHaveLength(3);
    once!.forEach((area, i) => expect(twice![i]! / area).toBeCloseTo(4, 2));
    // The welt of 160 × 40 mm.
    expect(once!.at(-1)! / (160 * 40)).toBeCloseTo(1, 2);
  });
});

/** A stroke of a pen, as an outline. */
const stroke = ([ax, ay]: At, [bx, by]: At, wide = 0.9): At[] => {
  const length = Math.hypot(bx - ax, by - ay);
  const [u, v] = [((by - ay) / length) * (wide / 2), ((bx - ax) / length) * (wide / 2)];
  return [[ax - u, ay + v], [bx - u, by + v], [bx + u, by - v], [ax + u, ay - v]]; // prettier-ignore
};
const INK: Light = [0.08, 0.08, 0.09];

const NEAR = [
  { id: 1, at: [50, 50] as At, turn: 12 },
  { id: 2, at: [490, 60] as At, turn: -80 },
  { id: 3, at: [500, 400] as At, turn: 171 },
  { id: 4, at: [55, 405] as At, turn: 33 },
];

describe('what is drawn on a piece', () => {
  const outline: At[] = [[122, 133], [420, 121], [421, 343], [222, 352], [131, 318]]; // prettier-ignore
  const grain: [At, At] = [
    [200, 170],
    [260, 310],
  ];
  const drawn = [
    stroke(...grain),
    // Arrow heads.
    stroke(grain[1], [252, 304]),
    stroke(grain[1], [260, 300]),
    // Two notches and a line of the seam, which runs beside the edge and means nothing.
    stroke([300, 125.8], [300.3, 134]),
    stroke([420.6, 200], [412, 200]),
    stroke([230, 343], [411, 335]),
  ];

  it('is seen: the grain line, notches where they meet the edge, a stain; not the lines that run along', () => {
    const stain = circle(350, 270, 11);
    const { pieces, cards } = tracedPieces(
      tabletop({
        table: 'mat',
        ...{ across: 900, middle: [270, 230], wide: 600, cards: NEAR },
        pieces: [...[...drawn].map((each) => ({ outline: each, colour: INK })), { outline: stain, colour: [0.4, 0.25, 0.12] }, { outline, colour: WHITE }], // prettier-ignore
      }),
      60,
    );
    const lay = laidOn(cards as never, NEAR);
    const { grain: line, notches, spots } = pieces[0]!.drawn;
    const [from, to] = line!.map((at) => lay(at as At)) as [At, At];
    const angle = (a: At, b: At) => (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
    expect(Math.abs(angle(from, to) - angle(...grain))).toBeLessThan(1);
    expect(notches).toHaveLength(2);
    for (const wanted of [[300, 125.8], [420.4, 200]] as At[]) // prettier-ignore
      expect(Math.min(...notches.map((at) => { const [x, y] = lay(at as At); return Math.hypot(x - wanted[0], y - wanted[1]); }))).toBeLessThan(1.2); // prettier-ignore
    expect(spots).toHaveLength(1);
    // Whole, with a little room round it and no more than that.
    const told = spots[0]!.map((at) => lay(at as At));
    expect(Math.min(...stain.map((at) => distanceTo(told, at)))).toBeGreaterThan(0.5);
    expect(areaOf(told)).toBeLessThan(areaOf(circle(350, 270, 14.5)));
  });

  it('is not guessed on cloth of many colours, nor where nothing is drawn', () => {
    const stripes = Array.from({ length: 14 }, (_, i): At[] => [[124 + 20 * i, 150], [132 + 20 * i, 150], [132 + 20 * i, 316], [124 + 20 * i, 316]]); // prettier-ignore
    const striped = tabletop({ table: 'wood', across: 900, pieces: [...stripes.map((each) => ({ outline: each, colour: INK })), { outline, colour: WHITE }] }); // prettier-ignore
    const plain = tabletop({ table: 'wood', across: 900, pieces: [{ outline, colour: WHITE }] });
    for (const picture of [striped, plain])
      for (const { drawn: found } of tracedPieces(picture, 60).pieces) expect(found).toEqual({ notches: [], spots: [] });
  });
});

describe('a piece larger than one picture', () => {
  const band: At[] = [
    [110, 120],
    [820, 110],
    ...Array.from({ length: 60 }, (_, i): At => [820 - (710 * i) / 59, 250 + 40 * Math.sin((Math.PI * i) / 59)]),
  ];
  const tab: At[] = [[470, 20], [580, 20], [580, 80], [470, 80]]; // prettier-ignore
  const cards = [
    { id: 1, at: [40, 60] as At, turn: 12 },
    { id: 2, at: [50, 340] as At, turn: -80 },
    { id: 3, at: [420, 370] as At, turn: 171 },
    { id: 4, at: [400, 50] as At, turn: 33 },
    { id: 6, at: [890, 60] as At, turn: 70 },
    { id: 7, at: [880, 340] as At, turn: 5 },
    { id: 8, at: [640, 360] as At, turn: 5 },
  ];
  const seen = (middle: At, lean: At, roll: number, laid = cards, rays = laid === cards ? 2 : 1) =>
    tabletop({ table: 'wood', across: 800, cards: laid, pieces: [band, tab].map((outline) => ({ outline, colour: WHITE })), middle, wide: 720, lean, roll, rays }); // prettier-ignore
  const left = seen([320, 200], [60, -120], 2);
  const right = seen([620, 200], [-60, -100], -4);

  it('comes out whole from two pictures that share cards, in either order', () => {
    for (const pictures of [
      [left, right],
      [right, left],
    ]) {
      const { pieces, cards: found, warnings, residual } = tracedTogether(pictures, 60);
      expect([warnings, found.map(({ id }) => id).sort()]).toEqual([[], [1, 2, 3, 4, 6, 7, 8]]);
      expect(residual).toBeLessThan(0.2);
      expect(pieces).toHaveLength(2);
      expect(Math.abs(areaOf(pieces[0]!.outline) / areaOf(band) - 1)).toBeLessThan(0.004);
      expect(Math.abs(areaOf(pieces[1]!.outline) / areaOf(tab) - 1)).toBeLessThan(0.006);
      expect(pieces[0]!.corners).toHaveLength(4);
      const lay = laidOn(found as never, cards);
      expect(Math.max(...pieces[0]!.outline.map((at) => distanceTo(band, lay(at as At))))).toBeLessThan(1.2);
      expect(
        Math.max(
          ...band.map((at) =>
            distanceTo(
              pieces[0]!.outline.map((each) => lay(each as At)),
              at,
            ),
          ),
        ),
      ).toBeLessThan(1.2);
    }
  });

  it('is told of where half of it is missing, no card is shared, or one was moved between the pictures', () => {
    expect(tracedPieces(left, 60).warnings.join()).toMatch(/the rest of it in a second picture/);
    const alone = seen([620, 200], [-60, -100], -4, cards.filter(({ id }) => id > 4)); // prettier-ignore
    expect(() => tracedTogether([seen([320, 200], [60, -120], 2, cards.filter(({ id }) => id < 3)), alone], 60)).toThrow(/picture\[1\]: must show a card that a picture before it shows too; found card 6, 7, 8/); // prettier-ignore
    const moved = seen([620, 200], [-60, -100], -4, cards.map((card) => (card.id === 3 ? { ...card, at: [450, 370] as At } : card))); // prettier-ignore
    expect(() => tracedTogether([left, moved], 60)).toThrow(/one of them was moved between the pictures/);
  });
});

describe('a piece that lies aslant', () => {
  it('is turned straight by its longest straight edge, the short way', () => {
    const turned = (degrees: number) => {
      const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
      return LONG_BOX.map(([x, y]): At => [x * cos - y * sin, x * sin + y * cos]);
    };
    const sizeOf = (outline: readonly (readonly [number, number])[]) =>
      [0, 1].map((k) => Math.max(...outline.map((at) => at[k]!)) - Math.min(...outline.map((at) => at[k]!)));
    for (const degrees of [3, -20, 44]) {
      const [wide, high] = sizeOf(straightened({ outline: turned(degrees), corners: [0, 1, 2, 3] }));
      expect([wide, high]).toEqual([expect.closeTo(160, 6), expect.closeTo(40, 6)]);
    }
    expect(sizeOf(straightened({ outline: turned(100), corners: [0, 1, 2, 3] }))[0]).toBeCloseTo(40, 6);
  });
});

describe('a strip over the corner of a box, photographed', () => {
  it.each<[string, Parameters<typeof boxWithStrip>[0]]>([
    ['short and dark', { bending: 20, length: 50 }],
    ['long, light on a dark wall', { bending: 20, length: 120, thick: 0.7, wall: [0.1, 0.1, 0.1], strip: [0.7, 0.7, 0.65] }],
    ['soft, the camera turned', { bending: 10, length: 60, thick: 0.8, roll: 20 }],
    ['stiff, seen from the side', { bending: 70, length: 110, thick: 1.5, lean: [-100, 80] }],
  ])('tells its bending length: %s', (_, asked) => {
    const { bendingLength, low, high, overhang, residual, curve } = stripSeen(boxWithStrip({ across: 1000, ...asked }), 60);
    expect(Math.abs(bendingLength / asked.bending - 1)).toBeLessThan(0.03);
    expect(low).toBeLessThan(bendingLength);
    expect(high).toBeGreaterThan(bendingLength);
    expect(Math.abs(overhang - asked.length)).toBeLessThan(2);
    expect(residual).toBeLessThan(0.6);
    expect(curve[0]![0]).toBe(0);
    expect(curve.at(-1)![1]).toBeLessThan(0);
  });

  it('is refused where there is none, and where card 5 is missing', () => {
    const bare = boxWithStrip({ bending: 20, length: 50, across: 800, strip: [0.5, 0.5, 0.46] });
    expect(() => stripSeen(bare, 60)).toThrow(/^picture: must show a strip/);
    expect(() => stripSeen(tabletop({ table: 'wood', across: 800, pieces: [], cards: CORNER_CARDS }), 60)).toThrow(
      /must show card 5/,
    );
  });
});

describe('a swatch over white and black, photographed', () => {
  it.each([
    [0.7, 0.2],
    [0.3, 0.5],
    [0.05, 0.04],
  ])('throws back %f of the light and lets %f through', (reflectance, transmittance) => {
    const seen = swatchSeen(coveredFields({ reflectance, transmittance, across: 800 }), 60);
    expect(Math.abs(seen.reflectance - reflectance)).toBeLessThan(0.015);
    expect(Math.abs(seen.transmittance - transmittance)).toBeLessThan(0.025);
    const over = (backing: number) => reflectance + (transmittance ** 2 * backing) / (1 - reflectance * backing);
    expect(Math.abs(seen.opacity - (100 * over(0)) / over(0.89))).toBeLessThan(2);
    expect(seen.warnings).toEqual([]);
  });

  it('says when nothing lies on the fields', () => {
    const picture = coveredFields({ reflectance: 0, transmittance: 1, across: 800 });
    expect(swatchSeen(picture, 60).warnings.join()).toMatch(/Nothing seems to cover/);
  });
});

describe('the cards', () => {
  it('are told apart in every quarter turn, with one field read wrongly', () => {
    for (const id of CARD_IDS)
      for (let turns = 0; turns < 4; turns++) {
        let bits = Array.from({ length: 16 }, (_, i) => isWhite(id, 1 + Math.floor(i / 4), 1 + (i % 4)));
        // Turned clockwise: what stood at the lower left stands at the upper left.
        for (let k = 0; k < turns; k++) bits = bits.map((_, i) => bits[(3 - (i % 4)) * 4 + Math.floor(i / 4)]!);
        for (let wrong = -1; wrong < 16; wrong++)
          expect(readCode(bits.map((bit, i) => (i === wrong ? !bit : bit)))).toEqual({ id, turns });
      }
    expect(readCode(new Array<boolean>(16).fill(true))).toBeUndefined();
  });
});

describe('a photograph as a file', () => {
  const tiny = { width: 80, height: 64, data: Buffer.alloc(80 * 64 * 4, 255) };
  // The upper left is dark.
  for (let y = 0; y < 16; y++) for (let x = 0; x < 16; x++) tiny.data.fill(10, (y * 80 + x) * 4, (y * 80 + x) * 4 + 3);
  const jpeg = encode(tiny, 95).data;
  /** A JPEG that says it is to be turned. */
  const saying = (orientation: number) => {
    const exif = Buffer.from([0xff, 0xe1, 0, 34, 0x45, 0x78, 0x69, 0x66, 0, 0, 0x4d, 0x4d, 0, 42, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, orientation, 0, 0, 0, 0, 0, 0]); // prettier-ignore
    return Buffer.concat([jpeg.subarray(0, 2), exif, jpeg.subarray(2)]);
  };
  const darkCorner = ({ width, height, data }: Picture) => {
    const at = (x: number, y: number) => data[(y * width + x) * 4]! < 100;
    return [at(4, 4), at(width - 5, 4), at(width - 5, height - 5), at(4, height - 5)].indexOf(true);
  };

  it('is turned as it says', () => {
    expect(orientationOf(jpeg)).toBe(1);
    expect([1, 2, 3, 4, 5, 6, 7, 8].map((each) => orientationOf(saying(each)))).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    // Corner 0 is the upper left, then clockwise; 6 is held so that it has to be turned clockwise.
    expect([1, 2, 3, 4, 5, 6, 7, 8].map((each) => darkCorner(readPhoto(saying(each))))).toEqual([0, 1, 2, 3, 0, 1, 2, 3]);
    expect(readPhoto(saying(6))).toMatchObject({ width: 64, height: 80 });
    expect(upright(tiny, 1)).toBe(tiny);
  });

  it('is refused when it is none, broken, cut off or too large', () => {
    expect(() => readPhoto(new Uint8Array())).toThrow(/^body: .*saw nothing/);
    expect(() => readPhoto(Buffer.from('<svg/>'))).toThrow(/^body: must be a PNG or JPEG/);
    expect(() => readPhoto(jpeg.subarray(0, 60))).toThrow(/broken or cut off/);
    expect(() => readPhoto(jpeg.subarray(0, jpeg.length >> 1))).toThrow(/broken or cut off/);
    const giant = Buffer.alloc(64);
    giant.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
    giant.writeUInt32BE(20_000, 16);
    giant.writeUInt32BE(20_000, 20);
    expect(() => readPhoto(giant)).toThrow(/at most 50 megapixels, saw 20000 × 20000/);
  });
});
