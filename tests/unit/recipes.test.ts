import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../src/core/input-error';
import { flare, flareSectors, slitRing, hat, hatOval, ovalPerimeter, type HatInput, type HatPiece } from '../../src/core/recipes';
import { drawShape, outset, perimeter, polygonArea, type Outline } from '../../src/core/shape';
import { distanceTo } from '../files/geometry';

describe('a flare', () => {
  it.each([
    ['a full circle', { circles: 1, waist: 700, length: 500, allowance: 10 }, 111.41, 611.41, 3841.6],
    ['a half circle', { circles: 0.5, waist: 700, length: 500, allowance: 10 }, 222.82, 722.82, 2270.8],
    ['a double circle', { circles: 2, waist: 640, length: 300, allowance: 8 }, 50.93, 350.93, 4409.9],
  ])('of %s', (_, input, inner, outer, hem) => {
    const found = flare(input);
    expect(found.innerRadius).toBeCloseTo(inner, 2);
    expect(found.outerRadius).toBeCloseTo(outer, 2);
    expect(found.hem).toBeCloseTo(hem, 1);
    expect(found.braid).toBeCloseTo(hem + 20, 1);
  });

  it('is as long round its waist seam as the waist, however it is cut', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.25, max: 4, noNaN: true }),
        fc.double({ min: 300, max: 1200, noNaN: true }),
        fc.double({ min: 50, max: 500, noNaN: true }),
        (circles, waist, length) => {
          const input = { circles, waist, length, allowance: 6 };
          const { innerRadius } = flare(input);
          const { count, angle, width } = flareSectors(input, 1400);
          expect(count * angle).toBeCloseTo(360 * circles, 6);
          expect(angle).toBeLessThanOrEqual(180);
          expect(width).toBeLessThanOrEqual(1400);
          expect(count * ((angle * Math.PI) / 180) * innerRadius).toBeCloseTo(waist, 6);
        },
      ),
    );
  });

  it('takes fewer sectors of wider cloth, and says when none is narrow enough', () => {
    const cape = { circles: 1, waist: 420, length: 800, allowance: 10 };
    expect(flareSectors(cape, 700).count).toBeGreaterThan(flareSectors(cape, 2000).count);
    // Half a circle of the hem's radius and its allowances, side by side with itself.
    expect(flareSectors(cape, 2000)).toMatchObject({ count: 2, angle: 180 });
    expect(() => flareSectors(cape, 60)).toThrow(InputError);
  });

  it('lays a half circle along the selvedge where it is too wide upright', () => {
    // A half circle of 620 and a hem of 10 is 1 260 across and 630 deep, more or less.
    expect(flareSectors({ circles: 0.5, waist: 380, length: 500, allowance: 10 }, 1000)).toMatchObject({
      count: 1,
      angle: 180,
      grain: 90,
    });
    expect(flareSectors({ circles: 0.5, waist: 380, length: 500, allowance: 10 }, 1400)).toMatchObject({
      count: 1,
      angle: 180,
      grain: 0,
    });
  });

  it('is one ring with a slit whose cut lines stay clear of each other, as long round the waist as asked', () => {
    const measures = fc.record({
      waist: fc.double({ min: 250, max: 900, noNaN: true }),
      length: fc.double({ min: 50, max: 600, noNaN: true }),
      allowance: fc.constantFrom(6, 10, 15),
    });
    fc.assert(
      fc.property(measures, (input) => {
        const ring = slitRing({ circles: 1, ...input }, 5000)!;
        expect(((ring.angle * Math.PI) / 180) * ring.innerRadius).toBeCloseTo(input.waist, 4);
        const { outline, edges } = drawShape({
          kind: 'sector',
          inner: ring.innerRadius,
          outer: ring.outerRadius,
          angle: ring.angle,
        });
        const cut = outset(
          outline,
          edges.map(() => input.allowance),
        ).outline;
        // The slit lies under the middle's far side: nothing of the cut line crosses that half line.
        for (let i = 0; i < cut.length; i++) {
          const [[ax, ay], [bx, by]] = [cut[i]!, cut[(i + 1) % cut.length]!];
          const crosses = ax < 0 !== bx < 0 && ay + ((0 - ax) / (bx - ax)) * (by - ay) > 0;
          expect(crosses).toBe(false);
        }
      }),
      { numRuns: 60 },
    );
    expect(slitRing({ circles: 1, waist: 420, length: 400, allowance: 10 }, 900)).toBeNull();
    expect(slitRing({ circles: 2, waist: 420, length: 400, allowance: 10 }, 5000)).toBeNull();
  });

  it.each([
    ['circles', { circles: 0 }],
    ['waist', { waist: -1 }],
    ['length', { length: Number.NaN }],
    ['allowance', { allowance: 120 }],
  ])('refuses %s that cannot be', (field, wrong) => {
    const made = () => flare({ circles: 1, waist: 700, length: 500, allowance: 10, ...wrong });
    expect(made).toThrow(InputError);
    expect(made).toThrow(new RegExp(`^${field}`));
  });
});

const CAP: HatInput = {
  ...{ head: 570, ease: 12, oval: 1.22, bandHeight: 85, brimWidth: 60, allowance: 10 },
  layers: [
    { id: 'lining', duty: 'lining', thickness: 0.3 },
    { id: 'buckram', duty: 'base', thickness: 0.9 },
    { id: 'mulling', duty: 'soft-interlining', thickness: 1.2 },
    { id: 'felt', duty: 'shell', thickness: 2 },
  ],
};
const of = (pieces: readonly HatPiece[], layer: string, piece: string) =>
  pieces.find((each) => each.layer === layer && each.piece === piece)!;
/** Length of an ellipse by adding up very many short chords. */
const bySteps = (a: number, b: number): number => {
  let sum = 0;
  for (let k = 0; k < 100_000; k++) {
    const [s, t] = [(2 * Math.PI * k) / 100_000, (2 * Math.PI * (k + 1)) / 100_000];
    sum += Math.hypot(a * (Math.cos(t) - Math.cos(s)), b * (Math.sin(t) - Math.sin(s)));
  }
  return sum;
};

describe('a hat', () => {
  it.each([
    [100, 100],
    [105, 86],
    [120, 60],
  ])('has an oval of %d and %d mm whose length is that of its chords', (halfLength, halfWidth) => {
    expect(ovalPerimeter({ halfLength, halfWidth })).toBeCloseTo(bySteps(halfLength, halfWidth), 3);
  });

  it('has a base of head and ease, what lies outside longer by 2π of what is between, the lining shorter', () => {
    const pieces = hat(CAP);
    const joint = (layer: string) => of(pieces, layer, 'tip').joint;
    expect(joint('buckram')).toBeCloseTo(582, 9);
    expect(joint('mulling') - joint('buckram')).toBeCloseTo(2 * Math.PI * 0.9, 9);
    expect(joint('felt') - joint('buckram')).toBeCloseTo(2 * Math.PI * (0.9 + 1.2), 9);
    expect(joint('buckram') - joint('lining')).toBeCloseTo(2 * Math.PI * 0.3, 9);
    const { length, width } = hatOval(CAP);
    expect(length / width).toBeCloseTo(1.22, 9);
    expect(bySteps(length / 2, width / 2)).toBeCloseTo(582, 3);
  });

  it('has tip, band and brim of each layer that meet on one length, as they are drawn', () => {
    for (const { id } of CAP.layers) {
      const pieces = hat(CAP);
      const [tip, band, brim] = ['tip', 'band', 'brim'].map((name) => of(pieces, id, name));
      const drawn = [perimeter(tip!.sewLine), band!.sewLine[1]![0] - band!.sewLine[0]![0], perimeter(brim!.sewLine)];
      for (const length of drawn) expect(Math.abs(length - tip!.joint)).toBeLessThan(0.25);
      expect(new Set([tip!.joint, band!.joint, brim!.joint]).size).toBe(1);
    }
  });

  it('is cut by each layer’s own rule: a base only where it is joined, what is seen all round', () => {
    const pieces = hat(CAP);
    const grown = (line: Outline, from: Outline) => line.map((point) => distanceTo(from, point));
    const all = (values: number[], value: number) => values.forEach((each) => expect(each).toBeCloseTo(value, 1));
    all(grown(of(pieces, 'buckram', 'tip').cutLine, of(pieces, 'buckram', 'tip').sewLine), 10);
    const brim = (layer: string) => of(pieces, layer, 'brim');
    expect(brim('buckram').cutLine).toEqual(brim('buckram').edge);
    all(grown(brim('felt').cutLine, brim('felt').edge!), 10);
    all(grown(brim('buckram').opening!, brim('buckram').sewLine), 10);
    // Outside, all layers of a brim end together.
    all(grown(brim('felt').edge!, brim('buckram').edge!), 0);
    const bandOf = (layer: string) => of(pieces, layer, 'band').cutLine;
    const size = (line: Outline) => [line[1]![0] - line[0]![0], line[2]![1] - line[1]![1]];
    expect(size(bandOf('buckram'))[0]).toBeCloseTo(582 + 20, 9);
    expect(size(bandOf('buckram'))[1]).toBeCloseTo(85, 9);
    expect(size(bandOf('felt'))[1]).toBeCloseTo(85 + 20, 9);
    expect(
      pieces.map(({ piece, cut }) => [piece, cut]).every(([piece, cut]) => (piece === 'band') === (cut === 'straight')),
    ).toBe(true);
  });

  it('is drawn within a twentieth of a millimetre of its curve', () => {
    fc.assert(
      fc.property(fc.double({ min: 200, max: 900, noNaN: true }), fc.double({ min: 1, max: 1.6, noNaN: true }), fc.double({ min: 10, max: 200, noNaN: true }), (head, oval, brimWidth) => {
        const [tip, , brim] = hat({ ...CAP, head, oval, brimWidth, layers: [{ id: 'b', duty: 'base', thickness: 1 }] });
        const { length, width } = hatOval({ head, ease: CAP.ease, oval });
        // The middle of each chord against the curve, found by very fine steps.
        const fine: Outline = Array.from({ length: 20_000 }, (_, k) => {
          const t = (2 * Math.PI * k) / 20_000;
          return [(width / 2) * Math.cos(t), (length / 2) * Math.sin(t)];
        });
        const middles = (line: Outline) => line.map(([x, y], i) => { const [u, v] = line[(i + 1) % line.length]!; return [(x + u) / 2, (y + v) / 2] as const; });
        const some = middles(tip!.sewLine).filter((_, i, list) => i % Math.ceil(list.length / 12) === 0);
        for (const [x, y] of some) expect(distanceTo(fine, [x, y])).toBeLessThan(0.05);
        const outer = middles(brim!.edge!).filter((_, i, list) => i % Math.ceil(list.length / 12) === 0);
        for (const [x, y] of outer) expect(Math.abs(distanceTo(fine, [x, y]) - brimWidth)).toBeLessThan(0.05);
        expect(polygonArea(brim!.cutLine)).toBeGreaterThan(polygonArea(brim!.opening!));
      }),
      { numRuns: 15 },
    ); // prettier-ignore
  });

  it.each([
    ['head', { head: 0 }],
    ['oval', { oval: 0.5 }],
    ['brimWidth', { brimWidth: 1 }],
    ['allowance', { allowance: 90 }],
    ['layers', { layers: CAP.layers.filter(({ duty }) => duty !== 'base') }],
    ['layers', { layers: [...CAP.layers, { id: 'more', duty: 'base' as const, thickness: 1 }] }],
    ['layers[1].id', { layers: CAP.layers.map((layer) => ({ ...layer, id: 'same' })) }],
    ['layers[1].duty', { layers: [...CAP.layers].reverse() }],
    ['layers[0].thickness', { layers: [{ id: 'b', duty: 'base' as const, thickness: Number.NaN }] }],
  ])('refuses %s that cannot be', (field, wrong) => {
    try {
      hat({ ...CAP, ...wrong });
      expect.unreachable();
    } catch (error) {
      expect((error as InputError).field).toBe(field);
    }
  });

  it('without a brim has none, of any layer', () => {
    expect(hat({ ...CAP, brimWidth: 0 }).map(({ piece }) => piece)).toEqual(CAP.layers.flatMap(() => ['tip', 'band']));
  });
});
