import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hoopFolds, smallestHoop, type Hoop } from '../../src/core/hoop';
import type { Outline } from '../../src/core/shape';
import { designWords } from '../../src/core/hoop';

const napkin: Outline = [[0, 0], [400, 0], [400, 400], [0, 400]]; // prettier-ignore

/** What a person does: folds at the told distances, hoops there, and moves the design in the field. */
function follow(place: { x: number; y: number; angle: number }, hoop: { x: number; y: number; angle: number }) {
  const { edges, right, up, turn } = hoopFolds(napkin, { ...place, flipped: false }, hoop);
  const at = [NaN, NaN];
  for (const { edge, distance } of edges) {
    // Edges of the napkin in order: bottom, right, top, left.
    if (edge === 0) at[1] = distance;
    if (edge === 1) at[0] = 400 - distance;
    if (edge === 2) at[1] = 400 - distance;
    if (edge === 3) at[0] = distance;
  }
  const a = (hoop.angle * Math.PI) / 180;
  return {
    x: at[0]! + right * Math.cos(a) - up * Math.sin(a),
    y: at[1]! + right * Math.sin(a) + up * Math.cos(a),
    angle: hoop.angle + turn,
  };
}

describe('the card of a hooping', () => {
  it('tells where the hoop goes, not where the motif goes', () => {
    const { edges, up } = hoopFolds(napkin, { x: 200, y: 76.2, angle: 0, flipped: false }, { x: 200, y: 89, angle: 0 });
    expect(edges[0]).toEqual({ edge: 0, distance: 89 });
    expect(up).toBeCloseTo(-12.8, 9);
  });

  it('followed to the letter brings the motif to its place, wherever hoop and motif lie', () => {
    const inside = fc.double({ min: 50, max: 350, noNaN: true });
    const turn = fc.integer({ min: -180, max: 359 });
    fc.assert(
      fc.property(inside, inside, turn, inside, inside, turn, (x, y, angle, hx, hy, hoopAngle) => {
        const there = follow({ x, y, angle }, { x: hx, y: hy, angle: hoopAngle });
        expect(there.x).toBeCloseTo(x, 6);
        expect(there.y).toBeCloseTo(y, 6);
        expect((((there.angle - angle) % 360) + 360) % 360).toBeCloseTo(0, 6);
      }),
    );
  });

  it('says in words which way the design is moved and turned', () => {
    const mm = (value: number) => `${Math.round(value * 10) / 10} mm`;
    const words = (right: number, up: number, turn: number, mirror = false) => designWords({ right, up, turn, mirror }, mm);
    expect(words(0, 0, 0)).toBe('The design stays in the middle of the field.');
    expect(words(0, -12.8, 0)).toBe('Move the design 12.8 mm down in the field.');
    expect(words(-5, 3, 90)).toBe(
      'Turn the design by 90° counter-clockwise; then move it 5 mm to the left and 3 mm up in the field.',
    );
    expect(words(0.2, 0, -15)).toBe('Turn the design by 15° clockwise; then it stays in the middle of the field.');
    expect(words(0, 4, 180, true)).toBe(
      'Mirror the design first, left to right; then turn it by 180°; then move it 4 mm up in the field.',
    );
  });
});

describe('the hoop to start with', () => {
  const hoop = (fieldWidth: number, fieldHeight: number): Hoop => ({
    ...{ name: '', shape: 'rectangle', fieldWidth, fieldHeight, outerWidth: fieldWidth + 40, outerHeight: fieldHeight + 40 },
    ...{ clamp: 14, kind: 'screw', mount: 'arm', mountSide: 'left' },
  });
  it.each([
    ['the smallest that has room', [hoop(300, 200), hoop(100, 100), hoop(180, 130)], 90, 80, 1],
    ['turned by a quarter, where that gives room', [hoop(300, 200), hoop(180, 130)], 120, 170, 1],
    ['the largest where none has room', [hoop(100, 100), hoop(300, 200)], 500, 500, 1],
  ] as const)('is %s', (_words, hoops, width, height, index) => {
    expect(smallestHoop(hoops, width, height)).toBe(index);
  });
  it('is none without hoops', () => expect(smallestHoop([], 10, 10)).toBeUndefined());
});
