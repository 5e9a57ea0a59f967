import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { splitMotif, type MotifPart } from '../../src/core/hoop';
import { MotifBuilder, stitchedMotif, type Motif } from '../../src/core/motif';
import type { Outline } from '../../src/core/shape';

const [STITCH, JUMP, TRIM, COLOUR] = [0, 1, 2, 3];
const key = (ax: number, ay: number, bx: number, by: number) => [ax, ay, bx, by].map((v) => v.toFixed(4)).join(' ');

/** Threads that lie on the cloth: from needle hole to needle hole. */
function threads({ x, y, command }: Motif): string[] {
  const found: string[] = [];
  for (let i = 1; i < command.length; i++) if (command[i] === STITCH && command[i - 1] === STITCH) found.push(key(x[i - 1]!, y[i - 1]!, x[i]!, y[i]!)); // prettier-ignore
  return found;
}

/** A motif of stitches of at most 9 mm that wander over a box, with jumps, trims and colours between. */
const wandering = fc
  .record({
    width: fc.integer({ min: 120, max: 420 }),
    height: fc.integer({ min: 40, max: 300 }),
    steps: fc.array(fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -1, max: 1, noNaN: true }), fc.integer({ min: 0, max: 30 })), { minLength: 60, maxLength: 400 }), // prettier-ignore
  })
  .map(({ width, height, steps }) => {
    const builder = new MotifBuilder();
    let [x, y] = [0, 0];
    builder.add(JUMP!, 0, 0);
    builder.add(STITCH!, 0, 0);
    // Its corners are sewn, so that it is as large as it says.
    for (const [cx, cy] of [
      [width, 0],
      [width, height],
      [0, height],
    ] as const) {
      // prettier-ignore
      builder.add(JUMP!, cx, cy);
      builder.add(STITCH!, cx, cy);
    }
    for (const [dx, dy, kind] of steps) {
      if (kind === 0) builder.add(COLOUR!, x, y);
      if (kind === 1) builder.add(TRIM!, x, y);
      const far = kind < 4 ? 200 : 9;
      x = Math.min(width, Math.max(0, x + dx * far));
      y = Math.min(height, Math.max(0, y + dy * (kind < 4 ? 200 : 3)));
      if (kind < 4) builder.add(JUMP!, x, y);
      builder.add(STITCH!, x, y);
    }
    return builder.motif('wander');
  });
const hoops = fc.record({
  shape: fc.constantFrom('rectangle' as const, 'oval' as const),
  fieldWidth: fc.integer({ min: 90, max: 260 }),
  fieldHeight: fc.integer({ min: 90, max: 260 }),
});

function insideField(
  { motif: { x, y, command }, centre, turned }: MotifPart,
  hoop: { shape: string; fieldWidth: number; fieldHeight: number },
) {
  // prettier-ignore
  const [a, b] = turned ? [hoop.fieldHeight / 2, hoop.fieldWidth / 2] : [hoop.fieldWidth / 2, hoop.fieldHeight / 2];
  for (let i = 0; i < command.length; i++) {
    if (command[i] !== STITCH) continue;
    const [dx, dy] = [Math.abs(x[i]! - centre[0]) / a, Math.abs(y[i]! - centre[1]) / b];
    expect(hoop.shape === 'oval' ? Math.hypot(dx, dy) : Math.max(dx, dy)).toBeLessThan(1 + 1e-6);
  }
}

describe('a motif in several hoopings', () => {
  it('lies inside the field in every one, rectangular or oval, and every thread is there once', () => {
    let split = 0;
    fc.assert(
      fc.property(wandering, hoops, (motif, hoop) => {
        const parts = splitMotif(motif, hoop);
        if (parts.length < 2) return;
        split++;
        const there = new Map<string, number>();
        for (const part of parts) {
          insideField(part, hoop);
          for (const thread of threads(part.motif)) there.set(thread, (there.get(thread) ?? 0) + 1);
        }
        const wanted = new Map<string, number>();
        for (const thread of threads(motif)) wanted.set(thread, (wanted.get(thread) ?? 0) + 1);
        for (const [thread, times] of wanted) {
          const [ax, ay, bx, by] = thread.split(' ').map(Number) as [number, number, number, number];
          const long = Math.hypot(bx - ax, by - ay);
          // Between two rows that are parted the needle may take a short step of its own.
          if (long > 3) expect(there.get(thread)).toBe(times);
          else if (long > 0) expect(there.get(thread)).toBeGreaterThanOrEqual(times);
        }
        // Crosses that two parts share lie in both, at the same place, last in the one and first in the other.
        parts.forEach(({ crosses }, n) => {
          for (const { with: other, at, laid } of crosses) {
            expect(at).toHaveLength(2);
            const back = parts[other]!.crosses.find((each) => each.with === n)!;
            expect([back.at, back.laid]).toEqual([at, !laid]);
            expect(laid).toBe(other < n);
          }
        });
        for (const { crosses } of parts.slice(1)) expect(crosses.some(({ laid }) => laid)).toBe(true);
      }),
      { numRuns: 150 },
    );
    expect(split).toBeGreaterThan(40);
  });

  it('never parts a satin that has room in a field', () => {
    const bar = (x: number): Outline => [[x, 0], [x + 60, 0], [x + 60, 4], [x, 4]]; // prettier-ignore
    const bars = [0, 50, 95, 140, 195].map((x, i) => ({ outlines: [bar(x).map(([px, py]): [number, number] => [px, py + 12 * i])], stitching: { kind: 'satin' as const, spacing: 0.5, width: 4 }, newColour: i > 0 })); // prettier-ignore
    const motif = stitchedMotif('bars', bars);
    const parts = splitMotif(motif, { shape: 'rectangle', fieldWidth: 160, fieldHeight: 120 });
    expect(parts.length).toBeGreaterThan(1);
    expect(parts.every(({ throughSatin }) => !throughSatin)).toBe(true);
    // Each bar, by its height, is sewn in one part only.
    for (let i = 0; i < 5; i++) {
      const homes = parts.filter(({ motif: { x, y, command } }) =>
        command.some((c, k) => c === STITCH && Math.abs(y[k]! - 12 * i) < 2.2 && x[k]! > 50 * i - 8 && x[k]! < 50 * i + 60 && command[k - 1] === STITCH && Math.abs(y[k]! - y[k - 1]!) > 2.5),
      ); // prettier-ignore
      expect(homes.length).toBe(1);
    }
  });

  it('says so where a satin is longer than any field', () => {
    const long = stitchedMotif('line', [{ outlines: [[[0, 0], [400, 0], [400, 6], [0, 6]]], stitching: { kind: 'satin', spacing: 0.5, width: 4 } }]); // prettier-ignore
    const parts = splitMotif(long, { shape: 'rectangle', fieldWidth: 130, fieldHeight: 100 });
    expect(parts.length).toBeGreaterThan(2);
    expect(parts.some(({ throughSatin }) => throughSatin)).toBe(true);
  });
});
