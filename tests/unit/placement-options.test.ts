import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { singleLaying } from '../../src/core/nesting/laying';
import { Pairs } from '../../src/core/nesting/pairs';
import { clamp, PlacementOptions, type PlacementOption } from '../../src/core/nesting/placement-options';
import type { Outline } from '../../src/core/shape';
import { seeded } from '../../src/core/random';
import { garments } from '../layouts/sets';

const WIDTH = 900;
const LENGTH = 700;

/** A dozen garment pieces thrown onto the cloth. */
function thrown(seed: number) {
  const { laying } = singleLaying({ width: WIDTH, length: Infinity, gap: 0, pieces: garments(4, 12).pieces });
  const random = seeded(seed);
  const { positions, orientations, choices } = laying;
  for (const i of laying.order) {
    const orientation = choices[i]![Math.floor(random() * choices[i]!.length)]!;
    const { box } = orientations[orientation]!;
    const x = -box.minX + random() * (WIDTH - box.maxX + box.minX);
    positions.lay(i, { orientation, x, y: -box.minY + random() * (LENGTH - box.maxY + box.minY) });
  }
  const pairs = new Pairs(laying, positions);
  pairs.measure();
  for (let k = 0; k < 3; k++) pairs.reweigh();
  return { laying, positions, pairs, places: new PlacementOptions(laying, positions, pairs, LENGTH) };
}

const seeds = fc.integer({ min: 1, max: 1e6 });

describe('places', () => {
  it('cost what the weighted depths of all pairs sum to', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const { laying, positions, pairs, places } = thrown(seed);
        const { count, orientation, x, y } = positions;
        for (const i of laying.order) {
          let sum = 0;
          for (let j = 0; j < count; j++) if (j !== i) sum += pairs.depths[i * count + j]! * pairs.weights[i * count + j]!;
          expect(places.cost(i, orientation[i]!, x[i]!, y[i]!, Infinity)).toBeCloseTo(sum, 6);
          // Counting stops early, but never says less than the bound when there is more.
          if (sum > 1) expect(places.cost(i, orientation[i]!, x[i]!, y[i]!, sum / 2)).toBeGreaterThanOrEqual(sum / 2);
        }
      }),
      { numRuns: 20 },
    );
  });

  it('are only left for better ones on the cloth, and what they are said to cost is true', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const { laying, positions, places } = thrown(seed);
        const { orientation, x, y } = positions;
        const lying = positions.clone();
        for (const go of ['descend', 'stepOut'] as const) {
          for (const i of laying.order) {
            const before = places.cost(i, orientation[i]!, x[i]!, y[i]!, Infinity);
            const place: PlacementOption = { orientation: orientation[i]!, x: x[i]!, y: y[i]!, cost: before };
            places[go](i, place);
            expect(place.cost).toBeLessThanOrEqual(before);
            expect(place.cost).toBeCloseTo(places.cost(i, place.orientation, place.x, place.y, Infinity), 6);
            const { box } = laying.orientations[place.orientation]!;
            expect(place.x + box.minX).toBeGreaterThanOrEqual(-1e-9);
            expect(place.x + box.maxX).toBeLessThanOrEqual(WIDTH + 1e-9);
            expect(place.y + box.minY).toBeGreaterThanOrEqual(-1e-9);
            expect(place.y + box.maxY).toBeLessThanOrEqual(LENGTH + 1e-9);
          }
        }
        // Looking about moves nothing.
        expect([orientation, x, y]).toEqual([lying.orientation, lying.x, lying.y]);
      }),
      { numRuns: 20 },
    );
  });

  const square: Outline = [[0, 0], [50, 0], [50, 50], [0, 50]]; // prettier-ignore
  const two = (apart: number) => {
    const pieces = [{ id: 's', outline: square, count: 2, rotations: [0] }];
    const { laying } = singleLaying({ width: 400, length: Infinity, gap: 0, pieces });
    const { positions } = laying;
    positions.lay(0, { orientation: laying.choices[0]![0]!, x: 200, y: 0 });
    positions.lay(1, { orientation: laying.choices[1]![0]!, x: 200 + apart, y: 0 });
    const pairs = new Pairs(laying, positions);
    pairs.measure();
    return new PlacementOptions(laying, positions, pairs, 50);
  };

  it('are found along the line, clear of what is in the way and no further off than one and a half sizes', () => {
    const places = two(20);
    const place: PlacementOption = { orientation: 0, x: 220, y: 0, cost: 30 };
    places.descend(1, place);
    expect(place.cost).toBe(0);
    expect(Math.abs(place.x - 200)).toBeGreaterThanOrEqual(50);
    expect(Math.abs(place.x - 220)).toBeLessThanOrEqual(75);
    expect(place.y).toBe(0);
  });

  it('are left by the shortest way out', () => {
    const places = two(35);
    const place: PlacementOption = { orientation: 0, x: 235, y: 0, cost: 15 };
    places.stepOut(1, place);
    expect(place.cost).toBeCloseTo(0, 9);
    expect(place.x).toBeCloseTo(250, 9);
    expect(clamp(7, 0, 5)).toBe(5);
    expect(clamp(-7, 0, 5)).toBe(0);
  });
});
