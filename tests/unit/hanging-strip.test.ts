import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bendingLengthFromDrop,
  bendingLengthFromOverhang,
  bendingLengthOf,
  droopProfile,
  flexuralRigidity,
  overhangFromBendingLength,
} from '../../src/core/cloth';

/**
 * An oracle that shares nothing with the solver: finite differences on the slope θ(s), solved by Newton's method on
 * the whole strip at once. B θ″ = −w (L − s) cos θ with c³ = B/w; θ(0) = 0, θ′(L) = 0.
 */
function relaxedStrip(c: number, length: number, nodes: number): { x: number; y: number } {
  const h = length / nodes;
  const theta = new Float64Array(nodes + 1);
  for (let i = 0; i <= nodes; i++) theta[i] = (Math.PI / 2) * (1 - Math.exp((-i * h) / c));
  for (let iteration = 0; iteration < 200; iteration++) {
    const a = new Float64Array(nodes + 1);
    const b = new Float64Array(nodes + 1);
    const d = new Float64Array(nodes + 1);
    const r = new Float64Array(nodes + 1);
    b[0] = 1;
    r[0] = -theta[0]!;
    for (let i = 1; i < nodes; i++) {
      const load = (h * h * (length - i * h)) / c ** 3;
      r[i] = -(theta[i - 1]! - 2 * theta[i]! + theta[i + 1]! + load * Math.cos(theta[i]!));
      a[i] = 1;
      b[i] = -2 - load * Math.sin(theta[i]!);
      d[i] = 1;
    }
    // Free end by a ghost node: θ(n+1) = θ(n−1), and the load vanishes there.
    a[nodes] = 2;
    b[nodes] = -2;
    r[nodes] = -(2 * theta[nodes - 1]! - 2 * theta[nodes]!);
    for (let i = 1; i <= nodes; i++) {
      const m = a[i]! / b[i - 1]!;
      b[i]! -= m * d[i - 1]!;
      r[i]! -= m * r[i - 1]!;
    }
    const step = new Float64Array(nodes + 1);
    step[nodes] = r[nodes]! / b[nodes]!;
    for (let i = nodes - 1; i >= 0; i--) step[i] = (r[i]! - d[i]! * step[i + 1]!) / b[i]!;
    let largest = 0;
    for (let i = 0; i <= nodes; i++) largest = Math.max(largest, Math.abs(step[i]!));
    const damp = largest > 0.5 ? 0.5 / largest : 1;
    for (let i = 0; i <= nodes; i++) theta[i]! += damp * step[i]!;
    if (largest < 1e-12) break;
  }
  let x = 0;
  let y = 0;
  for (let i = 0; i < nodes; i++) {
    x += (h * (Math.cos(theta[i]!) + Math.cos(theta[i + 1]!))) / 2;
    y += (h * (Math.sin(theta[i]!) + Math.sin(theta[i + 1]!))) / 2;
  }
  return { x, y };
}

const tipOf = (c: number, length: number) => {
  const profile = droopProfile(c, length);
  return profile[profile.length - 1]!;
};

describe('overhang test', () => {
  it('reads a bending length of half the overhang at 41.5°', () => {
    expect(bendingLengthFromOverhang(40)).toBeCloseTo(20, 1);
    expect(flexuralRigidity(150, bendingLengthFromOverhang(40))).toBeCloseTo(11.8, 1);
  });

  it.each([
    [41.5, 1.02],
    [80, 1.17],
  ])('differs from the common closed formula at %d° by the known factor', (angle, factor) => {
    const radians = (angle * Math.PI) / 180;
    const closed = 40 * Math.cbrt(Math.cos(radians / 2) / (8 * Math.tan(radians)));
    expect(closed / bendingLengthFromOverhang(40, angle)).toBeCloseTo(factor, 2);
  });

  it.each([3, 10, 25, 41.5, 60, 75, 85])('agrees with an independent solver at %d° within 0.5 %%', (angle) => {
    const overhang = 60;
    const c = bendingLengthFromOverhang(overhang, angle);
    const { x, y } = relaxedStrip(c, overhang, 4000);
    const soft = relaxedStrip(c * 0.995, overhang, 4000);
    const stiff = relaxedStrip(c * 1.005, overhang, 4000);
    const seen = (tip: { x: number; y: number }) => (Math.atan2(tip.y, tip.x) * 180) / Math.PI;
    expect(seen(stiff)).toBeLessThan(angle);
    expect(seen(soft)).toBeGreaterThan(angle);
    expect(seen({ x, y })).toBeCloseTo(angle, 1);
  });

  it('is undone by its inverse', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 400, noNaN: true }), (c) => {
        expect(bendingLengthFromOverhang(overhangFromBendingLength(c))).toBeCloseTo(c, 8);
        expect(bendingLengthOf(flexuralRigidity(120, c), 120)).toBeCloseTo(c, 8);
      }),
    );
  });

  it.each([
    [{ overhang: 0 }, 'overhang'],
    [{ overhang: -5 }, 'overhang'],
    [{ overhang: NaN }, 'overhang'],
    [{ overhang: 40, angle: 0 }, 'angle'],
    [{ overhang: 40, angle: 90 }, 'angle'],
  ])('refuses %o naming %s', ({ overhang, angle }: { overhang: number; angle?: number }, field) => {
    expect(() => bendingLengthFromOverhang(overhang, angle)).toThrow(new RegExp(`^${field}: `));
  });
});

describe('fixed-length test', () => {
  it('finds the bending length whose strip falls that far', () => {
    fc.assert(
      fc.property(fc.double({ min: 3, max: 150, noNaN: true }), fc.double({ min: 20, max: 200, noNaN: true }), (c, length) => {
        fc.pre(length / c > 0.25 && length / c < 7);
        const drop = tipOf(c, length)[1];
        expect(bendingLengthFromDrop(length, drop) / c).toBeCloseTo(1, 2);
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    [100, 100, 'drop'],
    [100, 120, 'drop'],
    [100, 0, 'drop'],
    [100, 0.01, 'drop'],
    [100, 99.99, 'drop'],
    [0, 5, 'length'],
    [100, NaN, 'drop'],
  ])('refuses length %d with drop %d', (length, drop, field) => {
    expect(() => bendingLengthFromDrop(length, drop)).toThrow(new RegExp(`^${field}: `));
  });
});

describe('droopProfile', () => {
  it('begins at the edge and is exactly as long as the strip', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 200, noNaN: true }), fc.double({ min: 5, max: 300, noNaN: true }), (c, length) => {
        fc.pre(length / c < 100);
        const profile = droopProfile(c, length);
        expect(profile[0]).toEqual([0, 0]);
        let sum = 0;
        for (let i = 1; i < profile.length; i++)
          sum += Math.hypot(profile[i]![0] - profile[i - 1]![0], profile[i]![1] - profile[i - 1]![1]);
        expect(sum).toBeCloseTo(length, 6);
      }),
      { numRuns: 60 },
    );
  });

  it.each([0.5, 1, 2, 4, 8])('ends where the independent solver ends, for a strip of %d bending lengths', (ratio) => {
    const [x, y] = tipOf(20, 20 * ratio);
    const tip = relaxedStrip(20, 20 * ratio, 4000);
    expect(Math.abs(x - tip.x)).toBeLessThan(0.005 * 20 * ratio);
    expect(Math.abs(y - tip.y)).toBeLessThan(0.005 * 20 * ratio);
  });

  it('hangs lower the softer the cloth', () => {
    const drops = [80, 40, 20, 10, 5].map((c) => tipOf(c, 60)[1]);
    expect(drops).toEqual([...drops].sort((a, b) => a - b));
  });

  it('refuses a strip that is too long for its softness, and says how long it may be', () => {
    expect(() => droopProfile(2, 500)).toThrow('profileLength: must be at most 400 mm');
  });
});
