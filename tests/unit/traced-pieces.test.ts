import { describe, expect, it } from 'vitest';
import type { Traced } from '../../src/core/photo';
import { drawShape, transformed, type Outline, type Point } from '../../src/core/shape';
import { foundIn } from '../../src/views/project/traced-pieces';
import { distanceTo } from '../files/geometry';

/** A piece 200 × 100 with a slanting top, a grain line 20° to the left of upright and a notch on its lower edge, as it lies on a table. */
const PIECE: Outline = [[0, 0], [200, 0], [200, 100], [40, 130]]; // prettier-ignore
const ANGLE = (20 * Math.PI) / 180;
const GRAIN: [Point, Point] = [[120, 20], [120 - 60 * Math.sin(ANGLE), 20 + 60 * Math.cos(ANGLE)]]; // prettier-ignore
const NOTCH: Point = [70, 0];

function seen(turn: number): Traced {
  const lie = (points: Outline) => transformed(points, false, turn, 300, 150);
  const [from, to] = lie(GRAIN) as [Point, Point];
  const drawn = { grain: (from[1] <= to[1] ? [from, to] : [to, from]) as [Point, Point], notches: lie([NOTCH]), spots: [] };
  return { pieces: [{ outline: lie(PIECE), corners: [0, 1, 2, 3], unsure: [], drawn }], cards: [], residual: 0, warnings: [] };
}

describe('what is drawn on a photographed piece', () => {
  it.each([0, 13, -31, 44])('lies on it as it was drawn, however it lay on the table: turned by %i°', (turn) => {
    const [piece] = foundIn(seen(turn)).pieces;
    const outline = drawShape({ kind: 'drawn', edges: piece!.shape.edges }).outline;
    const [{ at, kind }] = piece!.marks as [{ at: Point; kind: string }];
    expect(kind).toBe('notch');
    expect(distanceTo(outline, at)).toBeLessThan(0.01);
    // Seventy millimetres from the corner it is measured from.
    expect(Math.min(...outline.map(([x, y]) => Math.abs(Math.hypot(x - at[0], y - at[1]) - 70)))).toBeLessThan(0.01);
    expect(piece!.grain).toBeCloseTo(20, 1);
  });

  it('is upright where the hand was off by less than a degree', () => {
    const traced = seen(0);
    traced.pieces[0]!.drawn.grain = [[120, 20], [119.4, 80]]; // prettier-ignore
    expect(foundIn(traced).pieces[0]!.grain).toBe(0);
    expect(Object.is(foundIn(traced).pieces[0]!.grain, -0)).toBe(false);
  });
});
