import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hoopCard, landedBy, nearestStitches, type HoopCard, type HoopedSet } from '../../src/core/hoop';
import type { Outline, Point } from '../../src/core/shape';

/** Where a point of the design comes to lie when the card is obeyed: folded, hooped, mirrored, turned, moved. Own arithmetic throughout. */
function obeyed({ ground, edges, tilt, mirror, turn, right, up }: HoopCard, [px, py]: Point): Point {
  const line = ({ edge, distance }: HoopCard['edges'][number]) => {
    const [a, b] = [ground[edge]!, ground[(edge + 1) % ground.length]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const n = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length] as const;
    return { n, c: n[0] * a[0] + n[1] * a[1] + distance };
  };
  const [one, two] = edges.map(line) as [ReturnType<typeof line>, ReturnType<typeof line>];
  const det = one.n[0] * two.n[1] - one.n[1] * two.n[0];
  const middle = [(one.c * two.n[1] - two.c * one.n[1]) / det, (one.n[0] * two.c - two.n[0] * one.c) / det] as const;
  const turned = ([x, y]: Point, degrees: number): Point => {
    const t = (degrees * Math.PI) / 180;
    return [x * Math.cos(t) - y * Math.sin(t), x * Math.sin(t) + y * Math.cos(t)];
  };
  const inField = turned([mirror ? -px : px, py], turn);
  const onCloth = turned([inField[0] + right, inField[1] + up], tilt);
  return [middle[0] + onCloth[0], middle[1] + onCloth[1]];
}

/** Where a point of the design is wanted on the first copy. */
const wanted = ({ place: { x, y, angle, flipped } }: HoopedSet, [px, py]: Point): Point => {
  const t = (angle * Math.PI) / 180;
  const qx = flipped ? -px : px;
  return [x + qx * Math.cos(t) - py * Math.sin(t), y + qx * Math.sin(t) + py * Math.cos(t)];
};

const GROUNDS: Outline[] = [
  [[0, 0], [500, 0], [500, 500], [0, 500]],
  [[0, 500], [500, 500], [520, 0], [0, 0]],
  [[-40, 10], [300, 0], [360, 480], [150, 560], [0, 520]],
]; // prettier-ignore
const set = fc.record({
  outline: fc.constantFrom(...GROUNDS),
  place: fc.record({
    x: fc.double({ min: 90, max: 200, noNaN: true }),
    y: fc.double({ min: 90, max: 400, noNaN: true }),
    angle: fc.double({ min: 0, max: 360, noNaN: true }),
    flipped: fc.boolean(),
  }),
  hoop: fc.record({
    x: fc.double({ min: 80, max: 210, noNaN: true }),
    y: fc.double({ min: 80, max: 410, noNaN: true }),
    angle: fc.double({ min: 0, max: 360, noNaN: true }),
  }),
  pairs: fc.boolean(),
});
const MARKS: Point[] = [[0, 0], [30, 0], [0, 45], [-20, 10]]; // prettier-ignore

describe('the card of a copy', () => {
  it('obeyed, lands: on the first, and as its mirror image on every second of a set in pairs', () => {
    fc.assert(
      fc.property(set, fc.integer({ min: 0, max: 9 }), (hooped, copy) => {
        const card = hoopCard(hooped, copy);
        expect(card.mirrored).toBe(hooped.pairs && copy % 2 === 1);
        expect(card.edges).toHaveLength(2);
        for (const mark of MARKS) {
          const [x, y] = wanted(hooped, mark);
          const [gx, gy] = obeyed(card, mark);
          expect(gx).toBeCloseTo(card.mirrored ? -x : x, 6);
          expect(gy).toBeCloseTo(y, 6);
        }
        // Its ground is the cloth, or the cloth turned over.
        const there = card.ground.map(([x, y]) => `${card.mirrored ? -x || 0 : x} ${y}`).sort();
        expect(there).toEqual(hooped.outline.map(([x, y]) => `${x || 0} ${y}`).sort());
      }),
      { numRuns: 300 },
    );
  });

  it('of a napkin of 506 mm keeps what lies in the middle in the middle, and what lies near an edge at its distance', () => {
    const napkin: Outline = [[0, 0], [500, 0], [500, 500], [0, 500]]; // prettier-ignore
    const sizes = [{ copy: 1, width: 506, height: 497 }];
    const centred = { outline: napkin, place: { x: 250, y: 60, angle: 0, flipped: false }, hoop: { x: 250, y: 70, angle: 0 }, pairs: false, sizes }; // prettier-ignore
    const [x, y] = obeyed(hoopCard(centred, 1), [0, 0]);
    expect([x, y]).toEqual([expect.closeTo(253, 6), expect.closeTo(60, 6)]);
    expect(hoopCard(centred, 1).edges.find(({ distance }) => Math.abs(distance - 253) < 1e-6)!.half).toBe(true);
    const corner = { ...centred, place: { ...centred.place, x: 440, y: 440 }, hoop: { x: 430, y: 430, angle: 0 } };
    expect(obeyed(hoopCard(corner, 1), [0, 0])).toEqual([expect.closeTo(446, 6), expect.closeTo(437, 6)]);
    expect(obeyed(hoopCard(corner, 0), [0, 0])).toEqual([expect.closeTo(440, 6), expect.closeTo(440, 6)]);
  });

  it('takes back what the first piece landed off, whichever way the hoop lies', () => {
    const off = fc.record({
      right: fc.double({ min: -6, max: 6, noNaN: true }),
      up: fc.double({ min: -6, max: 6, noNaN: true }),
    });
    const square: Outline = [[-20, -15], [20, -15], [20, 15], [-20, 15]]; // prettier-ignore
    fc.assert(
      fc.property(set, off, fc.integer({ min: 1, max: 5 }), (hooped, error, copy) => {
        // A machine that sews everything so far to the right and up in its hoop.
        const sewn = (card: HoopCard, mark: Point) =>
          obeyed({ ...card, right: card.right + error.right, up: card.up + error.up }, mark);
        const first = hoopCard(hooped, 0);
        const corners = square.map((corner) => sewn(first, corner));
        const readings = nearestStitches(square, first).map(({ edge }) => {
          const [a, b] = [first.ground[edge]!, first.ground[(edge + 1) % first.ground.length]!];
          const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
          return Math.min(...corners.map(([x, y]) => ((y - a[1]) * (b[0] - a[0]) - (x - a[0]) * (b[1] - a[1])) / length));
        });
        const landed = landedBy(square, first, readings)!;
        expect(landed.right).toBeCloseTo(error.right, 4);
        expect(landed.up).toBeCloseTo(error.up, 4);
        const next = hoopCard({ ...hooped, landed }, copy);
        const [x, y] = wanted(hooped, [0, 0]);
        const [gx, gy] = sewn(next, [0, 0]);
        expect(Math.hypot(gx - (next.mirrored ? -x : x), gy - y)).toBeLessThan(0.001);
      }),
      { numRuns: 150 },
    );
  });
});
