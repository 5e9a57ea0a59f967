import { describe, expect, it } from 'vitest';
import { clothInPlane, driftMap, driftOf, stackInPlane, turnedBy, type InPlane, type ElasticSheet } from '../../src/core/hoop';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { stitchedMotif, type Motif } from '../../src/core/motif';
import type { Outline } from '../../src/core/shape';

const lawn = LIBRARY_CLOTHS.find(({ id }) => id === 'cotton-lawn')!;
const sheets = LIBRARY_LAYERS.filter(({ family, form }) => family === 'cut-away' && form === 'loose');
const layer = (material: (typeof LIBRARY_LAYERS)[number], angle = 0) => ({ material, angle });
const square = (side: number): Outline => [
  [-side / 2, -side / 2],
  [side / 2, -side / 2],
  [side / 2, side / 2],
  [-side / 2, side / 2],
];
const block = (angle = 0, spacing = 0.4, side = 30): Motif =>
  stitchedMotif('block', [{ outlines: [square(side)], stitching: { kind: 'fill', spacing, stitchLength: 3, angle } }]);
const WINDOW = { minX: -60, minY: -60, maxX: 60, maxY: 60 };
const EVEN: InPlane = { xx: 3, yy: 3, xy: 0.75, shear: 1.125 };
const run = (changes: Partial<Parameters<typeof driftMap>[0]> = {}) =>
  driftMap({ motif: block(), window: WINDOW, inPlane: EVEN, rigidity: 10, taut: true, ...changes });

describe('the elastic sheet', () => {
  it('does not move without a load', () => {
    expect(run({ motif: stitchedMotif('dot', []) }).most.drift).toBe(0);
  });

  it('moves twice as far under twice the load', () => {
    const sheet: ElasticSheet = { columns: 20, rows: 16, dx: 5, dy: 6, inPlane: EVEN };
    const pull = Float64Array.from({ length: 3 * 320 }, (_, i) => (i % 7 === 0 ? 0.02 * (i % 3) : 0));
    const one = driftOf(sheet, pull).moves;
    const two = driftOf(
      sheet,
      pull.map((value) => 2 * value),
    ).moves;
    one.forEach((value, i) => expect(two[i]).toBeCloseTo(2 * value, 6));
  });

  it('answers an even pull as a held bar does', () => {
    // Pulled evenly all over, the forces cancel everywhere but at the hoop, which takes them.
    const sheet: ElasticSheet = { columns: 12, rows: 12, dx: 5, dy: 5, inPlane: EVEN };
    const moves = driftOf(
      sheet,
      new Float64Array(3 * 144).map((_, i) => (i % 3 === 2 ? 0 : 0.1)),
    ).moves;
    expect(Math.max(...moves.map(Math.abs))).toBeLessThan(1e-9);
    // A long band across the middle, pulled along x, has the strain of a bar in series with the rest of its length.
    const bar: ElasticSheet = { columns: 60, rows: 40, dx: 2, dy: 2000, inPlane: { ...EVEN, xy: 0 } };
    const pull = new Float64Array(3 * 2400);
    for (let r = 0; r < 40; r++) for (let c = 20; c < 40; c++) pull[3 * (60 * r + c)] = 0.3;
    const { moves: along } = driftOf(bar, pull);
    // σ/E over 40 mm, held back by 80 mm of the rest: the edge moves by σ/E · 40 · 80/120 / 2.
    const expected = ((0.3 / 3) * 40 * (80 / 120)) / 2;
    expect(Math.abs(along[2 * (20 * 61 + 20)]! / expected - 1)).toBeLessThan(0.02);
  });

  it('is symmetric for a symmetric motif', () => {
    const { moves, columns, rows } = run({ motif: mirrored(block()) });
    const across = columns + 1;
    const scale = Math.max(...moves.map(Math.abs));
    for (let r = 0; r <= rows; r++)
      for (let c = 0; c <= columns; c++) {
        const [here, there] = [2 * (r * across + c), 2 * (r * across + columns - c)];
        expect(Math.abs(moves[here]! + moves[there]!)).toBeLessThan(0.02 * scale);
        expect(Math.abs(moves[here + 1]! - moves[there + 1]!)).toBeLessThan(0.02 * scale);
      }
  });

  it('comes to the same drift as the grid is refined', () => {
    const [coarse, middle, fine] = [24, 48, 96].map((cells) => run({ cells }).most.drift) as [number, number, number];
    expect(Math.abs(fine - middle)).toBeLessThan(Math.abs(middle - coarse) + 0.002);
    expect(Math.abs(fine / middle - 1)).toBeLessThan(0.08);
  });

  it('pulls together along the stitches, not across them', () => {
    const { moves, columns, rows } = run();
    const at = (x: number, y: number) =>
      2 * (Math.round((y + 60) / (120 / rows)) * (columns + 1) + Math.round((x + 60) / (120 / columns)));
    expect(moves[at(15, 0)]).toBeLessThan(0);
    expect(moves[at(-15, 0)]).toBeGreaterThan(0);
    expect(Math.abs(moves[at(0, 15) + 1]!)).toBeLessThan(Math.abs(moves[at(15, 0)]!) / 2);
  });
});

describe('stacks under a motif', () => {
  it('never drift more the stiffer they are', () => {
    const bare = clothInPlane(lawn);
    let before = Infinity;
    for (const factor of [1, 1.5, 2, 4]) {
      const inPlane = { xx: factor * bare.xx, yy: factor * bare.yy, xy: factor * bare.xy, shear: factor * bare.shear };
      const { most } = run({ inPlane });
      expect(most.drift).toBeLessThan(before);
      before = most.drift;
    }
  });

  it('give way less, as a whole, with every sheet that is added, whatever its angle', () => {
    // What the pull does to the sheet: the work of the forces, which no added stiffness can raise.
    const work = (inPlane: InPlane) => {
      const { moves } = run({ inPlane, motif: block(30) });
      return moves.reduce((sum, value) => sum + value * value, 0);
    };
    for (const material of sheets.slice(0, 3))
      for (const angle of [0, 45]) {
        const one = stackInPlane(lawn, [layer(material, angle)]);
        const two = stackInPlane(lawn, [layer(material, angle), layer(material, 45)]);
        expect(work(one)).toBeLessThan(work(clothInPlane(lawn)));
        expect(work(two)).toBeLessThan(work(one));
      }
  });

  it('hold better the better they are joined', () => {
    const fused = LIBRARY_LAYERS.find(({ family, form }) => family === 'mesh' && form === 'fusible')!;
    const loose = { ...fused, form: 'loose' as const };
    const drift = (material: typeof fused) => run({ inPlane: stackInPlane(lawn, [layer(material)]) }).most.drift;
    expect(drift(fused)).toBeLessThan(drift(loose));
  });

  it('pucker more under a denser motif, and bare cloth more than held cloth', () => {
    const inPlane = clothInPlane(lawn);
    expect(run({ inPlane, motif: block(0, 0.3) }).worst).toBeGreaterThan(run({ inPlane, motif: block(0, 0.6) }).worst);
    const held = stackInPlane(lawn, [layer(sheets[0]!)]);
    expect(run({ inPlane: held }).worst).toBeLessThanOrEqual(run({ inPlane }).worst);
    expect(run({ inPlane, taut: false }).worst).toBeGreaterThan(run({ inPlane }).worst);
  });

  it('come out the same when turned right round, and even when turned by 45°', () => {
    const c = clothInPlane(lawn);
    for (const key of ['xx', 'yy', 'xy', 'shear'] as const) expect(turnedBy(c, 180)[key]).toBeCloseTo(c[key], 9);
    expect(turnedBy(c, 90).xx).toBeCloseTo(c.yy, 9);
    expect(turnedBy(c, 45).xx).toBeCloseTo(turnedBy(c, 45).yy, 9);
  });
});

/** A motif and its mirror image, one over the other. */
function mirrored(motif: Motif): Motif {
  const twice = (values: Float64Array, sign: number) => Float64Array.from([...values, ...values.map((value) => sign * value)]);
  return {
    ...motif,
    x: twice(motif.x, -1),
    y: twice(motif.y, 1),
    command: Uint8Array.from([...motif.command, 1, ...motif.command.slice(1)]),
  };
}
