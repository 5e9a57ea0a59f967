import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stackLayer } from '../../src/schemas/pieces';
import { point, shape } from '../../src/schemas/rules';
import { day, instant } from '../../src/schemas/shared';
import { validate } from '../../src/schemas/validate';

const dated = shape({ on: day.required(), at: instant.nullable() });
const placed = shape({ at: point });

describe('days', () => {
  it('are those of the calendar', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('1900-01-01'), max: new Date('2199-12-31'), noInvalidDate: true }), (date) => {
        const on = date.toISOString().slice(0, 10);
        expect(validate(dated, { on })).toEqual({ on });
      }),
    );
  });

  it.each(['2026-02-29', '2026-13-01', '2026-00-10', '2026-99-99', '2026-1-1', '20260101', '2026-01-01T00:00', '', 'today'])(
    '%j is none',
    (on) => expect(() => validate(dated, { on })).toThrow(/^on: must be a date such as 2026-05-31/),
  );
});

describe('moments', () => {
  it('come as JSON writes them, or not at all', () => {
    const on = '2026-05-31';
    expect(validate(dated, { on, at: new Date(1e12).toISOString() }).at).toBe('2001-09-09T01:46:40.000Z');
    expect(validate(dated, { on, at: null }).at).toBeNull();
    for (const at of ['x', 'tomorrow', '2026-05-31T99:00:00Z', `${'0'.repeat(60)}1`])
      expect(() => validate(dated, { on, at })).toThrow(/^at: must be a time such as/);
  });
});

describe('places', () => {
  it('lie on a table, however large it is', () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true }), fc.double({ noNaN: true }), (x, y) => {
        const near = Math.abs(x) <= 100_000 && Math.abs(y) <= 100_000;
        if (near) expect(validate(placed, { at: [x, y] })).toEqual({ at: [x, y] });
        else expect(() => validate(placed, { at: [x, y] })).toThrow(/^at: must (lie within|be \[x, y\])/);
      }),
    );
  });

  it('may be left out where a layer is cut without one, and not where they are asked for', () => {
    for (const cut of [{ trim: 8 }, { width: 20, edges: [1] }, { size: 80 }, { size: 80, at: [10, 20] as [number, number] }])
      expect(validate(stackLayer, { materialId: 'm', extent: 'patch', angle: 0, cut }).cut).toEqual(cut);
    expect(() => validate(placed, {})).toThrow(/^at: is missing/);
  });

  it('are two numbers, and what they are instead is told in a few words', () => {
    for (const at of [null, 'x', [1], [1, 2, 3], ['1', 2], { x: 1, y: 2 }, Array.from({ length: 5000 }, () => 0)]) {
      let said = '';
      try {
        validate(placed, { at });
      } catch (error) {
        said = (error as Error).message;
      }
      expect(said).toMatch(/^at: /);
      expect(said.length).toBeLessThan(140);
    }
  });
});
